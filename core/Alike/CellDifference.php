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
        return array_map(static function (Cell $cell): self {
            [$a, $b] = [$cell->a(), $cell->b()];

            return new self(
                $cell->name, count($a), count($b), array_sum($a) / count($a), array_sum($b) / count($b), Stratum::together($cell->strata),
            );
        }, Cell::ofAll($strata));
    }
}
