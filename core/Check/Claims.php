<?php

declare(strict_types=1);

namespace Lustrum\Core\Check;

use Lustrum\Core\Quantity\Units;

/**
 * Words that claim something without a number (`check.claims`): each is a measurement to make.
 *
 * A number with a unit, a per cent, 'times' or 'fold' backs the whole of its sentence.
 */
final class Claims
{
    private const WORDS = [
        'more', 'less', 'fewer', 'better', 'worse', 'improved', 'reduced', 'increased', 'stronger', 'lighter', 'heavier',
        'weaker', 'quieter', 'louder', 'thicker', 'thinner', 'longer', 'shorter', 'higher', 'lower', 'bigger', 'larger',
        'smaller', 'wider', 'narrower', 'deeper', 'hotter', 'colder', 'warmer', 'cooler', 'cheaper', 'stiffer', 'softer',
        'harder', 'easier', 'safer', 'brighter', 'faster', 'slower', 'quicker',
    ];
    private const BACKS = ['%', 'percent', 'times', 'fold'];

    /** A full stop between digits ends no sentence. */
    private const SENTENCE = '/[!?;\n]|(?<!\d)\.|\.(?!\d)/u';

    /** @return list<Claim> in their order */
    public static function in(string $text): array
    {
        $claims = [];
        foreach (preg_split(self::SENTENCE, $text, -1, PREG_SPLIT_OFFSET_CAPTURE) ?: [] as [$sentence, $from]) {
            if (self::isBacked($sentence)) {
                continue;
            }
            preg_match_all('/(?<![\p{L}\p{N}])\p{L}+(?![\p{L}\p{N}])/u', $sentence, $words, PREG_OFFSET_CAPTURE);
            foreach ($words[0] as [$word, $at]) {
                if (in_array(mb_strtolower($word), self::WORDS, true)) {
                    $claims[] = new Claim(mb_strtolower($word), mb_strlen(substr($text, 0, $from + $at)));
                }
            }
        }

        return $claims;
    }

    private static function isBacked(string $sentence): bool
    {
        preg_match_all('/(?<![\p{L}\p{N}])\d+(?:[.,]\d+)*[\s-]*([^\s,:.()]+)/u', $sentence, $numbers);
        foreach ($numbers[1] as $unit) {
            if (in_array(mb_strtolower($unit), self::BACKS, true) || Units::knows($unit)) {
                return true;
            }
        }

        return false;
    }
}
