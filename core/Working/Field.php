<?php

declare(strict_types=1);

namespace Lustrum\Core\Working;

/** One input of a sum. */
final readonly class Field
{
    /**
     * @param string       $words    what it is, as it stands beside the field
     * @param string       $symbol   in the formulas
     * @param string       $unit     that is proposed, and says which units fit; '1' for a plain number
     * @param bool         $needed   nothing is worked out without it
     * @param float|string|null $default in $unit, where nothing is given
     * @param list<string> $choices  words to choose from
     * @param float|null   $low      lowest value, in $unit
     * @param float|null   $high     highest value, in $unit
     * @param bool         $above    the lowest value itself is none
     * @param bool         $below    the highest value itself is none
     * @param bool         $isWhole  a whole number
     * @param string       $example  of lines, as it stands in the empty field
     */
    private function __construct(
        public string $name,
        public string $words,
        public string $symbol,
        public string $unit,
        public FieldKind $kind,
        public bool $needed = true,
        public float|string|null $default = null,
        public array $choices = [],
        public ?float $low = null,
        public ?float $high = null,
        public bool $above = false,
        public bool $below = false,
        public bool $isWhole = false,
        public ?Stock $stock = null,
        public string $example = '',
    ) {
    }

    /** Above nought, as most things are. */
    public static function of(string $name, string $words, string $symbol, string $unit): self
    {
        return new self($name, $words, $symbol, $unit, FieldKind::One, low: 0.0, above: true);
    }

    /** Of any sign, as temperatures, positions and slopes are. */
    public static function any(string $name, string $words, string $symbol, string $unit): self
    {
        return new self($name, $words, $symbol, $unit, FieldKind::One);
    }

    public static function many(string $name, string $words, string $symbol, string $unit): self
    {
        return new self($name, $words, $symbol, $unit, FieldKind::Many);
    }

    /** @param list<string> $choices */
    public static function choice(string $name, string $words, array $choices, ?string $default = null): self
    {
        return new self($name, $words, '', '', FieldKind::Choice, needed: $default === null, default: $default, choices: $choices);
    }

    /**
     * Lines that the sum reads by itself.
     *
     * @param string $example of one, as it stands in the empty field
     */
    public static function lines(string $name, string $words, string $example): self
    {
        return new self($name, $words, '', '', FieldKind::Lines, example: $example);
    }

    /** Not needed; without a default what rests on it is left out. */
    public function orNot(?float $default = null): self
    {
        return $this->with(['needed' => false, 'default' => $default]);
    }

    /** From $low on, itself included. */
    public function from(float $low): self
    {
        return $this->with(['low' => $low, 'above' => false]);
    }

    public function to(float $high, bool $below = false): self
    {
        return $this->with(['high' => $high, 'below' => $below]);
    }

    public function whole(): self
    {
        return $this->with(['isWhole' => true]);
    }

    /** It can be bought in steps. */
    public function boughtAs(Stock $stock): self
    {
        return $this->with(['stock' => $stock]);
    }

    /** @param array<string, mixed> $changed by the names of the properties */
    private function with(array $changed): self
    {
        /** @phpstan-ignore argument.type (the types are those of the properties) */
        return new self(...($changed + get_object_vars($this)));
    }
}
