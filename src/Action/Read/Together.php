<?php

declare(strict_types=1);

namespace Lustrum\Action\Read;

/** Readings that are amended together, or would be. */
final readonly class Together
{
    /** @param list<TogetherRow> $rows */
    public function __construct(
        public string $sentence,
        public array $rows,
    ) {
    }
}
