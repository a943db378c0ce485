<?php

declare(strict_types=1);

namespace Lustrum\Facts;

use Lustrum\Core\Run\CountsFor;
use Lustrum\Core\Run\Purpose;
use Lustrum\Core\Run\Row;
use Lustrum\Core\Run\RunOutcome;
use Lustrum\Core\Run\RunTally;

/**
 * What runs count for, in the words of the database: core says it of each way in which a run can end, be meant and be set
 * aside, and what it says is written out here. No other query names an outcome or a purpose.
 */
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

    /** What stands in such a column. */
    public static function tally(mixed $column): RunTally
    {
        return RunTally::of(array_map(static fn (array $row): array => [
            RunOutcome::tryFrom(Row::text($row['outcome'] ?? '')), Purpose::from(Row::text($row['purpose'])), (bool) $row['aside'],
            Row::whole($row['n']),
        ], $column === null ? [] : Row::rows(Row::json($column))));
    }

    /** True of the runs that count for any of these. */
    public static function are(string $run, CountsFor ...$for): string
    {
        $aside = SetAside::is($run);
        [$with, $without] = [self::listed($run, true, $for), self::listed($run, false, $for)];

        return $with === $without ? $with : sprintf('(CASE WHEN %s THEN %s ELSE %s END)', $aside, $with, $without);
    }

    /** True of the runs that ended in any of these ways. */
    public static function ended(string $run, RunOutcome ...$as): string
    {
        return sprintf("%s.outcome IN ('%s')", $run, implode("', '", array_column($as, 'value')));
    }

    /**
     * The ways to end and to be meant that count for these.
     *
     * @param CountsFor[] $for
     */
    private static function listed(string $run, bool $isAside, array $for): string
    {
        $pairs = [];
        foreach (Purpose::cases() as $purpose) {
            foreach ([null, ...RunOutcome::cases()] as $outcome) {
                if (in_array(CountsFor::of($outcome, $purpose, $isAside), $for, true)) {
                    $pairs[] = sprintf("('%s', '%s')", $outcome->value ?? '', $purpose->value);
                }
            }
        }

        return $pairs === [] ? 'false' : sprintf("(coalesce(%s.outcome, ''), %s.purpose) IN (%s)", $run, $run, implode(', ', $pairs));
    }
}
