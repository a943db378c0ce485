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
            "%s.withdrawn_because IS NULL AND %s.standing = '%s' AND %s.kind IN ('%s')", $cause, $cause, CauseStanding::Confirmed->value, $cause,
            implode("', '", array_column($kinds, 'value')),
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
