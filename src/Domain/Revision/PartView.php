<?php

declare(strict_types=1);

namespace Lustrum\Domain\Revision;

final readonly class PartView
{
    public function __construct(
        public string $id,
        public int $version,
        public string $revision,
        public string $name,
        public string $material,
        public float $quantity,
        public float $cost,
        public string $note,
    ) {
    }
}
