<?php

declare(strict_types=1);

namespace Lustrum\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

/**
 * The heap: what was filmed, photographed or spoken and waits to be gone through, and the clocks of cameras. What lasts
 * while a run goes on, and pictures of displays.
 *
 * Written out by itself: it uses no class of the application, which goes on changing.
 */
final class Version20261126190000 extends AbstractMigration
{
    private const RECORD = 'id UUID NOT NULL, version INT NOT NULL, fingerprint VARCHAR(64) NOT NULL, belongs_to UUID NOT NULL,
        created_at TIMESTAMP(6) WITH TIME ZONE NOT NULL, created_by VARCHAR(120) NOT NULL,
        changed_at TIMESTAMP(6) WITH TIME ZONE NOT NULL, received_at TIMESTAMP(6) WITH TIME ZONE NOT NULL,
        brought_in BOOLEAN NOT NULL, withdrawn_because TEXT DEFAULT NULL, workspace_id UUID NOT NULL REFERENCES workspace (id) NOT DEFERRABLE';

    public function getDescription(): string
    {
        return 'The heap of what was filmed and photographed, and the clocks of cameras';
    }

    public function up(Schema $schema): void
    {
        $this->addSql(sprintf(
            "CREATE TABLE heap_file (%s, sha256 VARCHAR(64) NOT NULL, width INT NOT NULL, height INT NOT NULL, bytes BIGINT NOT NULL,
            kind VARCHAR(10) NOT NULL, type VARCHAR(80) NOT NULL, state VARCHAR(8) NOT NULL, problem VARCHAR(300) NOT NULL,
            taken_at VARCHAR(40) DEFAULT NULL, seconds DOUBLE PRECISION DEFAULT NULL, source VARCHAR(64) NOT NULL, lies VARCHAR(300) NOT NULL,
            name VARCHAR(120) NOT NULL, marks JSONB NOT NULL, camera VARCHAR(120) NOT NULL, zone VARCHAR(64) NOT NULL,
            modified TIMESTAMP(6) WITH TIME ZONE DEFAULT NULL, aside BOOLEAN NOT NULL, photo UUID DEFAULT NULL, PRIMARY KEY (id),
            CONSTRAINT heap_file_kind_known CHECK (kind IN ('picture', 'sound', 'clip', 'document')),
            CONSTRAINT heap_file_state_known CHECK (state IN ('waiting', 'ready', 'broken', 'away')),
            CONSTRAINT heap_file_seconds_finite CHECK (seconds >= 0 AND seconds < 'Infinity'))",
            self::RECORD,
        ));
        $this->addSql('CREATE INDEX heap_file_waits ON heap_file (workspace_id) WHERE NOT aside AND photo IS NULL');
        $this->addSql('CREATE INDEX heap_file_source ON heap_file (workspace_id, source)');
        $this->addSql(sprintf(
            "CREATE TABLE camera (%s, name VARCHAR(120) NOT NULL, ahead DOUBLE PRECISION NOT NULL, PRIMARY KEY (id),
            CONSTRAINT camera_ahead_finite CHECK (ahead > '-Infinity' AND ahead < 'Infinity'))",
            self::RECORD,
        ));
        $this->addSql('CREATE INDEX camera_workspace ON camera (workspace_id)');
        $this->addSql("ALTER TABLE photo ALTER bytes TYPE BIGINT, ADD lies VARCHAR(300) NOT NULL DEFAULT '', ADD name VARCHAR(120) NOT NULL DEFAULT '',
            ADD marks JSONB NOT NULL DEFAULT '[]', DROP CONSTRAINT photo_state_known,
            ADD CONSTRAINT photo_state_known CHECK (state IN ('waiting', 'ready', 'broken', 'away'))");
        $this->addSql('ALTER TABLE photo ALTER lies DROP DEFAULT, ALTER name DROP DEFAULT, ALTER marks DROP DEFAULT');
        $this->addSql('ALTER TABLE observation ADD until_run DOUBLE PRECISION DEFAULT NULL, ADD method_id UUID DEFAULT NULL REFERENCES method (id)');
        $this->addSql("ALTER TABLE run DROP CONSTRAINT run_purpose_known, ADD CONSTRAINT run_purpose_known
            CHECK (purpose IN ('findOut', 'settle', 'practise', 'demonstrate', 'reference', 'empty'))");
        $this->addSql("CREATE INDEX run_rig ON run (trial_id) WHERE purpose IN ('reference', 'empty')");
        $this->addSql('CREATE INDEX observation_method ON observation (method_id) WHERE method_id IS NOT NULL');
        $this->addSql("ALTER TABLE trial ADD favourites JSONB NOT NULL DEFAULT '[]'");
        $this->addSql('ALTER TABLE trial ALTER favourites DROP DEFAULT');
        $this->addSql('ALTER TABLE observation ADD CONSTRAINT observation_until_known CHECK (until_run >= into_run)');
        $this->addSql('ALTER TABLE photo ADD reading_id UUID DEFAULT NULL REFERENCES reading (id)');
        $this->addSql('CREATE INDEX photo_reading ON photo (reading_id) WHERE reading_id IS NOT NULL');
        $this->addSql('CREATE INDEX photo_source ON photo (workspace_id, source)');
        $this->addSql('CREATE INDEX run_started ON run (workspace_id, started_at)');
    }

    public function down(Schema $schema): void
    {
        $this->throwIrreversibleMigrationException('What was dropped in the heap would be lost.');
    }
}
