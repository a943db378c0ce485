<?php

declare(strict_types=1);

namespace Lustrum\Sheet\Start;

use Doctrine\DBAL\Connection;
use Lustrum\Account\CurrentUser;
use Lustrum\Account\Workspace;
use Lustrum\Core\Run\Row;
use Lustrum\Domain\Revision\RevisionState;

/** What a try can begin on: all builds of a workspace, with the one and the article that were used last. */
final readonly class Starts
{
    /** So many builds of a device are offered, the newest. */
    private const BUILDS = 12;

    public function __construct(
        private Connection $db,
        private CurrentUser $user,
    ) {
    }

    public function of(Workspace $workspace): StartSheet
    {
        $id = $workspace->id()->toRfc4122();
        $articles = [];
        foreach ($this->db->fetchAllNumeric(
            "SELECT revision_id, id, serial FROM article WHERE workspace_id = ? AND withdrawn_because IS NULL AND whereabouts = 'here'
             ORDER BY created_at, serial", [$id],
        ) as $row) {
            [$build, $article, $serial] = Row::cells($row);
            $articles[$build][] = new StartArticle($article, $serial);
        }
        $builds = [];
        foreach ($this->db->fetchAllNumeric(
            'SELECT device, name, id, letter FROM (
                SELECT d.id device, d.name, v.id, v.letter, v.created_at,
                    row_number() OVER (PARTITION BY d.id ORDER BY v.created_at DESC, v.letter DESC) place
                FROM device d JOIN revision v ON v.device_id = d.id AND v.withdrawn_because IS NULL AND v.state <> ?
                WHERE d.workspace_id = ? AND d.withdrawn_because IS NULL) x
             WHERE place <= ? ORDER BY lower(name), created_at DESC', [RevisionState::Abandoned->value, $id, self::BUILDS],
        ) as $row) {
            [$device, $name, $build, $letter] = Row::cells($row);
            $builds[] = new StartBuild($device, $name, $build, $letter, $articles[$build] ?? []);
        }
        // What this person used last; nobody yet: what anybody did.
        $last = Row::cells(array_values($this->db->fetchNumeric(
            'SELECT t.revision_id, r.article_id FROM run r JOIN trial t ON t.id = r.trial_id WHERE r.workspace_id = ?
             ORDER BY r.created_by = ? DESC, r.created_at DESC LIMIT 1', [$id, $this->user->name()],
        ) ?: ['', '']));

        return new StartSheet($builds, $last[0] === '' ? null : $last[0], $last[1] === '' ? null : $last[1]);
    }
}
