<?php

declare(strict_types=1);

namespace Lustrum\Domain\Change;

use Lustrum\Core\Change\ChangeClass;
use Lustrum\Core\Change\ChangeVerdict;
use Lustrum\Record\RecordInput;
use Lustrum\Shared\Identifier;
use Lustrum\Shared\Limit;
use Lustrum\Shared\Note;
use Lustrum\Shared\Number;
use Lustrum\Shared\UnitSymbol;
use Lustrum\Shared\Version;
use Symfony\Component\Validator\Constraints as Assert;

final readonly class ChangeInput implements RecordInput
{
    public function __construct(
        #[Identifier]
        public string $revision,
        #[Assert\NotBlank(message: 'This is still empty.', normalizer: 'trim')]
        #[Assert\Length(max: Limit::LINE, maxMessage: 'At most {{ limit }} characters.')]
        public string $what,
        #[Note]
        public string $why = '',
        public ChangeClass $class = ChangeClass::Shape,
        #[Assert\Length(max: Limit::NAME, maxMessage: 'At most {{ limit }} characters.')]
        public string $metric = '',
        #[Number]
        public ?float $expected = null,
        #[UnitSymbol]
        public string $unit = '',
        public ?ChangeVerdict $verdict = null,
        #[Note]
        public string $verdictNote = '',
        #[Identifier]
        public ?string $against = null,
        #[Version]
        public ?int $version = null,
    ) {
    }
}
