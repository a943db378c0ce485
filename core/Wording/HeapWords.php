<?php

declare(strict_types=1);

namespace Lustrum\Core\Wording;

use Lustrum\Core\Heap\Laid;

/** What is said of a heap of what was filmed, photographed or spoken. */
final class HeapWords
{
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
            'lies' => $laid->lies->value, 'early' => $laid->seconds < 0.0, 'time' => Durations::of(abs($laid->seconds)),
        ]);
    }

    /** The same of one thing that is looked at, with its run. */
    public static function one(Laid $laid, string $run): string
    {
        return Messages::say('heap.one', [
            'lies' => $laid->lies->value, 'early' => $laid->seconds < 0.0, 'time' => Durations::of(abs($laid->seconds)), 'run' => $run,
        ]);
    }

    /** A clock of a camera. */
    public static function clock(float $ahead, int $files): string
    {
        return Messages::say('heap.clock', [
            'side' => abs($ahead) < 0.5 ? 'right' : ($ahead > 0 ? 'ahead' : 'behind'), 'time' => Durations::of(abs($ahead)), 'files' => $files,
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
}
