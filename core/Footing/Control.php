<?php

declare(strict_types=1);

namespace Lustrum\Core\Footing;

use Lustrum\Core\InvalidInput;
use Lustrum\Core\NotEstimable;

/**
 * Which of several factors that were changed together can be told apart, and which further runs would tell the rest
 * (`compare.control`): the fewest, and of those the cheapest (matroid greedy, Edmonds 1971).
 */
final readonly class Control
{
    private const MOST = 10;
    private const SAME = 1e-9;

    /**
     * @param list<string>                                             $told
     * @param list<string>                                             $entangled
     * @param list<array{levels: array<string, string>, cost: float}> $runs
     */
    private function __construct(
        public array $told,
        public array $entangled,
        public int $needed,
        public array $runs,
        public float $cost,
    ) {
    }

    /**
     * @param array<string, array{a: float, b: float}> $costs of each factor at either level
     * @param list<array<string, string>>              $runs  level a or b of each factor
     *
     * @throws InvalidInput|NotEstimable
     */
    public static function of(array $costs, array $runs, float $costPerRun): self
    {
        $names = array_map(strval(...), array_keys($costs));
        if (count($names) > self::MOST) {
            throw NotEstimable::because('factors.tooMany', sprintf('At most %d factors at once.', self::MOST), 'factors');
        }
        $space = new RowSpace(count($names) + 1);
        foreach ($runs as $run) {
            $space->add(self::row($names, $run));
        }
        $told = array_values(array_filter($names, static fn (string $name, int $i): bool => $space->holds(
            array_map(static fn (int $j): float => $j === $i + 1 ? 1.0 : 0.0, range(0, count($names))),
        ), \ARRAY_FILTER_USE_BOTH));
        $further = [];
        foreach (self::cheapest($costs, $costPerRun) as $run) {
            if ($space->add(self::row($names, $run['levels']))) {
                $further[] = $run;
            }
        }

        return new self(
            $told, array_values(array_diff($names, $told)), count($further), $further, array_sum(array_column($further, 'cost')),
        );
    }

    /**
     * @param list<string>          $names
     * @param array<string, string> $levels
     *
     * @return list<float> a constant, and 1 for each factor at b
     */
    private static function row(array $names, array $levels): array
    {
        return [1.0, ...array_map(static fn (string $name): float => $levels[$name] === 'b' ? 1.0 : 0.0, $names)];
    }

    /**
     * All combinations; where they cost the same those with fewer b first, then those with b on an earlier factor.
     *
     * @param array<string, array{a: float, b: float}> $costs
     *
     * @return list<array{levels: array<string, string>, cost: float}>
     */
    private static function cheapest(array $costs, float $costPerRun): array
    {
        $all = [['levels' => [], 'cost' => $costPerRun]];
        foreach ($costs as $name => $of) {
            $next = [];
            foreach ($all as $run) {
                foreach (['a', 'b'] as $level) {
                    $next[] = ['levels' => $run['levels'] + [$name => $level], 'cost' => $run['cost'] + $of[$level]];
                }
            }
            $all = $next;
        }
        $count = static fn (array $run): int => count(array_keys($run['levels'], 'b', true));
        usort($all, static fn (array $x, array $y): int => abs($x['cost'] - $y['cost']) > self::SAME
            ? $x['cost'] <=> $y['cost'] : [$count($x), implode('', $y['levels'])] <=> [$count($y), implode('', $x['levels'])]);

        return $all;
    }
}
