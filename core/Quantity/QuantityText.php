<?php

declare(strict_types=1);

namespace Lustrum\Core\Quantity;

/**
 * Reads a quantity as people type it: `12.50 N`, `3 ft 2 1/2 in`, `1/8 in`, `−3 °C`, `2h15m`, `2:15 min`, `12,5 N`.
 *
 * @internal use Quantity::typed()
 */
final class QuantityText
{
    private const MIXED = '(?:\d+[ \-])?\d+\/\d+';
    private const PLAIN = '(?:\d[\d.,\'’\x{00a0}\x{202f}]*(?: \d{3}(?=[ .,]|\D|$))*[\d.,]*|[.,]\d+)(?:[eE][+\-]?\d{1,3}(?!\w))?';

    /** @throws InvalidNumber */
    public static function read(string $text): Quantity
    {
        $tidy = self::tidy($text);
        if ($tidy === '') {
            throw InvalidNumber::empty();
        }
        if (mb_strlen($tidy) > 100) {
            throw InvalidNumber::unreadable($tidy);
        }

        return self::clock($tidy) ?? self::compound($tidy) ?? self::single($tidy, $text);
    }

    /** With one kind of dash, of space and of fraction. */
    public static function tidy(string $text): string
    {
        $text = strtr(
            $text,
            [
                "\u{2212}" => '-', "\u{2013}" => '-', "\u{2014}" => '-', "\u{2044}" => '/', '½' => ' 1/2', '¼' => ' 1/4', '¾' => ' 3/4',
                '⅛' => ' 1/8',
                '⅜' => ' 3/8', '⅝' => ' 5/8', '⅞' => ' 7/8', "\u{00a0}" => ' ', "\u{202f}" => ' ', "\u{2009}" => ' ',
            ],
        );

        return trim(preg_replace('/\s+/u', ' ', mb_check_encoding($text, 'UTF-8') ? $text : '') ?? '');
    }

    /** `2:15 min` is 2 min 15 s, `2:15 h` and `2h15` are 2 h 15 min, `1:02:03` is hours, minutes, seconds. */
    private static function clock(string $text): ?Quantity
    {
        $text = preg_replace('/^(-?\d{1,4}) ?h ?([0-5]\d)$/u', '$1:$2 h', $text) ?? $text;
        if (preg_match('/^(-?)(\d{1,4}):([0-5]?\d)(?::([0-5]?\d(?:\.\d+)?))?(?:\.(\d+))? ?(min|h|s)?$/u', $text, $m, PREG_UNMATCHED_AS_NULL) !== 1) {
            return null;
        }
        $hours = $m[4] !== null || $m[6] === 'h';
        $first = (int) $m[2] * ($hours ? 3600 : 60);
        $second = (float) $m[3] * ($hours ? 60 : 1) + (float) ($m[4] ?? 0) + ($m[5] !== null ? (float) ('0.'.$m[5]) : 0.0);
        $decimals = $m[5] !== null ? strlen($m[5]) : (
            isset($m[4])
            && str_contains($m[4], '.') ? strlen($m[4]) - (int) strpos($m[4], '.') - 1 : 0
        );

        return Quantity::of(($m[1] === '-' ? -1 : 1) * ($first + $second), 's', $hours && $m[4] === null ? 60.0 : 10.0 ** -$decimals);
    }

    /** `3 ft 2 1/2 in`, `2h15m`, `4 lb 3 oz`: parts of one dimension, each smaller than the one before. */
    private static function compound(string $text): ?Quantity
    {
        $number = '(?:'.self::MIXED.'|\d+(?:[.,]\d+)?)';
        if (preg_match_all('/\G ?('.$number.') ?([a-zA-Z\'"′″’”]+)/u', ltrim($text, '-'), $m, PREG_SET_ORDER) < 2 || implode('', array_column($m, 0)) !== ltrim($text, '-')) {
            return null;
        }
        $time = self::isTimeWord($m[0][2]);
        $total = 0.0;
        $before = INF;
        $dimension = null;
        $last = Units::parse($time && $m[0][2] === 'm' ? 'min' : (Units::knows($m[0][2]) ? $m[0][2] : 's'));
        $resolution = 0.0;
        foreach ($m as [, $number, $symbol]) {
            if (!Units::knows($symbol)) {
                return null;
            }
            $unit = Units::parse($time && $symbol === 'm' ? 'min' : $symbol);
            if ($unit->factor >= $before || ($dimension !== null && !$unit->dimension->equals($dimension))) {
                return null;
            }
            [$value, $step] = self::number($number, $text);
            $total += $value * $unit->factor;
            [$before, $dimension, $last, $resolution] = [$unit->factor, $unit->dimension, $unit, $step];
        }
        $sign = str_starts_with($text, '-') ? -1 : 1;
        if ($time) {
            return Quantity::of($sign * $total, 's', $resolution * $last->factor);
        }

        // Rounded at the 15th digit: 3 ft 2.5 in is 38.5 in, not 38.500000000000007.
        return Quantity::of($sign * (float) sprintf('%.15g', $total / $last->factor), $last->symbol, $resolution);
    }

    private static function isTimeWord(string $symbol): bool
    {
        return Units::knows($symbol) && Units::parse($symbol)->dimension->equals(Dimension::of([0, 0, 1]));
    }

    private static function single(string $tidy, string $typed): Quantity
    {
        if (preg_match('/^([+\-]?) ?('.self::MIXED.'|'.self::PLAIN.') ?(.*)$/u', $tidy, $m) !== 1) {
            throw InvalidNumber::unreadable($typed);
        }
        [$value, $resolution] = self::number(trim($m[2]), $typed);
        $symbol = trim($m[3]);
        if ($symbol === '') {
            throw UnknownUnit::missing();
        }
        if (preg_match('/^[\d.,+\-]/', $symbol) === 1) {
            throw InvalidNumber::unreadable($typed);
        }

        return Quantity::of(($m[1] === '-' ? -1 : 1) * $value, $symbol, $resolution);
    }

    /**
     * A number without a unit.
     *
     * @return array{float, float}|null value and the step of its last digit; null where it is none
     */
    public static function bare(string $text): ?array
    {
        if (preg_match('/^([+\-]?) ?('.self::MIXED.'|'.self::PLAIN.')$/u', self::tidy($text), $m) !== 1) {
            return null;
        }
        [$value, $resolution] = self::number(trim($m[2]), $text);

        return [$m[1] === '-' ? -$value : $value, $resolution];
    }

    /**
     * @return array{float, float} value and the step of its last digit
     *
     * @throws InvalidNumber
     */
    public static function number(string $number, string $typed): array
    {
        if (preg_match('/^(?:(\d+)[ \-])?(\d+)\/(\d+)$/', $number, $m) === 1) {
            if ((int) $m[3] === 0) {
                throw InvalidNumber::unreadable($typed);
            }

            return [(float) $m[1] + (float) $m[2] / (float) $m[3], 1.0 / (float) $m[3]];
        }
        $parts = preg_split('/[eE]/', $number) ?: [$number];
        $exponent = (int) ($parts[1] ?? 0);
        $plain = self::decimalPoint(rtrim(str_replace(['\'', '’', ' '], '', $parts[0]), '.,'), $typed);
        if (!is_numeric($plain)) {
            throw InvalidNumber::unreadable($typed);
        }
        $value = (float) ($plain.'e'.$exponent);
        if (!is_finite($value) || abs($value) > 1e300) {
            throw InvalidNumber::tooLarge($typed);
        }
        $point = strpos($plain, '.');
        $decimals = $point === false ? 0 : strlen($plain) - $point - 1;

        return [$value, (float) ('1e'.($exponent - $decimals))];
    }

    /** Decides which of comma and point is the decimal one. */
    private static function decimalPoint(string $digits, string $typed): string
    {
        $commas = substr_count($digits, ',');
        $points = substr_count($digits, '.');
        if ($commas === 0) {
            return $points > 1 ? (preg_match('/^\d{1,3}(\.\d{3})+$/', $digits) === 1 ? str_replace('.', '', $digits) : '?') : $digits;
        }
        if ($points === 0) {
            return match (true) {
                $commas > 1 => preg_match('/^\d{1,3}(,\d{3})+$/', $digits) === 1 ? str_replace(',', '', $digits) : '?',
                preg_match('/^[1-9]\d{0,2},\d{3}$/', $digits) === 1 => throw InvalidNumber::ambiguous($typed),
                default => str_replace(',', '.', $digits),
            };
        }
        // Both are there: the later one is the decimal one, the other parts thousands.
        $decimal = strrpos($digits, ',') > strrpos($digits, '.') ? ',' : '.';
        $thousands = $decimal === ',' ? '.' : ',';
        if (substr_count($digits, $decimal) > 1 || preg_match('/^\d{1,3}(\\'.$thousands.'\d{3})+\\'.$decimal.'\d*$/', $digits) !== 1) {
            return '?';
        }

        return str_replace([$thousands, $decimal], ['', '.'], $digits);
    }
}
