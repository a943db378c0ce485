<?php

declare(strict_types=1);

namespace Lustrum\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

/**
 * Methods that say how they are gone about, the editions that results are made with, instruments of the workspace, and what the
 * device bears in its uses.
 *
 * Written out by itself: it uses no class of the application, which goes on changing.
 */
final class Version20261126123000 extends AbstractMigration
{
    private const RECORD = 'id UUID NOT NULL, version INT NOT NULL, fingerprint VARCHAR(64) NOT NULL, belongs_to UUID NOT NULL,
        created_at TIMESTAMP(6) WITH TIME ZONE NOT NULL, created_by VARCHAR(120) NOT NULL,
        changed_at TIMESTAMP(6) WITH TIME ZONE NOT NULL, received_at TIMESTAMP(6) WITH TIME ZONE NOT NULL,
        brought_in BOOLEAN NOT NULL, withdrawn_because TEXT DEFAULT NULL, workspace_id UUID NOT NULL REFERENCES workspace (id) NOT DEFERRABLE';

    private const LISTS = ['constants', 'tools', 'carries', 'held_before', 'ready', 'looks', 'uses_up'];

    public function getDescription(): string
    {
        return 'Methods that say how they are gone about, editions, instruments and what the device bears';
    }

    public function up(Schema $schema): void
    {
        foreach (self::LISTS as $list) {
            $this->addSql("ALTER TABLE method ADD $list JSONB NOT NULL DEFAULT '[]'");
            $this->addSql("ALTER TABLE method ALTER $list DROP DEFAULT");
        }
        $this->addSql("ALTER TABLE method ADD edition INT NOT NULL DEFAULT 1, ADD reference VARCHAR(120) NOT NULL DEFAULT '',
            ADD set_up_minutes DOUBLE PRECISION NOT NULL DEFAULT 0, ADD reset_minutes DOUBLE PRECISION NOT NULL DEFAULT 0,
            ADD change_minutes DOUBLE PRECISION NOT NULL DEFAULT 0, ADD use_id UUID DEFAULT NULL REFERENCES use_case (id) NOT DEFERRABLE");
        // Runs were made with the version of the record until now.
        $this->addSql('UPDATE method SET edition = version');
        $this->addSql('ALTER TABLE method ALTER edition DROP DEFAULT, ALTER reference DROP DEFAULT, ALTER set_up_minutes DROP DEFAULT,
            ALTER reset_minutes DROP DEFAULT, ALTER change_minutes DROP DEFAULT');
        $this->addSql("ALTER TABLE trial ADD sign_offs JSONB NOT NULL DEFAULT '[]'");
        $this->addSql('UPDATE trial SET sign_offs = jsonb_build_array(sign_off) WHERE sign_off IS NOT NULL');
        $this->addSql('ALTER TABLE trial DROP sign_off, ALTER sign_offs DROP DEFAULT');
        $this->addSql('ALTER TABLE trial ADD layout JSONB DEFAULT NULL');
        $this->addSql('ALTER TABLE run ADD ahead JSONB DEFAULT NULL, ADD stands VARCHAR(4) DEFAULT NULL');
        $this->addSql("ALTER TABLE run ADD CONSTRAINT run_stands_known CHECK (stands IN ('low', 'high', 'good'))");
        $this->addSql("ALTER TABLE use_case ADD loads JSONB NOT NULL DEFAULT '[]'");
        $this->addSql('ALTER TABLE use_case ALTER loads DROP DEFAULT');
        $this->addSql(sprintf(
            'CREATE TABLE instrument (%s, name VARCHAR(120) NOT NULL, unit VARCHAR(40) NOT NULL, resolution DOUBLE PRECISION DEFAULT NULL,
            low DOUBLE PRECISION DEFAULT NULL, high DOUBLE PRECISION DEFAULT NULL, lag DOUBLE PRECISION DEFAULT NULL,
            rate DOUBLE PRECISION DEFAULT NULL, checked_on VARCHAR(10) NOT NULL, check_months INT DEFAULT NULL, checked_by VARCHAR(120) NOT NULL,
            power VARCHAR(120) NOT NULL, left_in VARCHAR(40) NOT NULL, note VARCHAR(300) NOT NULL, formerly JSONB NOT NULL, PRIMARY KEY (id))',
            self::RECORD,
        ));
        $this->addSql('CREATE INDEX instrument_workspace ON instrument (workspace_id)');
    }

    public function down(Schema $schema): void
    {
        $this->throwIrreversibleMigrationException('Go back with the backup that was made before.');
    }
}
