<?php

declare(strict_types=1);

namespace Lustrum\Core\Alike;

/** All strata of one cell: one where nothing pairs its runs, else one a block. */
final readonly class Cell
{
    /** @param non-empty-list<Stratum> $strata */
    private function __construct(
        public string $name,
        public array $strata,
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

        return array_map(static fn (array $of): self => new self($of[0]->cell, $of), array_values($by));
    }

    /** @return non-empty-list<float> values of the first side */
    public function a(): array
    {
        return array_merge(...array_map(static fn (Stratum $s): array => $s->a, $this->strata));
    }

    /** @return non-empty-list<float> */
    public function b(): array
    {
        return array_merge(...array_map(static fn (Stratum $s): array => $s->b, $this->strata));
    }
}
