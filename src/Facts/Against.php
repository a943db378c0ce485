<?php

declare(strict_types=1);

namespace Lustrum\Facts;

use Lustrum\Core\Judging\MetricComparison;
use Lustrum\Core\Judging\OutcomeComparison;

/** How one build stands to another, in numbers. */
final readonly class Against
{
    /**
     * @param list<MetricComparison>  $values
     * @param list<OutcomeComparison> $outcomes
     */
    public function __construct(
        public array $values,
        public array $outcomes,
    ) {
    }
}
