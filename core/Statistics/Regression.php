<?php

declare(strict_types=1);

namespace Lustrum\Core\Statistics;

use Lustrum\Core\InvalidInput;
use Lustrum\Core\NotEstimable;
use Lustrum\Core\Statistics\Distribution\StudentT;

/**
 * Least-squares regression: a polynomial in one variable, or a plane in several (`stats.regress`).
 *
 * A polynomial is fitted in the centred and scaled variable and turned back, so that years or metres above sea do no harm.
 */
final readonly class Regression
{
    /**
     * @param list<array{estimate: float, se: float|null}> $coefficients constant first, then by rising power or by column
     * @param list<list<float>>                            $covariance   of the coefficients, without the residual variance
     * @param LeastSquares                                 $fit          in the terms that were fitted
     * @param array{float, float}|null                     $scaling      centre and scale of a polynomial's variable
     */
    private function __construct(
        public array $coefficients,
        public float $r2,
        public ?float $residualSd,
        public int $df,
        private array $covariance,
        private LeastSquares $fit,
        private ?array $scaling,
    ) {
    }

    /**
     * @param list<list<float>> $rows   one row of terms for each y, without the constant
     * @param list<float>       $y
     *
     * @throws InvalidInput
     */
    public static function plane(array $rows, array $y): self
    {
        self::mustMatch(count($rows), $y);
        $width = count($rows[0]);
        $columns = [array_fill(0, count($y), 1.0)];
        for ($j = 0; $j < $width; ++$j) {
            $columns[] = array_map(
                static fn (array $row, int $i): float => $row[$j] ?? throw InvalidInput::because(
                    'Every row needs as many values as the first.', 'x/'.$i,
                ),
                $rows, array_keys($rows),
            );
        }

        return self::fit($columns, $y, null, null);
    }

    /**
     * @param list<float> $x
     * @param list<float> $y
     *
     * @throws InvalidInput|NoValues
     */
    public static function polynomial(array $x, array $y, int $degree): self
    {
        self::mustMatch(count($x), $y);
        if ($x === []) {
            throw NoValues::given('x');
        }
        if ($degree < 1 || $degree > 6) {
            throw InvalidInput::because('The degree lies between 1 and 6.', 'degree');
        }
        $centre = array_sum($x) / count($x);
        $scale = max(array_map(static fn (float $v): float => abs($v - $centre), $x)) ?: 1.0;
        $columns = [];
        for ($j = 0; $j <= $degree; ++$j) {
            $columns[] = array_map(static fn (float $v): float => (($v - $centre) / $scale) ** $j, $x);
        }
        // Row i, column j: what the j-th power of (x − c)/s gives to the i-th power of x.
        $turn = [];
        for ($i = 0; $i <= $degree; ++$i) {
            for ($j = 0; $j <= $degree; ++$j) {
                $turn[$i][$j] = $j < $i ? 0.0 : self::choose($j, $i) * (-$centre) ** ($j - $i) / $scale ** $j;
            }
        }

        return self::fit($columns, $y, array_values(array_map(array_values(...), $turn)), [$centre, $scale]);
    }

    /**
     * A new observation at these terms: the variable of a polynomial, or one number for each column of a plane.
     *
     * Worked out in the terms that were fitted, where nothing cancels.
     *
     * @param non-empty-list<float> $terms
     */
    public function predict(array $terms, float $confidence): Interval
    {
        $row = [1.0, ...$terms];
        if ($this->scaling !== null) {
            $z = ($terms[0] - $this->scaling[0]) / $this->scaling[1];
            $row = array_map(static fn (int $j): float => $z ** $j, array_keys($this->coefficients));
        }
        $estimate = $variance = 0.0;
        foreach ($row as $i => $a) {
            $estimate += $a * $this->fit->coefficients[$i];
            foreach ($row as $j => $b) {
                $variance += $a * $b * $this->fit->inverse[$i][$j];
            }
        }
        if ($this->residualSd === null) {
            return new Interval($estimate, null, null);
        }
        $half = StudentT::quantile(0.5 + $confidence / 2, $this->df) * $this->residualSd * sqrt(1 + max(0.0, $variance));

        return new Interval($estimate, $estimate - $half, $estimate + $half);
    }

    /** Covariance of two coefficients; null where there are as many values as coefficients. */
    public function covariance(int $i, int $j): ?float
    {
        return $this->residualSd === null ? null : $this->covariance[$i][$j] * $this->residualSd ** 2;
    }

    /**
     * @param list<list<float>>      $columns
     * @param list<float>            $y
     * @param list<list<float>>|null   $turn    from fitted to reported coefficients
     * @param array{float, float}|null $scaling
     */
    private static function fit(array $columns, array $y, ?array $turn, ?array $scaling): self
    {
        $fit = LeastSquares::fit($columns, $y);
        $p = count($columns);
        if ($fit->rank < $p) {
            throw NotEstimable::because(
                'x.dependent',
                count($y) < $p ? sprintf(
                    '%d values cannot fix %d coefficients.', count($y), $p,
                ) : 'The x do not vary enough to tell the terms apart.',
                'x',
            );
        }
        $df = count($y) - $p;
        $sd = $df > 0 ? sqrt($fit->residualSquares / $df) : null;
        $turn ??= array_map(
            static fn (int $i): array => array_map(static fn (int $j): float => $i === $j ? 1.0 : 0.0, range(0, $p - 1)), range(0, $p - 1),
        );
        $covariance = [];
        $coefficients = [];
        for ($i = 0; $i < $p; ++$i) {
            for ($j = 0; $j < $p; ++$j) {
                $sum = 0.0;
                for ($k = 0; $k < $p; ++$k) {
                    for ($l = 0; $l < $p; ++$l) {
                        $sum += $turn[$i][$k] * $fit->inverse[$k][$l] * $turn[$j][$l];
                    }
                }
                $covariance[$i][$j] = $sum;
            }
            $estimate = 0.0;
            for ($k = 0; $k < $p; ++$k) {
                $estimate += $turn[$i][$k] * $fit->coefficients[$k];
            }
            $coefficients[] = ['estimate' => $estimate, 'se' => $sd === null ? null : $sd * sqrt(max(0.0, $covariance[$i][$i]))];
        }
        $mean = array_sum($y) / count($y);
        $total = array_sum(array_map(static fn (float $v): float => ($v - $mean) ** 2, $y));

        return new self(
            $coefficients, $total > 0 ? 1 - $fit->residualSquares / $total : 1.0, $sd, $df,
            array_values(array_map(array_values(...), $covariance)), $fit, $scaling,
        );
    }

    /** @param list<float> $y */
    private static function mustMatch(int $count, array $y): void
    {
        if ($y === []) {
            throw NoValues::given('y');
        }
        if ($count !== count($y)) {
            throw InvalidInput::because(sprintf('There are %d x and %d y; each y needs its x.', $count, count($y)), 'x');
        }
    }

    private static function choose(int $n, int $k): float
    {
        $out = 1.0;
        for ($i = 1; $i <= $k; ++$i) {
            $out *= ($n - $k + $i) / $i;
        }

        return $out;
    }
}
