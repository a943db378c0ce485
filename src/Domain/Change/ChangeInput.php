<?php

declare(strict_types=1);

namespace Lustrum\Domain\Change;

use Lustrum\Core\Change\ChangeClass;
use Lustrum\Core\Change\ChangeVerdict;
use Lustrum\Record\RecordInput;
use Lustrum\Shared\Choices;
use Lustrum\Shared\Identifier;
use Lustrum\Shared\Limit;
use Lustrum\Shared\Note;
use Lustrum\Shared\Version;
use Symfony\Component\Validator\Constraints as Assert;

final readonly class ChangeInput implements RecordInput
{
    /**
     * @param list<ExpectedEffect> $effects
     * @param list<string>         $against identifiers of the failures that it is meant to end
     * @param list<string>         $alters  what it altered: 'parameter:gap', 'part:bracket', 'firmware'
     */
    public function __construct(
        #[Identifier]
        public string $revision,
        #[Assert\NotBlank(message: 'This is still empty.', normalizer: 'trim')]
        #[Assert\Length(max: Limit::LINE, maxMessage: 'At most {{ limit }} characters.')]
        public string $what,
        #[Note]
        public string $why = '',
        public ChangeClass $class = ChangeClass::Shape,
        #[Assert\Valid]
        #[Assert\Count(max: 12, maxMessage: 'At most {{ limit }} effects.')]
        public array $effects = [],
        public ?ChangeVerdict $verdict = null,
        #[Note]
        public string $verdictNote = '',
        #[Choices]
        public array $against = [],
        #[Choices]
        public array $alters = [],
        #[Version]
        public ?int $version = null,
    ) {
    }
}
