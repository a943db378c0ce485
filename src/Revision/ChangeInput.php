<?php

declare(strict_types=1);

namespace Lustrum\Revision;

use Lustrum\Core\Change\ChangeVerdict;
use Lustrum\Record\Limit;
use Lustrum\Record\Note;
use Lustrum\Record\RecordInput;
use Lustrum\Record\UnitSymbol;
use Symfony\Component\Validator\Constraints as Assert;

final readonly class ChangeInput implements RecordInput
{
    public function __construct(
        #[Assert\Uuid(message: 'This is not an identifier.')]
        public string $revision,
        #[Assert\NotBlank(message: 'This is still empty.', normalizer: 'trim')]
        #[Assert\Length(max: Limit::LINE, maxMessage: 'At most {{ limit }} characters.')]
        public string $what,
        #[Note]
        public string $why = '',
        public ChangeClass $class = ChangeClass::Shape,
        #[Assert\Length(max: Limit::NAME, maxMessage: 'At most {{ limit }} characters.')]
        public string $metric = '',
        #[Assert\Range(notInRangeMessage: 'This number is larger than can be kept.', min: -1e12, max: 1e12)]
        public ?float $expected = null,
        #[UnitSymbol]
        public string $unit = '',
        public ?ChangeVerdict $verdict = null,
        #[Note]
        public string $verdictNote = '',
        #[Assert\Uuid(message: 'This is not an identifier.')]
        public ?string $against = null,
        public ?int $version = null,
    ) {
    }
}
