<?php

declare(strict_types=1);

namespace Lustrum\Core\Statistics;

use Lustrum\Core\InvalidInput;
use Lustrum\Core\NotEstimable;
use Lustrum\Core\Statistics\Distribution\FisherF;

/**
 * Analysis of variance by least squares, with empty cells allowed (`stats.anova`).
 *
 * Type II sums of squares: each term after all others that do not contain it (Searle 1987, ch. 4).
 */
final readonly class Anova
{
    /**
     * @param list<array{name: string, df: int, ss: float, ms: float, f: float|null, p: float|null}> $terms
     * @param array{df: int, ss: float, ms: float|null}                                           $residual
     * @param array<string, list<array{level: string, mean: float, n: int}>>                      $effects  adjusted means by factor
     */
    private function __construct(
        public array $terms,
        public array $residual,
        public array $effects,
    ) {
    }

    /**
     * @param list<float>                 $y
     * @param array<string, list<string>> $factors      name => level of each y
     * @param list<list<string>>          $interactions names of factors that act together
     */
    public static function of(array $y, array $factors, array $interactions = []): self
    {
        $n = Sample::of($y, 'y')->n;
        if ($factors === []) {
            throw InvalidInput::because('Name at least one factor.', 'factors');
        }
        $terms = [];
        foreach ($factors as $name => $levels) {
            if (count($levels) !== $n) {
                throw InvalidInput::because(sprintf('There are %d values and %d levels of %s.', $n, count($levels), $name), 'factors/'.$name);
            }
            if (count(array_unique($levels)) < 2) {
                throw NotEstimable::because('term.inestimable', sprintf('%s has only one level, so nothing can be said of it.', $name), 'factors/'.$name);
            }
            $terms[(string) $name] = [(string) $name];
        }
        foreach ($interactions as $i => $names) {
            foreach ($names as $name) {
                isset($factors[$name]) || throw InvalidInput::because(sprintf('There is no factor called %s.', $name), 'interactions/'.$i);
            }
            $terms[implode(':', $names)] = $names;
        }
        $columns = array_map(static fn (array $names): array => self::columns($names, $factors, $n), $terms);
        $full = self::fit(array_keys($terms), $columns, $y);
        $rows = [];
        $residualDf = $n - $full->rank;
        $ms = $residualDf > 0 ? $full->residualSquares / $residualDf : null;
        foreach ($terms as $name => $names) {
            $others = array_keys(array_filter($terms, static fn (array $other): bool => array_diff($names, $other) !== []));
            $without = self::fit($others, $columns, $y);
            $with = self::fit([...$others, $name], $columns, $y);
            $df = $with->rank - $without->rank;
            if ($df < count($columns[$name])) {
                throw NotEstimable::because('term.inestimable', sprintf('%s cannot be told from the other terms: some combinations were never run.', $name), count($names) > 1 ? 'interactions' : 'factors/'.$name);
            }
            $ss = max(0.0, $without->residualSquares - $with->residualSquares);
            $f = $ms !== null && $ms > 0 ? $ss / $df / $ms : null;
            $rows[] = ['name' => $name, 'df' => $df, 'ss' => $ss, 'ms' => $ss / $df, 'f' => $f, 'p' => $f === null ? null : FisherF::upper($f, $df, $residualDf)];
        }

        return new self($rows, ['df' => $residualDf, 'ss' => $full->residualSquares, 'ms' => $ms], self::effects($terms, $factors, $columns, $full, $y));
    }

    /**
     * @param list<string>                           $names
     * @param array<string, list<list<float>>>       $columns
     * @param list<float>                            $y
     */
    private static function fit(array $names, array $columns, array $y): LeastSquares
    {
        return LeastSquares::fit([array_fill(0, count($y), 1.0), ...array_merge(...array_map(static fn (string $n): array => $columns[$n], $names))], $y);
    }

    /**
     * Deviation coding, so that a constant is the mean of all cells, full or empty.
     *
     * @param list<string>                $names
     * @param array<string, list<string>> $factors
     *
     * @return list<list<float>>
     */
    private static function columns(array $names, array $factors, int $n): array
    {
        $columns = [array_fill(0, $n, 1.0)];
        foreach ($names as $name) {
            $levels = self::levels($factors[$name]);
            $next = [];
            foreach ($columns as $column) {
                foreach (array_slice($levels, 0, -1) as $level) {
                    $next[] = array_map(static fn (float $v, string $at): float => $v * self::code($at, $level, $levels), $column, $factors[$name]);
                }
            }
            $columns = $next;
        }

        return $columns;
    }

    /** @param list<string> $levels */
    private static function code(string $at, string $level, array $levels): float
    {
        return $at === $level ? 1.0 : ($at === $levels[count($levels) - 1] ? -1.0 : 0.0);
    }

    /**
     * @param list<string> $given
     *
     * @return list<string> in order of first appearance
     */
    private static function levels(array $given): array
    {
        return array_values(array_unique($given));
    }

    /**
     * In deviation coding the adjusted mean of a level is the constant and its own effect.
     *
     * @param array<string, list<string>>      $terms
     * @param array<string, list<string>>      $factors
     * @param array<string, list<list<float>>> $columns
     * @param list<float>                      $y
     *
     * @return array<string, list<array{level: string, mean: float, n: int}>>
     */
    private static function effects(array $terms, array $factors, array $columns, LeastSquares $full, array $y): array
    {
        $effects = [];
        $at = 1;
        foreach ($terms as $name => $names) {
            $width = count($columns[$name]);
            if (count($names) === 1) {
                $levels = self::levels($factors[$name]);
                $own = array_slice($full->coefficients, $at, $width);
                $own[] = -array_sum($own);
                $counts = array_count_values($factors[$name]);
                foreach ($levels as $i => $level) {
                    $effects[$name][] = ['level' => $level, 'mean' => $full->coefficients[0] + $own[$i], 'n' => $counts[$level]];
                }
            }
            $at += $width;
        }

        return $effects;
    }
}
