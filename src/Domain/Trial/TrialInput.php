<?php

declare(strict_types=1);

namespace Lustrum\Domain\Trial;

use Lustrum\Record\RecordInput;
use Lustrum\Shared\Identifier;
use Lustrum\Shared\Name;
use Lustrum\Shared\Note;
use Lustrum\Shared\Version;
use Symfony\Component\Validator\Constraints as Assert;

final readonly class TrialInput implements RecordInput
{
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
        public ?SignOff $signOff = null,
        #[Assert\Valid]
        public ?SignOff $override = null,
        #[Version]
        public ?int $version = null,
    ) {
    }
}
