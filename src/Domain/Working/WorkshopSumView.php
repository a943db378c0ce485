<?php

declare(strict_types=1);

namespace Lustrum\Domain\Working;

final readonly class WorkshopSumView
{
    /** @param list<SumVariable> $variables */
    public function __construct(
        public string $id,
        public int $version,
        public string $workspace,
        public string $name,
        public string $formula,
        public array $variables,
        public string $unit,
        public string $note,
    ) {
    }
}
