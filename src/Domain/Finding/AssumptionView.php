<?php

declare(strict_types=1);

namespace Lustrum\Domain\Finding;

final readonly class AssumptionView
{
    /** @param list<AssumptionFinding> $findings */
    public function __construct(
        public string $id,
        public int $version,
        public string $device,
        public string $text,
        public string $hangs,
        public string $check,
        public string $by,
        public array $findings,
        public string $at,
    ) {
    }
}
