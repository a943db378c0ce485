<?php

declare(strict_types=1);

namespace Lustrum\Domain\Trial;

use Lustrum\Core\Run\Row;
use Lustrum\Shared\Instant;
use Lustrum\Shared\Refusal\Invalid;

/** A later value or outcome beside the first one, with its reason. */
final readonly class Amendment
{
    public function __construct(
        public string $text,
        public string $reason,
        public string $by,
        public string $at,
    ) {
    }

    public static function now(string $text, string $reason, string $by): self
    {
        return new self($text, trim($reason), $by, Instant::write(new \DateTimeImmutable()));
    }

    /** @param array<array-key, mixed> $row */
    public static function fromRow(array $row): self
    {
        return new self(
            Row::text($row['text'] ?? ''), Row::text($row['reason'] ?? ''), Row::text($row['by'] ?? ''), Row::text($row['at'] ?? ''),
        );
    }

    /**
     * Amendments from a file.
     *
     * @return list<self>
     *
     * @throws Invalid when one has not the right shape
     */
    public static function readAll(mixed $rows): array
    {
        if (!is_array($rows)) {
            throw Invalid::at('amendments', 'An amendment has text, reason, by and at.');
        }
        $out = [];
        foreach (array_values($rows) as $row) {
            foreach (['text', 'reason', 'by', 'at'] as $key) {
                if (!is_array($row) || !is_string($row[$key] ?? null)) {
                    throw Invalid::at('amendments', 'An amendment has text, reason, by and at.');
                }
            }
            $out[] = self::fromRow($row);
        }

        return $out;
    }
}
