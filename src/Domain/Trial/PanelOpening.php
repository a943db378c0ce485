<?php

declare(strict_types=1);

namespace Lustrum\Domain\Trial;

use Lustrum\Core\Run\Row;

/** A lead had to know which code is which before the panel was unblinded; it stays said beside the result. */
final readonly class PanelOpening
{
    /** @param string $person identifier of the account: only they see it from then on */
    public function __construct(
        public string $by,
        public string $person,
        public string $because,
        public string $at,
    ) {
    }

    /** @param array<array-key, mixed> $row */
    public static function fromRow(array $row): self
    {
        return new self(
            Row::text($row['by'] ?? ''), Row::text($row['person'] ?? ''), Row::text($row['because'] ?? ''), Row::text($row['at'] ?? ''),
        );
    }
}
