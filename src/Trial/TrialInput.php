<?php

declare(strict_types=1);

namespace Lustrum\Trial;

use Lustrum\Record\Name;
use Lustrum\Record\Note;
use Lustrum\Record\RecordInput;
use Symfony\Component\Validator\Constraints as Assert;

final readonly class TrialInput implements RecordInput
{
    public function __construct(
        #[Assert\Uuid(message: 'This is not an identifier.')]
        public string $revision,
        #[Assert\Uuid(message: 'Choose a method.')]
        public string $method,
        #[Name]
        public string $name,
        #[Note]
        public string $question = '',
        #[Assert\Range(notInRangeMessage: 'Between 1 and 500 runs.', min: 1, max: 500)]
        public int $plannedRuns = 3,
        public RepeatPurpose $repeats = RepeatPurpose::Estimate,
        public TrialState $state = TrialState::Planned,
        #[Assert\Valid]
        public ?SignOff $signOff = null,
        #[Assert\Valid]
        public ?SignOff $override = null,
        public ?int $version = null,
    ) {
    }
}
