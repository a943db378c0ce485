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
        // Each stratum's own mean is taken out first, which leaves the sides as they are (Frisch and Waugh 1933, Econometrica 1, 387).
        $strata = [];
        foreach ($runs as $i => $run) {
            $strata[$run->stratum()][] = $i;
        }
        $within = static fn (callable $value): array => self::within(array_map($value, $runs), $strata);
        $columns = array_map(
            static fn (string $s): array => $within(static fn (AlikeRun $r): float => $r->side === $s ? 1.0 : 0.0), $free,
        );
        $fit = LeastSquares::fit($columns, $within(static fn (AlikeRun $r): float => $r->value));
        $raw = array_fill_keys($sides, 0.0);
        foreach ($free as $i => $side) {
            $raw[$side] = $fit->coefficients[$i];
        }
        $effects = [];
        foreach ($components as $of) {
            $mean = array_sum(array_map(static fn (string $s): float => $raw[$s], $of)) / count($of);
            foreach ($of as $side) {
                $effects[$side] = $raw[$side] - $mean;
            }
        }
        $df = count($runs) - count($strata) - $fit->rank;

        return new self(
            $effects, $df > 0 ? sqrt($fit->residualSquares / $df) : 0.0, $df,
            max(array_map(static fn (AlikeRun $r): float => abs($r->value), $runs)), array_flip($free),
            $fit->inverse,
        );
    }

    /**
     * @param list<float>               $values
     * @param array<string, list<int>> $strata places of the values of each
     *
     * @return list<float> without the mean of the stratum that each lies in
     */
    private static function within(array $values, array $strata): array
    {
        $means = [];
        foreach ($strata as $places) {
            $mean = array_sum(array_map(static fn (int $i): float => $values[$i], $places)) / count($places);
            $means += array_fill_keys($places, $mean);
        }

        return array_map(static fn (float $value, int $i): float => $value - $means[$i], $values, array_keys($values));
    }

    /** Of the difference of two sides that are joined, in spreads squared. */
    public function variance(string $a, string $b): float
    {
        [$i, $j] = [$this->at[$a] ?? null, $this->at[$b] ?? null];
        $of = fn (?int $k, ?int $l): float => $k === null || $l === null ? 0.0 : $this->inverse[$k][$l];

        return $of($i, $i) + $of($j, $j) - 2 * $of($i, $j);
    }
}
