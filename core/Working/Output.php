<?php

declare(strict_types=1);

namespace Lustrum\Core\Working;

/** One answer of a sum. */
final readonly class Output
{
    /**
     * @param string $words   what it is
     * @param string $symbol  in the formulas of others
     * @param string $unit    that it is said in unless another is asked for
     * @param string $formula as it is written; empty where it is only handed on
     * @param string $shown   unit that it is said in on a sheet, where people rarely think in the other
     * @param bool   $isMain  the answer that is mostly wanted
     * @param bool   $isExact only added up, of what somebody set
     */
    private function __construct(
        public string $name,
        public string $words,
        public string $symbol,
        public string $unit,
        public string $formula,
        public string $shown,
        public bool $isMain = false,
        public bool $isExact = false,
    ) {
    }

    public static function of(string $name, string $words, string $symbol, string $unit, string $formula = ''): self
    {
        return new self($name, $words, $symbol, $unit, $formula, $unit);
    }

    public function shownIn(string $unit): self
    {
        return new self($this->name, $this->words, $this->symbol, $this->unit, $this->formula, $unit, $this->isMain, $this->isExact);
    }

    /** The answer that is mostly wanted; where none is, the first. */
    public function main(): self
    {
        return new self($this->name, $this->words, $this->symbol, $this->unit, $this->formula, $this->shown, true, $this->isExact);
    }

    /** Said with all of its digits. */
    public function exact(): self
    {
        return new self($this->name, $this->words, $this->symbol, $this->unit, $this->formula, $this->shown, $this->isMain, true);
    }
}
