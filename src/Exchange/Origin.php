<?php

declare(strict_types=1);

namespace Lustrum\Exchange;

/** Who made a record, when, and in which state it is: what an export keeps beside its fields. */
final readonly class Origin
{
    public function __construct(
        public string $createdAt,
        public string $createdBy,
        public int $version,
        public ?string $withdrawnBecause,
    ) {
    }
}
