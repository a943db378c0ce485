<?php

declare(strict_types=1);

namespace Lustrum\Core\Alike;

use Lustrum\Core\Statistics\LeastSquares;
use Lustrum\Core\Statistics\Sample;

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

    /** @param non-empty-list<AlikeRuns> $runs in strata with two sides or more */
    public static function of(array $runs, Joined $joined): self
    {
        $sides = array_values(array_unique(array_map(static fn (AlikeRuns $r): string => $r->side, $runs)));
        $components = $joined->in($sides);
        $free = array_merge(...array_map(static fn (array $of): array => array_slice($of, 1), $components));
        $at = array_flip($free);
        $columns = array_fill(0, count($free), []);
        $y = [];
        $left = 0.0;
        // Each stratum's own mean is taken out first, which leaves the sides as they are (Frisch and Waugh 1933, Econometrica 1, 387);
        // the values of one side in one stratum enter by their mean, and what they differ from it is left over whatever is fitted.
        $strata = self::strata($runs);
        foreach ($strata as $of) {
            $n = array_sum(array_map(static fn (Sample $s): int => $s->n, $of));
            $mean = array_sum(array_map(static fn (Sample $s): float => $s->n * $s->mean, $of)) / $n;
            foreach ($of as $side => $sample) {
                $root = sqrt($sample->n);
                $y[] = $root * ($sample->mean - $mean);
                $left += $sample->squares();
                foreach ($free as $k => $other) {
                    $columns[$k][] = $root * (($other === (string) $side ? 1.0 : 0.0) - (isset($of[$other]) ? $of[$other]->n : 0) / $n);
                }
            }
        }
        $fit = LeastSquares::fit($columns, $y);
        $effects = self::effects($components, $at, $fit);
        $df = AlikeRuns::count($runs) - count($strata) - $fit->rank;
        $size = max(array_map(static fn (AlikeRuns $r): float => max(array_map(abs(...), $r->values)), $runs));

        return new self($effects, $df > 0 ? sqrt(($fit->residualSquares + $left) / $df) : 0.0, $df, $size, $at, $fit->inverse);
    }

    /**
     * @param list<list<string>>  $components
     * @param array<string, int> $at place of a side in the fit
     *
     * @return array<string, float> against the mean of those that each is joined with
     */
    private static function effects(array $components, array $at, LeastSquares $fit): array
    {
        $effects = [];
        foreach ($components as $of) {
            $raw = array_map(static fn (string $s): float => isset($at[$s]) ? $fit->coefficients[$at[$s]] : 0.0, $of);
            $mean = array_sum($raw) / count($of);
            $effects += array_combine($of, array_map(static fn (float $value): float => $value - $mean, $raw));
        }

        return $effects;
    }

    /**
     * @param list<AlikeRuns> $runs
     *
     * @return array<string, array<string, Sample>> by stratum and side
     */
    private static function strata(array $runs): array
    {
        $values = [];
        foreach ($runs as $some) {
            foreach ($some->values as $value) {
                $values[$some->stratum][$some->side][] = $value;
            }
        }

        return array_map(static fn (array $of): array => array_map(Sample::of(...), $of), $values);
    }

    /** Of the difference of two sides that are joined, in spreads squared. */
    public function variance(string $a, string $b): float
    {
        [$i, $j] = [$this->at[$a] ?? null, $this->at[$b] ?? null];
        $of = fn (?int $k, ?int $l): float => $k === null || $l === null ? 0.0 : $this->inverse[$k][$l];

        return $of($i, $i) + $of($j, $j) - 2 * $of($i, $j);
    }
}
