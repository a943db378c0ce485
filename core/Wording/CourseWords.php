<?php

declare(strict_types=1);

namespace Lustrum\Core\Wording;

use Lustrum\Core\Curve\Exponential;
use Lustrum\Core\Curve\Mark;
use Lustrum\Core\Curve\Samples;
use Lustrum\Core\Curve\Standard;
use Lustrum\Core\Curve\Tally;
use Lustrum\Core\Quantity\Digits;

/** Courses in time, in words. */
final class CourseWords
{
    public const COUNT = 'count';
    public const HELD = 'held';
    public const SHARE = 'share';
    public const EVERY = 'every';

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

    /** How long it would take from a common start, in common surroundings. */
    public static function standard(Standard $s, string $unit, float $confidence): string
    {
        return Messages::say('course.standard', [
            'from' => self::value($s->from, $unit), 'to' => self::value($s->to, $unit), 'around' => self::value($s->around, $unit),
            'time' => self::time($s->time), 'ends' => match (true) {
                $s->low === null => 'none', $s->high === null => 'low', default => 'both',
            },
            'low' => self::time($s->low ?? 0.0), 'high' => self::time($s->high ?? 0.0),
            'confidence' => Digits::short(round(100 * $confidence, 1)),
        ]);
    }

    /** Where a reading comes from that is such a time. */
    public static function standardOrigin(Standard $s, string $what, string $unit): string
    {
        return Messages::say('course.standardOrigin', [
            'what' => $what, 'from' => self::value($s->from, $unit), 'around' => self::value($s->around, $unit),
        ]);
    }

    /** Where a reading comes from that was read off it. */
    public static function origin(string $what): string
    {
        return Messages::say('course.origin', ['what' => $what]);
    }

    /** What was marked again and again. */
    public static function tally(string $name, Tally $t, bool $goesOn): string
    {
        return Messages::say('course.tally', [
            'name' => Messages::begin($name), 'count' => $t->count, 'again' => $t->every !== null, 'every' => self::time($t->every ?? 0.0),
            'long' => $t->held !== null, 'held' => self::time($t->held ?? 0.0), 'whole' => $t->share !== null,
            'share' => self::share($t->share ?? 0.0), 'soFar' => $goesOn,
        ]);
    }

    public static function tallyOrigin(string $name): string
    {
        return Messages::say('course.tallyOrigin', ['name' => $name]);
    }

    /** A time as it would be typed as a reading. */
    public static function seconds(float $seconds): string
    {
        return Digits::plain($seconds, self::DIGITS).' s';
    }

    public static function share(float $share): string
    {
        return Digits::plain(100 * $share, self::DIGITS).' %';
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
