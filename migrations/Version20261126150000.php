<?php

declare(strict_types=1);

namespace Lustrum\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

/**
 * What happens to articles between runs, the clock of a run and its forecast, and what is odd until somebody explains it.
 *
 * Written out by itself: it uses no class of the application, which goes on changing.
 */
final class Version20261126150000 extends AbstractMigration
{
    private const RECORD = 'id UUID NOT NULL, version INT NOT NULL, fingerprint VARCHAR(64) NOT NULL, belongs_to UUID NOT NULL,
        created_at TIMESTAMP(6) WITH TIME ZONE NOT NULL, created_by VARCHAR(120) NOT NULL,
        changed_at TIMESTAMP(6) WITH TIME ZONE NOT NULL, received_at TIMESTAMP(6) WITH TIME ZONE NOT NULL,
        brought_in BOOLEAN NOT NULL, withdrawn_because TEXT DEFAULT NULL, workspace_id UUID NOT NULL REFERENCES workspace (id) NOT DEFERRABLE';

    public function getDescription(): string
    {
        return 'What happens to articles, the clock and the forecast of a run, and what is odd';
    }

    public function up(Schema $schema): void
    {
        $this->addSql(sprintf(
            "CREATE TABLE happening (%s, article_id UUID NOT NULL REFERENCES article (id) NOT DEFERRABLE, kind VARCHAR(12) NOT NULL,
            at TIMESTAMP(6) WITH TIME ZONE NOT NULL, note VARCHAR(300) NOT NULL, PRIMARY KEY (id),
            CONSTRAINT happening_kind_known CHECK (kind IN ('moved', 'transported', 'reassembled', 'swapped', 'dropped')))",
            self::RECORD,
        ));
        $this->addSql('CREATE INDEX happening_article ON happening (article_id, at)');
        $this->addSql('CREATE INDEX happening_workspace ON happening (workspace_id)');
        $this->addSql('CREATE INDEX happening_belongs_to ON happening (belongs_to)');
        $this->addSql(sprintf(
            'CREATE TABLE panel (%s, trial_id UUID NOT NULL REFERENCES trial (id) NOT DEFERRABLE, serials JSONB NOT NULL, raters JSONB NOT NULL,
            seed INT NOT NULL, scales JSONB NOT NULL, prefers BOOLEAN NOT NULL, guess VARCHAR(300) NOT NULL, right_one VARCHAR(40) NOT NULL,
            unblinded JSONB DEFAULT NULL, PRIMARY KEY (id))',
            self::RECORD,
        ));
        $this->addSql(sprintf(
            "CREATE TABLE panel_sheet (%s, panel_id UUID NOT NULL REFERENCES panel (id) NOT DEFERRABLE, rater VARCHAR(120) NOT NULL,
            code VARCHAR(3) NOT NULL, ratings JSONB NOT NULL, prefers VARCHAR(10) DEFAULT NULL, guess VARCHAR(3) NOT NULL, note VARCHAR(300) NOT NULL,
            late BOOLEAN NOT NULL, PRIMARY KEY (id), CONSTRAINT panel_sheet_prefers_known CHECK (prefers IN ('this', 'before', 'neither')))",
            self::RECORD,
        ));
        $this->addSql('CREATE UNIQUE INDEX panel_sheet_once ON panel_sheet (panel_id, rater, code)');
        $this->addSql(sprintf(
            'CREATE TABLE outing (%s, place VARCHAR(120) NOT NULL, day VARCHAR(10) NOT NULL, hours DOUBLE PRECISION DEFAULT NULL, people JSONB NOT NULL,
            permits JSONB NOT NULL, weather VARCHAR(300) NOT NULL, trials JSONB NOT NULL, missed JSONB NOT NULL, PRIMARY KEY (id))',
            self::RECORD,
        ));
        $this->addSql('CREATE INDEX outing_workspace ON outing (workspace_id)');
        $this->addSql(sprintf(
            "CREATE TABLE course (%s, run_id UUID NOT NULL REFERENCES run (id) NOT DEFERRABLE, name VARCHAR(120) NOT NULL, text TEXT NOT NULL,
            unit VARCHAR(40) NOT NULL, time_unit VARCHAR(3) NOT NULL, marks JSONB NOT NULL, PRIMARY KEY (id),
            CONSTRAINT course_time_unit_known CHECK (time_unit IN ('s', 'min', 'h')))",
            self::RECORD,
        ));
        foreach (['panel' => 'trial_id', 'panel_sheet' => 'panel_id', 'course' => 'run_id'] as $table => $of) {
            $this->addSql("CREATE INDEX {$table}_of ON $table ($of)");
            $this->addSql("CREATE INDEX {$table}_workspace ON $table (workspace_id)");
            $this->addSql("CREATE INDEX {$table}_belongs_to ON $table (belongs_to)");
        }
        $this->addSql("ALTER TABLE trial ADD waits_for JSONB NOT NULL DEFAULT '[]'");
        $this->addSql('ALTER TABLE trial ALTER waits_for DROP DEFAULT');
        $this->addSql("ALTER TABLE run ADD forecast JSONB NOT NULL DEFAULT '[]', ADD clock_at TIMESTAMP(6) WITH TIME ZONE DEFAULT NULL,
            ADD found_at TIMESTAMP(6) WITH TIME ZONE DEFAULT NULL, ADD lasted DOUBLE PRECISION DEFAULT NULL");
        $this->addSql('ALTER TABLE run ALTER forecast DROP DEFAULT');
        $this->addSql('ALTER TABLE run ADD CONSTRAINT run_lasted_some_time CHECK (lasted >= 0)');
        $this->addSql("ALTER TABLE observation ADD into_run DOUBLE PRECISION DEFAULT NULL, ADD odd BOOLEAN NOT NULL DEFAULT FALSE,
            ADD explained VARCHAR(300) NOT NULL DEFAULT ''");
        $this->addSql('ALTER TABLE observation ALTER odd DROP DEFAULT, ALTER explained DROP DEFAULT');
        $this->addSql('ALTER TABLE observation ADD CONSTRAINT observation_into_run_known CHECK (into_run >= 0)');
        $this->addSql("CREATE INDEX observation_odd ON observation (revision_id) WHERE odd AND explained = ''");
    }

    public function down(Schema $schema): void
    {
        $this->throwIrreversibleMigrationException('Go back with the backup that was made before.');
    }
}
