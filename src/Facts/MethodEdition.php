<?php

declare(strict_types=1);

namespace Lustrum\Facts;

use Lustrum\Core\Run\MethodChange;

/** One write that changed what a method asks. */
final readonly class MethodEdition
{
    /**
     * @param int                $edition that it came to
     * @param bool               $isNew   did it become another edition by it?
     * @param list<MethodChange> $changes
     */
    public function __construct(
        public int $edition,
        public bool $isNew,
        public string $at,
        public string $by,
        public array $changes,
    ) {
    }
}
