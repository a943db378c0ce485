<?php

declare(strict_types=1);

namespace Lustrum\Core\Heap;

/** What was taken, laid against the runs: a proposal, until somebody says so. */
final readonly class Laid
{
    /**
     * @param string|null $run     null: near none
     * @param float       $seconds into the run at which it begins; after its end, or before it began, how long
     */
    public function __construct(
        public Lies $lies,
        public ?string $run = null,
        public float $seconds = 0.0,
    ) {
    }
}
