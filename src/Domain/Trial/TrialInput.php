<?php

declare(strict_types=1);

namespace Lustrum\Domain\Trial;

use Lustrum\Record\RecordInput;
use Lustrum\Shared\Choices;
use Lustrum\Shared\Identifier;
use Lustrum\Shared\Limit;
use Lustrum\Shared\Name;
use Lustrum\Shared\Note;
use Lustrum\Shared\Version;
use Symfony\Component\Validator\Constraints as Assert;

final readonly class TrialInput implements RecordInput
{
    /**
     * @param list<SignOff> $signOffs who agreed to it, in the order that the method asks for
     * @param LayoutInput|null $layout how its runs are laid out, which says how many there are; null: only their number is planned
     * @param string $untilChannel key of the channel whose mean is to be known; empty: the planned number is all there is
     * @param list<string> $waitsFor weather, a season, a part, a person, a permit; none: it can be tried now
     * @param list<Found> $favourites by person, which contender they would choose now; said before the first result
     * @param string $untilWidth   to which half-width, with its unit: '2 N'; the planned runs are the first stage then
     */
    public function __construct(
        #[Identifier]
        public string $revision,
        #[Identifier]
        public string $method,
        #[Name]
        public string $name,
        #[Note]
        public string $question = '',
        /** Nought: nobody says how many; then its answers read so far until somebody closes it. */
        #[Assert\Range(notInRangeMessage: 'Between 0 and 500 runs; 0 where nobody says how many.', min: 0, max: 500)]
        public int $plannedRuns = 3,
        public RepeatPurpose $repeats = RepeatPurpose::Estimate,
        public TrialState $state = TrialState::Planned,
        #[Assert\Valid]
        #[Assert\Count(max: Limit::LIST, maxMessage: 'At most {{ limit }} sign-offs.')]
        public array $signOffs = [],
        #[Assert\Valid]
        public ?SignOff $override = null,
        #[Assert\Length(max: 40, maxMessage: 'At most {{ limit }} characters.')]
        public string $untilChannel = '',
        #[Assert\Length(max: Limit::NAME, maxMessage: 'At most {{ limit }} characters.')]
        public string $untilWidth = '',
        #[Assert\Valid]
        public ?LayoutInput $layout = null,
        #[Choices]
        public array $waitsFor = [],
        #[Assert\Valid]
        #[Assert\Count(max: Limit::LIST, maxMessage: 'At most {{ limit }} favourites.')]
        public array $favourites = [],
        #[Version]
        public ?int $version = null,
    ) {
    }
}
