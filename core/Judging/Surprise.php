<?php

declare(strict_types=1);

namespace Lustrum\Core\Judging;

use Lustrum\Core\CoreException;
use Lustrum\Core\Outcome\ResultKind;
use Lustrum\Core\Quantity\Typed;
use Lustrum\Core\Quantity\TypedKind;
use Lustrum\Core\Quantity\Units;
use Lustrum\Core\Run\Hardness;
use Lustrum\Core\Run\ReadingFact;
use Lustrum\Core\Run\RunFact;
use Lustrum\Core\Run\Severity;

/** A result that nobody expected: it lies outside what was forecast, or fails what held in the runs before, as hard. */
final readonly class Surprise
{
    /** So many runs that held make a failure a surprise. */
    public const HELD = 3;

    /** How far from a number by itself a result is still what was forecast, as a share of it. */
    private const ABOUT = 0.1;

    /** So many standard uncertainties either way are what ± means. */
    private const SURE = 2.0;

    /**
     * @param string $channel  whose reading it is; empty: the outcome is the surprise
     * @param string $forecast as it was locked
     * @param int    $held     runs before it that held as hard
     */
    private function __construct(
        public string $channel,
        public string $forecast,
        public int $held,
    ) {
    }

    /**
     * @param array<string, string> $forecast by channel, as typed before the run
     * @param list<RunFact>         $before   runs of its method, newest first
     */
    public static function of(RunFact $run, array $forecast, array $before): ?self
    {
        foreach ($run->readings as $reading) {
            $said = trim($forecast[$reading->channel] ?? '');
            if ($said !== '' && $reading->kind === ResultKind::Equal && self::isOutside($reading, $said)) {
                return new self($reading->channel, $said, 0);
            }
        }
        $held = $run->failed() ? self::heldAsHard($run, $before) : 0;

        return $held >= self::HELD ? new self('', '', $held) : null;
    }

    /** @param list<RunFact> $before */
    private static function heldAsHard(RunFact $run, array $before): int
    {
        $severity = Severity::ofRun($run);
        $held = 0;
        foreach ($before as $one) {
            if (!$one->says() || Severity::ofRun($one)->beside($severity) !== Hardness::AtLeast) {
                continue;
            }
            if (!$one->held()) {
                break;
            }
            ++$held;
        }

        return $held;
    }

    private static function isOutside(ReadingFact $reading, string $said): bool
    {
        try {
            [$low, $high] = self::span(Typed::read($said, null, $reading->unit), $reading->unit);
        } catch (CoreException) {
            return false;
        }
        // Half a step of what was read could still be inside.
        $slack = $reading->step / 2;

        return ($low !== null && $reading->si < $low - $slack) || ($high !== null && $reading->si > $high + $slack);
    }

    /**
     * What a forecast allows, in the SI; null: that way it is open. A number by itself is meant as 'about'.
     *
     * @return array{?float, ?float}
     */
    private static function span(Typed $typed, string $unit): array
    {
        if ($typed->value === null || $typed->kind === TypedKind::Unknown) {
            return [null, null];
        }
        $in = $typed->unit ?? Units::parse($unit);
        $half = $typed->u === null ? self::ABOUT * abs($typed->value) : self::SURE * $typed->u;
        [$low, $high] = match ($typed->kind) {
            TypedKind::AtLeast => [$typed->low ?? $typed->value, null],
            TypedKind::AtMost => [null, $typed->high ?? $typed->value],
            default => [$typed->low ?? $typed->value - $half, $typed->high ?? $typed->value + $half],
        };

        return [$low === null ? null : $in->toSi($low), $high === null ? null : $in->toSi($high)];
    }
}
