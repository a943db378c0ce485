<?php

declare(strict_types=1);

namespace Lustrum\Core\Check;

/**
 * A law that holds between quantities read in one run.
 *
 * Either a product, ∏ x^exponent = constant, or a sum, ∑ exponent · x = 0; in SI units, rotation in turns a second.
 * Sources: Ohm and Joule; rim of a turning body and free fall as in any textbook of mechanics (no drag).
 */
final readonly class Relation
{
    /** Standard gravity (CGPM 1901), m/s². */
    private const G0 = 9.80665;

    /** @param array<string, int> $exponents of each quantity, in the order of the formula */
    private function __construct(
        public string $name,
        public array $exponents,
        private float $constant = 1.0,
        public bool $isSum = false,
    ) {
    }

    /** @return list<self> */
    public static function all(): array
    {
        return [
            new self('ohm', ['voltage' => 1, 'current' => -1, 'resistance' => -1]),
            new self('power', ['power' => 1, 'voltage' => -1, 'current' => -1]),
            new self('heat', ['power' => 1, 'current' => -2, 'resistance' => -1]),
            new self('heatVoltage', ['power' => 1, 'voltage' => -2, 'resistance' => 1]),
            new self('rimSpeed', ['rimSpeed' => 1, 'rotation' => -1, 'radius' => -1], 2 * M_PI),
            new self('rimAcceleration', ['rimAcceleration' => 1, 'rotation' => -2, 'radius' => -1], 4 * M_PI ** 2),
            new self('rimSpeedAcceleration', ['rimAcceleration' => 1, 'rimSpeed' => -2, 'radius' => 1]),
            new self('fallTime', ['fallHeight' => 1, 'fallTime' => -2], self::G0 / 2),
            new self('fallSpeed', ['impactSpeed' => 2, 'fallHeight' => -1], 2 * self::G0),
            new self('fallSpeedTime', ['impactSpeed' => 1, 'fallTime' => -1], self::G0),
            new self('gearTeeth', ['gearRatio' => 1, 'drivenTeeth' => -1, 'driverTeeth' => 1]),
            new self('gearSpeed', ['gearRatio' => 1, 'driverSpeed' => -1, 'drivenSpeed' => 1]),
            new self('gearTeethSpeed', ['driverTeeth' => 1, 'driverSpeed' => 1, 'drivenTeeth' => -1, 'drivenSpeed' => -1]),
            new self('massBalance', ['massBefore' => 1, 'massAfter' => -1, 'massLost' => -1], 0.0, true),
        ];
    }

    /**
     * What the other quantities say that this one is, in the SI unit.
     *
     * @param array<string, float> $known every other quantity, in SI units
     */
    public function implied(string $what, array $known): float
    {
        $rest = $this->isSum ? 0.0 : $this->constant;
        foreach ($this->exponents as $name => $exponent) {
            if ($name !== $what) {
                $rest = $this->isSum ? $rest - $exponent * $known[$name] : $rest / $known[$name] ** $exponent;
            }
        }
        $own = $this->exponents[$what];

        return $this->isSum ? $rest / $own : $rest ** (1 / $own);
    }

    /**
     * How far the readings are off the law: of a product the logarithm of left over right, of a sum left less right.
     *
     * @param array<string, float> $values every quantity, in SI units
     */
    public function off(array $values): float
    {
        $off = $this->isSum ? 0.0 : -log($this->constant);
        foreach ($this->exponents as $name => $exponent) {
            $off += $exponent * ($this->isSum ? $values[$name] : log($values[$name]));
        }

        return $off;
    }

    /**
     * Standard uncertainty of off(), to the first order (GUM, JCGM 100:2008, 5.1.2).
     *
     * @param array<string, float> $values
     * @param array<string, float> $u      standard uncertainties in SI units
     */
    public function uncertainty(array $values, array $u): float
    {
        $square = 0.0;
        foreach ($this->exponents as $name => $exponent) {
            $square += ($exponent * $u[$name] / ($this->isSum ? 1.0 : $values[$name])) ** 2;
        }

        return sqrt($square);
    }
}
