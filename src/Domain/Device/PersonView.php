<?php

declare(strict_types=1);

namespace Lustrum\Domain\Device;

final readonly class PersonView
{
    public function __construct(
        public string $id,
        public int $version,
        public string $device,
        public string $name,
        public Relation $relation,
        public string $note,
    ) {
    }
}
