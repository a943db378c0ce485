<?php

declare(strict_types=1);

namespace Lustrum\Domain\Device;

use Lustrum\Core\Run\Amount;

final readonly class UseCaseView
{
    /** @param list<Amount> $loads */
    public function __construct(
        public string $id,
        public int $version,
        public string $device,
        public string $name,
        public string $who,
        public string $where,
        public string $dropped,
        public array $loads,
    ) {
    }
}
