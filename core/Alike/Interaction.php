<?php

declare(strict_types=1);

namespace Lustrum\Core\Alike;

use Lustrum\Core\Statistics\Distribution\FisherF;

/** Does the difference hang on the level? The additive model against one with a difference of its own for each cell. */
final readonly class Interaction
{
    private const NOTHING = 1e-24;

    private function __construct(
        public float $f,
        public int $df1,
        public int $df2,
        public float $p,
    ) {
    }

    /**
     * @param list<Stratum> $strata without blocks
     * @param float         $size   of the largest value
     */
    public static function of(array $strata, float $size): ?self
    {
        if ($strata === []) {
            return null;
        }
        $df1 = count($strata) - 1;
        $df2 = Estimate::degrees($strata) - $df1;
        $within = array_sum(array_map(static fn (Stratum $s): float => $s->squares(), $strata));
        if ($df1 < 1 || $df2 < 1 || $within <= self::NOTHING * $size * $size) {
            return null;
        }
        $f = (Estimate::squares($strata, Stratum::together($strata)) - $within) / $df1 / ($within / $df2);

        return new self($f, $df1, $df2, FisherF::upper($f, $df1, $df2));
    }
}
