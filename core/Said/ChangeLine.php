<?php

declare(strict_types=1);

namespace Lustrum\Core\Said;

use Lustrum\Core\Run\Deviation;
use Lustrum\Core\Run\DeviationKind;

/** What somebody changed between two runs, in one line: 'gap 1.2 mm', 'Hopper is old', 'filed the rim round'. */
final class ChangeLine
{
    /** A name of more letters is cut: the line itself is kept as an observation. */
    private const LONGEST = 60;

    private const BETWEEN = '/^(?:\s*(?:is|are|now|to|from|:|=|,))+\s*/iu';

    /**
     * A part or a parameter that the build has, by its name; the firmware; a number with a name is a parameter; everything else is
     * how it was made.
     *
     * @param list<string> $parameters names
     * @param list<string> $parts      names
     *
     * @return Deviation|null null where it says nothing
     */
    public static function read(string $line, array $parameters, array $parts): ?Deviation
    {
        $text = trim(preg_replace('/\s+/u', ' ', mb_check_encoding($line, 'UTF-8') ? $line : '') ?? '', ' .');
        if ($text === '') {
            return null;
        }
        foreach ([[DeviationKind::Parameter, $parameters], [DeviationKind::Part, $parts]] as [$kind, $names]) {
            usort($names, static fn (string $a, string $b): int => mb_strlen($b) <=> mb_strlen($a));
            foreach ($names as $name) {
                if (preg_match('/^(?:the\s+)?'.preg_quote($name, '/').'(?![\p{L}\d])(.*)$/iu', $text, $m) === 1) {
                    $value = trim(preg_replace(self::BETWEEN, '', $m[1]) ?? $m[1]);

                    return new Deviation($kind, $name, self::last($value));
                }
            }
        }
        if (preg_match('/^(?:the\s+)?firmware(?![\p{L}\d])(.+)$/iu', $text, $m) === 1) {
            return Deviation::firmware(self::last(trim(preg_replace(self::BETWEEN, '', $m[1]) ?? $m[1])));
        }
        $parts = Line::read($text)->parts;
        $one = count($parts) === 1 && $parts[0]->name !== '' ? $parts[0] : null;

        return $one !== null
            ? new Deviation(DeviationKind::Parameter, mb_strtolower(trim(preg_replace('/\b(?:is|are|now|to|from)\b/iu', '', $one->name) ?? $one->name)), $one->text)
            : new Deviation(DeviationKind::Workmanship, mb_substr($text, 0, self::LONGEST));
    }

    /** '1.5 to 1.2 mm', '1.5 mm → 1.2 mm': what it is now stands last. */
    private static function last(string $value): string
    {
        $ends = preg_split('/\s*(?:→|->)\s*|\s+to\s+/u', $value) ?: [$value];

        return trim((string) end($ends));
    }
}
