<?php

declare(strict_types=1);

namespace Lustrum\Domain\Method;

use Lustrum\Core\Run\CalibrationPoint;
use Lustrum\Shared\Number;

/** A point of a calibration as it is typed, both in the unit of the channel. */
final readonly class CalibrationInput
{
    public function __construct(
        #[Number]
        public float $shown,
        #[Number]
        public float $really,
    ) {
    }

    public function point(): CalibrationPoint
    {
        return new CalibrationPoint($this->shown, $this->really);
    }
}
