<?php

declare(strict_types=1);

namespace Lustrum\Sheet\Heap;

/** What one camera took, and how its clock goes. */
final readonly class HeapCamera
{
    /**
     * @param string|null $first a file of it by which its clock can be set; null: nothing in any says when it was taken
     * @param string      $said  its clock, in words
     */
    public function __construct(
        public string $name,
        public int $files,
        public ?string $first,
        public string $said,
    ) {
    }
}
