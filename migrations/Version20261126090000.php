<?php

declare(strict_types=1);

namespace Lustrum\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

/**
 * The brief: uses, steps of use, who is around, and what is believed.
 *
 * Written out by itself: it uses no class of the application, which goes on changing.
 */
final class Version20261126090000 extends AbstractMigration
{
    private const RECORD = 'id UUID NOT NULL, version INT NOT NULL, fingerprint VARCHAR(64) NOT NULL, belongs_to UUID NOT NULL,
        created_at TIMESTAMP(0) WITH TIME ZONE NOT NULL, created_by VARCHAR(120) NOT NULL,
        changed_at TIMESTAMP(0) WITH TIME ZONE NOT NULL, received_at TIMESTAMP(0) WITH TIME ZONE NOT NULL,
        brought_in BOOLEAN NOT NULL, withdrawn_because TEXT DEFAULT NULL, workspace_id UUID NOT NULL';

    public function getDescription(): string
    {
        return 'The brief: uses, steps of use, who is around, and what is believed';
    }

    public function up(Schema $schema): void
    {
        $this->table('use_case', 'name VARCHAR(120) NOT NULL, who VARCHAR(300) NOT NULL, used_where VARCHAR(300) NOT NULL, dropped TEXT NOT NULL');
        $this->table(
            'use_step', 'name VARCHAR(120) NOT NULL, kind VARCHAR(10) NOT NULL, who VARCHAR(120) NOT NULL, done_where VARCHAR(120) NOT NULL,
            place INT NOT NULL, use_id UUID DEFAULT NULL REFERENCES use_case (id) NOT DEFERRABLE',
        );
        $this->table('person', 'name VARCHAR(120) NOT NULL, relation VARCHAR(10) NOT NULL, note VARCHAR(300) NOT NULL');
        $this->table(
            'assumption', 'text VARCHAR(300) NOT NULL, hangs VARCHAR(300) NOT NULL, shown_by VARCHAR(300) NOT NULL,
            believed_by VARCHAR(120) NOT NULL, findings JSONB NOT NULL',
        );
        $this->addSql("ALTER TABLE requirement ADD uses JSONB NOT NULL DEFAULT '[]', ADD asked_by VARCHAR(120) NOT NULL DEFAULT ''");
        $this->addSql('ALTER TABLE requirement ALTER uses DROP DEFAULT, ALTER asked_by DROP DEFAULT');
        $this->addSql("ALTER TABLE method ADD steps JSONB NOT NULL DEFAULT '[]', ADD in_use BOOLEAN NOT NULL DEFAULT FALSE");
        $this->addSql('ALTER TABLE method ALTER steps DROP DEFAULT, ALTER in_use DROP DEFAULT');
    }

    private function table(string $name, string $columns): void
    {
        $this->addSql(sprintf(
            'CREATE TABLE %s (%s, device_id UUID NOT NULL REFERENCES device (id) NOT DEFERRABLE, %s, PRIMARY KEY (id),
             FOREIGN KEY (workspace_id) REFERENCES workspace (id) NOT DEFERRABLE)', $name, self::RECORD, $columns,
        ));
        $this->addSql(sprintf('CREATE INDEX ON %s (device_id)', $name));
    }

    public function down(Schema $schema): void
    {
        $this->throwIrreversibleMigrationException('Go back with the backup that was made before.');
    }
}
