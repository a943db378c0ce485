<?php

declare(strict_types=1);

namespace Lustrum\Core\Statistics;

use Lustrum\Core\InvalidInput;
use Lustrum\Core\Statistics\Distribution\NonCentralT;
use Lustrum\Core\Statistics\Distribution\Normal;

/**
 * One-sided normal tolerance bound: at least `coverage` of all articles lie beyond it, with the confidence given.
 *
 * k = t'(confidence; n−1, z√n)/√n (Owen 1968, Technometrics 10, 445); tables in ISO 16269-6.
 */
final class Tolerance
{
    /** @var array<string, float> factors already worked out; a pure function, so this is only speed */
    private static array $known = [];

    /**
     * @param float|null $df of the standard deviation, where more is known of it than n values tell
     *
     * @throws InvalidInput
     */
    public static function factor(int $n, float $coverage, float $confidence, ?float $df = null): float
    {
        $df ??= $n - 1;
        if ($n < 1 || $df < 1) {
            throw InvalidInput::because('A tolerance bound needs at least two values.', 'n');
        }
        foreach (['coverage' => $coverage, 'confidence' => $confidence] as $name => $share) {
            if (!($share > 0 && $share < 1)) {
                throw InvalidInput::because(sprintf('The %s lies between 0 and 1, both excluded.', $name), $name);
            }
        }
        $root = sqrt($n);

        return self::$known[implode('/', [$n, $df, $coverage, $confidence])] ??= ((float) ($n - 1) === (float) $df
            ? ToleranceTable::factor($n, $coverage, $confidence) : null)
            ?? NonCentralT::quantile($confidence, $df, Normal::quantile($coverage) * $root) / $root;
    }

    /** The factor to about 1 %, for searching (Natrella 1963, Experimental Statistics, 2-13). */
    public static function roughFactor(int $n, float $coverage, float $confidence): float
    {
        $p = Normal::quantile($coverage);
        $c = Normal::quantile($confidence);
        $a = 1 - $c * $c / (2 * ($n - 1));

        return $a <= 0 ? INF : ($p + sqrt(max(0.0, $p * $p - $a * ($p * $p - $c * $c / $n)))) / $a;
    }

    public static function bound(Sample $sample, float $coverage, float $confidence, bool $lower): float
    {
        return $sample->mean + ($lower ? -1 : 1) * self::factor($sample->n, $coverage, $confidence) * (float) $sample->sd;
    }
}
