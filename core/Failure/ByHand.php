<?php

declare(strict_types=1);

namespace Lustrum\Core\Failure;

/** Who closed a failure in words, and why. */
final readonly class ByHand
{
    /** @param string $at when, written as the times of failures are */
    public function __construct(
        public string $id,
        public string $by,
        public string $why,
        public string $at,
    ) {
    }
}
