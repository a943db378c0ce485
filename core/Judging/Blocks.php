<?php

declare(strict_types=1);

namespace Lustrum\Core\Judging;

/** What pairs the runs of several sides: raters, days, beds, articles. */
final class Blocks
{
    /**
     * Those that all runs have and of which some level is on two sides; what is compared is none of them.
     *
     * @param array<int, Sided>  $sided
     * @param array<int, string> $sides by the same places
     *
     * @return list<string>
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
                    $on[$block][$sided[$i]->alike->cell."\x1e".$level][$side] = true;
                }
            }
        }

        return array_values(array_map(strval(...), array_filter($names ?? [], static fn (string|int $block): bool => (string) $block !== $compared
            && array_filter($on[$block] ?? [], static fn (array $of): bool => count($of) > 1) !== [])));
    }

    /**
     * What runs belong together by.
     *
     * @param list<string> $blocks
     */
    public static function of(Sided $one, array $blocks): ?string
    {
        return $blocks === [] ? null : implode("\x1f", array_map(static fn (string $b): string => $one->alike->blocks[$b] ?? '', $blocks));
    }
}
