<?php

declare(strict_types=1);

namespace Lustrum\Facts;

use Doctrine\DBAL\ArrayParameterType;
use Doctrine\DBAL\Connection;
use Lustrum\Core\Run\Row;
use Lustrum\Shared\Page;

/** What happened in a workspace that is no record: who signed in, who was let in, what was taken out, what was unblinded. */
final readonly class LogFacts
{
    /** As they are written down (Record\History::happened). */
    public const KINDS = ['sign-in', 'member', 'password', 'export', 'import', 'panel-opened', 'panel-unblinded'];

    public function __construct(
        private Connection $db,
    ) {
    }

    /** @return list<array{id: string, at: string, by: string, kind: string, what: array<array-key, mixed>}> one more than a page, if there is one */
    public function page(string $workspace, Page $page): array
    {
        return array_map(static fn (array $row): array => [
            'id' => Row::text($row['id']), 'at' => Row::text($row['at']), 'by' => Row::text($row['author']), 'kind' => Row::text($row['kind']),
            'what' => Row::json($row['became']),
        ], $this->db->fetchAllAssociative(
            'SELECT id, at, author, kind, became FROM history_entry WHERE workspace = :workspace AND kind IN (:kinds)'
            .($page->at === null ? '' : ' AND (at, id) < (CAST(:at AS timestamptz), CAST(:id AS uuid))')
            .' ORDER BY at DESC, id DESC LIMIT '.(Page::SIZE + 1),
            ['workspace' => $workspace, 'kinds' => self::KINDS] + ($page->at === null ? [] : ['at' => $page->at, 'id' => $page->id]),
            ['kinds' => ArrayParameterType::STRING],
        ));
    }

    /** @return array{signIns: int, people: int, exports: int} since a moment */
    public function counts(string $workspace, \DateTimeImmutable $since): array
    {
        $row = $this->db->fetchAssociative(
            "SELECT count(*) FILTER (WHERE kind = 'sign-in') sign_ins, count(DISTINCT author) FILTER (WHERE kind = 'sign-in') people,
                    count(*) FILTER (WHERE kind = 'export') exports
             FROM history_entry WHERE workspace = ? AND at > CAST(? AS timestamptz) AND kind IN ('sign-in', 'export')",
            [$workspace, $since->format('c')],
        ) ?: [];

        return [
            'signIns' => Row::whole($row['sign_ins'] ?? 0), 'people' => Row::whole($row['people'] ?? 0),
            'exports' => Row::whole($row['exports'] ?? 0),
        ];
    }
}
