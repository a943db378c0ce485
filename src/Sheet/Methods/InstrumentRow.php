<?php

declare(strict_types=1);

namespace Lustrum\Sheet\Methods;

use Lustrum\Domain\Method\InstrumentView;

/** An instrument with what it is, and where it is read. */
final readonly class InstrumentRow
{
    /**
     * @param string       $is     what it shows, how finely and how fast
     * @param string       $checked when it was, and whether it is due
     * @param list<string> $readBy methods that name it, with their device
     */
    public function __construct(
        public InstrumentView $instrument,
        public string $is,
        public string $checked,
        public bool $isDue,
        public array $readBy,
    ) {
    }
}
