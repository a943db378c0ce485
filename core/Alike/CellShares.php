<?php

declare(strict_types=1);

namespace Lustrum\Core\Alike;

/** How often the two sides held in one cell. */
final readonly class CellShares
{
    public function __construct(
        public string $cell,
        public int $heldA,
        public int $triedA,
        public int $heldB,
        public int $triedB,
    ) {
    }

    /**
     * @param list<Stratum> $strata of runs that held (1) or failed (0)
     *
     * @return list<self> by first appearance
     */
    public static function ofAll(array $strata): array
    {
        return array_map(static function (Cell $cell): self {
            [$a, $b] = [$cell->a(), $cell->b()];

            return new self($cell->name, (int) array_sum($a), count($a), (int) array_sum($b), count($b));
        }, Cell::ofAll($strata));
    }
}
