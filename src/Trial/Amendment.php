<?php

declare(strict_types=1);

namespace Lustrum\Trial;

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

    /**
     * Amendments from an export.
     *
     * @return list<array{text: string, reason: string, by: string, at: string}>
     *
     * @throws \TypeError when one has not the right shape
     */
    public static function rows(mixed $rows): array
    {
        $out = [];
        foreach (is_array($rows) ? $rows : [] as $row) {
            $text = static fn (string $key): string => is_array($row) && is_string($row[$key] ?? null) ? $row[$key] : throw new \TypeError('An amendment has text, reason, by and at.');
            $out[] = ['text' => $text('text'), 'reason' => $text('reason'), 'by' => $text('by'), 'at' => $text('at')];
        }

        return $out;
    }
}
