<?php

declare(strict_types=1);

namespace Lustrum\Http\Health;

use Lustrum\Storage\SpaceLeft;

/** How the application is; to whoever asks, so it says no more than that. */
final readonly class HealthView
{
    public function __construct(
        public bool $ok,
        public SpaceLeft $disk,
    ) {
    }
}
