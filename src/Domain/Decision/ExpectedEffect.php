<?php

declare(strict_types=1);

namespace Lustrum\Domain\Decision;

use Lustrum\Shared\Name;
use Lustrum\Shared\Number;
use Lustrum\Shared\UnitSymbol;
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
        #[Number]
        public float $low,
        #[Number]
        public float $likely,
        #[Number]
        public float $high,
    ) {
    }

    /** The same on a metric that is named otherwise: by identifier where it is kept, by name where it is shown. */
    public function on(string $metric): self
    {
        return new self($metric, $this->unit, $this->low, $this->likely, $this->high);
    }
}
