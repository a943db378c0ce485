<?php

declare(strict_types=1);

namespace Lustrum\Domain\Finding;

final readonly class ClosingByHandView
{
    /** @param string $by who said so */
    public function __construct(
        public string $id,
        public int $version,
        public string $failure,
        public string $why,
        public string $by,
        public string $at,
    ) {
    }
}
