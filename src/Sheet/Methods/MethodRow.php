<?php

declare(strict_types=1);

namespace Lustrum\Sheet\Methods;

/** A method in the library: what it is for, what it rests on, and what keeps it from being run. */
final readonly class MethodRow
{
    /**
     * @param string $reads   its channels and questions in a line
     * @param string $through steps of use that its runs go through
     * @param string $hazards in a line
     * @param string       $lacks what keeps it from being started; empty: nothing
     * @param list<string> $unfit instruments that do not fit, in sentences
     */
    public function __construct(
        public string $id,
        public string $name,
        public string $purpose,
        public string $aside,
        public string $reads,
        public string $through,
        public string $hazards,
        public string $lacks,
        public array $unfit,
    ) {
    }
}
