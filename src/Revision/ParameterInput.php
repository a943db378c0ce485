<?php

declare(strict_types=1);

namespace Lustrum\Revision;

use Lustrum\Record\Name;
use Lustrum\Record\RecordInput;
use Symfony\Component\Validator\Constraints as Assert;

final readonly class ParameterInput implements RecordInput
{
    /** @param string $text the quantity as typed, such as '1.60 mm' */
    public function __construct(
        #[Assert\Uuid(message: 'This is not an identifier.')]
        public string $revision,
        #[Name]
        public string $name,
        #[Assert\Length(max: 100, maxMessage: 'At most {{ limit }} characters.')]
        public string $text,
        public ?int $version = null,
    ) {
    }
}
