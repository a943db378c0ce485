<?php

declare(strict_types=1);

namespace Lustrum\Core\Check;

use Lustrum\Core\InvalidInput;
use Lustrum\Core\Quantity\Quantity;

/** A quantity that the relations know, as it was read in one run. */
final readonly class Known
{
    /** Unit of each, where no reading says another one. */
    public const UNITS = [
        'voltage' => 'V', 'current' => 'A', 'resistance' => 'Ω', 'power' => 'W', 'rimSpeed' => 'm/s', 'rotation' => 'rpm', 'radius' => 'm',
        'rimAcceleration' => 'm/s^2', 'fallHeight' => 'm', 'fallTime' => 's', 'impactSpeed' => 'm/s', 'gearRatio' => '1',
        'driverTeeth' => 'count', 'drivenTeeth' => 'count', 'driverSpeed' => 'rpm', 'drivenSpeed' => 'rpm', 'massBefore' => 'kg',
        'massAfter' => 'kg', 'massLost' => 'kg',
    ];

    /** Powers and roots of what lies further from one, in SI units, could not be told from nought or infinity. */
    private const FURTHEST = 1e60;

    private const MAY_BE_NOUGHT = ['massBefore', 'massAfter', 'massLost'];

    /**
     * @param float $si the value in the SI unit; of a rotation in turns a second
     * @param float $u  standard uncertainty, in the same unit; nought where nobody knows
     */
    private function __construct(
        public string $what,
        public string $unit,
        public float $si,
        public float $u,
    ) {
    }

    /**
     * @param float|null $u standard uncertainty in the unit of the reading; else that of its last digit (resolution/√12)
     *
     * @throws InvalidInput|\Lustrum\Core\Quantity\UnitMismatch
     */
    public static function read(string $what, Quantity $read, ?float $u = null): self
    {
        $unit = self::UNITS[$what] ?? throw InvalidInput::because(
            sprintf('No relation knows “%s”. They know: %s.', mb_substr($what, 0, 60), implode(', ', array_keys(self::UNITS))), 'what',
        );
        $value = $read->to($unit);
        if ($value->value < 0.0 || ($value->value === 0.0 && !in_array($what, self::MAY_BE_NOUGHT, true))) {
            throw InvalidInput::because('A relation takes values above nought; only a mass may be nought.', 'value');
        }
        if ($value->si() > self::FURTHEST || ($value->value > 0.0 && $value->si() < 1 / self::FURTHEST)) {
            throw InvalidInput::because('This value is larger or smaller than anything that is read.', 'value');
        }
        if (($u ?? 0.0) < 0.0 || ($read->resolution ?? 0.0) < 0.0) {
            throw InvalidInput::because('An uncertainty or a resolution is not below nought.', $u === null ? 'resolution' : 'u');
        }
        $step = $u ?? ($read->resolution ?? 0.0) / sqrt(12);

        return new self($what, $read->unit->symbol, $value->si(), Quantity::of($step, $read->unit->symbol)->to($unit)->si());
    }

    /** A value in the SI unit, in the unit in which this one was read. */
    public static function inUnit(string $what, float $si, ?self $read): Implied
    {
        $own = Quantity::of(1.0, self::UNITS[$what]);
        $value = Quantity::of($si / $own->si(), self::UNITS[$what]);

        return new Implied($what, $read === null ? $value->value : $value->to($read->unit)->value, $read->unit ?? self::UNITS[$what], []);
    }
}
