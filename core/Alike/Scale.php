<?php

declare(strict_types=1);

namespace Lustrum\Core\Alike;

use Lustrum\Core\Outcome\ResultKind;

/** Do effects add up, or do they multiply? */
enum Scale: string
{
    case Add = 'add';
    case Ratio = 'ratio';

    /** Means of cells this many times apart, and effects are taken to multiply. */
    private const SPAN = 3.0;

    /**
     * Where nobody says: they multiply where all values are above nought and the means of the cells span a factor above 3.
     *
     * @param list<AlikeRuns> $runs that are used
     */
    public static function among(array $runs): self
    {
        $cells = [];
        foreach ($runs as $run) {
            if ($run->kind === ResultKind::Equal) {
                foreach ($run->values as $value) {
                    $cells[$run->cell][] = $value;
                }
            }
        }
        $means = array_map(static fn (array $values): float => array_sum($values) / count($values), $cells);

        return AlikeRuns::arePositive($runs) && $means !== [] && max($means) > self::SPAN * min($means) ? self::Ratio : self::Add;
    }
}
