<?php

declare(strict_types=1);

namespace Lustrum\Core\Run;

use Lustrum\Core\CoreException;
use Lustrum\Core\Quantity\Digits;
use Lustrum\Core\Quantity\Quantity;
use Lustrum\Core\Quantity\QuantityText;
use Lustrum\Core\Quantity\Typed;

/** A number of the design as a run was made with it. */
final readonly class Parameter
{
    private const EQUAL = 1e-12;

    /**
     * @param float  $si    in the SI unit of its dimension
     * @param float|null $u standard uncertainty in its unit; null: nobody said, then its last digit tells
     * @param bool   $follows worked out from others: what it differs in, these differ in already
     * @param string $words where it is no quantity: 'wave', 'soft'; then its value says nothing
     */
    public function __construct(
        public string $name,
        public float $value,
        public string $unit,
        public ?float $resolution,
        public float $si,
        public string $words = '',
        public ?float $u = null,
        public bool $follows = false,
    ) {
    }

    /** As somebody typed it: a quantity, or words. */
    public static function typed(string $name, string $text): self
    {
        $plain = QuantityText::bare($text);
        try {
            if (preg_match('/±|\+\/-/u', $text) === 1) {
                return self::uncertain($name, Typed::read($text, null, '1'));
            }
            $quantity = $plain === null ? Quantity::typed($text) : Quantity::of($plain[0], '1', $plain[1]);
        } catch (CoreException) {
            return new self($name, 0.0, '', null, 0.0, trim($text));
        }

        return new self($name, $quantity->value, $quantity->unit->symbol, $quantity->resolution, $quantity->si());
    }

    /** @throws CoreException when nobody can say how uncertain it is */
    private static function uncertain(string $name, Typed $typed): self
    {
        $quantity = Quantity::of($typed->value ?? 0.0, $typed->unit->symbol ?? '1', $typed->resolution);

        return new self($name, $quantity->value, $quantity->unit->symbol, $quantity->resolution, $quantity->si(), '', $typed->u);
    }

    public function text(): string
    {
        return match (true) {
            $this->words !== '' => $this->words,
            $this->u !== null => rtrim(Digits::uncertain($this->value, $this->u).' '.($this->unit === '1' ? '' : $this->unit)),
            default => Digits::quantity($this->value, $this->resolution, $this->unit),
        };
    }

    /** Equal up to the rounding of a conversion of units; how it was typed does not matter. */
    public function equals(self $other): bool
    {
        if ($this->words !== '' || $other->words !== '') {
            return mb_strtolower($this->words) === mb_strtolower($other->words);
        }

        return abs($this->si - $other->si) <= self::EQUAL * max(abs($this->si), abs($other->si));
    }

    /** @param array<array-key, mixed> $row */
    public static function fromRow(array $row): self
    {
        return new self(
            Row::text($row['name'] ?? ''), Row::number($row['value'] ?? 0), Row::text($row['unit'] ?? ''),
            Row::numberOrNull($row['resolution'] ?? null), Row::number($row['si'] ?? 0),
            Row::text($row['words'] ?? ''), Row::numberOrNull($row['u'] ?? null), (bool) ($row['follows'] ?? false),
        );
    }
}
