<?php

declare(strict_types=1);

namespace Lustrum\Core\Quantity;

use Lustrum\Core\Statistics\Sample;

/**
 * Finds readings that look typed in the wrong unit or with a slipped decimal point.
 *
 * On logarithms: suspect when the candidate lies over 4 spreads from the median of the previous readings
 * (spread: 1.4826 · MAD, not under 5 %) and a known slip of its dimension brings it within 2.
 * Source of the robust spread: Rousseeuw and Croux (1993), J. Amer. Statist. Assoc. 88, 1273.
 */
final class SlipCheck
{
    /** Earlier readings above nought that it takes to judge another by. */
    public const LEAST = 3;

    private const GROUPS = [
        ['lb', 'kg'], ['N', 'lbf', 'kgf'], ['mm', 'cm', 'in', 'ft', 'm'], ['°C', '°F'], ['s', 'min', 'h'], ['km/h', 'mph'], ['kPa', 'psi'],
    ];

    /**
     * @param list<float> $previous in the unit of the candidate
     */
    public static function check(Quantity $candidate, array $previous): Slip
    {
        $usable = array_values(array_filter($previous, static fn (float $v): bool => $v > 0 && is_finite($v)));
        if (count($usable) < self::LEAST) {
            return new Slip(false, null, null, null, 'Fewer than three earlier readings to compare with.');
        }
        if ($candidate->value <= 0) {
            return new Slip(false, null, null, null, 'Only readings above nought can be compared by ratio.');
        }
        $logs = array_map(log(...), $usable);
        $centre = Sample::median($logs);
        $spread = max(0.05, 1.4826 * Sample::median(array_map(static fn (float $l): float => abs($l - $centre), $logs)));
        $distance = static fn (float $v): float => $v > 0 ? abs(log($v) - $centre) / $spread : INF;
        if ($distance($candidate->value) <= 4) {
            return new Slip(false, null, null, null, 'It lies where the earlier readings lie.');
        }
        $nearest = /** @param list<array{string, float}> $explanations @return array{string, float}|null */ static function (array $explanations) use ($distance): ?array {
            usort($explanations, static fn (array $x, array $y): int => $distance($x[1]) <=> $distance($y[1]));

            return $explanations !== [] && $distance($explanations[0][1]) <= 2 ? $explanations[0] : null;
        };
        // A wrong unit is likelier than a wrong power of ten, where both would fit.
        $best = $nearest(self::units($candidate)) ?? $nearest(self::powers($candidate));
        if ($best === null) {
            return new Slip(false, null, null, null, 'It is far from the earlier readings, but no known slip explains it.');
        }
        $usual = exp($centre);

        return new Slip(true, $best[1] / $candidate->value, $best[0], $best[1], sprintf(
            'The earlier readings are near %s %s. %s',
            Digits::plain($usual, 3), $candidate->unit->symbol, self::question($candidate, ...$best),
        ));
    }

    /** @param string $slip the unit that it looks typed in, or '×10', '÷1000' */
    private static function question(Quantity $candidate, string $slip, float $corrected): string
    {
        return str_starts_with($slip, '×') || str_starts_with($slip, '÷')
            ? sprintf('The decimal point may have slipped: %s %s?', Digits::short($corrected), $candidate->unit->symbol)
            : sprintf('%s %s would fit if it was read in %s.', Digits::short($candidate->value), $candidate->unit->symbol, $slip);
    }

    /** @return list<array{string, float}> unit that it looks typed in, and the value in the candidate's unit */
    private static function units(Quantity $candidate): array
    {
        $out = [];
        foreach (self::GROUPS as $group) {
            foreach (Units::parse($group[0])->dimension->equals($candidate->unit->dimension) ? $group : [] as $symbol) {
                $out[] = [$symbol, Quantity::of($candidate->value, $symbol)->to($candidate->unit->symbol)->value];
            }
        }

        return $out;
    }

    /** @return list<array{string, float}> */
    private static function powers(Quantity $candidate): array
    {
        $out = [];
        foreach (['÷10' => 10.0, '×10' => 0.1, '÷1000' => 1000.0, '×1000' => 0.001] as $name => $factor) {
            $out[] = [$name, $candidate->value * $factor];
        }

        return $out;
    }
}
