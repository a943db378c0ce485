<?php

declare(strict_types=1);

namespace Lustrum\Sheet\Heap;

/** A run that a heap is laid against. */
final readonly class HeapRun
{
    /**
     * @param string $name   in words
     * @param string $device identifier
     */
    public function __construct(
        public string $id,
        public string $name,
        public string $device,
        public string $letter,
        public string $from,
    ) {
    }
}
