<?php

declare(strict_types=1);

namespace Lustrum\Core\Alike;

use Lustrum\Core\NotEstimable;
use Lustrum\Core\Statistics\Distribution\StudentT;
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
        $pairs = self::pairs($sides, $joined, $fit, $confidence);
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
     * @param list<SideEffect> $sides
     *
     * @return list<SidePair>
     */
    private static function pairs(array $sides, Joined $joined, SideFit $fit, float $confidence): array
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
        $quantile = $hasSpread && $named !== [] ? StudentT::quantile(1 - (1 - $confidence) / 2 / count($named), $fit->df) : 0.0;
        $p = $ends = [];
        foreach ($named as [$a, $b, $difference]) {
            $se = $fit->spread * sqrt($fit->variance($a, $b));
            $p[] = $hasSpread ? StudentT::twoSided($difference / $se, $fit->df) : 1.0;
            $ends[] = $quantile * $se;
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
}
