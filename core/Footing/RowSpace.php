<?php

declare(strict_types=1);

namespace Lustrum\Core\Footing;

/** The space that rows of a table span, kept as reduced rows. */
final class RowSpace
{
    private const NOTHING = 1e-9;

    /** @var array<int, list<float>> by the place of their first number, which is 1 */
    private array $rows = [];

    public function __construct(
        private readonly int $width,
    ) {
    }

    /**
     * @param list<float> $row
     *
     * @return bool whether it said anything new
     */
    public function add(array $row): bool
    {
        $rest = $this->rest($row);
        foreach ($rest as $at => $value) {
            if (abs($value) > self::NOTHING) {
                $this->rows[$at] = array_map(static fn (float $v): float => $v / $value, $rest);
                ksort($this->rows);

                return true;
            }
        }

        return false;
    }

    /** @param list<float> $row */
    public function holds(array $row): bool
    {
        return max(array_map(abs(...), $this->rest($row))) <= self::NOTHING;
    }

    /**
     * @param list<float> $row
     *
     * @return non-empty-list<float>
     */
    private function rest(array $row): array
    {
        $rest = array_pad($row, max(1, $this->width), 0.0);
        foreach ($this->rows as $at => $known) {
            $factor = $rest[$at] ?? 0.0;
            $rest = array_map(static fn (float $v, float $k): float => $v - $factor * $k, $rest, $known);
        }

        return $rest === [] ? [0.0] : array_values($rest);
    }
}
