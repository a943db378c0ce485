<?php

declare(strict_types=1);

namespace Lustrum\Core\Judging;

use Lustrum\Core\Alike\WithinVerdict;
use Lustrum\Core\Footing\FootingCheck;
use Lustrum\Core\Statistics\CompareSpread;

/** One metric on a build against another build, in numbers. */
final readonly class MetricComparison
{
    /**
     * @param string            $metric     identifier
     * @param Side|null         $other      null where it was not measured there
     * @param Figure|null       $difference on what both sides have; null where that is nothing
     * @param Figure|null       $change     in per cent of the other side, pair by pair where there are several levels or blocks
     * @param WithinVerdict|null $verdict   null where the sides have nothing in common
     * @param 'better'|'worse'|'' $judged   empty where no requirement says which way is good, or nothing can be said
     * @param FootingCheck|null $footing    null where only one side was measured
     * @param ByOrder|null      $byOrder    for ratings: by order alone
     * @param list<Life>        $lives      where runs are bounds: each side looked at as lives
     * @param float|null        $logRank    p of the log-rank test between the two, bounds included
     * @param CompareSpread|null $spread    of repeats in one cell of both sides; null where there are several cells, or too few runs
     * @param Chained|null      $chain      where the two never met, and each met a third build
     * @param array<string, array{here: Worded, other: Worded}> $worded where results are words, what each side came to by cell
     * @param array<string, Changed> $changed runs that are not in it, by letter
     * @param list<Bearing>     $bearing    differences that bear on it until somebody says otherwise
     * @param Matching|null     $matching   what was opposed to what; null where the other side was not measured
     */
    public function __construct(
        public string $metric,
        public Side $here,
        public ?Side $other,
        public string $method,
        public ?Figure $difference,
        public ?Figure $change,
        public ?WithinVerdict $verdict,
        public string $judged,
        public ?float $p,
        public ?FootingCheck $footing,
        public ?ByOrder $byOrder,
        public array $lives,
        public ?float $logRank,
        public ?Matching $matching,
        public Terms $terms,
        public ?Chained $chain = null,
        public ?CompareSpread $spread = null,
        public array $worded = [],
        public array $changed = [],
        public array $bearing = [],
    ) {
    }

    /** Was nothing of one side run like anything of the other? */
    public function neverMet(): bool
    {
        return $this->other !== null && $this->verdict === null;
    }

    /** The same, compared through a third build. */
    public function through(Chained $chain): self
    {
        return new self(
            $this->metric, $this->here, $this->other, $this->method, $this->difference, $this->change, $this->verdict, $this->judged,
            $this->p, $this->footing, $this->byOrder, $this->lives, $this->logRank, $this->matching, $this->terms, $chain, $this->spread,
            $this->worded, $this->changed, $this->bearing,
        );
    }

    /**
     * @param array<string, Changed> $changed
     * @param list<Bearing>                     $bearing
     */
    public function beside(array $changed, array $bearing): self
    {
        return new self(
            $this->metric, $this->here, $this->other, $this->method, $this->difference, $this->change, $this->verdict, $this->judged,
            $this->p, $this->footing, $this->byOrder, $this->lives, $this->logRank, $this->matching, $this->terms, $this->chain,
            $this->spread, $this->worded, $changed, $bearing,
        );
    }
}
