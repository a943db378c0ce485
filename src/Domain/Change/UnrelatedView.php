<?php

declare(strict_types=1);

namespace Lustrum\Domain\Change;

final readonly class UnrelatedView
{
    /**
     * @param string $metric     its name
     * @param string $difference 'part:belt', 'parameter:gap', 'lot:wax', 'firmware'
     * @param string $by         who said so
     */
    public function __construct(
        public string $id,
        public int $version,
        public string $revision,
        public string $metric,
        public string $difference,
        public string $why,
        public string $by,
        public string $at,
    ) {
    }
}
