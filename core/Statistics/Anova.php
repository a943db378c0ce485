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
     *
     * @throws InvalidInput|NotEstimable
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
                throw InvalidInput::because(
                    sprintf('There are %d values and %d levels of %s.', $n, count($levels), $name), 'factors/'.$name,
                );
            }
            if (count(array_unique($levels)) < 2) {
                throw NotEstimable::because(
                    'term.inestimable', sprintf('%s has only one level, so nothing can be said of it.', $name), 'factors/'.$name,
                );
            }
            $terms[(string) $name] = [(string) $name];
        }
        foreach ($interactions as $i => $names) {
            foreach ($names as $name) {
                isset($factors[$name]) || throw InvalidInput::because(sprintf('There is no factor called %s.', $name), 'interactions/'.$i);
            }
            $terms[implode(':', $names)] = $names;
        }
        [$cells, $means, $counts, $within] = self::cells($y, $factors);
        $columns = array_map(static fn (array $names): array => self::columns($names, $cells, count($means)), $terms);
        $full = self::fit(array_keys($terms), $columns, $means, $counts);
        $rows = [];
        $residualDf = $n - $full->rank;
        $residual = $within + $full->residualSquares;
        $ms = $residualDf > 0 ? $residual / $residualDf : null;
        foreach ($terms as $name => $names) {
            $others = array_keys(array_filter($terms, static fn (array $other): bool => array_diff($names, $other) !== []));
            $without = self::fit($others, $columns, $means, $counts);
            $with = self::fit([...$others, $name], $columns, $means, $counts);
            $df = $with->rank - $without->rank;
            if ($df < count($columns[$name])) {
                throw NotEstimable::because(
                    'term.inestimable', sprintf('%s cannot be told from the other terms: some combinations were never run.', $name),
                    count($names) > 1 ? 'interactions' : 'factors/'.$name,
                );
            }
            $ss = max(0.0, $without->residualSquares - $with->residualSquares);
            $f = $ms !== null && $ms > 0 ? $ss / $df / $ms : null;
            $rows[] = [
                'name' => $name, 'df' => $df, 'ss' => $ss, 'ms' => $ss / $df, 'f' => $f,
                'p' => $f === null ? null : FisherF::upper($f, $df, $residualDf),
            ];
        }

        return new self($rows, ['df' => $residualDf, 'ss' => $residual, 'ms' => $ms], self::effects($terms, $factors, $columns, $full));
    }

    /**
     * Values at the same levels of all factors are one cell: what is fitted depends on their mean and number alone, and
     * how far they lie apart is no term's doing.
     *
     * @param list<float>                 $y
     * @param array<string, list<string>> $factors
     *
     * @return array{array<string, list<string>>, list<float>, list<int>, float} levels of each cell by factor, means, counts,
     *                                                                           and the squares within cells
     */
    private static function cells(array $y, array $factors): array
    {
        $values = [];
        $levels = array_fill_keys(array_keys($factors), []);
        foreach ($y as $i => $value) {
            $at = array_map(static fn (array $f): string => $f[$i], $factors);
            $cell = json_encode(array_values($at), \JSON_THROW_ON_ERROR);
            if (!isset($values[$cell])) {
                foreach ($at as $name => $level) {
                    $levels[$name][] = $level;
                }
            }
            $values[$cell][] = $value;
        }
        $means = $counts = [];
        $within = 0.0;
        foreach ($values as $cell) {
            $counts[] = count($cell);
            $means[] = $mean = array_sum($cell) / count($cell);
            foreach ($cell as $value) {
                $within += ($value - $mean) ** 2;
            }
        }

        return [$levels, $means, $counts, $within];
    }

    /**
     * @param list<string>                     $names
     * @param array<string, list<list<float>>> $columns one value for each cell
     * @param list<float>                      $means   of the cells
     * @param list<int>                        $counts
     */
    private static function fit(array $names, array $columns, array $means, array $counts): LeastSquares
    {
        $weighted = static fn (array $values): array => array_map(static fn (float $v, int $n): float => $v * sqrt($n), $values, $counts);
        $used = array_merge([array_fill(0, count($means), 1.0)], ...array_map(static fn (string $n): array => $columns[$n], $names));

        return LeastSquares::fit(array_map($weighted, $used), $weighted($means));
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
                    $next[] = array_map(
                        static fn (float $v, string $at): float => $v * self::code($at, $level, $levels), $column, $factors[$name],
                    );
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
     *
     * @return array<string, list<array{level: string, mean: float, n: int}>>
     */
    private static function effects(array $terms, array $factors, array $columns, LeastSquares $full): array
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
