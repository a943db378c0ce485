<?php

declare(strict_types=1);

namespace Lustrum\Core\Check;

/** A comparative word that no number stands behind. */
final readonly class Claim
{
    /** @param int $at characters before it */
    public function __construct(
        public string $word,
        public int $at,
    ) {
    }
}
