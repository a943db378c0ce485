<?php

declare(strict_types=1);

namespace Lustrum\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

/**
 * Readings whose unit nobody knows.
 *
 * Written out by itself: it uses no class of the application, which goes on changing.
 */
final class Version20261126040000 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'Readings whose unit nobody knows';
    }

    public function up(Schema $schema): void
    {
        $this->addSql('ALTER TABLE reading ADD undecided BOOLEAN NOT NULL DEFAULT false');
        $this->addSql('ALTER TABLE reading ALTER undecided DROP DEFAULT');
    }

    public function down(Schema $schema): void
    {
        $this->throwIrreversibleMigrationException('Go back with the backup that was made before.');
    }
}
