<?php

declare(strict_types=1);

namespace Lustrum\Sheet\Log;

use Lustrum\Account\Workspace;
use Lustrum\Core\Run\Row;
use Lustrum\Core\Wording\LogWords;
use Lustrum\Facts\LogFacts;
use Lustrum\Shared\Instant;
use Lustrum\Shared\Page;
use Symfony\Component\Clock\ClockInterface;

/** Works out who came and went. */
final readonly class LogSheets
{
    private const DAYS = 30;

    public function __construct(
        private LogFacts $facts,
        private ClockInterface $clock,
    ) {
    }

    public function of(Workspace $workspace, Page $page): LogSheet
    {
        $id = $workspace->id()->toRfc4122();
        $found = $this->facts->page($id, $page);
        $rows = array_slice($found, 0, Page::SIZE);
        $last = $rows[count($rows) - 1] ?? null;
        $counts = $this->facts->counts($id, $this->clock->now()->modify(sprintf('-%d days', self::DAYS)));

        return new LogSheet(
            LogWords::sentence(self::DAYS, $counts['signIns'], $counts['people'], $counts['exports']),
            array_map(static fn (array $row): LogRow => new LogRow(
                $row['id'], Instant::write(new \DateTimeImmutable($row['at'])), $row['by'], LogWords::happened($row['kind'], self::texts($row['what'])),
            ), $rows),
            count($found) > Page::SIZE && $last !== null ? Page::behind($last['at'], $last['id']) : null,
        );
    }

    /**
     * @param array<array-key, mixed> $what
     *
     * @return array<string, string>
     */
    private static function texts(array $what): array
    {
        $out = [];
        foreach ($what as $key => $value) {
            $out[(string) $key] = is_scalar($value) ? Row::text($value) : '';
        }

        return $out;
    }
}
