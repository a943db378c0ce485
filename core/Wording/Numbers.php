<?php

declare(strict_types=1);

namespace Lustrum\Core\Wording;

use Lustrum\Core\Judging\Figure;
use Lustrum\Core\Judging\Worded;
use Lustrum\Core\Quantity\Digits;

/** Numbers in sentences, each rounded once, with its unit where it has one. */
final class Numbers
{
    public static function amount(float $value, int $decimals, string $unit): string
    {
        return self::withUnit(Digits::decimals($value, $decimals), $unit);
    }

    /** A number that somebody set, such as a limit. */
    public static function set(float $value, string $unit): string
    {
        return self::withUnit(Digits::short($value), $unit);
    }

    public static function withUnit(string $number, string $unit): string
    {
        return $unit === '' || $unit === '1' ? $number : Messages::say('number.amount', ['number' => $number, 'unit' => $unit]);
    }

    /** Estimate with its interval where there is one: '412 N [388, 436]'. */
    public static function figure(Figure $f): string
    {
        if ($f->words !== null) {
            return self::words($f->words);
        }
        $text = self::amount($f->value, $f->decimals, $f->unit);
        if ($f->low === null && $f->high === null) {
            return $text;
        }
        $end = static fn (?float $v, string $which): string => match (true) {
            $v === null => Messages::say('number.open'),
            in_array($which, $f->cut, true) => Messages::say('number.cut', ['end' => Digits::decimals($v, $f->decimals)]),
            default => self::end($v, $f),
        };

        return Messages::say('number.interval', ['estimate' => $text, 'low' => $end($f->low, 'low'), 'high' => $end($f->high, 'high')]);
    }

    /** The word in the middle and how often each came: '“bright” (dim 1, bright 4)'. */
    public static function words(Worded $words): string
    {
        return Messages::say('number.words', [
            'middle' => Messages::quoted($words->middle), 'n' => $words->n(),
            'each' => implode(', ', array_map(
                static fn (array $of): string => Messages::say('number.times', ['word' => $of['word'], 'n' => $of['n']]), $words->each,
            )),
        ]);
    }

    /** What keeps clear of nought is not written as reaching it: the verdict beside it would seem wrong. */
    private static function end(float $end, Figure $f): string
    {
        $text = Digits::decimals($end, $f->decimals);
        $isClear = $f->low !== null && $f->high !== null && $f->low * $f->high > 0;

        return $isClear && round($end, $f->decimals) === 0.0 ? Digits::plain($end, 1) : $text;
    }

    /** A difference with its sign: '+2 N', '−3 points'. */
    public static function signed(float $value, string $number, string $unit): string
    {
        $nought = (float) $number === 0.0;

        return self::withUnit($nought ? $number : Messages::say($value < 0 ? 'number.minus' : 'number.plus', ['number' => $number]), $unit);
    }

    /** 13 % less 12 % is one point, not one per cent. */
    public static function differenceUnit(string $unit): string
    {
        return $unit === '%' ? Messages::say('number.points') : $unit;
    }

    /** A share from 0 to 1 in whole per cent. */
    public static function percent(float $share): string
    {
        return Digits::decimals(100 * $share, 0);
    }
}
