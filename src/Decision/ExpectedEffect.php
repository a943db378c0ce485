<?php

declare(strict_types=1);

namespace Lustrum\Decision;

use Lustrum\Record\Name;
use Lustrum\Record\UnitSymbol;
use Symfony\Component\Validator\Constraints as Assert;

/** What a candidate is expected to add to a metric, as a range with its likely value. */
final readonly class ExpectedEffect
{
    public function __construct(
        #[Name]
        public string $metric,
        #[Assert\NotBlank(message: 'An effect needs its unit.')]
        #[UnitSymbol]
        public string $unit,
        #[Assert\Range(notInRangeMessage: 'This number is larger than can be kept.', min: -1e12, max: 1e12)]
        public float $low,
        #[Assert\Range(notInRangeMessage: 'This number is larger than can be kept.', min: -1e12, max: 1e12)]
        public float $likely,
        #[Assert\Range(notInRangeMessage: 'This number is larger than can be kept.', min: -1e12, max: 1e12)]
        public float $high,
    ) {
    }
}
