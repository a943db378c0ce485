<?php

declare(strict_types=1);

namespace Lustrum\Core\Statistics;

use Lustrum\Core\InvalidInput;
use Lustrum\Core\Statistics\Distribution\FisherF;

/**
 * How far two samples spread (`stats.compareSpread`): the ratio of their standard deviations, b over a, by F.
 *
 * F takes for granted that values are normal; with five a side or more it is told only where the distances from the medians
 * tell it too (Brown and Forsythe 1974, J. Am. Statist. Assoc. 69, 364), without the median's own (Hines and Hines 2000,
 * Biometrics 56, 451).
 */
final readonly class CompareSpread
{
    /** From so many values a side on the distances from the median are asked too. */
    private const ENOUGH = 5;

    private function __construct(
        public ?float $estimate,
        public ?float $low,
        public ?float $high,
        public ?float $p,
        public Verdict $verdict,
    ) {
    }

    /**
     * @param list<float> $a
     * @param list<float> $b
     * @param float       $resolution the coarsest step among the values, in their unit; nought: it is not known
     *
     * @throws NoValues|InvalidInput
     */
    public static function of(array $a, array $b, float $confidence, float $resolution = 0.0): self
    {
        [$a, $b] = [Sample::of($a, 'a'), Sample::of($b, 'b')];
        foreach (['a' => $a, 'b' => $b] as $name => $sample) {
            if ($sample->sd === null) {
                throw InvalidInput::because('One value has no spread; two are the least.', $name);
            }
        }
        $repeats = new Repeats([], $resolution);
        [$sdA, $sdB] = [$repeats->floor((float) $a->sd), $repeats->floor((float) $b->sd)];
        $ratio = $sdA > 0 ? $sdB / $sdA : null;
        if ($ratio === null || $ratio <= 0.0) {
            return new self($ratio, null, null, null, Verdict::Indistinct);
        }
        [$df1, $df2] = [$b->n - 1, $a->n - 1];
        $half = (1 - $confidence) / 2;
        $low = $ratio / sqrt(FisherF::quantile(1 - $half, $df1, $df2));
        $high = $ratio / sqrt(FisherF::quantile($half, $df1, $df2));
        $byF = min(1.0, 2 * min(FisherF::cdf($ratio ** 2, $df1, $df2), FisherF::upper($ratio ** 2, $df1, $df2)));
        $p = max($byF, min($a->n, $b->n) < self::ENOUGH ? 0.0 : self::byDistances($a->values, $b->values));
        $isTold = $p < 1 - $confidence;

        return new self($ratio, $isTold ? $low : min(1.0, $low), $isTold ? $high : max(1.0, $high), $p, match (true) {
            !$isTold => Verdict::Indistinct,
            $low > 1 => Verdict::Higher,
            $high < 1 => Verdict::Lower,
            default => Verdict::Indistinct,
        });
    }

    /**
     * p of the means of the distances from the medians; nought where these do not spread, and tell nothing.
     *
     * @param list<float> $a
     * @param list<float> $b
     */
    private static function byDistances(array $a, array $b): float
    {
        [$a, $b] = [self::distances($a), self::distances($b)];
        $within = $a->squares() + $b->squares();
        $df = $a->n + $b->n - 2;
        if ($within <= 0.0) {
            return 0.0;
        }

        return FisherF::upper(($a->mean - $b->mean) ** 2 / (1 / $a->n + 1 / $b->n) / ($within / $df), 1, $df);
    }

    /** @param list<float> $values */
    private static function distances(array $values): Sample
    {
        $median = Sample::median($values);
        $distances = array_map(static fn (float $v): float => abs($v - $median), $values);
        sort($distances);

        return Sample::of(array_slice($distances, 1));
    }
}
