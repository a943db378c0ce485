<?php

declare(strict_types=1);

namespace Lustrum\Core\Judging;

use Lustrum\Core\Run\Severity;

/** Something that carries a fix held, or failed in the same way again. */
final readonly class ClosingEvent
{
    /**
     * @param string        $order    where it stands in the order in which runs were made
     * @param Severity|null $severity null where nobody said how hard it was
     */
    public function __construct(
        public string $order,
        public bool $held,
        public ?Severity $severity,
        public string $letter,
        public string $fix,
    ) {
    }
}
