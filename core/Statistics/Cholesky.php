<?php

declare(strict_types=1);

namespace Lustrum\Core\Statistics;

use Lustrum\Core\NotEstimable;

/** A symmetric positive definite matrix, taken apart once (Golub and Van Loan 2013, 4.2). */
final readonly class Cholesky
{
    /** @param list<list<float>> $lower the triangle L of A = L·L' */
    private function __construct(
        private array $lower,
    ) {
    }

    /**
     * @param list<list<float>> $matrix
     *
     * @throws NotEstimable where it is not positive definite
     */
    public static function of(array $matrix): self
    {
        $lower = [];
        foreach ($matrix as $i => $row) {
            $own = [];
            for ($j = 0; $j <= $i; ++$j) {
                $sum = $row[$j];
                $other = $j === $i ? $own : $lower[$j];
                for ($k = 0; $k < $j; ++$k) {
                    $sum -= $own[$k] * $other[$k];
                }
                if ($j === $i) {
                    $own[] = $sum > 0 ? sqrt($sum) : throw NotEstimable::because(
                        'table.disconnected', 'These values do not say enough to be told apart.', '',
                    );
                } else {
                    $own[] = $sum / $other[$j];
                }
            }
            $lower[] = $own;
        }

        return new self($lower);
    }

    /**
     * x of A·x = b.
     *
     * @param list<float> $b
     *
     * @return list<float>
     */
    public function solve(array $b): array
    {
        $y = [];
        foreach ($this->lower as $i => $row) {
            $sum = $b[$i];
            for ($k = 0; $k < $i; ++$k) {
                $sum -= $row[$k] * $y[$k];
            }
            $y[] = $sum / $row[$i];
        }
        for ($i = count($y) - 1; $i >= 0; --$i) {
            $y[$i] /= $this->lower[$i][$i];
            for ($k = 0; $k < $i; ++$k) {
                $y[$k] -= $this->lower[$i][$k] * $y[$i];
            }
        }

        return array_values($y);
    }

    /** @return list<float> the diagonal of A⁻¹ */
    public function inverseDiagonal(): array
    {
        $n = count($this->lower);
        $out = array_fill(0, $n, 0.0);
        for ($j = 0; $j < $n; ++$j) {
            // Column j of L⁻¹; its entries go into the sums of squares of that column.
            $column = [];
            for ($i = $j; $i < $n; ++$i) {
                $sum = $i === $j ? 1.0 : 0.0;
                for ($k = $j; $k < $i; ++$k) {
                    $sum -= $this->lower[$i][$k] * $column[$k];
                }
                $column[$i] = $sum / $this->lower[$i][$i];
                $out[$j] += $column[$i] ** 2;
            }
        }

        return array_values($out);
    }
}
