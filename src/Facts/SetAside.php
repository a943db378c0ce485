<?php

declare(strict_types=1);

namespace Lustrum\Facts;

use Lustrum\Domain\Finding\CauseKind;
use Lustrum\Domain\Finding\CauseStanding;

/** Which causes set a run aside, in the words of the database: CauseKind says it, this hands it on. */
final class SetAside
{
    /** True of a cause that does. */
    public static function does(string $cause): string
    {
        $kinds = array_filter(CauseKind::cases(), static fn (CauseKind $k): bool => $k->setsAside());

        return sprintf(
            "%s.withdrawn_because IS NULL AND %s.standing = '%s' AND %s.kind IN ('%s')",
            $cause, $cause, CauseStanding::Confirmed->value, $cause, implode("', '", array_column($kinds, 'value')),
        );
    }

    /**
     * Whether a run is, where many are counted: the same as why() says, joined once for all runs of a build.
     *
     * @return array{string, string} the join, and what is true of a run that is
     */
    public static function counted(string $run, string $build): array
    {
        return [
            sprintf(
                'LEFT JOIN (SELECT DISTINCT f.run_id FROM failure f JOIN cause c ON c.failure_id = f.id
                 WHERE f.revision_id = %s AND f.withdrawn_because IS NULL AND %s) because ON because.run_id = %s.id',
                $build, self::does('c'), $run,
            ),
            sprintf('NOT %s.taken_in AND (length(%s.set_aside) > 0 OR because.run_id IS NOT NULL)', $run, $run),
        ];
    }

    /** True of a run that is: the causes that do are few, and read once for all runs that are asked about. */
    public static function is(string $run): string
    {
        return sprintf(
            '(NOT %s.taken_in AND (length(%s.set_aside) > 0 OR %s.id IN (SELECT f.run_id FROM failure f JOIN cause c ON c.failure_id = f.id
             WHERE f.run_id IS NOT NULL AND f.withdrawn_because IS NULL AND %s)))', $run, $run, $run, self::does('c'),
        );
    }

    /** Why a run is: the words of whoever said so, or of a cause of one of its failures; empty where it is not, or was taken in again. */
    public static function why(string $run): string
    {
        return sprintf(
            "CASE WHEN %s.taken_in THEN '' WHEN %s.set_aside <> '' THEN %s.set_aside ELSE coalesce((
                SELECT c.text FROM failure f JOIN cause c ON c.failure_id = f.id
                WHERE f.run_id = %s.id AND f.withdrawn_because IS NULL AND %s ORDER BY c.created_at LIMIT 1), '') END",
            $run, $run, $run, $run, self::does('c'),
        );
    }
}
