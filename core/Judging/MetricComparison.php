<?php

declare(strict_types=1);

namespace Lustrum\Core\Judging;

use Lustrum\Core\Footing\FootingCheck;
use Lustrum\Core\Statistics\Verdict;

/** One metric on a build against another build, in numbers. */
final readonly class MetricComparison
{
    /**
     * @param string            $metric     identifier
     * @param Side|null         $other      null where it was not measured there
     * @param Figure|null       $change     in per cent of the other side
     * @param 'better'|'worse'|'' $judged   empty where no requirement says which way is good, or nothing can be said
     * @param string|null       $note       why there is no interval of the change
     * @param FootingCheck|null $footing    null where only one side was measured
     * @param ByOrder|null      $byOrder    for ratings: by order alone
     * @param list<Life>        $lives      where runs are bounds: each side looked at as lives
     * @param float|null        $logRank    p of the log-rank test between the two, bounds included
     */
    public function __construct(
        public string $metric,
        public Side $here,
        public ?Side $other,
        public string $method,
        public ?Figure $difference,
        public ?Figure $change,
        public ?Verdict $verdict,
        public string $judged,
        public ?float $p,
        public ?string $note,
        public ?FootingCheck $footing,
        public ?ByOrder $byOrder,
        public array $lives,
        public ?float $logRank,
    ) {
    }
}
