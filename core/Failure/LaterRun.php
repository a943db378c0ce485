<?php

declare(strict_types=1);

namespace Lustrum\Core\Failure;

/** A run after a failure: how hard it was, and whether what it was made with carries a fix. */
final readonly class LaterRun
{
    public function __construct(
        public string $id,
        public bool $carriesFix,
        public float $severity,
        public LaterOutcome $outcome,
    ) {
    }
}
