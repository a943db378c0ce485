<?php

declare(strict_types=1);

namespace Lustrum\Core\Failure;

/** A revision after the one on which something failed. */
final readonly class LaterRevision
{
    /**
     * @param bool $carriesFix it or an ancestor of it has a change against this failure
     * @param int  $held       runs with the method of the failure that held, at its severity or harder
     * @param int  $recurred   failures of the same mode on it
     */
    public function __construct(
        public string $letter,
        public bool $carriesFix,
        public int $held,
        public int $recurred,
    ) {
    }
}
