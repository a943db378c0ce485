<?php

declare(strict_types=1);

namespace Lustrum\Domain\Decision;

use Lustrum\Core\Change\ChangeClass;
use Lustrum\Domain\Change\ExpectedEffect;
use Lustrum\Record\RecordInput;
use Lustrum\Shared\Choices;
use Lustrum\Shared\Identifier;
use Lustrum\Shared\Limit;
use Lustrum\Shared\Note;
use Lustrum\Shared\Version;
use Symfony\Component\Validator\Constraints as Assert;

final readonly class CandidateInput implements RecordInput
{
    /**
     * @param list<ExpectedEffect> $effects
     * @param list<string>         $failures     identifiers of those that it answers
     * @param list<string>         $requirements identifiers of those that it answers
     * @param list<Alteration>     $alters       what becomes of the build where it is decided
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
        #[Assert\Range(notInRangeMessage: 'Between 0 and ten million.', min: 0, max: 1e7)]
        public float $cost = 0.0,
        #[Assert\Range(notInRangeMessage: 'Between 0 and 100,000 hours.', min: 0, max: 1e5)]
        public float $hours = 0.0,
        #[Assert\Valid]
        #[Assert\Count(max: 12, maxMessage: 'At most {{ limit }} effects.')]
        public array $effects = [],
        public CandidateSource $source = CandidateSource::Team,
        #[Assert\Length(max: Limit::NAME, maxMessage: 'At most {{ limit }} characters.')]
        public string $askedBy = '',
        #[Choices]
        public array $failures = [],
        #[Choices]
        public array $requirements = [],
        #[Assert\Valid]
        #[Assert\Count(max: 12, maxMessage: 'At most {{ limit }} alterations.')]
        public array $alters = [],
        public Choice $choice = Choice::Open,
        #[Note]
        public string $reason = '',
        #[Version]
        public ?int $version = null,
    ) {
    }
}
