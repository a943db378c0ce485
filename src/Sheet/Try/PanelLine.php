<?php

declare(strict_types=1);

namespace Lustrum\Sheet\Try;

use Lustrum\Core\Wording\PanelWords;

/** A blind panel of a trial, and how far it came. */
final readonly class PanelLine
{
    private function __construct(
        public string $id,
        public string $sentence,
    ) {
    }

    /** @param array{id: string, items: int, raters: int, done: int, late: int, unblinded: bool} $row */
    public static function of(array $row): self
    {
        return new self($row['id'], PanelWords::sentence($row['items'], $row['raters'], $row['done'], $row['unblinded'], $row['late']));
    }
}
