<?php

declare(strict_types=1);

namespace Lustrum\Core\Judging;

/** What pairs the runs of several sides: raters, days, beds, articles. */
final class Blocks
{
    /** No run is alike to another whose level or block nobody knows. */
    private const UNKNOWN = "\x1f?";

    /**
     * Those that all runs have and of which some level is on two sides; what is compared is none of them.
     *
     * @param array<int, Sided>  $sided
     * @param array<int, string> $sides by the same places
     *
     * @return array{list<string>, list<string>} blocks that pair, and blocks that have nothing in common
     */
    public static function between(array $sided, array $sides, string $compared = ''): array
    {
        $names = null;
        $on = [];
        foreach ($sides as $i => $side) {
            $own = $sided[$i]->alike->blocks;
            $names = $names === null ? array_keys($own) : array_values(array_intersect($names, array_keys($own)));
            foreach ($own as $block => $level) {
                if ($level !== '') {
                    $on[$block][self::cell($sided[$i], $side)."\x1e".$level][$side] = true;
                }
            }
        }
        $pair = $leftOut = [];
        foreach (array_map(strval(...), array_diff($names ?? [], [$compared])) as $block) {
            if (array_filter($on[$block] ?? [], static fn (array $of): bool => count($of) > 1) === []) {
                $leftOut[] = $block;
            } else {
                $pair[] = $block;
            }
        }

        return [$pair, $leftOut];
    }

    /** Which cell a run lies in: one whose levels are not known is alike to none of another side. */
    public static function cell(Sided $one, string $side): string
    {
        return $one->alike->isKnown() ? $one->alike->cell : $one->alike->cell.self::UNKNOWN.$side;
    }

    /**
     * What runs belong together by.
     *
     * @param list<string> $blocks
     */
    public static function of(Sided $one, string $side, array $blocks): ?string
    {
        return $blocks === [] ? null : implode("\x1f", array_map(static function (string $name) use ($one, $side): string {
            $level = $one->alike->blocks[$name] ?? '';

            return $level === '' ? self::UNKNOWN.$side : $level;
        }, $blocks));
    }
}
