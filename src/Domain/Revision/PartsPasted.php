<?php

declare(strict_types=1);

namespace Lustrum\Domain\Revision;

/** What came of a pasted table, or would come of it. */
final readonly class PartsPasted
{
    /**
     * @param list<string> $added    names of parts
     * @param list<string> $changed
     * @param int          $same     that are as they were
     * @param list<string> $problems rows that were left out, each with its reason
     * @param bool         $kept     false: nothing was written yet
     */
    public function __construct(
        public array $added,
        public array $changed,
        public int $same,
        public array $problems,
        public string $sentence,
        public bool $kept,
    ) {
    }
}
