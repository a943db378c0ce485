<?php

declare(strict_types=1);

namespace Lustrum\Domain\Heap;

final readonly class CameraView
{
    /** @param float $ahead s */
    public function __construct(
        public string $id,
        public int $version,
        public string $workspace,
        public string $name,
        public float $ahead,
    ) {
    }
}
