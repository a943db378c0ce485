<?php

declare(strict_types=1);

namespace Lustrum\Facts;

use Lustrum\Core\Run\CountsFor;
use Lustrum\Core\Run\Purpose;
use Lustrum\Core\Run\Row;
use Lustrum\Core\Run\RunOutcome;

/** How many runs of a trial count for what, without loading them: the database counts what is alike, and core says what it is. */
final class RunCounts
{
    /** A column of a query over trials: of what is alike in all that decides, how many runs there are. */
    public static function column(string $trial): string
    {
        return sprintf(
            '(SELECT json_agg(o) FROM (
                SELECT r.outcome, r.purpose, NOT r.taken_in AND (length(r.set_aside) > 0 OR b.run_id IS NOT NULL) aside, count(*) n
                FROM run r LEFT JOIN (
                    SELECT DISTINCT f.run_id FROM failure f JOIN cause c ON c.failure_id = f.id
                    WHERE f.revision_id = %s.revision_id AND f.withdrawn_because IS NULL AND %s
                ) b ON b.run_id = r.id WHERE r.trial_id = %s.id AND r.withdrawn_because IS NULL GROUP BY 1, 2, 3) o)',
            $trial, SetAside::does('c'), $trial,
        );
    }

    /** @return array{results: int, held: int} of what stands in such a column: those that count as results, and those of them that held */
    public static function results(mixed $column): array
    {
        $results = $held = 0;
        foreach ($column === null ? [] : Row::rows(Row::json($column)) as $row) {
            $outcome = RunOutcome::tryFrom(Row::text($row['outcome'] ?? ''));
            if (CountsFor::of($outcome, Purpose::from(Row::text($row['purpose'])), (bool) $row['aside']) === CountsFor::Result) {
                $results += Row::whole($row['n']);
                $held += $outcome === RunOutcome::Held ? Row::whole($row['n']) : 0;
            }
        }

        return ['results' => $results, 'held' => $held];
    }
}
