<?php

declare(strict_types=1);

namespace Lustrum\Domain\Trial;

/** A number in a line, and what it is taken for until somebody says otherwise. */
final readonly class SaidPart
{
    /**
     * @param string $text    '412 N'
     * @param string $name    of a metric or factor that the method has, else what it would be called
     * @param bool   $isLevel what the run was made at, rather than what came of it
     * @param bool   $isKnown does the method have it already?
     */
    public function __construct(
        public string $text,
        public string $unit,
        public string $name,
        public bool $isLevel,
        public bool $isKnown,
    ) {
    }
}
