<?php

declare(strict_types=1);

namespace Lustrum\Domain\Finding;

final readonly class CauseView
{
    public function __construct(
        public string $id,
        public int $version,
        public string $failure,
        public string $text,
        public CauseKind $kind,
        public CauseStanding $standing,
        public string $findings,
    ) {
    }
}
