<?php

declare(strict_types=1);

namespace Lustrum\Core\Run;

/** One thing that became otherwise between two states of a method. */
final readonly class MethodChange
{
    /**
     * @param string $what   which of its parts: 'channel', 'heldWhen' …
     * @param string $name   of the one that changed; empty where there is only one
     * @param string $field  of it that changed; empty where it came or went
     * @param string $was    in words; empty: it was not there
     * @param string $is     in words; empty: it is gone
     * @param bool   $breaks can results before and after no longer simply be put together?
     */
    public function __construct(
        public string $what,
        public string $name,
        public string $field,
        public string $was,
        public string $is,
        public bool $breaks,
    ) {
    }
}
