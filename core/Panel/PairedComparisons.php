<?php

declare(strict_types=1);

namespace Lustrum\Core\Panel;

use Lustrum\Core\NotEstimable;
use Lustrum\Core\Statistics\Cholesky;
use Lustrum\Core\Statistics\Distribution\Normal;
use Lustrum\Core\Statistics\Interval;
use Lustrum\Core\Statistics\NoValues;

/**
 * Which of two do people prefer? Bradley and Terry (1952), fitted to the counts of each pair by Newton's steps from a few
 * of Hunter's (2004) (`panel.rank`). A finite answer exists only where everybody can be beaten: the graph of wins must be strongly connected
 * (Ford 1957).
 */
final readonly class PairedComparisons
{
    /** Steps that come near from anywhere, and steps that end it. */
    private const HUNTER = 5;
    private const NEWTON = 100;

    /** A step of this size changes nothing that is shown. */
    private const STILL = 1e-12;

    /**
     * @param array<string, float>                $strengths   sum 1, in order of first appearance
     * @param array<string, float>                $se          of the logarithm of each strength, against their mean
     * @param array<string, array<string, float>> $preference  chance that the first is preferred to the second
     */
    private function __construct(
        public array $strengths,
        public array $se,
        public array $preference,
        private Cholesky $information,
    ) {
    }

    /**
     * @param list<array{winner: string, loser: string}> $comparisons
     *
     * @throws NoValues
     */
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
        [$won, $met] = self::counts($names, $wins);
        $found = self::fit($won, $met);
        $log = array_combine($names, $found);
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

        return new self($strengths, array_combine($names, self::errors($met, $found)), $preference, self::information($met, $found));
    }

    /** Chance that the first is preferred to the second, with its interval: that of the logarithm of the odds. */
    public function interval(string $a, string $b, float $confidence): Interval
    {
        $names = array_map(strval(...), array_keys($this->strengths));
        $between = array_map(static fn (string $name): float => ($name === $a ? 1.0 : 0.0) - ($name === $b ? 1.0 : 0.0), $names);
        $variance = array_sum(array_map(static fn (float $x, float $y): float => $x * $y, $between, $this->information->solve($between)));
        $half = Normal::quantile(0.5 + $confidence / 2) * sqrt(max(0.0, $variance));
        $odds = log($this->strengths[$a] / $this->strengths[$b]);
        $share = static fn (float $x): float => 1 / (1 + exp(-$x));

        return new Interval($share($odds), $share($odds - $half), $share($odds + $half));
    }

    /**
     * @param list<string>                     $names
     * @param array<string, array<string, int>> $wins
     *
     * @return array{list<int>, list<list<int>>} how often each won, and how often each pair met
     */
    private static function counts(array $names, array $wins): array
    {
        $won = array_map(static fn (string $name): int => array_sum($wins[$name] ?? []), $names);
        $met = array_map(static fn (string $a): array => array_map(
            static fn (string $b): int => $a === $b ? 0 : ($wins[$a][$b] ?? 0) + ($wins[$b][$a] ?? 0), $names,
        ), $names);

        return [$won, $met];
    }

    /**
     * @param list<int>       $won
     * @param list<list<int>> $met
     *
     * @return list<float> logarithms of the strengths, mean nought
     */
    private static function fit(array $won, array $met): array
    {
        $log = array_fill(0, count($won), 0.0);
        for ($step = 0; $step < self::HUNTER; ++$step) {
            $log = self::hunter($won, $met, $log);
        }
        $likely = self::likelihood($won, $met, $log);
        for ($step = 0; $step < self::NEWTON; ++$step) {
            $move = self::information($met, $log)->solve(self::slope($won, $met, $log));
            // The likelihood has one summit; a step too far is halved until it climbs.
            for ($part = 1.0; $part > 1e-6; $part /= 2) {
                $next = array_map(static fn (float $l, float $m): float => $l + $part * $m, $log, $move);
                $reached = self::likelihood($won, $met, $next);
                if ($reached >= $likely - 1e-9 * abs($likely)) {
                    break;
                }
            }
            [$log, $likely] = [$next, $reached];
            if (max(0.0, ...array_map(abs(...), $move)) < self::STILL) {
                break;
            }
        }

        return $log;
    }

    /**
     * @param list<int>       $won
     * @param list<list<int>> $met
     * @param list<float>     $log
     *
     * @return list<float>
     */
    private static function hunter(array $won, array $met, array $log): array
    {
        $p = array_map(exp(...), $log);
        $next = [];
        foreach ($met as $i => $row) {
            $weight = 0.0;
            foreach ($row as $j => $n) {
                $weight += $n === 0 ? 0.0 : $n / ($p[$i] + $p[$j]);
            }
            $next[] = log($won[$i] / $weight);
        }
        $mean = array_sum($next) / count($next);

        return array_map(static fn (float $l): float => $l - $mean, $next);
    }

    /**
     * @param list<int>       $won
     * @param list<list<int>> $met
     * @param list<float>     $log
     */
    private static function likelihood(array $won, array $met, array $log): float
    {
        $sum = 0.0;
        foreach ($log as $i => $own) {
            $sum += $won[$i] * $own;
            for ($j = 0; $j < $i; ++$j) {
                // log(eᵃ + eᵇ), which may not overflow.
                $high = max($own, $log[$j]);
                $sum -= $met[$i][$j] === 0 ? 0.0 : $met[$i][$j] * ($high + log1p(exp(-abs($own - $log[$j]))));
            }
        }

        return $sum;
    }

    /**
     * @param list<int>       $won
     * @param list<list<int>> $met
     * @param list<float>     $log
     *
     * @return list<float>
     */
    private static function slope(array $won, array $met, array $log): array
    {
        $out = [];
        foreach ($met as $i => $row) {
            $expected = 0.0;
            foreach ($row as $j => $n) {
                $expected += $n === 0 ? 0.0 : $n / (1 + exp($log[$j] - $log[$i]));
            }
            $out[] = $won[$i] - $expected;
        }

        return $out;
    }

    /**
     * The information, with the mean of the logarithms held at nought: adding 1/k everywhere fills the direction in which
     * it is blind.
     *
     * @param list<list<int>> $met
     * @param list<float>     $log
     */
    private static function information(array $met, array $log): Cholesky
    {
        $k = count($log);
        $information = array_fill(0, $k, array_fill(0, $k, 1 / $k));
        foreach ($met as $i => $row) {
            foreach ($row as $j => $n) {
                if ($n > 0) {
                    $chance = 1 / (1 + exp($log[$j] - $log[$i]));
                    $information[$i][$i] += $n * $chance * (1 - $chance);
                    $information[$i][$j] -= $n * $chance * (1 - $chance);
                }
            }
        }

        return Cholesky::of(array_map(array_values(...), $information));
    }

    /**
     * @param list<list<int>> $met
     * @param list<float>     $log
     *
     * @return list<float>
     */
    private static function errors(array $met, array $log): array
    {
        $k = count($log);

        return array_map(static fn (float $v): float => sqrt(max(0.0, $v - 1 / $k)), self::information($met, $log)->inverseDiagonal());
    }

    /**
     * @param list<string>                     $names
     * @param array<string, array<string, int>> $wins
     */
    private static function mustBeConnected(array $names, array $wins): void
    {
        $beaten = self::reached($names[0], static fn (string $a): array => array_keys($wins[$a] ?? []));
        $beaters = self::reached(
            $names[0], static fn (string $a): array => array_keys(array_filter($wins, static fn (array $l): bool => isset($l[$a]))),
        );
        $apart = array_values(array_diff($names, $beaten, $beaters));
        if ($apart !== []) {
            throw NotEstimable::because(
                'table.disconnected',
                sprintf(
                    '%s and %s were never linked by a comparison, so they cannot be put in one order.', implode(', ', $apart),
                    implode(', ', array_diff($names, $apart)),
                ),
                'comparisons',
            );
        }
        foreach ([[$beaten, 'lost'], [$beaters, 'won']] as [$reached, $word]) {
            $out = array_values(array_diff($names, $reached));
            if ($out !== []) {
                throw NotEstimable::because(
                    'table.oneSided',
                    sprintf(
                        '%s never %s against the others, so there is no telling by how much it leads or trails. Compare more.',
                        implode(', ', $out), $word,
                    ),
                    'comparisons',
                );
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
