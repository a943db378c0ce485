<?php

declare(strict_types=1);

namespace Lustrum\Core\Failure;

use Lustrum\Core\Run\Severity;

/** Something that carries a fix held, once or several times alike, or failed in the same way again. */
final readonly class ClosingEvent
{
    /**
     * @param string        $order    where it stands in the order in which runs were made
     * @param Severity|null $severity null where nobody said how hard it was
     * @param string        $where    letter of the build that made it, or the run itself where no build is known
     * @param list<string>  $fixes    that it carries, by their names
     * @param int           $times    of a hold: how often in a row
     */
    public function __construct(
        public string $order,
        public bool $held,
        public ?Severity $severity,
        public string $where,
        public array $fixes,
        public int $times = 1,
    ) {
    }
}
