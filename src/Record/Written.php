<?php

declare(strict_types=1);

namespace Lustrum\Record;

/** What came of a write: the record as it is now, whether it is new, and which sheets became stale. */
final readonly class Written
{
    /** @param list<string> $stale */
    public function __construct(
        public object $view,
        public bool $new = false,
        public array $stale = [],
    ) {
    }
}
