<?php

declare(strict_types=1);

namespace Lustrum\Sheet\Panel;

final readonly class PanelScaleResult
{
    /** @param list<PanelItem> $items best first; none for a scale of words */
    public function __construct(
        public string $metric,
        public string $unit,
        public string $agreement,
        public array $items,
    ) {
    }
}
