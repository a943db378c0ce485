<?php

declare(strict_types=1);

namespace Lustrum\Trial;

/** A trial as a strip along time. */
final readonly class TrialRow
{
    /**
     * @param list<RunDot>  $runs
     * @param list<string>  $results what it measured so far, in words
     */
    public function __construct(
        public TrialView $trial,
        public string $methodName,
        public array $runs,
        public ?string $from,
        public ?string $to,
        public string $count,
        public array $results,
    ) {
    }
}
