<?php

declare(strict_types=1);

namespace Lustrum\Core\Quantity;

/**
 * The kind of a quantity: integer exponents of kg, m, s, K, A, cd, rad, count, dB and money (see Currencies).
 *
 * Angle and count are kept apart from plain ratios, so that a number of seeds is not taken for a share of them;
 * formulas drop both (see plain()), as the SI does.
 */
final readonly class Dimension
{
    private const BASES = ['kg', 'm', 's', 'K', 'A', 'cd', 'rad', 'count', 'dB', 'money'];

    private const NAMES = [
        'force' => [1, 1, -2], 'mass' => [1], 'length' => [0, 1], 'time' => [0, 0, 1], 'temperature' => [0, 0, 0, 1],
        'current' => [0, 0, 0, 0, 1], 'voltage' => [1, 2, -3, 0, -1], 'resistance' => [1, 2, -3, 0, -2],
        'charge' => [0, 0, 1, 0, 1], 'capacitance' => [-1, -2, 4, 0, 2], 'inductance' => [1, 2, -2, 0, -2],
        'flux density' => [1, 0, -2, 0, -1], 'pressure' => [1, -1, -2], 'energy' => [1, 2, -2], 'power' => [1, 2, -3],
        'speed' => [0, 1, -1], 'acceleration' => [0, 1, -2], 'frequency' => [0, 0, -1], 'area' => [0, 2],
        'volume' => [0, 3], 'stiffness' => [1, 0, -2], 'density' => [1, -3], 'flow' => [0, 3, -1], 'mass flow' => [1, 0, -1],
        'illuminance' => [0, -2, 0, 0, 0, 1], 'angle' => [0, 0, 0, 0, 0, 0, 1], 'angular speed' => [0, 0, -1, 0, 0, 0, 1],
        'count' => [0, 0, 0, 0, 0, 0, 0, 1], 'count rate' => [0, 0, -1, 0, 0, 0, 0, 1], 'level' => [0, 0, 0, 0, 0, 0, 0, 0, 1],
        'momentum' => [1, 1, -1], 'ratio' => [],
    ];

    /** @param list<int> $exponents ten integers in the order of BASES */
    private function __construct(public array $exponents)
    {
    }

    /** @param list<int> $exponents up to ten; the missing ones are nought */
    public static function of(array $exponents): self
    {
        return new self(array_values(array_pad($exponents, count(self::BASES), 0)));
    }

    /** The dimension that carries this name, or null ('torque' and 'energy' are one). */
    public static function named(string $name): ?self
    {
        $name = $name === 'torque' ? 'energy' : $name;

        return isset(self::NAMES[$name]) ? self::of(self::NAMES[$name]) : null;
    }

    public function times(self $other): self
    {
        return new self(array_map(static fn (int $a, int $b): int => $a + $b, $this->exponents, $other->exponents));
    }

    public function power(int $n): self
    {
        return new self(array_map(static fn (int $a): int => $a * $n, $this->exponents));
    }

    public function equals(self $other): bool
    {
        return $this->exponents === $other->exponents;
    }

    /** Without angle and count, as formulas see it. */
    public function plain(): self
    {
        $e = $this->exponents;
        $e[6] = 0;
        $e[7] = 0;

        return new self(array_values($e));
    }

    public function isRatio(): bool
    {
        return array_filter($this->exponents) === [];
    }

    /** A maker's word for it, or the product of base units where there is none. */
    public function name(): string
    {
        foreach (self::NAMES as $name => $exponents) {
            if (self::of($exponents)->equals($this)) {
                return $name;
            }
        }

        return $this->siUnit();
    }

    /** Symbol of the coherent SI unit: N for force, else a product such as kg·m^-3. */
    public function siUnit(): string
    {
        static $derived = ['N' => 'force', 'Pa' => 'pressure', 'J' => 'energy', 'W' => 'power', 'V' => 'voltage', 'Ω' => 'resistance',
            'C' => 'charge', 'F' => 'capacitance', 'H' => 'inductance', 'T' => 'flux density', 'Hz' => 'frequency', 'lx' => 'illuminance',
            'm/s' => 'speed', 'm/s^2' => 'acceleration', 'N/m' => 'stiffness', 'kg/m^3' => 'density', 'm^3/s' => 'flow',
            'kg/s' => 'mass flow',
            'rad/s' => 'angular speed', 'count/s' => 'count rate', '1' => 'ratio'];
        foreach ($derived as $symbol => $name) {
            if (self::of(self::NAMES[$name])->equals($this)) {
                return (string) $symbol;
            }
        }
        $parts = [];
        foreach (self::BASES as $i => $base) {
            if ($this->exponents[$i] !== 0) {
                $parts[] = ($base === 'money' ? Currencies::named($this->exponents[$i]) : null)
                    ?? $base.($this->exponents[$i] === 1 ? '' : '^'.$this->exponents[$i]);
            }
        }

        return implode('·', $parts);
    }
}
