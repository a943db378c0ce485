<?php

declare(strict_types=1);

namespace Lustrum\Core\Panel;

use Lustrum\Core\NotEstimable;
use Lustrum\Core\Statistics\LeastSquares;
use Lustrum\Core\Statistics\NoValues;

/**
 * Which of two do people prefer? Bradley and Terry (1952), fitted by Hunter's MM steps (2004) and finished by Newton
 * (`panel.rank`). A finite answer exists only where everybody can be beaten: the graph of wins must be strongly connected
 * (Ford 1957).
 */
final readonly class PairedComparisons
{
    /**
     * @param array<string, float>                $strengths   sum 1, in order of first appearance
     * @param array<string, float>                $se          of the logarithm of each strength, against their mean
     * @param array<string, array<string, float>> $preference  chance that the first is preferred to the second
     */
    private function __construct(
        public array $strengths,
        public array $se,
        public array $preference,
    ) {
    }

    /** @param list<array{winner: string, loser: string}> $comparisons */
    public static function of(array $comparisons): self
    {
        if ($comparisons === []) {
            throw NoValues::given('comparisons');
        }
        $wins = [];
        $names = [];
        foreach ($comparisons as ['winner' => $w, 'loser' => $l]) {
            $wins[$w][$l] = ($wins[$w][$l] ?? 0) + 1;
            $names[$w] = $names[$l] = true;
        }
        $names = array_map(strval(...), array_keys($names));
        self::mustBeConnected($names, $wins);
        $log = self::fit($names, $wins);
        $total = array_sum(array_map(exp(...), $log));
        $strengths = array_map(static fn (float $l): float => exp($l) / $total, $log);
        $preference = [];
        foreach ($names as $a) {
            foreach ($names as $b) {
                if ($a !== $b) {
                    $preference[$a][$b] = $strengths[$a] / ($strengths[$a] + $strengths[$b]);
                }
            }
        }

        return new self($strengths, self::errors($names, $wins, $log), $preference);
    }

    /**
     * @param list<string>                     $names
     * @param array<string, array<string, int>> $wins
     *
     * @return array<string, float> logarithms of the strengths, mean nought
     */
    private static function fit(array $names, array $wins): array
    {
        $p = array_fill_keys($names, 1.0);
        for ($step = 0; $step < 20_000; ++$step) {
            $next = [];
            $moved = 0.0;
            foreach ($names as $a) {
                $won = array_sum($wins[$a] ?? []);
                $weight = 0.0;
                foreach ($names as $b) {
                    $met = ($wins[$a][$b] ?? 0) + ($wins[$b][$a] ?? 0);
                    $weight += $met > 0 && $a !== $b ? $met / ($p[$a] + $p[$b]) : 0.0;
                }
                $next[$a] = $won / $weight;
            }
            $mean = array_sum(array_map(log(...), $next)) / count($next);
            foreach ($next as $a => $value) {
                $next[$a] = exp(log($value) - $mean);
                $moved = max($moved, abs(log($next[$a] / $p[$a])));
            }
            $p = $next;
            if ($moved < 1e-13) {
                break;
            }
        }

        return array_map(log(...), $p);
    }

    /**
     * From the information, with the mean of the logarithms held at nought.
     *
     * @param list<string>                     $names
     * @param array<string, array<string, int>> $wins
     * @param array<string, float>             $log
     *
     * @return array<string, float>
     */
    private static function errors(array $names, array $wins, array $log): array
    {
        $k = count($names);
        // Adding 1/k everywhere fills the direction in which the information is blind.
        $information = array_fill(0, $k, array_fill(0, $k, 1 / $k));
        foreach ($names as $i => $a) {
            foreach ($names as $j => $b) {
                $met = $i === $j ? 0 : ($wins[$a][$b] ?? 0) + ($wins[$b][$a] ?? 0);
                $chance = 1 / (1 + exp($log[$b] - $log[$a]));
                $information[$i][$i] += $met * $chance * (1 - $chance);
                $information[$i][$j] -= $met * $chance * (1 - $chance);
            }
        }
        $out = [];
        foreach ($names as $i => $a) {
            $unit = array_map(static fn (int $j): float => $i === $j ? 1.0 : 0.0, range(0, $k - 1));
            $column = LeastSquares::fit(array_map(static fn (int $j): array => array_column($information, $j), range(0, $k - 1)), $unit)->coefficients;
            $out[$a] = sqrt(max(0.0, $column[$i] - 1 / $k));
        }

        return $out;
    }

    /**
     * @param list<string>                     $names
     * @param array<string, array<string, int>> $wins
     */
    private static function mustBeConnected(array $names, array $wins): void
    {
        $beaten = self::reached($names[0], static fn (string $a): array => array_keys($wins[$a] ?? []));
        $beaters = self::reached($names[0], static fn (string $a): array => array_keys(array_filter($wins, static fn (array $l): bool => isset($l[$a]))));
        $apart = array_values(array_diff($names, $beaten, $beaters));
        if ($apart !== []) {
            throw NotEstimable::because('table.disconnected', sprintf('%s and %s were never linked by a comparison, so they cannot be put in one order.', implode(', ', $apart), implode(', ', array_diff($names, $apart))), 'comparisons');
        }
        foreach ([[$beaten, 'lost'], [$beaters, 'won']] as [$reached, $word]) {
            $out = array_values(array_diff($names, $reached));
            if ($out !== []) {
                throw NotEstimable::because('table.oneSided', sprintf('%s never %s against the others, so there is no telling by how much it leads or trails. Compare more.', implode(', ', $out), $word), 'comparisons');
            }
        }
    }

    /**
     * @param callable(string): list<string|int> $next
     *
     * @return list<string>
     */
    private static function reached(string $from, callable $next): array
    {
        $seen = [$from => true];
        $todo = [$from];
        while ($todo !== []) {
            foreach ($next(array_pop($todo)) as $name) {
                if (!isset($seen[$name])) {
                    $seen[$name] = true;
                    $todo[] = (string) $name;
                }
            }
        }

        return array_map(strval(...), array_keys($seen));
    }
}
