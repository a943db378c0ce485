<?php

declare(strict_types=1);

namespace Lustrum\Core\Wording;

use Lustrum\Core\Heap\Laid;
use Lustrum\Core\Quantity\Digits;

/** What is said of a heap of what was filmed, photographed or spoken. */
final class HeapWords
{
    private const MINUTE = 60;
    private const HOUR = 3600;
    private const DAY = 86400;

    /**
     * @param int $left   that nobody has gone through
     * @param int $during of them that lie within a run
     * @param int $near   of them that lie right before or after one
     * @param int $untold of them of which nothing says when they were taken
     */
    public static function sentence(int $left, int $during, int $near, int $untold, int $kept, int $aside): string
    {
        return Messages::say('heap.sentence', [
            'left' => $left, 'during' => $during, 'near' => $near, 'untold' => $untold, 'kept' => $kept, 'aside' => $aside,
            'any' => $kept + $aside > 0, 'nowhere' => $left - $during - $near - $untold,
        ]);
    }

    /** What waits in a heap, where it is only counted. */
    public static function waits(int $left): string
    {
        return $left === 0 ? '' : Messages::say('heap.waits', ['left' => $left]);
    }

    public static function run(string $device, string $letter, string $trial, int $number): string
    {
        return Messages::say('heap.run', ['device' => $device, 'letter' => $letter, 'trial' => $trial, 'number' => $number]);
    }

    /** Where something lies beside its run. */
    public static function laid(Laid $laid): string
    {
        return Messages::say('heap.laid', [
            'lies' => $laid->lies->value, 'early' => $laid->seconds < 0.0, 'time' => self::time(abs($laid->seconds)),
        ]);
    }

    /** The same of one thing that is looked at, with its run. */
    public static function one(Laid $laid, string $run): string
    {
        return Messages::say('heap.one', [
            'lies' => $laid->lies->value, 'early' => $laid->seconds < 0.0, 'time' => self::time(abs($laid->seconds)), 'run' => $run,
        ]);
    }

    /** A clock of a camera. */
    public static function clock(float $ahead, int $files): string
    {
        return Messages::say('heap.clock', [
            'side' => abs($ahead) < 0.5 ? 'right' : ($ahead > 0 ? 'ahead' : 'behind'), 'time' => self::time(abs($ahead)), 'files' => $files,
        ]);
    }

    /** Where a file is that was sent before. */
    public static function here(bool $kept, bool $aside, string $letter, string $trial, int $number): string
    {
        return Messages::say('heap.here', [
            'where' => match (true) {
                $number > 0 => 'run', $letter !== '' => 'build', $kept => 'kept', $aside => 'aside', default => 'heap',
            },
            'letter' => $letter, 'trial' => $trial, 'number' => $number,
        ]);
    }

    private static function time(float $seconds): string
    {
        $whole = (int) round($seconds);

        [$hours, $minutes] = [intdiv($whole, self::HOUR), intdiv($whole % self::HOUR, self::MINUTE)];
        // Beyond ten minutes nobody counts seconds.
        $left = $whole > 10 * self::MINUTE ? 0 : $whole % self::MINUTE;

        return match (true) {
            $whole < self::MINUTE => $whole.' s',
            $whole < self::HOUR => $minutes.' min'.($left === 0 ? '' : ' '.$left.' s'),
            $whole < self::DAY => $hours.' h'.($minutes === 0 ? '' : ' '.$minutes.' min'),
            default => Digits::short(round($whole / self::DAY, 1)).' days',
        };
    }
}
