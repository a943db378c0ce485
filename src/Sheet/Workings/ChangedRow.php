<?php

declare(strict_types=1);

namespace Lustrum\Sheet\Workings;

/** An input whose value is another now. */
final readonly class ChangedRow
{
    /** @param string $name of the field */
    public function __construct(
        public string $name,
        public string $words,
        public string $now,
        public string $was,
    ) {
    }
}
