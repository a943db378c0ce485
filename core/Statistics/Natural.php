<?php

declare(strict_types=1);

namespace Lustrum\Core\Statistics;

use Lustrum\Core\InvalidInput;

/**
 * The natural limits of a scale: nought and up, 0 to 100. What nothing can lie beyond, no interval goes beyond.
 *
 * An end is cut off after every verdict is taken; nothing is transformed, and nothing is cut at the other side.
 */
final readonly class Natural
{
    private function __construct(
        public ?float $low,
        public ?float $high,
    ) {
    }

    /** @throws InvalidInput */
    public static function between(?float $low, ?float $high): self
    {
        if ($low !== null && $high !== null && $low >= $high) {
            throw InvalidInput::because('The lower natural limit lies below the upper one.', 'natural');
        }

        return new self($low, $high);
    }

    public static function none(): self
    {
        return new self(null, null);
    }

    public function isNone(): bool
    {
        return $this->low === null && $this->high === null;
    }

    /** Of the difference of two values of this scale. */
    public function ofDifference(): self
    {
        $width = $this->low === null || $this->high === null ? null : $this->high - $this->low;

        return new self($width === null ? null : -$width, $width);
    }

    /** Of the change in per cent of a value of this scale: what cannot fall below nought falls by 100 % at most. */
    public function ofPercent(): self
    {
        return new self($this->low !== null && $this->low >= 0 ? -100.0 : null, null);
    }

    public function clip(float $value): float
    {
        return max($this->low ?? -INF, min($this->high ?? INF, $value));
    }

    public function cuts(?float $value): bool
    {
        return $value !== null && $this->clip($value) !== $value;
    }
}
