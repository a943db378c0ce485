<?php

declare(strict_types=1);

namespace Lustrum\Core\Judging;

use Lustrum\Core\Run\Configuration;

/** A run that held, as what must have held before another looks at it. */
final readonly class HeldRun
{
    /** @param array<string, string> $levels by factor, as recorded */
    public function __construct(
        public Configuration $configuration,
        public array $levels,
    ) {
    }
}
