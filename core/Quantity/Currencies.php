<?php

declare(strict_types=1);

namespace Lustrum\Core\Quantity;

/**
 * Money as a unit: each currency is a dimension of its own, so that none is ever turned into another.
 *
 * The exponent of money is the number of the currency in ISO 4217 times its power: EUR/kg keeps it, EUR/EUR cancels it.
 */
final class Currencies
{
    private const NUMBERS = [
        'EUR' => 978, 'USD' => 840, 'GBP' => 826, 'CHF' => 756, 'SEK' => 752, 'NOK' => 578, 'DKK' => 208, 'PLN' => 985, 'CZK' => 203,
        'HUF' => 348, 'RON' => 946, 'TRY' => 949, 'CAD' => 124, 'AUD' => 36, 'NZD' => 554, 'JPY' => 392, 'CNY' => 156, 'INR' => 356,
        'KRW' => 410, 'BRL' => 986, 'MXN' => 484, 'ZAR' => 710, 'ILS' => 376, 'SGD' => 702,
    ];

    /** Which place in the exponents of a dimension is that of money. */
    private const PLACE = 9;

    public static function unit(string $symbol): ?Unit
    {
        $number = self::NUMBERS[$symbol] ?? null;

        return $number === null ? null : new Unit($symbol, Dimension::of([...array_fill(0, self::PLACE, 0), $number]), 1.0);
    }

    /** Symbol and power of what an exponent of money stands for; null where it is none of ours. */
    public static function named(int $exponent): ?string
    {
        foreach (self::NUMBERS as $symbol => $number) {
            if ($exponent % $number === 0 && abs(intdiv($exponent, $number)) <= 3) {
                $power = intdiv($exponent, $number);

                return $symbol.($power === 1 ? '' : '^'.$power);
            }
        }

        return null;
    }
}
