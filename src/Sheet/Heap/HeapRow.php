<?php

declare(strict_types=1);

namespace Lustrum\Sheet\Heap;

use Lustrum\Core\Heap\Lies;
use Lustrum\Domain\Heap\HeapFileView;

/** One file of a heap, laid against the runs. */
final readonly class HeapRow
{
    /**
     * @param string|null $moment at which it began, its clock set right
     * @param string|null $run    that it is laid against; null: near none
     * @param string      $said   where it lies beside it
     * @param string      $sentence the same with its run
     * @param float       $into   s into the run at which it begins; below nought: before it
     */
    public function __construct(
        public HeapFileView $file,
        public ?string $moment,
        public ?string $run,
        public Lies $lies,
        public string $said,
        public string $sentence,
        public float $into,
    ) {
    }
}
