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
        [$join, $isAside] = SetAside::counted('r', $trial.'.revision_id');

        return sprintf(
            '(SELECT json_agg(o) FROM (SELECT r.outcome, r.purpose, %s aside, count(*) n FROM run r %s
              WHERE r.trial_id = %s.id AND r.withdrawn_because IS NULL GROUP BY 1, 2, 3) o)', $isAside, $join, $trial,
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
