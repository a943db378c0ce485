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
            $low = $high = $gap = null;
            for ($i = $from; $i < $to; ++$i) {
                if ($y[$i] === null) {
                    $gap ??= $i;
                    continue;
                }
                $low = $low === null || $y[$i] < $y[$low] ? $i : $low;
                $high = $high === null || $y[$i] > $y[$high] ? $i : $high;
            }
            foreach ([$low, $high, $gap] as $i) {
                if ($i !== null) {
                    $kept[$i] = true;
                }
            }
        }
        ksort($kept);
        $at = array_keys($kept);

        return new self(array_map(static fn (int $i): float => $t[$i], $at), array_map(static fn (int $i): ?float => $y[$i], $at));
    }
}
