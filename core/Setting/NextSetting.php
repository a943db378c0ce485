<?php

declare(strict_types=1);

namespace Lustrum\Core\Setting;

use Lustrum\Core\InvalidInput;
use Lustrum\Core\NotEstimable;

/** Which setting to try next, while it is being found (`setting.next`): untried ends first, then the middle. */
final readonly class NextSetting
{
    /**
     * @param float|null $value null where there is none to try
     * @param float|null $low   the highest that was too low
     * @param float|null $high  the lowest that was too high
     */
    private function __construct(
        public ?float $value,
        public NextReason $reason,
        public ?float $low,
        public ?float $high,
    ) {
    }

    /**
     * @param list<array{float, SettingResult}> $tried
     * @param float|null                        $step  settings that there are: $from and multiples of it on
     *
     * @throws InvalidInput|NotEstimable
     */
    public static function of(array $tried, float $from, float $to, SettingScale $scale = SettingScale::Linear, ?float $step = null): self
    {
        if ($from >= $to) {
            throw InvalidInput::because('The range begins below its end.', 'range');
        }
        if ($step !== null && $step <= 0.0) {
            throw InvalidInput::because('A step is above nought.', 'step');
        }
        if ($scale === SettingScale::Log && min([$from, ...array_column($tried, 0)]) <= 0.0) {
            throw InvalidInput::because('A logarithmic scale has values above nought only.', $from <= 0.0 ? 'range/low' : 'tried');
        }
        $by = ['low' => [], 'good' => [], 'high' => []];
        foreach ($tried as [$value, $result]) {
            $by[$result->value][] = $value;
        }
        self::mustBeInOrder($by);
        $low = $by['low'] === [] ? null : max($by['low']);
        $high = $by['high'] === [] ? null : min($by['high']);
        if ($by['good'] !== []) {
            $middle = $scale->middle(min($by['good']), max($by['good']));

            return new self(self::among($middle, min($by['good']), max($by['good']), $from, $step), NextReason::Good, $low, $high);
        }
        if ($low === null) {
            return $high !== null && $high <= $from ? new self(null, NextReason::Beyond, $low, $high)
                : new self($from, NextReason::End, $low, $high);
        }
        if ($high === null) {
            return $low >= $to ? new self(null, NextReason::Beyond, $low, $high) : new self($to, NextReason::End, $low, $high);
        }
        $middle = self::stepped($scale->middle($low, $high), $from, $step);

        return $middle <= $low || $middle >= $high ? new self(null, NextReason::Exhausted, $low, $high)
            : new self($middle, NextReason::Middle, $low, $high);
    }

    private static function stepped(float $value, float $from, ?float $step): float
    {
        // Half up, whatever the last bit says.
        return $step === null ? $value : $from + floor(($value - $from) / $step + 0.5 + 1e-9) * $step;
    }

    /** The nearest step, as long as it lies among what was good; else the middle as it is. */
    private static function among(float $middle, float $lowest, float $highest, float $from, ?float $step): float
    {
        $stepped = self::stepped($middle, $from, $step);

        return $stepped < $lowest || $stepped > $highest ? $middle : $stepped;
    }

    /** @param array{low: list<float>, good: list<float>, high: list<float>} $by */
    private static function mustBeInOrder(array $by): void
    {
        foreach ([['low', 'good'], ['good', 'high'], ['low', 'high']] as [$below, $above]) {
            if ($by[$below] !== [] && $by[$above] !== [] && max($by[$below]) >= min($by[$above])) {
                throw NotEstimable::because(
                    'settings.contradict',
                    'What was too low lies below what was good, and that below what was too high; these do not.', 'tried',
                );
            }
        }
    }
}
