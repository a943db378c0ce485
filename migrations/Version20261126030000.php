<?php

declare(strict_types=1);

namespace Lustrum\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

/**
 * How often the answer of a trial was looked at with new runs.
 *
 * Written out by itself: it uses no class of the application, which goes on changing.
 */
final class Version20261126030000 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'Looks at the answer of a trial';
    }

    public function up(Schema $schema): void
    {
        $this->addSql('ALTER TABLE trial ADD looks INT NOT NULL DEFAULT 0, ADD looked INT NOT NULL DEFAULT 0');
        // What was there before was looked at: once, with the runs that it had.
        $this->addSql("UPDATE trial t SET looks = 1, looked = e.n FROM (
                SELECT trial_id, count(*) n FROM run WHERE outcome IS NOT NULL AND outcome <> 'void' AND withdrawn_because IS NULL GROUP BY 1
            ) e WHERE e.trial_id = t.id AND (t.state = 'done' OR e.n >= t.planned_runs)");
        foreach (['looks', 'looked'] as $column) {
            $this->addSql("ALTER TABLE trial ALTER $column DROP DEFAULT");
        }
    }

    public function down(Schema $schema): void
    {
        $this->throwIrreversibleMigrationException('Go back with the backup that was made before.');
    }
}
