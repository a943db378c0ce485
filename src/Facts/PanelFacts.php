<?php

declare(strict_types=1);

namespace Lustrum\Facts;

use Doctrine\DBAL\Connection;
use Lustrum\Core\Run\Row;

/** The panels of a build, counted without loading their sheets. */
final readonly class PanelFacts
{
    public function __construct(
        private Connection $db,
    ) {
    }

    /** @return array<string, list<array{id: string, items: int, raters: int, done: int, late: int, unblinded: bool}>> by trial, oldest first */
    public function ofBuild(string $build): array
    {
        $out = [];
        foreach ($this->db->iterateAssociative(
            'SELECT p.trial_id, p.id, jsonb_array_length(p.serials) items, jsonb_array_length(p.raters) raters, p.unblinded IS NOT NULL unblinded,
                    (SELECT count(*) FROM panel_sheet s WHERE s.panel_id = p.id AND NOT s.late) done,
                    (SELECT count(*) FROM panel_sheet s WHERE s.panel_id = p.id AND s.late) late
             FROM panel p JOIN trial t ON t.id = p.trial_id WHERE t.revision_id = ? AND p.withdrawn_because IS NULL ORDER BY p.created_at, p.id', [$build],
        ) as $row) {
            $out[Row::text($row['trial_id'])][] = [
                'id' => Row::text($row['id']), 'items' => Row::whole($row['items']), 'raters' => Row::whole($row['raters']),
                'done' => Row::whole($row['done']), 'late' => Row::whole($row['late']), 'unblinded' => $row['unblinded'] === true,
            ];
        }

        return $out;
    }
}
