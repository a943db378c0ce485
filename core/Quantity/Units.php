<?php

declare(strict_types=1);

namespace Lustrum\Core\Quantity;

/**
 * Every unit that Lustrum knows, and the reading of unit symbols: `N`, `N/mm`, `kg/m^3`, `lbf·ft`, `µm`.
 *
 * Factors: SI Brochure, 9th edition (BIPM 2019), and NIST SP 811 (2008), appendix B.8; exact where those are.
 */
final class Units
{
    private const G0 = 9.80665;
    private const LB = 0.45359237;
    private const IN = 0.0254;

    /** symbol => [exponents, factor, offset?, kind?]; SI ones that take prefixes are in PREFIXABLE. */
    private const TABLE = [
        'g' => [[1], 1e-3], 't' => [[1], 1e3], 'lb' => [[1], self::LB], 'oz' => [[1], self::LB / 16],
        'N' => [[1, 1, -2], 1.0], 'lbf' => [[1, 1, -2], self::LB * self::G0], 'ozf' => [[1, 1, -2], self::LB * self::G0 / 16],
        'kgf' => [[1, 1, -2], self::G0], 'gf' => [[1, 1, -2], self::G0 / 1000],
        'm' => [[0, 1], 1.0], 'in' => [[0, 1], self::IN], 'ft' => [[0, 1], self::IN * 12], 'yd' => [[0, 1], self::IN * 36],
        'thou' => [[0, 1], self::IN / 1000], 'mile' => [[0, 1], 1609.344],
        's' => [[0, 0, 1], 1.0], 'min' => [[0, 0, 1], 60.0], 'h' => [[0, 0, 1], 3600.0], 'day' => [[0, 0, 1], 86400.0],
        'Pa' => [[1, -1, -2], 1.0], 'bar' => [[1, -1, -2], 1e5], 'psi' => [[1, -1, -2], self::LB * self::G0 / (self::IN * self::IN)],
        'J' => [[1, 2, -2], 1.0], 'Wh' => [[1, 2, -2], 3600.0],
        'W' => [[1, 2, -3], 1.0], 'hp' => [[1, 2, -3], self::LB * self::G0 * self::IN * 12 * 550],
        'rpm' => [[0, 0, -1], 1 / 60], 'Hz' => [[0, 0, -1], 1.0],
        'rad' => [[0, 0, 0, 0, 0, 0, 1], 1.0], 'deg' => [[0, 0, 0, 0, 0, 0, 1], M_PI / 180],
        'K' => [[0, 0, 0, 1], 1.0], '°C' => [[0, 0, 0, 1], 1.0, 273.15], '°F' => [[0, 0, 0, 1], 5 / 9, 459.67],
        'A' => [[0, 0, 0, 0, 1], 1.0], 'V' => [[1, 2, -3, 0, -1], 1.0], 'Ω' => [[1, 2, -3, 0, -2], 1.0],
        'C' => [[0, 0, 1, 0, 1], 1.0], 'Ah' => [[0, 0, 1, 0, 1], 3600.0], 'F' => [[-1, -2, 4, 0, 2], 1.0],
        'H' => [[1, 2, -2, 0, -2], 1.0], 'T' => [[1, 0, -2, 0, -1], 1.0],
        'mph' => [[0, 1, -1], 0.44704], 'kn' => [[0, 1, -1], 1852 / 3600], 'g0' => [[0, 1, -2], self::G0],
        'L' => [[0, 3], 1e-3], 'gal' => [[0, 3], 3.785411784e-3], 'gal(imp)' => [[0, 3], 4.54609e-3],
        '%' => [[], 0.01], '1' => [[], 1.0], 'count' => [[0, 0, 0, 0, 0, 0, 0, 1], 1.0],
        'lx' => [[0, -2, 0, 0, 0, 1], 1.0], 'dB' => [[0, 0, 0, 0, 0, 0, 0, 0, 1], 1.0],
    ];

    private const PREFIXABLE = [
        'g', 'N', 'm', 's', 'Pa', 'bar', 'J', 'Wh', 'W', 'Hz', 'rad', 'K', 'A', 'V', 'Ω', 'C', 'Ah', 'F', 'H', 'T', 'L', 'lx',
    ];

    private const PREFIXES = [
        'p' => 1e-12, 'n' => 1e-9, 'µ' => 1e-6, 'm' => 1e-3, 'c' => 1e-2, 'd' => 1e-1, 'h' => 1e2, 'k' => 1e3, 'M' => 1e6, 'G' => 1e9,
        'T' => 1e12,
    ];

    /** What people write for a symbol of the table (upper and lower case as given, then in lower case). */
    private const ALIASES = [
        'sec' => 's', 'secs' => 's', 'second' => 's', 'seconds' => 's', 'mins' => 'min', 'minute' => 'min', 'minutes' => 'min',
        'hr' => 'h', 'hrs' => 'h', 'hour' => 'h', 'hours' => 'h', 'd' => 'day', 'days' => 'day',
        'inch' => 'in', 'inches' => 'in', '"' => 'in', '″' => 'in', '”' => 'in', 'foot' => 'ft', 'feet' => 'ft', "'" => 'ft',
        '′' => 'ft', '’' => 'ft',
        'yard' => 'yd', 'yards' => 'yd', 'mil' => 'thou', 'mi' => 'mile', 'miles' => 'mile', 'micron' => 'µm', 'microns' => 'µm',
        'lbs' => 'lb', 'pound' => 'lb', 'pounds' => 'lb', 'ounce' => 'oz', 'ounces' => 'oz', 'kgs' => 'kg', 'gram' => 'g',
        'grams' => 'g', 'tonne' => 't',
        'lbs-force' => 'lbf', 'lb-f' => 'lbf', 'newton' => 'N', 'newtons' => 'N', 'kp' => 'kgf', 'metre' => 'm', 'meter' => 'm',
        'metres' => 'm', 'meters' => 'm',
        '°' => 'deg', 'º' => 'deg', 'degree' => 'deg', 'degrees' => 'deg', 'degc' => '°C', 'ºC' => '°C', '℃' => '°C', 'celsius' => '°C',
        'degf' => '°F', 'ºF' => '°F', '℉' => '°F', 'kelvin' => 'K', 'ohm' => 'Ω', 'ohms' => 'Ω', 'Ω' => 'Ω', 'volt' => 'V', 'volts' => 'V',
        'amp' => 'A', 'amps' => 'A', 'watt' => 'W', 'watts' => 'W', 'kph' => 'km/h', 'kmh' => 'km/h', 'knot' => 'kn', 'knots' => 'kn',
        'l' => 'L', 'ml' => 'mL', 'litre' => 'L', 'liter' => 'L', 'litres' => 'L', 'cc' => 'cm^3', 'gal(us)' => 'gal',
        'gal (us)' => 'gal', 'gal (imp)' => 'gal(imp)',
        'lux' => 'lx', 'rev/min' => 'rpm', 'percent' => '%', 'pcs' => 'count', 'x' => 'count', 'counts' => 'count',
        'turns' => 'count', 'seeds' => 'count', 'db' => 'dB',
        'ft·lbf' => 'ft·lbf', 'hz' => 'Hz', 'khz' => 'kHz', 'pa' => 'Pa', 'kpa' => 'kPa', 'mpa' => 'MPa', 'n' => 'N',
        'nm' => 'N·m', 'v' => 'V', 'w' => 'W', 'a' => 'A', 'ma' => 'mA', 'mah' => 'mAh', 'ah' => 'Ah', 'wh' => 'Wh',
        'kg-f' => 'kgf', 'cm3' => 'cm^3', 'm3' => 'm^3', 'm2' => 'm^2', 'mm2' => 'mm^2',
    ];

    /** UCUM codes where they differ from the symbol (the Unified Code for Units of Measure, 2.1). */
    private const UCUM = [
        'lb' => '[lb_av]', 'oz' => '[oz_av]', 'lbf' => '[lbf_av]', 'ozf' => '[ozf_av]', 'kgf' => 'kgf', 'in' => '[in_i]',
        'ft' => '[ft_i]', 'yd' => '[yd_i]',
        'thou' => '[mil_i]', 'mile' => '[mi_i]', 'day' => 'd', 'psi' => '[psi]', 'hp' => '[HP]', 'rpm' => '/min', '°C' => 'Cel',
        '°F' => '[degF]', 'Ω' => 'Ohm',
        'Ah' => 'A.h', 'Wh' => 'W.h', 'mph' => '[mi_i]/h', 'kn' => '[kn_i]', 'g0' => '[g]', 'gal' => '[gal_us]',
        'gal(imp)' => '[gal_br]', 'count' => '{count}', 'dB' => 'dB', 'lx' => 'lx',
    ];

    /** @var array<string, Unit> */
    private static array $cache = [];

    /**
     * Reads a unit symbol.
     *
     * @throws UnknownUnit with the nearest known symbol
     */
    public static function parse(string $symbol): Unit
    {
        $typed = trim($symbol);

        return self::$cache[$typed] ??= self::read($typed)->typedAs($typed);
    }

    /** Do both measure the same? Not where one is no unit, or there is none. */
    public static function fit(string $a, string $b): bool
    {
        return $a !== '' && $b !== '' && self::knows($a) && self::knows($b) && self::parse($a)->dimension->equals(
            self::parse($b)->dimension,
        );
    }

    /** What a unit measures, in a word; empty where there is none, or it is no unit. */
    public static function measures(string $symbol): string
    {
        return $symbol !== '' && self::knows($symbol) ? self::parse($symbol)->dimension->name() : '';
    }

    /** Is this text a unit symbol? */
    public static function knows(string $symbol): bool
    {
        try {
            self::parse($symbol);

            return true;
        } catch (UnknownUnit) {
            return false;
        }
    }

    /** @return list<string> the plain symbols, for choosing from */
    public static function symbols(): array
    {
        return array_map(strval(...), array_keys(self::TABLE));
    }

    /** The UCUM code of a unit symbol, for exports. */
    public static function ucum(string $symbol): string
    {
        $tokens = preg_split('/([·*\/])/u', self::tidy($symbol), -1, PREG_SPLIT_DELIM_CAPTURE) ?: [];

        return implode('', array_map(static function (string $token): string {
            if (in_array($token, ['·', '*'], true)) {
                return '.';
            }
            [$base, $power] = self::splitPower($token);

            return self::ucumOf($base).($power === 1 ? '' : (string) $power);
        }, $tokens));
    }

    private static function ucumOf(string $base): string
    {
        if (isset(self::TABLE[$base])) {
            return self::UCUM[$base] ?? $base;
        }
        $alias = self::ALIASES[$base] ?? self::ALIASES[mb_strtolower($base)] ?? null;
        if ($alias !== null && $alias !== $base) {
            return self::ucum($alias);
        }
        foreach ([$base, mb_strtolower($base)] as $spelling) {
            if (self::prefixed($spelling) !== null) {
                return strtr(mb_substr($spelling, 0, 1), ['µ' => 'u']).self::ucumOf(mb_substr($spelling, 1));
            }
        }

        return $base;
    }

    private static function read(string $typed): Unit
    {
        $text = self::tidy($typed);
        if (($simple = self::simple($text)) !== null) {
            return $simple;
        }
        $tokens = preg_split('/([·*\/])/u', $text, -1, PREG_SPLIT_DELIM_CAPTURE) ?: [];
        if (count($tokens) > 15 || mb_strlen($text) > 60) {
            throw UnknownUnit::tooLong($typed);
        }
        $dimension = Dimension::of([]);
        $factor = 1.0;
        $sign = 1;
        foreach ($tokens as $i => $token) {
            if ($i % 2 === 1) {
                $sign = $token === '/' ? -1 : 1;
                continue;
            }
            [$base, $power] = self::splitPower($token);
            $unit = self::simple($base) ?? throw UnknownUnit::symbol($typed, self::nearest($base));
            $dimension = $dimension->times($unit->dimension->power($sign * $power));
            $factor *= $unit->factor ** ($sign * $power);
        }
        $kind = $dimension->equals(Dimension::of([1, 2, -2])) && preg_match(
            '/^(N|kN|lbf|kgf|mN|ozf|gf)[·*]/u', $text,
        ) === 1 ? 'torque' : '';

        return new Unit($typed, $dimension, $factor, 0.0, $kind);
    }

    private static function simple(string $token): ?Unit
    {
        if (($money = Currencies::unit($token)) !== null) {
            return $money;
        }
        foreach ([$token, mb_strtolower($token)] as $spelling) {
            $symbol = isset(self::TABLE[$spelling]) ? $spelling : (self::ALIASES[$spelling] ?? null);
            if ($symbol !== null && isset(self::TABLE[$symbol])) {
                [$exponents, $factor] = self::TABLE[$symbol];

                return new Unit($symbol, Dimension::of($exponents), $factor, self::TABLE[$symbol][2] ?? 0.0);
            }
            if ($symbol !== null && $symbol !== $spelling) {
                return self::read($symbol);
            }
            if (($prefixed = self::prefixed($spelling)) !== null) {
                return $prefixed;
            }
        }

        return null;
    }

    private static function prefixed(string $token): ?Unit
    {
        $prefix = mb_substr($token, 0, 1);
        $base = mb_substr($token, 1);
        $base = in_array($base, ['ohm', 'ohms'], true) ? 'Ω' : $base;
        if (!isset(self::PREFIXES[$prefix]) || !in_array($base, self::PREFIXABLE, true)) {
            return null;
        }
        [$exponents, $factor] = self::TABLE[$base];
        // kg, km, mm … are written exactly (1e-3 * 1e3 would be, but 1e-3 * 1e-6 is not).
        $scaled = (float) sprintf('%.15g', self::PREFIXES[$prefix] * $factor);

        return new Unit($token, Dimension::of($exponents), $scaled);
    }

    /** @return array{string, int} */
    private static function splitPower(string $token): array
    {
        return preg_match('/^(.*?[^\d^-])(?:\^|\*\*)?(-?\d)$/u', $token, $m) === 1 && !isset(self::TABLE[$token])
            ? [rtrim($m[1], '^'), (int) $m[2]] : [$token, 1];
    }

    private static function tidy(string $symbol): string
    {
        $text = strtr(
            trim($symbol),
            [
                '⁻¹' => '^-1', '⁻²' => '^-2', '⁻³' => '^-3', 'μ' => 'µ', 'Ω' => 'Ω', '⋅' => '·', '×' => '·', '²' => '^2', '³' => '^3',
                '¹' => '', '−' => '-', '**' => '^',
            ],
        );
        $text = preg_replace('/\s*([·*\/])\s*/u', '$1', $text) ?? $text;
        // A bracketed denominator of plain factors, as in W/(m·K), is the same as dividing by each.
        $text = preg_replace_callback(
            '/\/\(([^()\/]+)\)/u', static fn (array $m): string => '/'.strtr($m[1], ['·' => '/', '*' => '/']), $text,
        ) ?? $text;
        $text = preg_replace('/^(deg|°|º)\s*([CF])$/iu', '°$2', $text) ?? $text;
        if (preg_match('/^u(m|s|A|V|F|H|g|L|N|W)$/', $text) === 1) {
            $text = 'µ'.substr($text, 1);
        }

        return preg_replace('/(\p{L})[ -](?=(lbf|ft|m|in|s|h)\b)/u', '$1·', $text) ?? $text;
    }

    private static function nearest(string $token): ?string
    {
        $best = null;
        $distance = 3;
        foreach (array_merge(array_keys(self::TABLE), ['kg', 'mm', 'cm', 'km', 'kN', 'kPa', 'mA', 'mAh', 'mL', 'km/h'], array_keys(self::ALIASES)) as $symbol) {
            $d = levenshtein(mb_strtolower((string) $symbol), mb_strtolower(mb_substr($token, 0, 60)));
            if ($d < $distance && $d < max(2, mb_strlen($token) - 1)) {
                [$best, $distance] = [(string) $symbol, $d];
            }
        }

        return $best;
    }
}
