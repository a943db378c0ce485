<?php

declare(strict_types=1);

namespace Lustrum\Core\Curve;

use Lustrum\Core\InvalidInput;

/**
 * Fewer points for a screen: the least and the greatest of each bucket of time, so that no peak is lost; a gap (a value
 * that is missing) stays a gap (`curve.decimate`).
 */
final readonly class Decimate
{
    /**
     * @param list<float>      $t
     * @param list<float|null> $y null marks a gap
     */
    private function __construct(
        public array $t,
        public array $y,
    ) {
    }

    /**
     * @param list<float>      $t
     * @param list<float|null> $y
     *
     * @throws InvalidInput
     */
    public static function of(array $t, array $y, int $points): self
    {
        $n = count($t);
        if ($n !== count($y)) {
            throw InvalidInput::because(sprintf('There are %d times and %d values.', $n, count($y)), 'y');
        }
        if ($points < 4) {
            throw InvalidInput::because('At least four points are needed to show anything.', 'points');
        }
        if ($n <= $points) {
            return new self($t, $y);
        }
        $buckets = intdiv($points, 2);
        $kept = [];
        for ($b = 0; $b < $buckets; ++$b) {
            $from = intdiv($b * $n, $buckets);
            $to = intdiv(($b + 1) * $n, $buckets);
            foreach (self::bucket(array_slice($y, $from, $to - $from)) as $i) {
                $kept[$from + $i] = true;
            }
        }
        ksort($kept);
        $at = array_keys($kept);

        return new self(array_map(static fn (int $i): float => $t[$i], $at), array_map(static fn (int $i): ?float => $y[$i], $at));
    }

    /**
     * Where the first least and the first greatest of some values stand, and the first gap.
     *
     * @param list<float|null> $values
     *
     * @return list<int>
     */
    private static function bucket(array $values): array
    {
        $there = $values;
        $gap = array_search(null, $values, true);
        if ($gap !== false) {
            $there = array_filter($values, static fn (?float $v): bool => $v !== null);
        }
        $at = $there === [] ? [] : [array_search(min($there), $there, true), array_search(max($there), $there, true)];

        return array_values(array_filter([...$at, $gap], is_int(...)));
    }
}
