<?php

declare(strict_types=1);

namespace Lustrum\Domain\Revision;

use Lustrum\Record\RecordInput;
use Lustrum\Shared\Identifier;
use Lustrum\Shared\Name;
use Lustrum\Shared\Note;
use Lustrum\Shared\Version;
use Symfony\Component\Validator\Constraints as Assert;

/** $correction: why it was always so; the runs of the build take it over. Empty: it is a change from now on. */
final readonly class ParameterInput implements RecordInput
{
    /** @param string $text the quantity as typed, such as '1.60 mm' */
    public function __construct(
        #[Identifier]
        public string $revision,
        #[Name]
        public string $name,
        #[Assert\Length(max: 100, maxMessage: 'At most {{ limit }} characters.')]
        public string $text,
        #[Note]
        public string $correction = '',
        #[Version]
        public ?int $version = null,
    ) {
    }
}
