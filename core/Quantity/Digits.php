<?php

declare(strict_types=1);

namespace Lustrum\Core\Quantity;

/** Numbers in words of a sentence: never more digits than they carry, a true minus, no exponent where avoidable. */
final class Digits
{
    /** @param int $significant digits to show, at least 1 */
    public static function plain(float $value, int $significant = 3): string
    {
        if ($value === 0.0 || !is_finite($value)) {
            return is_finite($value) ? '0' : '∞';
        }
        $rounded = (float) sprintf('%.'.max(0, $significant - 1).'e', $value);
        $magnitude = (int) floor(log10(abs($rounded)) + 1e-12);
        if ($magnitude > 6 || $magnitude < -4) {
            return str_replace('-', '−', preg_replace('/e\+?/', 'e', sprintf('%.'.max(0, $significant - 1).'e', $value)) ?? '');
        }

        return str_replace('-', '−', number_format($rounded, max(0, $significant - 1 - $magnitude), '.', ''));
    }

    /** A number that somebody set, such as a limit: as short as it can be written. */
    public static function short(float $value): string
    {
        return str_replace('-', '−', sprintf('%.6g', $value));
    }

    /** What was only added up, of numbers that somebody set: all of its digits. */
    public static function exact(float $value): string
    {
        return str_replace('-', '−', sprintf('%.12g', $value));
    }

    /** To a fixed number of decimals. */
    public static function decimals(float $value, int $decimals): string
    {
        $text = number_format($value, max(0, min(12, $decimals)), '.', '');

        return str_replace('-', '−', preg_match('/^-0\.?0*$/', $text) === 1 ? substr($text, 1) : $text);
    }

    /** The same with its unit; a plain number has none to be written. */
    public static function quantity(float $value, ?float $step, string $unit): string
    {
        return self::typed($value, $step).($unit === '' || $unit === '1' ? '' : ' '.$unit);
    }

    /** A quantity in another unit than it was typed in: with the decimals that its step allows, and no more. */
    public static function converted(Quantity $quantity): string
    {
        $decimals = $quantity->resolution === null ? 3 : self::decimalsOf($quantity->resolution);

        return trim(self::decimals($quantity->value, $decimals).' '.($quantity->unit->symbol === '1' ? '' : $quantity->unit->symbol));
    }

    /** A value as it was typed: with the decimals of its step, and those that a fraction such as 1/8 needs. */
    public static function typed(float $value, ?float $step): string
    {
        $least = $step === null ? 3 : self::decimalsOf($step);
        for ($decimals = $least; $decimals <= 6; ++$decimals) {
            if (abs(round($value, $decimals) - $value) <= 1e-12 * abs($value)) {
                return self::decimals($value, $decimals);
            }
        }

        // A converted value has no end; it carries what its step allows.
        return self::decimals($value, $least);
    }

    /** A value with its standard uncertainty: two digits of the uncertainty, and the value to the same place (JCGM 100:2008, 7.2.6). */
    public static function uncertain(float $value, float $u): string
    {
        $decimals = $u > 0 ? max(0, 1 - (int) floor(log10($u))) : 3;

        return self::decimals($value, $decimals).' ± '.self::decimals($u, $decimals);
    }

    /** Decimals that a step of the last digit calls for: 0.01 has two, 5 has none. */
    public static function decimalsOf(float $step): int
    {
        return $step <= 0 ? 0 : max(0, min(12, (int) ceil(-log10($step) - 1e-9)));
    }
}
