<?php

declare(strict_types=1);

namespace Lustrum\Core\Statistics;

use Lustrum\Core\InvalidInput;
use Lustrum\Core\Statistics\Distribution\StudentT;

/**
 * Two samples of one metric against each other.
 *
 * Difference: Welch (1947). Percentage: Fieller (1954), which is exact for a ratio of normal means, unlike the
 * percentage of the difference's interval, which forgets that the baseline is uncertain too.
 */
final class Compare
{
    /**
     * @param list<float> $a
     * @param list<float> $b
     *
     * @throws NoValues|InvalidInput
     */
    public static function independent(array $a, array $b, float $confidence, Repeats $repeats = new Repeats()): Comparison
    {
        $a = Sample::of($a, 'a');
        $b = Sample::of($b, 'b');
        // With one spread that is known before, both sides have it, and one run a side is told.
        $common = Spread::of($a->squares() + $b->squares(), $a->n + $b->n - 2, $repeats);
        if ($common->isKnown) {
            [$va, $vb] = [(float) $common->sd ** 2 / $a->n, (float) $common->sd ** 2 / $b->n];

            return self::by($a, $b, $va, $vb, static fn (): float => $common->df, $confidence, true);
        }
        if ($a->sd === null || $b->sd === null) {
            return self::single($a, $b);
        }
        [$va, $vb] = [$repeats->floor($a->sd) ** 2 / $a->n, $repeats->floor($b->sd) ** 2 / $b->n];

        return $va + $vb === 0.0 ? self::withoutSpread($a, $b) : self::by(
            $a, $b, $va, $vb, static fn (float $r): float => self::satterthwaite($r * $r * $va, $a->n, $vb, $b->n), $confidence,
        );
    }

    /**
     * @param float                  $va of the mean of a
     * @param callable(float): float $df of the variance of b's mean and so many times a's squared
     */
    private static function by(
        Sample $a, Sample $b, float $va, float $vb, callable $df, float $confidence, bool $isKnown = false,
    ): Comparison {
        $difference = $b->mean - $a->mean;
        $se = sqrt($va + $vb);
        $half = StudentT::quantile(0.5 + $confidence / 2, $df(1.0)) * $se;
        [$change, $note] = self::fieller($a->mean, $b->mean, $va, $vb, 0.0, $df, $confidence);

        return self::verdict(
            $a, $b, new Interval($difference, $difference - $half, $difference + $half), $change, $note, $difference / $se, $df(1.0),
            $isKnown,
        );
    }

    /**
     * The same articles, raters or places measured twice; the i-th of each belong together.
     *
     * @param list<float> $a
     * @param list<float> $b
     *
     * @throws NoValues|InvalidInput
     */
    public static function paired(array $a, array $b, float $confidence): Comparison
    {
        if (count($a) !== count($b)) {
            throw InvalidInput::because(
                sprintf('Pairs need as many values on both sides; there are %d and %d.', count($a), count($b)), 'b',
            );
        }
        $a = Sample::of($a, 'a');
        $b = Sample::of($b, 'b');
        if ($a->n < 2) {
            return self::single($a, $b);
        }
        $d = Sample::of(array_map(static fn (float $x, float $y): float => $y - $x, $a->values, $b->values));
        $se = (float) $d->se();
        if ($se === 0.0) {
            return self::withoutSpread($a, $b);
        }
        $df = $a->n - 1;
        $half = StudentT::quantile(0.5 + $confidence / 2, $df) * $se;
        $covariance = 0.0;
        foreach ($a->values as $i => $x) {
            $covariance += ($x - $a->mean) * ($b->values[$i] - $b->mean) / $df / $a->n;
        }
        [$change, $note] = self::fieller(
            $a->mean, $b->mean, (float) $a->sd ** 2 / $a->n, (float) $b->sd ** 2 / $b->n, $covariance, static fn (): float => $df,
            $confidence,
        );

        return self::verdict($a, $b, new Interval($d->mean, $d->mean - $half, $d->mean + $half), $change, $note, $d->mean / $se, $df);
    }

    /**
     * Fieller's interval of 100·(b/a − 1).
     *
     * @param callable(float): float $df
     *
     * @return array{?Interval, ?string}
     */
    private static function fieller(float $a, float $b, float $va, float $vb, float $cov, callable $df, float $confidence): array
    {
        if ($a === 0.0) {
            return [null, 'A percentage of nought has no meaning.'];
        }
        $r = $b / $a;
        $percent = 100 * ($r - 1);
        $t = StudentT::quantile(0.5 + $confidence / 2, $df($r));
        $g = $t * $t * $va / ($a * $a);
        if ($g >= 1) {
            return [
                new Interval($percent, null, null), 'The baseline is not told apart from nought, so a percentage of it has no interval.',
            ];
        }
        // With the covariance (nought for independent samples); Fieller (1954), J. R. Statist. Soc. B 16, 175.
        $centre = $r - ($va > 0 ? $g * $cov / $va : 0.0);
        $root = $vb - 2 * $r * $cov + $r * $r * $va - $g * ($vb - ($va > 0 ? $cov * $cov / $va : 0.0));
        $half = $t / abs($a) * sqrt(max(0.0, $root));

        return [new Interval($percent, 100 * (($centre - $half) / (1 - $g) - 1), 100 * (($centre + $half) / (1 - $g) - 1)), null];
    }

    private static function satterthwaite(float $va, int $na, float $vb, int $nb): float
    {
        // By shares, so that very small and very large variances do no harm.
        if ($va + $vb <= 0.0) {
            return $na + $nb - 2;
        }
        $share = $va / ($va + $vb);

        return 1 / ($share ** 2 / ($na - 1) + (1 - $share) ** 2 / ($nb - 1));
    }

    private static function single(Sample $a, Sample $b): Comparison
    {
        $which = $a->n < 2 && $b->n < 2 ? 'Both sides are single runs' : 'One side is a single run';

        return new Comparison(
            $a->mean, $b->mean, new Interval($b->mean - $a->mean, null, null), self::bare($a, $b), 'none',
            $which.', so there is no interval.', null, null, null, Verdict::Single,
        );
    }

    /** All values equal on both sides: the spread cannot be told, and an interval of no width would be made up. */
    private static function withoutSpread(Sample $a, Sample $b): Comparison
    {
        return new Comparison(
            $a->mean, $b->mean, new Interval($b->mean - $a->mean, null, null), self::bare($a, $b), 'none',
            'All values are equal on each side, so the spread cannot be told.', null, null, null, Verdict::Indistinct,
        );
    }

    private static function bare(Sample $a, Sample $b): ?Interval
    {
        return $a->mean === 0.0 ? null : new Interval(100 * ($b->mean / $a->mean - 1), null, null);
    }

    private static function verdict(
        Sample $a, Sample $b, Interval $difference, ?Interval $change, ?string $note, float $t, float $df, bool $isKnown = false,
    ): Comparison {
        $verdict = match (true) {
            $difference->low > 0 => Verdict::Higher,
            $difference->high < 0 => Verdict::Lower,
            default => Verdict::Indistinct,
        };

        return new Comparison(
            $a->mean, $b->mean, $difference, $change, $note === null ? 'fieller' : 'none', $note, $t, $df, StudentT::twoSided($t, $df),
            $verdict, $isKnown,
        );
    }
}
