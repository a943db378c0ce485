<?php

declare(strict_types=1);

namespace Lustrum\Trial;

/** A later value or outcome beside the first one, with its reason. */
final readonly class Amendment
{
    public function __construct(
        public string $text,
        public string $reason,
        public string $by,
        public string $at,
    ) {
    }
}
