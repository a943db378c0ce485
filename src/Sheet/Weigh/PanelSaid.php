<?php

declare(strict_types=1);

namespace Lustrum\Sheet\Weigh;

use Lustrum\Sheet\Panel\PanelPage;
use Lustrum\Sheet\Panel\PanelScaleResult;

/** What an unblinded panel says beyond differences: whether raters agree, what they prefer, and whether the blind held. */
final readonly class PanelSaid
{
    /** @param list<string> $said in sentences */
    private function __construct(
        public string $id,
        public string $trial,
        public array $said,
    ) {
    }

    public static function of(PanelPage $page): self
    {
        return new self($page->panel->id, $page->trialName, array_values(array_filter([
            ...array_map(static fn (PanelScaleResult $r): string => $r->agreement, $page->results), ...$page->preferences, $page->blind, ...$page->said,
        ], static fn (string $s): bool => $s !== '')));
    }
}
