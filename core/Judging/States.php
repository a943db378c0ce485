<?php

declare(strict_types=1);

namespace Lustrum\Core\Judging;

use Lustrum\Core\Run\Design;

/**
 * What was counted of one metric, each level and each state of the design by itself. Many states of one variant at one level, as
 * they come where somebody changes a thing between any two runs, fold into their last.
 */
final class States
{
    /**
     * @template T
     *
     * @param list<array{said: string, design: Design, of: T}> $cells in the order of their first runs; said: the level
     * @param int                                              $fold  so many of one level fold into one
     *
     * @return list<array{said: string, last: T, all: list<T>}> said: the level, the variant, and what was
     *     not the same on all of its states; all: what was folded, itself among it
     */
    public static function of(array $cells, int $fold): array
    {
        $designs = $rows = [];
        foreach ($cells as ['design' => $design]) {
            $designs[$design->arm][$design->key] = $design;
        }
        $varied = array_map(static fn (array $of): array => Design::varied(array_values($of)), $designs);
        foreach ($cells as ['said' => $level, 'design' => $design, 'of' => $of]) {
            $said = [...array_filter([$level, $design->arm]), ...$design->said($varied[$design->arm])];
            $rows[$design->arm."\x1d".$level][] = [implode(' · ', $said), $of];
        }
        $out = [];
        foreach ($rows as $states) {
            $all = array_column($states, 1);
            if (count($states) >= $fold) {
                $out[] = ['said' => $states[count($states) - 1][0], 'last' => $states[count($states) - 1][1], 'all' => $all];
                continue;
            }
            foreach ($states as [$said, $of]) {
                $out[] = ['said' => $said, 'last' => $of, 'all' => [$of]];
            }
        }

        return $out;
    }
}
