<?php

declare(strict_types=1);

namespace Lustrum\Sheet\Explain;

/** How one method works, where it comes from, and when it applies. */
final readonly class Explanation
{
    public function __construct(
        public string $key,
        public string $title,
        public string $text,
    ) {
    }
}
