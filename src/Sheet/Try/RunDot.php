<?php

declare(strict_types=1);

namespace Lustrum\Sheet\Try;

use Lustrum\Core\Run\Row;
use Lustrum\Core\Run\RunOutcome;
use Lustrum\Domain\Trial\Found;

/** A run on its trial's strip. */
final readonly class RunDot
{
    /**
     * @param list<Found> $levels  as recorded
     * @param string      $level   the same in one line
     * @param string|null $article its identifier
     */
    public function __construct(
        public string $id,
        public int $number,
        public string $startedAt,
        public ?RunOutcome $outcome,
        public string $serial,
        public ?string $article,
        public array $levels,
        public string $level,
    ) {
    }

    /** @param array<string, mixed> $row */
    public static function fromRow(array $row): self
    {
        $levels = array_map(
            static fn (array $l): Found => new Found(Row::text($l['name'] ?? ''), Row::text($l['text'] ?? '')),
            Row::rows(Row::json($row['levels'] ?? '')),
        );

        return new self(
            Row::text($row['id'] ?? ''), Row::whole($row['number'] ?? 0), Row::text($row['started_at'] ?? ''),
            RunOutcome::tryFrom(Row::text($row['outcome'] ?? '')), Row::text($row['serial'] ?? ''),
            Row::textOrNull($row['article_id'] ?? null), $levels,
            implode(' · ', array_filter(
                array_map(static fn (Found $f): string => $f->text, $levels), static fn (string $t): bool => $t !== '',
            )),
        );
    }
}
