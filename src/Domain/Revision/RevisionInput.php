<?php

declare(strict_types=1);

namespace Lustrum\Domain\Revision;

use Lustrum\Record\RecordInput;
use Lustrum\Shared\Identifier;
use Lustrum\Shared\Limit;
use Lustrum\Shared\Note;
use Lustrum\Shared\Version;
use Symfony\Component\Validator\Constraints as Assert;

/** $correction: why it was always so; the runs of the build take it over. Empty: it is a change from now on. */
final readonly class RevisionInput implements RecordInput
{
    /**
     * @param list<Arm> $arms      variants inside this build
     * @param bool      $family    they stay beside each other: sizes, sides, fittings
     * @param string    $worstArm  the one that is said to be the worst of them; empty: nobody said
     * @param string    $chosenArm name of the one that was chosen; empty: none yet
     */
    public function __construct(
        #[Identifier]
        public string $device,
        #[Assert\NotBlank(message: 'This is still empty.', normalizer: 'trim')]
        #[Assert\Length(max: 8, maxMessage: 'At most {{ limit }} characters, so that it fits on the tag.')]
        public string $letter,
        #[Identifier]
        public ?string $parent = null,
        #[Assert\Length(max: Limit::NAME, maxMessage: 'At most {{ limit }} characters.')]
        public string $branch = '',
        #[Assert\Length(max: Limit::LINE, maxMessage: 'At most {{ limit }} characters.')]
        public string $intent = '',
        #[Assert\Length(max: Limit::NAME, maxMessage: 'At most {{ limit }} characters.')]
        public string $firmware = '',
        public RevisionState $state = RevisionState::Building,
        #[Note]
        public string $stateReason = '',
        #[Assert\Valid]
        #[Assert\Count(max: Limit::LIST, maxMessage: 'At most {{ limit }} variants.')]
        public array $arms = [],
        #[Assert\Length(max: 40, maxMessage: 'At most {{ limit }} characters.')]
        public string $chosenArm = '',
        public bool $family = false,
        #[Assert\Length(max: 40, maxMessage: 'At most {{ limit }} characters.')]
        public string $worstArm = '',
        #[Note]
        public string $correction = '',
        #[Version]
        public ?int $version = null,
    ) {
    }
}
