<?php

declare(strict_types=1);

namespace Lustrum\Domain\Finding;

final readonly class ObservationView
{
    public function __construct(
        public string $id,
        public int $version,
        public string $revision,
        public ?string $run,
        public string $text,
        public string $saidBy,
        public string $by,
        public string $at,
        public ?float $after,
        public bool $odd,
        public string $explained,
        public ?float $until,
        public ?string $method,
    ) {
    }
}
