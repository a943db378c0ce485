<?php

declare(strict_types=1);

namespace Lustrum\Sheet\Run;

/** The rig before a run: what stands, what is to be looked at, what has to be set to nought. */
final readonly class RigView
{
    /**
     * @param list<RigRow> $lines settings
     * @param string       $tare  what has to be set to nought; empty: nothing
     * @param list<string> $fits  what is to be said against the instruments
     */
    public function __construct(
        public string $sentence,
        public array $lines,
        public string $tare,
        public array $fits,
    ) {
    }
}
