<?php

declare(strict_types=1);

namespace Lustrum\Domain\Document;

use Lustrum\Record\Kind;
use Lustrum\Record\Registration;

final class DocumentKinds implements Registration
{
    public static function kinds(): array
    {
        return [
            new Kind(
                'document', 'documents', Document::class, DocumentInput::class, DocumentView::class,
                ['revision' => 'revision', 'part' => 'part', 'article' => 'article'], carriesFile: true,
            ),
        ];
    }
}
