<?php

declare(strict_types=1);

namespace Lustrum\Domain\Device;

final readonly class UseCaseView
{
    public function __construct(
        public string $id,
        public int $version,
        public string $device,
        public string $name,
        public string $who,
        public string $where,
        public string $dropped,
    ) {
    }
}
