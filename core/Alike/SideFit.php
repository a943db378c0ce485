<?php

declare(strict_types=1);

namespace Lustrum\Core\Alike;

use Lustrum\Core\Statistics\LeastSquares;

/** Least squares of value = stratum + side, with one spread over all that is left. */
final readonly class SideFit
{
    /**
     * @param array<string, float>             $effects against the mean of the sides that each is joined with
     * @param array<string, int>               $at      place of a side in the inverse; the first of each component has none
     * @param list<list<float>>                $inverse (X'X)⁻¹ of the sides, without the strata
     */
    private function __construct(
        public array $effects,
        public float $spread,
        public int $df,
        public float $size,
        private array $at,
        private array $inverse,
    ) {
    }

    /** @param non-empty-list<AlikeRun> $runs in strata with two sides or more */
    public static function of(array $runs, Joined $joined): self
    {
        $sides = array_values(array_unique(array_map(static fn (AlikeRun $r): string => $r->side, $runs)));
        $components = $joined->in($sides);
        $free = array_merge(...array_map(static fn (array $of): array => array_slice($of, 1), $components));
        $strata = array_values(array_unique(array_map(static fn (AlikeRun $r): string => $r->stratum(), $runs)));
        $column = static fn (callable $is): array => array_map(static fn (AlikeRun $r): float => $is($r) ? 1.0 : 0.0, $runs);
        $columns = [
            ...array_map(static fn (string $s): array => $column(static fn (AlikeRun $r): bool => $r->stratum() === $s), $strata),
            ...array_map(static fn (string $s): array => $column(static fn (AlikeRun $r): bool => $r->side === $s), $free),
        ];
        $fit = LeastSquares::fit($columns, array_map(static fn (AlikeRun $r): float => $r->value, $runs));
        $raw = array_fill_keys($sides, 0.0);
        foreach ($free as $i => $side) {
            $raw[$side] = $fit->coefficients[count($strata) + $i];
        }
        $effects = [];
        foreach ($components as $of) {
            $mean = array_sum(array_map(static fn (string $s): float => $raw[$s], $of)) / count($of);
            foreach ($of as $side) {
                $effects[$side] = $raw[$side] - $mean;
            }
        }
        $df = count($runs) - $fit->rank;

        return new self(
            $effects, $df > 0 ? sqrt($fit->residualSquares / $df) : 0.0, $df,
            max(array_map(static fn (AlikeRun $r): float => abs($r->value), $runs)), array_flip($free),
            array_map(static fn (array $row): array => array_slice($row, count($strata)), array_slice($fit->inverse, count($strata))),
        );
    }

    /** Of the difference of two sides that are joined, in spreads squared. */
    public function variance(string $a, string $b): float
    {
        [$i, $j] = [$this->at[$a] ?? null, $this->at[$b] ?? null];
        $of = fn (?int $k, ?int $l): float => $k === null || $l === null ? 0.0 : $this->inverse[$k][$l];

        return $of($i, $i) + $of($j, $j) - 2 * $of($i, $j);
    }
}
