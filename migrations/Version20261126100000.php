<?php

declare(strict_types=1);

namespace Lustrum\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

/**
 * What a build is made of: mass and standing of parts, modules, parameters that follow others, fits that others rely on.
 *
 * Written out by itself: it uses no class of the application, which goes on changing.
 */
final class Version20261126100000 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'What a build is made of: mass and standing of parts, modules, parameters that follow, fits that others rely on';
    }

    public function up(Schema $schema): void
    {
        $this->addSql("ALTER TABLE part ADD mass DOUBLE PRECISION DEFAULT NULL, ADD sort VARCHAR(8) NOT NULL DEFAULT 'part',
            ADD standing VARCHAR(10) NOT NULL DEFAULT 'stays', ADD relied_on VARCHAR(120) NOT NULL DEFAULT '',
            ADD checked_by VARCHAR(120) NOT NULL DEFAULT '', ADD module_id UUID DEFAULT NULL REFERENCES revision (id) NOT DEFERRABLE");
        $this->addSql('ALTER TABLE part ALTER sort DROP DEFAULT, ALTER standing DROP DEFAULT, ALTER relied_on DROP DEFAULT, ALTER checked_by DROP DEFAULT');
        $this->addSql('CREATE INDEX part_module ON part (module_id)');
        $this->addSql("ALTER TABLE parameter ADD uncertainty DOUBLE PRECISION DEFAULT NULL, ADD formula VARCHAR(300) NOT NULL DEFAULT '',
            ADD formula_unit VARCHAR(40) NOT NULL DEFAULT '', ADD relied_on VARCHAR(120) NOT NULL DEFAULT '',
            ADD checked_by VARCHAR(120) NOT NULL DEFAULT ''");
        $this->addSql('ALTER TABLE parameter ALTER formula DROP DEFAULT, ALTER formula_unit DROP DEFAULT, ALTER relied_on DROP DEFAULT, ALTER checked_by DROP DEFAULT');
    }

    public function down(Schema $schema): void
    {
        $this->throwIrreversibleMigrationException('Go back with the backup that was made before.');
    }
}
