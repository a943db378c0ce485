<?php

declare(strict_types=1);

namespace Lustrum\Sheet\Panel;

/** What one rater is served, in order. */
final readonly class PanelServed
{
    /** @param list<PanelCode> $codes */
    public function __construct(
        public string $rater,
        public array $codes,
    ) {
    }

    public function next(): ?PanelCode
    {
        return array_values(array_filter($this->codes, static fn (PanelCode $c): bool => !$c->done))[0] ?? null;
    }
}
