<?php

declare(strict_types=1);

namespace Lustrum\Exchange;

/** What an import brought in. */
final readonly class ImportView
{
    public function __construct(
        public string $device,
        public string $name,
        public int $records,
        public int $pictures,
    ) {
    }
}
