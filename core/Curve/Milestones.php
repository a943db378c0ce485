<?php

declare(strict_types=1);

namespace Lustrum\Core\Curve;

/** When a curve first reaches given values, linear between samples (`curve.milestones`). */
final class Milestones
{
    /**
     * @param list<float> $targets
     *
     * @return list<float|null> in the order of the targets; null where one is never reached
     */
    public static function of(Samples $samples, array $targets): array
    {
        return array_map(static fn (float $target): ?float => self::first($samples, $target), $targets);
    }

    private static function first(Samples $samples, float $target): ?float
    {
        foreach ($samples->y as $i => $y) {
            if ($y === $target) {
                return $samples->t[$i];
            }
            $before = $samples->y[$i - 1] ?? null;
            if ($before !== null && ($before - $target) * ($y - $target) < 0) {
                return $samples->t[$i - 1] + ($samples->t[$i] - $samples->t[$i - 1]) * ($target - $before) / ($y - $before);
            }
        }

        return null;
    }
}
