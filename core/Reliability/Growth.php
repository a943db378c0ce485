<?php

declare(strict_types=1);

namespace Lustrum\Core\Reliability;

use Lustrum\Core\InvalidInput;
use Lustrum\Core\NotEstimable;
use Lustrum\Core\Statistics\Distribution\ChiSquare;
use Lustrum\Core\Statistics\Distribution\Normal;
use Lustrum\Core\Statistics\Interval;

/**
 * Does it fail less and less often? Crow's power law (1974), time-terminated maximum likelihood; the interval of β is
 * exact (2nβ/β̂ is χ² with 2n degrees of freedom), that of the mean time between failures is normal on its logarithm.
 */
final readonly class Growth
{
    private function __construct(
        public Interval $beta,
        public float $lambda,
        public Interval $mtbfNow,
        public bool $growing,
    ) {
    }

    /**
     * @param list<float> $failures cumulative times
     *
     * @throws InvalidInput|NotEstimable
     */
    public static function of(array $failures, float $until, float $confidence): self
    {
        $n = count($failures);
        if ($n < 2) {
            throw NotEstimable::because('events.tooFew', 'At least two failures are needed to see a trend.', 'failures');
        }
        $sum = 0.0;
        foreach ($failures as $i => $time) {
            if (!($time > 0) || $time > $until) {
                throw InvalidInput::because('A failure lies between the start and the end of the time that was watched.', 'failures/'.$i);
            }
            $sum += log($until / $time);
        }
        if ($sum <= 0) {
            throw NotEstimable::because('failures.atEnd', 'All failures lie at the very end, so there is no trend to see.', 'failures');
        }
        $beta = $n / $sum;
        $alpha = (1 - $confidence) / 2;
        $low = $beta * ChiSquare::quantile($alpha, 2 * $n) / (2 * $n);
        $high = $beta * ChiSquare::quantile(1 - $alpha, 2 * $n) / (2 * $n);
        $mtbf = $until / ($n * $beta);
        $factor = exp(Normal::quantile(1 - $alpha) * sqrt(2 / $n));

        return new self(
            new Interval($beta, $low, $high), $n / $until ** $beta, new Interval($mtbf, $mtbf / $factor, $mtbf * $factor), $high < 1,
        );
    }
}
