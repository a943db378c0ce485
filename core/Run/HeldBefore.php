<?php

declare(strict_types=1);

namespace Lustrum\Core\Run;

/** What must have held on the same configuration before a run may begin: slow before fast, one piece before the whole. */
final readonly class HeldBefore
{
    /**
     * @param string                $method name of it; empty: the same method
     * @param array<string, string> $levels at which it must have held, or harder; by factor
     * @param string                $why    in words: 'unloaded before loaded'
     */
    public function __construct(
        public string $method,
        public array $levels = [],
        public string $why = '',
    ) {
    }

    /** @param array<array-key, mixed> $row */
    public static function fromRow(array $row): self
    {
        return new self(Row::text($row['method'] ?? ''), Row::map($row['levels'] ?? []), Row::text($row['why'] ?? ''));
    }
}
