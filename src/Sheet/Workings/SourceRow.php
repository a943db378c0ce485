<?php

declare(strict_types=1);

namespace Lustrum\Sheet\Workings;

/** A value of a build that a field can be taken from, and follow. */
final readonly class SourceRow
{
    /**
     * @param string $kind parameter, part, reading or requirement
     * @param string $text as it stands there
     * @param string $unit of it
     */
    public function __construct(
        public string $kind,
        public string $id,
        public string $words,
        public string $text,
        public string $unit,
    ) {
    }
}
