<?php

declare(strict_types=1);

namespace Lustrum\Core\Statistics;

use Lustrum\Core\InvalidInput;
use Lustrum\Core\NotEstimable;
use Lustrum\Core\Statistics\Distribution\ChiSquare;

/** Friedman (1937) with ties corrected, and Kendall's W: do raters order items alike? */
final readonly class Friedman
{
    private function __construct(
        public float $chi2,
        public int $df,
        public float $p,
        public float $w,
    ) {
    }

    /**
     * @param list<list<float>> $blocks a row is a block (rater), all of one length
     *
     * @throws InvalidInput|NotEstimable
     */
    public static function of(array $blocks): self
    {
        $n = count($blocks);
        $k = $n === 0 ? 0 : count($blocks[0]);
        if ($n < 2 || $k < 2) {
            throw InvalidInput::because('At least two raters and two items are needed.', 'blocks');
        }
        $sums = array_fill(0, $k, 0.0);
        $squares = 0.0;
        foreach ($blocks as $i => $block) {
            if (count($block) !== $k) {
                throw InvalidInput::because('Every row needs as many values as the first.', 'blocks/'.$i);
            }
            foreach (self::ranks($block) as $j => $rank) {
                $sums[$j] += $rank;
                $squares += $rank * $rank;
            }
        }
        $spread = $squares - $n * $k * ($k + 1) ** 2 / 4;
        if ($spread <= 1e-12) {
            throw NotEstimable::because(
                'values.equal', 'Every rater gave all items the same value, so there is no order to compare.', 'blocks',
            );
        }
        $chi2 = ($k - 1) * array_sum(array_map(static fn (float $s): float => ($s - $n * ($k + 1) / 2) ** 2, $sums)) / $spread;

        return new self($chi2, $k - 1, ChiSquare::upper($chi2, $k - 1), $chi2 / ($n * ($k - 1)));
    }

    /**
     * @param list<float> $values
     *
     * @return list<float> ranks, ties sharing their mean
     */
    public static function ranks(array $values): array
    {
        return array_map(static function (float $v) use ($values): float {
            $below = count(array_filter($values, static fn (float $w): bool => $w < $v));
            $equal = count(array_filter($values, static fn (float $w): bool => $w === $v));

            return $below + ($equal + 1) / 2;
        }, $values);
    }
}
