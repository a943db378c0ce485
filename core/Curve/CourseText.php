<?php

declare(strict_types=1);

namespace Lustrum\Core\Curve;

use Lustrum\Core\InvalidInput;

/**
 * Times and values as people have them, a pair a line: typed, out of a spreadsheet, or of a small CSV with a line of heads. A
 * time is a number in the unit that stood beside the field, or a clock's: 4:30, 1:04:30.
 */
final class CourseText
{
    public const MOST = 2000;

    private const SECONDS = ['s' => 1.0, 'min' => 60.0, 'h' => 3600.0];

    /** @throws InvalidInput at 'text', with the line that cannot be read */
    public static function read(string $text, string $unit): Samples
    {
        $seconds = self::SECONDS[$unit] ?? throw InvalidInput::because('Times are in s, min or h.', 'timeUnit');
        $t = $y = [];
        foreach (preg_split('/\R/u', trim($text)) ?: [] as $i => $line) {
            if (trim($line) === '') {
                continue;
            }
            $pair = self::pair(trim($line), $seconds);
            if ($pair === null) {
                // A line of heads.
                if ($t === [] && preg_match('/\d/', $line) !== 1) {
                    continue;
                }
                throw InvalidInput::because(
                    sprintf('Line %d is no time with a value: “%s”.', $i + 1, mb_substr(trim($line), 0, 40)), 'text',
                );
            }
            if ($t !== [] && $pair[0] < $t[count($t) - 1]) {
                throw InvalidInput::because(
                    sprintf('Line %d goes back in time. A clock may have been set; put it right, or leave the line out.', $i + 1),
                    'text',
                );
            }
            [$t[], $y[]] = $pair;
            if (count($t) > self::MOST) {
                throw InvalidInput::because(sprintf('At most %d values of one course.', self::MOST), 'text');
            }
        }
        if (count($t) < 2) {
            throw InvalidInput::because('A course has two values at least, each with its time: “30; 24.5”.', 'text');
        }

        return Samples::of($t, $y);
    }

    /** @return array{float, float}|null */
    private static function pair(string $line, float $seconds): ?array
    {
        // A comma between digits may be a decimal one: only where nothing else keeps the two apart does it do so.
        $cells = preg_split('/\s*[\t;]\s*/', $line) ?: [];
        $cells = count($cells) === 2 ? $cells : (preg_split('/\s+/', $line) ?: []);
        $cells = count($cells) === 2 ? $cells : explode(',', $line);
        if (count($cells) !== 2) {
            return null;
        }
        $value = self::number(trim($cells[1]));
        $time = self::time(trim($cells[0]), $seconds);

        return $time === null || $value === null ? null : [$time, $value];
    }

    private static function time(string $text, float $seconds): ?float
    {
        if (preg_match('/^(?:(\d{1,3}):)?(\d{1,3}):(\d{2}(?:[.,]\d+)?)$/', $text, $m) === 1) {
            return 3600.0 * (float) $m[1] + 60.0 * (float) $m[2] + (float) str_replace(',', '.', $m[3]);
        }
        $number = self::number($text);

        return $number === null || $number < 0.0 ? null : $number * $seconds;
    }

    private static function number(string $text): ?float
    {
        $plain = str_replace([',', '−'], ['.', '-'], trim($text, " \t,;"));

        return is_numeric($plain) && is_finite((float) $plain) && abs((float) $plain) < 1e15 ? (float) $plain : null;
    }
}
