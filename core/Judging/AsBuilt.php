<?php

declare(strict_types=1);

namespace Lustrum\Core\Judging;

/**
 * Of each article the runs of one state: what was changed on it between two runs begins another, which stands for itself.
 *
 * The state is that without anything that its build has not, where it was tried; else the one that it was tried in first.
 */
final class AsBuilt
{
    /**
     * @template K of array-key
     * @template T
     *
     * @param array<K, T>                                   $some
     * @param callable(T): array{string, string, string} $of which article of which variant, what that had otherwise than its build, and
     *     where its first run stands
     *
     * @return array<K, T> those of it, in their order
     */
    public static function of(array $some, callable $of): array
    {
        $first = $states = [];
        foreach ($some as $i => $one) {
            [$on, $own, $at] = $of($one);
            $rank = [$own !== '', $at];
            $states[$i] = [$on, $own];
            if (!isset($first[$on]) || $rank < $first[$on][0]) {
                $first[$on] = [$rank, $own];
            }
        }

        return array_filter(
            $some, static fn (int|string $i): bool => $states[$i][1] === ($first[$states[$i][0]][1] ?? null), \ARRAY_FILTER_USE_KEY,
        );
    }
}
