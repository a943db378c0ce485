<?php

declare(strict_types=1);

namespace Lustrum\Core\Wording;

use Lustrum\Core\Curve\Exponential;
use Lustrum\Core\Curve\Mark;
use Lustrum\Core\Curve\Samples;
use Lustrum\Core\Quantity\Digits;

/** Courses in time, in words. */
final class CourseWords
{
    private const DIGITS = 3;

    public static function sentence(string $what, Samples $samples, string $unit): string
    {
        $last = count($samples->t) - 1;

        return Messages::say('course.sentence', [
            'what' => Messages::begin($what), 'n' => count($samples->t), 'from' => self::value($samples->y[0], $unit),
            'to' => self::value($samples->y[$last], $unit),
            'time' => self::time($samples->t[$last] - $samples->t[0]),
        ]);
    }

    public static function mark(Mark $mark, ?float $found, string $unit): string
    {
        return Messages::say('course.mark', [
            'kind' => $mark->kind->value, 'value' => $mark->value === null ? '' : self::value($mark->value, $unit),
            'known' => $found !== null, 'found' => self::found($mark, $found, $unit),
            'from' => $mark->from === null ? '' : self::time($mark->from), 'to' => $mark->to === null ? '' : self::time($mark->to),
            'between' => $mark->from !== null || $mark->to !== null,
        ]);
    }

    /** As it would be typed as a reading. */
    public static function found(Mark $mark, ?float $found, string $unit): string
    {
        return $found === null ? '' : ($mark->kind->isTime() ? Digits::plain($found, self::DIGITS).' s' : self::value($found, $unit));
    }

    /** Where it goes, and how fast. */
    public static function fit(Exponential $fit, string $unit): string
    {
        return Messages::say('course.fit', [
            'end' => self::value($fit->ambient, $unit), 'tau' => self::time(1 / $fit->k), 'off' => self::value($fit->rmse, $unit),
        ]);
    }

    /** Where a reading comes from that was read off it. */
    public static function origin(string $what): string
    {
        return Messages::say('course.origin', ['what' => $what]);
    }

    private static function value(float $value, string $unit): string
    {
        return Numbers::withUnit(Digits::plain($value, self::DIGITS), $unit === '1' ? '' : $unit);
    }

    private static function time(float $seconds): string
    {
        return $seconds < 120.0 ? Digits::plain($seconds, self::DIGITS).' s' : MethodSheetWords::time($seconds / 60);
    }
}
