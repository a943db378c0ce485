<?php

declare(strict_types=1);

namespace Lustrum\Core\Statistics;

use Lustrum\Core\InvalidInput;
use Lustrum\Core\Statistics\Distribution\FisherF;

/**
 * What repeats of a method are known to spread by, from runs before these: a standard deviation with its degrees of freedom.
 *
 * However many runs it comes from, it weighs as four at most: the spread of a method drifts from build to build.
 */
final readonly class KnownSpread
{
    /** Fewer degrees of freedom tell too little. */
    public const LEAST = 4.0;

    /** Of what is known beside what is seen, in degrees of freedom. */
    public const WEIGHT = 4.0;

    /** What spreads farther than so surely by chance alone spreads farther than it used to. */
    private const SURE = 0.95;

    private function __construct(
        public float $sd,
        public float $df,
        public bool $isOfLogarithms,
        public bool $isOfArticles,
    ) {
    }

    /**
     * @param bool $isOfLogarithms the spread of logarithms, where effects multiply; else in the unit of the values
     * @param bool $isOfArticles   of articles that are built alike; else of runs that are
     *
     * @throws InvalidInput
     */
    public static function of(float $sd, float $df, bool $isOfLogarithms = false, bool $isOfArticles = false): self
    {
        if (!($sd > 0) || !is_finite($sd)) {
            throw InvalidInput::because('A spread that is known lies above nought.', 'prior/sd');
        }
        if (!($df >= self::LEAST)) {
            throw InvalidInput::because('A spread is known from four degrees of freedom on.', 'prior/df');
        }

        return new self($sd, $df, $isOfLogarithms, $isOfArticles);
    }

    /**
     * Do these spread no farther than it lets expect?
     *
     * @param float $squares what is left over when all that is fitted is taken out, with $df degrees; none: nothing speaks against it
     */
    public function fits(float $squares, float $df): bool
    {
        return $df <= 0 || $squares / $df <= $this->sd ** 2 * FisherF::quantile(self::SURE, $df, $this->df);
    }

    /** @return array{float, float} the variance of both together, and its degrees */
    public function with(float $squares, float $df): array
    {
        return [($squares + self::WEIGHT * $this->sd ** 2) / ($df + self::WEIGHT), $df + self::WEIGHT];
    }
}
