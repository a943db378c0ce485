<?php

declare(strict_types=1);

namespace Lustrum\Sheet\Heap;

/** What one camera took, and how its clock goes. */
final readonly class HeapCamera
{
    /**
     * @param bool   $isTold does something that it took say when? Else no clock is set by it
     * @param string $said   its clock, in words
     */
    public function __construct(
        public string $name,
        public int $files,
        public bool $isTold,
        public string $said,
    ) {
    }
}
