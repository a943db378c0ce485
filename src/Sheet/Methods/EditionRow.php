<?php

declare(strict_types=1);

namespace Lustrum\Sheet\Methods;

/** One state of a method: what became otherwise, and what that does to results before it. */
final readonly class EditionRow
{
    /**
     * @param list<string> $changes in sentences
     * @param string       $tie     empty where results before and after are alike
     */
    public function __construct(
        public int $edition,
        public string $at,
        public string $by,
        public array $changes,
        public string $tie,
    ) {
    }
}
