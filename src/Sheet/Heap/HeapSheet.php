<?php

declare(strict_types=1);

namespace Lustrum\Sheet\Heap;

/** What was filmed, photographed or spoken and is not gone through yet, laid against the runs by time. */
final readonly class HeapSheet
{
    /**
     * @param list<HeapRow>    $rows    by time; what nobody knows the time of comes last
     * @param int              $more    that are not shown: the first ones have to be gone through before
     * @param list<HeapRun>    $runs    as they began
     * @param list<HeapCamera> $cameras
     * @param list<HeapRow>    $aside   put aside lately
     */
    public function __construct(
        public string $sentence,
        public array $rows,
        public int $more,
        public array $runs,
        public array $cameras,
        public array $aside,
    ) {
    }
}
