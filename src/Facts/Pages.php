<?php

declare(strict_types=1);

namespace Lustrum\Facts;

use Doctrine\DBAL\Connection;
use Lustrum\Core\Run\Row;
use Lustrum\Record\Record;
use Lustrum\Record\Records;
use Lustrum\Shared\Page;

/** Long lists, a page at a time, newest first. */
final readonly class Pages
{
    public function __construct(
        private Connection $db,
        private Records $records,
    ) {
    }

    /**
     * Records of one kind on a build, newest first.
     *
     * @template T of Record
     *
     * @param class-string<T> $class
     *
     * @return array{list<T>, ?string, int} the records, the cursor of the next page, and how many there are in all
     */
    public function ofBuild(string $class, string $table, string $build, Page $page): array
    {
        [$ids, $next] = $this->ids(
            'SELECT id, created_at at FROM '.$table.' WHERE revision_id = ? AND withdrawn_because IS NULL', [$build], $page,
        );
        $found = $ids === [] ? [] : array_column(
            array_map(static fn (Record $r): array => [$r->id()->toRfc4122(), $r], $this->records->all($class, ['id' => $ids])), 1, 0,
        );
        $total = $this->db->fetchOne('SELECT count(*) FROM '.$table.' WHERE revision_id = ? AND withdrawn_because IS NULL', [$build]);

        return [
            array_values(array_filter(array_map(static fn (string $id): ?Record => $found[$id] ?? null, $ids))), $next, Row::whole($total),
        ];
    }

    /**
     * @param string       $sql  that gives id and at
     * @param list<string> $with
     *
     * @return array{list<string>, ?string} identifiers, newest first, and the cursor of the next page
     */
    public function ids(string $sql, array $with, Page $page): array
    {
        $rows = $this->db->fetchAllAssociative(
            'SELECT id, at FROM ('.$sql.') q'.($page->at === null ? '' : ' WHERE (at, id) < (CAST(? AS timestamptz), CAST(? AS uuid))')
            .' ORDER BY at DESC, id DESC LIMIT '.(Page::SIZE + 1),
            $page->at === null ? $with : [...$with, $page->at, (string) $page->id],
        );
        $more = count($rows) > Page::SIZE;
        $rows = array_slice($rows, 0, Page::SIZE);
        $last = $rows[count($rows) - 1] ?? null;

        return [
            array_map(static fn (array $r): string => Row::text($r['id']), $rows),
            $more && $last !== null ? Page::behind(Row::text($last['at']), Row::text($last['id'])) : null,
        ];
    }
}
