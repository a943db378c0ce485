<?php

declare(strict_types=1);

namespace Lustrum\Core\Alike;

use Lustrum\Core\NotEstimable;
use Lustrum\Core\Statistics\Holm;
use Lustrum\Core\Statistics\Interval;
use Lustrum\Core\Statistics\NoValues;

/**
 * Several sides in one fit (`stats.compareSides`): value = stratum + side, over strata with two sides or more.
 *
 * Pairs by t, adjusted after Holm (1979); groups that cannot be told apart may overlap (Piepho 2004, J. Comput. Graph.
 * Statist. 13, 456). Sides that no chain of strata joins have nothing to say to each other.
 */
final readonly class CompareSides
{
    /** What is smaller than this part of the largest value is no spread. */
    private const NOTHING = 1e-12;

    /**
     * @param list<SideEffect>   $sides  the highest first
     * @param list<SidePair>     $pairs  in the order of the sides
     * @param list<list<string>> $groups the largest sets without a pair that is told
     * @param list<list<string>> $apart  empty where all are joined
     */
    private function __construct(
        public array $sides,
        public array $pairs,
        public array $groups,
        public array $apart,
        private SideFit $fit,
    ) {
    }

    /** What is left over when sides and strata are taken out, as a standard deviation; null without degrees of freedom. */
    public function spread(): ?float
    {
        return $this->fit->df > 0 ? $this->fit->spread : null;
    }

    /**
     * @param list<AlikeRuns> $runs
     *
     * @throws NoValues|NotEstimable
     */
    public static function of(array $runs, float $confidence): self
    {
        if ($runs === []) {
            throw NoValues::given('runs');
        }
        $in = [];
        foreach ($runs as $run) {
            $in[$run->stratum][$run->side] = true;
        }
        $used = array_values(array_filter($runs, static fn (AlikeRuns $r): bool => count($in[$r->stratum]) > 1));
        if ($used === []) {
            throw NotEstimable::because('values.unmatched', 'No level was run on two of the sides.', 'runs');
        }
        $joined = Joined::of(array_map(static fn (AlikeRuns $r): string => $r->side, $runs), array_map(
            static fn (array $sides): array => array_map(strval(...), array_keys($sides)), array_values($in),
        ));
        $fit = SideFit::of($used, $joined);
        $sides = self::ordered($joined->names, $fit, $used);
        $pairs = self::pairs($sides, $joined, $fit, $confidence, self::alone($used));
        $names = array_map(static fn (SideEffect $s): string => $s->side, $sides);
        $apart = $joined->in($names);

        return new self($sides, $pairs, Groups::of($names, $apart, $pairs), count($apart) > 1 ? $apart : [], $fit);
    }

    /**
     * @param list<string>   $names by first appearance
     * @param list<AlikeRuns> $used
     *
     * @return list<SideEffect>
     */
    private static function ordered(array $names, SideFit $fit, array $used): array
    {
        $sides = array_map(
            static fn (string $name): SideEffect => new SideEffect(
                $name, AlikeRuns::count($used, $name), $fit->effects[$name] ?? null,
            ), $names,
        );
        usort($sides, static fn (SideEffect $a, SideEffect $b): int => ($b->effect ?? -INF) <=> ($a->effect ?? -INF));

        return $sides;
    }

    /**
     * @param list<SideEffect>                      $sides
     * @param array<string, non-empty-list<float>> $alone the values of each side where all stand in one stratum; else none
     *
     * @return list<SidePair>
     */
    private static function pairs(array $sides, Joined $joined, SideFit $fit, float $confidence, array $alone): array
    {
        $named = [];
        foreach ($sides as $i => $a) {
            foreach (array_slice($sides, $i + 1) as $b) {
                if ($a->effect !== null && $b->effect !== null && $joined->meet($a->side, $b->side)) {
                    $named[] = [$a->side, $b->side, $b->effect - $a->effect];
                }
            }
        }
        $hasSpread = $fit->df > 0 && $fit->spread > self::NOTHING * $fit->size;
        $each = $named === [] ? $confidence : 1 - (1 - $confidence) / count($named);
        $p = $ends = [];
        foreach ($named as [$a, $b, $difference]) {
            $effect = new Effect($difference, $hasSpread ? $fit->spread * sqrt($fit->variance($a, $b)) : 0.0, $fit->df);
            [$p[], $ends[]] = self::wider($effect, $hasSpread ? self::own($alone[$a] ?? [], $alone[$b] ?? []) : null, $each);
        }
        $adjusted = Holm::adjust($p);

        return array_map(static function (array $pair, float $p, float $adjusted, float $half) use ($hasSpread, $confidence): SidePair {
            [$a, $b, $difference] = $pair;

            if (!$hasSpread) {
                return new SidePair($a, $b, new Interval($difference, null, null), null, null, false);
            }
            $interval = new Interval($difference, $difference - $half, $difference + $half);

            return new SidePair($a, $b, $interval, $p, $adjusted, $adjusted < 1 - $confidence);
        }, $named, $p, $adjusted, $ends);
    }

    /**
     * Of two ways to tell a pair the one that tells less: p, and half the width of the interval.
     *
     * @return array{float, float}
     */
    private static function wider(Effect $common, ?Effect $own, float $confidence): array
    {
        $half = static fn (?Effect $e): float => $e === null ? 0.0 : ($e->interval($confidence)->high ?? $e->estimate) - $e->estimate;

        return [max($common->p() ?? 1.0, $own?->p() ?? 0.0), max($half($common), $half($own))];
    }

    /**
     * By the two sides' own spreads, which may be unlike each other; null where one has a single value.
     *
     * @param list<float> $a
     * @param list<float> $b
     */
    private static function own(array $a, array $b): ?Effect
    {
        return min(count($a), count($b)) < 2 ? null : Estimate::welch($a, $b);
    }

    /**
     * @param list<AlikeRuns> $runs
     *
     * @return array<string, non-empty-list<float>> by side; none where strata or blocks join them
     */
    private static function alone(array $runs): array
    {
        $of = [];
        foreach ($runs as $some) {
            if ($some->block !== null || $some->stratum !== $runs[0]->stratum) {
                return [];
            }
            foreach ($some->values as $value) {
                $of[$some->side][] = $value;
            }
        }

        return $of;
    }
}
