<?php

declare(strict_types=1);

namespace Lustrum\Facts;

use Doctrine\DBAL\Connection;
use Lustrum\Core\Run\Row;

/**
 * Counts that the answer of trials was opened: once for each time that runs had ended since, from the planned number on.
 *
 * Who looks again after more runs has had one more chance to be misled, whether or not that was the intention.
 */
final readonly class Opened
{
    public function __construct(
        private Connection $db,
        private Summaries $summaries,
    ) {
    }

    /** @param list<string> $builds whose answers are opened */
    public function now(string $device, array $builds): void
    {
        $with = ['{'.implode(',', $builds).'}'];
        $new = 'FROM trial t, LATERAL ('.DeviceFacts::ENDED.") e
            WHERE t.revision_id = ANY(CAST(? AS uuid[])) AND t.withdrawn_because IS NULL AND e.ended > t.looked
              AND (t.state = 'done' OR (t.planned_runs > 0 AND e.ended >= t.planned_runs) OR (t.repeats = 'untilItHolds' AND e.held > 0))";
        if ($this->db->fetchOne('SELECT 1 '.$new.' LIMIT 1', $with) === false) {
            return;
        }
        $this->db->transactional(function () use ($device, $new, $with): void {
            $dropped = new Dropped();
            foreach ($this->db->fetchAllAssociative(
                'UPDATE trial u SET looks = u.looks + 1, looked = q.ended FROM (SELECT t.id, e.ended '.$new.') q
                 WHERE q.id = u.id AND q.ended > u.looked RETURNING u.revision_id, u.looks', $with,
            ) as $row) {
                // The first look costs nothing, so what was worked out before it stays as it is.
                if (Row::whole($row['looks']) > 1) {
                    $dropped->build(Row::text($row['revision_id']));
                }
            }
            if ($dropped->builds !== []) {
                $this->summaries->drop($device, $dropped);
            }
        });
    }
}
