<?php

declare(strict_types=1);

namespace Lustrum\Core\Plan;

use Lustrum\Core\InvalidInput;
use Lustrum\Core\Statistics\Planning;

/**
 * Runs in their order, what they take, and the smallest difference that they can find
 * (`plan.ladder`, `plan.sweep`, `plan.matrix`, `plan.pairs`).
 */
final readonly class Plan
{
    private const MOST_RUNS = 500;

    /** @param list<array{number: int, repeat: int, setting: array<string, mixed>}> $runs */
    private function __construct(
        public array $runs,
        public float $minutes,
        public ?float $smallestDifference,
    ) {
    }

    /**
     * Lowest rung first; each repeated before the next, so that one can stop at the first failure.
     *
     * @param list<float> $levels
     */
    public static function ladder(array $levels, int $repeats, Minutes $minutes): self
    {
        sort($levels);

        return self::of(
            array_map(static fn (float $l): array => ['level' => $l], $levels), $repeats, Order::AsGiven, 0, $minutes, null, false, true,
        );
    }

    /** @param list<float> $levels */
    public static function sweep(array $levels, int $repeats, Order $order, int $seed, Minutes $minutes, ?float $sd): self
    {
        return self::of(
            array_map(static fn (float $l): array => ['level' => $l], $levels), $repeats, $order, $seed, $minutes, $sd, false, false,
        );
    }

    /**
     * @param array<string, list<string>> $factors name => levels; all combinations are run
     *
     * @throws InvalidInput
     */
    public static function matrix(array $factors, int $repeats, Order $order, int $seed, Minutes $minutes, ?float $sd): self
    {
        if ($factors === []) {
            throw InvalidInput::because('A plan needs at least one factor.', 'factors');
        }
        $cells = [[]];
        foreach ($factors as $name => $levels) {
            $next = [];
            foreach ($cells as $cell) {
                foreach ($levels as $level) {
                    $next[] = $cell + [$name => $level];
                }
            }
            $cells = $next;
            if (count($cells) > self::MOST_RUNS) {
                break;
            }
        }

        return self::of($cells, $repeats, $order, $seed, $minutes, $sd, false, false);
    }

    /**
     * Two arms side by side in every pair, so that what drifts hits both.
     *
     * @param array{string, string} $arms
     */
    public static function pairs(array $arms, int $repeats, Order $order, int $seed, Minutes $minutes, ?float $sd): self
    {
        return self::of(
            array_map(static fn (string $a): array => ['arm' => $a], $arms), $repeats, $order === Order::Random ? Order::Blocks : $order,
            $seed, $minutes, $sd, true, false,
        );
    }

    /** @param list<array<string, mixed>> $settings */
    private static function of(
        array $settings, int $repeats, Order $order, int $seed, Minutes $minutes, ?float $sd, bool $paired, bool $levelByLevel,
    ): self {
        if ($settings === [] || $repeats < 1) {
            throw InvalidInput::because('A plan needs at least one level and one repeat.', $settings === [] ? 'levels' : 'repeats');
        }
        if (count($settings) * $repeats > self::MOST_RUNS) {
            throw InvalidInput::because(sprintf('At most %d runs can be planned at once.', self::MOST_RUNS), 'repeats');
        }
        $runs = [];
        $shuffle = new Shuffle($seed);
        if ($levelByLevel) {
            foreach ($settings as $setting) {
                for ($r = 1; $r <= $repeats; ++$r) {
                    $runs[] = ['repeat' => $r, 'setting' => $setting];
                }
            }
        } else {
            for ($r = 1; $r <= $repeats; ++$r) {
                foreach ($order === Order::Blocks ? $shuffle->of($settings) : $settings as $setting) {
                    $runs[] = ['repeat' => $r, 'setting' => $setting];
                }
            }
            if ($order === Order::Random) {
                $runs = $shuffle->of($runs);
            }
        }
        $numbered = array_map(static fn (array $run, int $i): array => ['number' => $i + 1] + $run, $runs, array_keys($runs));

        return new self(
            $numbered, $minutes->of(array_map(static fn (array $run): string => json_encode($run['setting'], JSON_THROW_ON_ERROR), $runs)),
            $sd === null || $repeats < 2 ? null : Planning::difference($sd, $repeats, 0.8, 0.95, $paired),
        );
    }
}
