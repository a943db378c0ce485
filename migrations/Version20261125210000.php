<?php

declare(strict_types=1);

namespace Lustrum\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

/** What came of a change may be better by an unknown amount, and may not be told yet. */
final class Version20261125210000 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'Verdicts of changes: better, cannot tell yet';
    }

    public function up(Schema $schema): void
    {
        $this->addSql('ALTER TABLE change DROP CONSTRAINT change_verdict_known');
        $this->addSql("ALTER TABLE change ADD CONSTRAINT change_verdict_known CHECK (
            verdict IN ('fixed', 'partly', 'better', 'noEffect', 'worse', 'cannotTell', 'nobodyLooked'))");
    }

    public function down(Schema $schema): void
    {
        $this->throwIrreversibleMigrationException('Go back with the backup that was made before.');
    }
}
