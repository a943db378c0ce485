<?php

declare(strict_types=1);

namespace Lustrum\Domain\Finding;

final readonly class FailureView
{
    public function __construct(
        public string $id,
        public int $version,
        public string $revision,
        public ?string $run,
        public ?string $article,
        public string $mode,
        public string $place,
        public Severity $severity,
        public string $stage,
        public string $note,
        public string $by,
        public string $at,
    ) {
    }
}
