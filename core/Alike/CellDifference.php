<?php

declare(strict_types=1);

namespace Lustrum\Core\Alike;

/** The two sides in one cell, in the unit of the values. */
final readonly class CellDifference
{
    public function __construct(
        public string $cell,
        public int $na,
        public int $nb,
        public float $a,
        public float $b,
        public float $difference,
    ) {
    }

    /**
     * @param list<Stratum> $strata
     *
     * @return list<self> by first appearance
     */
    public static function ofAll(array $strata): array
    {
        $by = [];
        foreach ($strata as $stratum) {
            $by[$stratum->cell][] = $stratum;
        }
        $out = [];
        foreach ($by as $cell => $some) {
            $a = array_merge(...array_map(static fn (Stratum $s): array => $s->a, $some));
            $b = array_merge(...array_map(static fn (Stratum $s): array => $s->b, $some));
            $weight = array_sum(array_map(static fn (Stratum $s): float => $s->weight(), $some));
            $sum = array_sum(array_map(static fn (Stratum $s): float => $s->weight() * $s->difference(), $some));
            $out[] = new self(
                (string) $cell, count($a), count($b), array_sum($a) / count($a), array_sum($b) / count($b), $sum / $weight,
            );
        }

        return $out;
    }
}
