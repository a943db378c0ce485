<?php

declare(strict_types=1);

namespace Lustrum\Core\Alike;

/** The largest sets of sides of which no two are told apart; neighbours may share one (Bron and Kerbosch 1973). */
final class Groups
{
    /**
     * @param list<string>       $sides in their order
     * @param list<list<string>> $apart those of them that are joined
     * @param list<SidePair>     $pairs
     *
     * @return list<list<string>> in the order of the sides
     */
    public static function of(array $sides, array $apart, array $pairs): array
    {
        $alike = [];
        foreach ($pairs as $pair) {
            if (!$pair->told) {
                $alike[$pair->a][$pair->b] = $alike[$pair->b][$pair->a] = true;
            }
        }
        $place = array_flip($sides);
        $found = [];
        foreach ($apart as $joined) {
            self::grow([], $joined, [], $alike, $found);
        }
        $inPlace = static function (array $group) use ($place): array {
            usort($group, static fn (string $a, string $b): int => $place[$a] <=> $place[$b]);

            return $group;
        };
        $found = array_map($inPlace, $found);
        usort($found, static fn (array $a, array $b): int => self::order($a, $place) <=> self::order($b, $place));

        return $found;
    }

    /**
     * @param list<string>                       $group
     * @param list<string>                       $may   be added
     * @param list<string>                       $done  would give a set that was found already
     * @param array<string, array<string, true>> $alike
     * @param list<list<string>>                 $found grows
     */
    private static function grow(array $group, array $may, array $done, array $alike, array &$found): void
    {
        if ($may === [] && $done === []) {
            $found[] = $group;

            return;
        }
        // Of the sets around the side that is alike with most others, each holds it or one that is not alike with it.
        $pivot = self::mostAlike(array_merge($may, $done), $may, $alike);
        foreach (array_filter($may, static fn (string $side): bool => !isset($alike[$pivot][$side])) as $side) {
            $isAlike = static fn (string $other): bool => isset($alike[$side][$other]);
            self::grow(
                [...$group, $side], array_values(array_filter($may, $isAlike)), array_values(array_filter($done, $isAlike)), $alike, $found,
            );
            $may = array_values(array_filter($may, static fn (string $other): bool => $other !== $side));
            $done[] = $side;
        }
    }

    /**
     * @param list<string>                       $of    one at least
     * @param list<string>                       $may
     * @param array<string, array<string, true>> $alike
     */
    private static function mostAlike(array $of, array $may, array $alike): string
    {
        $most = -1;
        $found = '';
        foreach ($of as $side) {
            $n = count(array_filter($may, static fn (string $other): bool => isset($alike[$side][$other])));
            if ($n > $most) {
                [$most, $found] = [$n, $side];
            }
        }

        return $found;
    }

    /**
     * Sorts as the sides of a group stand, the first first.
     *
     * @param list<string>       $group
     * @param array<string, int> $place
     */
    private static function order(array $group, array $place): string
    {
        return implode(' ', array_map(static fn (string $side): string => sprintf('%06d', $place[$side]), $group));
    }
}
