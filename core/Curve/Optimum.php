<?php

declare(strict_types=1);

namespace Lustrum\Core\Curve;

use Lustrum\Core\NotEstimable;
use Lustrum\Core\Statistics\Distribution\StudentT;
use Lustrum\Core\Statistics\NoValues;
use Lustrum\Core\Statistics\Regression;

/** Where a quadratic through the points is best, with a delta-method interval (`curve.optimum`). */
final readonly class Optimum
{
    /** @param bool $inside does it lie between the points? outside it is only a direction to go on in */
    private function __construct(
        public float $at,
        public ?float $low,
        public ?float $high,
        public float $value,
        public bool $inside,
    ) {
    }

    /**
     * @param list<float> $x
     * @param list<float> $y
     *
     * @throws NoValues|NotEstimable
     */
    public static function of(array $x, array $y, bool $maximum, float $confidence): self
    {
        // In a centred variable: near the optimum the three coefficients are then nearly independent.
        if ($x === []) {
            throw NoValues::given('x');
        }
        $centre = array_sum($x) / count($x);
        $fit = Regression::polynomial(array_map(static fn (float $v): float => $v - $centre, $x), $y, 2);
        [$a, $b, $c] = array_map(static fn (array $k): float => $k['estimate'], $fit->coefficients);
        if ($maximum ? $c >= 0 : $c <= 0) {
            throw NotEstimable::because(
                'optimum.none', sprintf('The points bend the other way: between them there is no %s.', $maximum ? 'maximum' : 'minimum'),
                'y',
            );
        }
        $at = -$b / (2 * $c);
        $variance = $fit->covariance(1, 1);
        $half = null;
        if ($variance !== null) {
            $db = -1 / (2 * $c);
            $dc = $b / (2 * $c * $c);
            $variance = $db * $db * $variance + 2 * $db * $dc * (float) $fit->covariance(1, 2) + $dc * $dc * (float) $fit->covariance(2, 2);
            $half = StudentT::quantile(0.5 + $confidence / 2, $fit->df) * sqrt(max(0.0, $variance));
        }
        $place = $at + $centre;

        return new self(
            $place, $half === null ? null : $place - $half, $half === null ? null : $place + $half, $a + $b * $at + $c * $at * $at,
            $place >= min($x) && $place <= max($x),
        );
    }
}
