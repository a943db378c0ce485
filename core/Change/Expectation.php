<?php

declare(strict_types=1);

namespace Lustrum\Core\Change;

/** What is expected of a change on one metric: a range, or a direction alone. */
final readonly class Expectation
{
    /**
     * @param string     $metric identifier
     * @param string     $unit   of the numbers; of a per cent that of the metric all the same
     * @param float|null $likely the middle where nobody said
     * @param float|null $margin within which it counts as unchanged, in $unit
     */
    public function __construct(
        public string $metric,
        public ExpectedAs $mode = ExpectedAs::Add,
        public string $unit = '',
        public ?float $low = null,
        public ?float $likely = null,
        public ?float $high = null,
        public ?float $margin = null,
    ) {
    }

    public static function of(string $metric, ?float $expected, string $unit): self
    {
        return new self($metric, ExpectedAs::Add, $unit, $expected, $expected, $expected);
    }

    /** Was an amount expected? */
    public function hasAmount(): bool
    {
        return $this->mode->hasNumbers() && $this->likely() !== null;
    }

    /** What half of it is meant of. */
    public function likely(): ?float
    {
        return $this->likely ?? ($this->low === null || $this->high === null ? $this->low ?? $this->high : ($this->low + $this->high) / 2);
    }

    /** What must be reached: of a range the end that is nearer to nought. */
    public function least(): ?float
    {
        $ends = array_values(array_filter([$this->low, $this->high, $this->likely()], static fn (?float $v): bool => $v !== null));
        if ($ends === []) {
            return null;
        }
        usort($ends, static fn (float $a, float $b): int => abs($a) <=> abs($b));

        return min($ends) < 0 && max($ends) > 0 ? $this->likely() : $ends[0];
    }

    /** Does it make more of the metric? Null where that hangs on what it was before, or nobody said. */
    public function goesUp(): ?bool
    {
        $likely = $this->likely();

        return match ($this->mode) {
            ExpectedAs::More => true,
            ExpectedAs::Less => false,
            ExpectedAs::Add, ExpectedAs::Percent => $likely === null || $likely === 0.0 ? null : $likely > 0,
            default => null,
        };
    }

    /** The same less what it was before: from a value to a difference. */
    public function less(float $before): self
    {
        $of = static fn (?float $v): ?float => $v === null ? null : $v - $before;

        return new self(
            $this->metric, ExpectedAs::Add, $this->unit, $of($this->low), $of($this->likely), $of($this->high), $this->margin,
        );
    }

    /** @param array<array-key, mixed> $row by the names of the fields */
    public static function fromRow(array $row): self
    {
        $number = static fn (mixed $v): ?float => is_numeric($v) ? (float) $v : null;
        $text = static fn (mixed $v): string => is_scalar($v) ? (string) $v : '';

        return new self(
            $text($row['metric'] ?? ''), ExpectedAs::tryFrom($text($row['mode'] ?? '')) ?? ExpectedAs::Add, $text($row['unit'] ?? ''),
            $number($row['low'] ?? null), $number($row['likely'] ?? null), $number($row['high'] ?? null), $number($row['margin'] ?? null),
        );
    }
}
