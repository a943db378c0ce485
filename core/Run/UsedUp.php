<?php

declare(strict_types=1);

namespace Lustrum\Core\Run;

/** What a run uses up, so that a plan can add it up before anybody sets out. */
final readonly class UsedUp
{
    public function __construct(
        public UsedUpKind $kind,
        public string $what,
        public float $amount = 1.0,
        public string $unit = '',
    ) {
    }

    /** Of so many runs. */
    public function times(int $runs): self
    {
        return new self($this->kind, $this->what, $this->amount * $runs, $this->unit);
    }

    /** @param array<array-key, mixed> $row */
    public static function fromRow(array $row): self
    {
        return new self(
            UsedUpKind::tryFrom(Row::text($row['kind'] ?? '')) ?? UsedUpKind::Material, Row::text($row['what'] ?? ''),
            Row::numberOrNull($row['amount'] ?? null) ?? 1.0, Row::text($row['unit'] ?? ''),
        );
    }
}
