<?php

declare(strict_types=1);

namespace Lustrum\Domain\Trial;

/** A line about a run, kept as it was said, and what it was read as. */
final readonly class SaidView
{
    /**
     * @param string         $kept  identifier of the observation that keeps it
     * @param list<SaidPart> $parts numbers in it, to be accepted or corrected
     * @param bool|null      $held  null: it says neither
     * @param string         $words what is left without the numbers
     */
    public function __construct(
        public string $kept,
        public array $parts,
        public ?bool $held,
        public string $words,
    ) {
    }
}
