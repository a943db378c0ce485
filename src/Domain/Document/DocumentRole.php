<?php

declare(strict_types=1);

namespace Lustrum\Domain\Document;

/** What a file is to the build that it belongs to. */
enum DocumentRole: string
{
    case Drawing = 'drawing';
    case Model = 'model';
    /** For cutting or printing. */
    case Cutting = 'cutting';
    case Source = 'source';
    case DataSheet = 'dataSheet';
    case Certificate = 'certificate';
    case Approval = 'approval';
    /** Of how it was made. */
    case Making = 'making';
    case Other = 'other';

    /** Is the thing made from it, so that another content is another thing? */
    public function shapesTheBuild(): bool
    {
        return in_array($this, [self::Drawing, self::Model, self::Cutting, self::Source], true);
    }
}
