<?php

declare(strict_types=1);

namespace Lustrum\Core\Curve;

use Lustrum\Core\InvalidInput;
use Lustrum\Core\NotEstimable;
use Lustrum\Core\Statistics\Distribution\StudentT;

/**
 * How long a course would take from a start to a value in other surroundings, by its own rate: so that two that began
 * elsewhere, or on a warmer day, can be held side by side. The interval is that of the rate alone.
 */
final readonly class Standard
{
    /** Start, surroundings and rate are told from the course itself. */
    private const FREE = 3;

    private function __construct(
        public float $time,
        public ?float $low,
        public ?float $high,
        public float $from,
        public float $to,
        public float $around,
    ) {
    }

    /**
     * @throws InvalidInput|NotEstimable when the course has no rate that could be told, or never gets there
     */
    public static function of(Samples $samples, Mark $mark, float $confidence): self
    {
        if ($mark->value === null) {
            throw InvalidInput::because('How long until which value?', 'value');
        }
        $fit = Exponential::fit($samples);
        [$from, $around] = [$mark->start ?? $fit->start, $mark->around ?? $fit->ambient];
        $time = Exponential::time($fit->k, $from, $mark->value, $around);
        $spare = count($samples->t) - self::FREE;
        $off = $fit->se === null || $spare < 1 ? null : StudentT::quantile((1 + $confidence) / 2, $spare) * $fit->se;

        return new self(
            $time, $off === null ? null : $time * $fit->k / ($fit->k + $off),
            $off === null || $off >= $fit->k ? null : $time * $fit->k / ($fit->k - $off), $from, $mark->value, $around,
        );
    }
}
