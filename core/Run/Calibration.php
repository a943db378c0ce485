<?php

declare(strict_types=1);

namespace Lustrum\Core\Run;

use Lustrum\Core\InvalidInput;
use Lustrum\Core\Statistics\Regression;

/**
 * A straight line from what an instrument shows to what it really is, by least squares.
 *
 * Source: any textbook of measurement; the scatter about the line is taken as the standard uncertainty of a corrected value.
 */
final readonly class Calibration
{
    public const FEWEST = 2;

    /**
     * @param float|null  $sd        of the residuals; null where two points leave none
     * @param list<float> $residuals what is really there less the line, by point
     */
    private function __construct(
        public float $offset,
        public float $slope,
        public ?float $sd,
        public array $residuals,
    ) {
    }

    /**
     * @param list<CalibrationPoint> $points
     *
     * @throws InvalidInput when they lie on no line
     */
    public static function of(array $points): self
    {
        $shown = array_map(static fn (CalibrationPoint $p): float => $p->shown, $points);
        if (count(array_unique($shown)) < self::FEWEST) {
            throw InvalidInput::because('A calibration takes two points at least, at different values.', 'calibration');
        }
        $really = array_map(static fn (CalibrationPoint $p): float => $p->really, $points);
        $line = Regression::plane(array_map(static fn (float $x): array => [$x], $shown), $really);
        [$offset, $slope] = [$line->coefficients[0]['estimate'], $line->coefficients[1]['estimate']];

        return new self(
            $offset, $slope, $line->residualSd,
            array_map(static fn (CalibrationPoint $p): float => $p->really - $offset - $slope * $p->shown, $points),
        );
    }

    /** A reading put right. */
    public function corrected(float $shown): float
    {
        return $this->offset + $this->slope * $shown;
    }

    /** Standard uncertainty of a corrected value, from that of what was shown. */
    public function uncertainty(float $u): float
    {
        return hypot($this->slope * $u, $this->sd ?? 0.0);
    }

    public function largestResidual(): float
    {
        return max([0.0, ...array_map(abs(...), $this->residuals)]);
    }
}
