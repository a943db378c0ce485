<?php

declare(strict_types=1);

namespace Lustrum\Core\Working;

use Lustrum\Core\CoreException;

/** Finds the input at which an answer takes a value. */
final class Solve
{
    private const STEPS = 200;

    /** Points between which a change of sign is looked for, each way. */
    private const LOOKS = 240;

    /** So many decades each way from where it stands. */
    private const DECADES = 6.0;

    /**
     * Where a function that changes its sign between two ends is nought, by halving.
     *
     * @param callable(float): float $of
     */
    public static function root(callable $of, float $low, float $high): float
    {
        $isBelow = $of($low) < 0.0;
        for ($i = 0; $i < self::STEPS; ++$i) {
            $middle = ($low + $high) / 2;
            if ($middle === $low || $middle === $high) {
                break;
            }
            if (($of($middle) < 0.0) === $isBelow) {
                $low = $middle;
            } else {
                $high = $middle;
            }
        }

        return ($low + $high) / 2;
    }

    /**
     * The value of an input, in SI, at which an output comes to what is wanted, nearest to where it stands.
     *
     * @param float $wanted of the output, in SI
     *
     * @throws CoreException where none is found within six decades, or within what the field takes
     */
    public static function input(Work $work, Given $given, string $output, float $wanted, Field $field): float
    {
        $off = static function (float $x) use ($work, $given, $output, $field, $wanted): ?float {
            try {
                $value = $work->si($given->with($field->name, $x))[$output] ?? null;
            } catch (CoreException) {
                return null;
            }

            return is_float($value) ? $value - $wanted : null;
        };
        $points = self::points($given->maybe($field->name), $field);
        $best = null;
        $stands = $given->maybe($field->name) ?? $points[intdiv(count($points), 2)];
        $offs = array_map($off, $points);
        foreach (array_slice($points, 1) as $i => $to) {
            [$a, $b] = [$offs[$i], $offs[$i + 1]];
            if ($a === null || $b === null || ($a < 0.0) === ($b < 0.0) && $a !== 0.0 && $b !== 0.0) {
                continue;
            }
            $x = $a === 0.0 ? $points[$i] : ($b === 0.0 ? $to : self::root(
                static fn (float $x): float => $off($x) ?? 0.0, $points[$i], $to,
            ));
            // A jump over the value, as past a dead point, is none.
            $there = $off($x);
            $isThere = $there !== null && abs($there) <= 1e-6 * max(abs($wanted), abs($a), abs($b)) + 1e-12;
            if ($isThere && ($best === null || abs($x - $stands) < abs($best - $stands))) {
                $best = $x;
            }
        }

        return $best ?? throw Entered::unreachable('No value of this gives that.', 'inputs/'.$field->name);
    }

    /** @return list<float> in SI, ascending, where it may lie */
    private static function points(?float $stands, Field $field): array
    {
        $si = static fn (float $v): float => (new Entry($v, $field->unit))->si($field->unit)[0];
        [$low, $high] = [$field->low === null ? null : $si($field->low), $field->high === null ? null : $si($field->high)];
        if ($low !== null && $high !== null) {
            return array_map(
                static fn (int $i): float => $low + ($high - $low) * ($i + ($i === 0 ? 1e-9 : 0)) / self::LOOKS,
                range(0, self::LOOKS),
            );
        }
        $size = abs($stands ?? 0.0) > 0.0 ? abs($stands ?? 1.0) : abs($si(1.0)) + 1e-9;
        $up = array_map(
            static fn (int $i): float => $size * 10 ** (self::DECADES * ($i / self::LOOKS * 2 - 1)), range(0, self::LOOKS),
        );
        $down = array_reverse(array_map(static fn (float $x): float => -$x, $up));
        $all = $low === 0.0 ? $up : [...$down, 0.0, ...$up];

        return array_values(array_filter(
            $all, static fn (float $x): bool => ($low === null || $x >= $low) && ($high === null || $x <= $high),
        ));
    }
}
