<?php

declare(strict_types=1);

namespace Lustrum\Weighing;

use Lustrum\Core\Statistics\Verdict;

/** One metric on this build against another build. */
final readonly class MetricComparison
{
    /**
     * @param string       $judged     'better', 'worse', '' where no requirement says which way is good, or nothing can be said
     * @param list<string> $runs
     * @param list<string> $otherRuns
     * @param list<float>  $values     for the figure
     * @param list<float>  $otherValues
     * @param list<Further> $further    by order alone for ratings, as lives where runs are bounds
     */
    public function __construct(
        public string $metric,
        public ?Estimate $other,
        public ?Estimate $here,
        public ?Estimate $difference,
        public ?Estimate $change,
        public ?Verdict $verdict,
        public string $judged,
        public ?float $p,
        public ?string $note,
        public ?FootingView $footing,
        public string $sentence,
        public array $runs,
        public array $otherRuns,
        public array $values,
        public array $otherValues,
        public int $bounds,
        public int $otherBounds,
        public array $further,
    ) {
    }
}
