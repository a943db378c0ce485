<?php

declare(strict_types=1);

namespace Lustrum\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

/** Sums of the bench that were kept: what went in, what came out then, and the run that they forecast. */
final class Version20261126230000 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'Sums of the bench that were kept';
    }

    public function up(Schema $schema): void
    {
        $this->addSql(
            'CREATE TABLE working (id UUID NOT NULL, version INT NOT NULL, fingerprint VARCHAR(64) NOT NULL, belongs_to UUID NOT NULL,
            created_at TIMESTAMP(6) WITH TIME ZONE NOT NULL, created_by VARCHAR(120) NOT NULL,
            changed_at TIMESTAMP(6) WITH TIME ZONE NOT NULL, received_at TIMESTAMP(6) WITH TIME ZONE NOT NULL,
            brought_in BOOLEAN NOT NULL, withdrawn_because TEXT DEFAULT NULL,
            workspace_id UUID NOT NULL REFERENCES workspace (id) NOT DEFERRABLE,
            revision_id UUID NOT NULL REFERENCES revision (id) NOT DEFERRABLE, title VARCHAR(120) NOT NULL, sum VARCHAR(120) NOT NULL,
            inputs JSONB NOT NULL, output VARCHAR(120) NOT NULL, unit VARCHAR(40) NOT NULL,
            run_id UUID DEFAULT NULL REFERENCES run (id) NOT DEFERRABLE, channel VARCHAR(40) NOT NULL, note VARCHAR(300) NOT NULL,
            answers JSONB NOT NULL, own JSONB DEFAULT NULL, PRIMARY KEY (id))',
        );
        $this->addSql(
            'CREATE TABLE workshop_sum (id UUID NOT NULL, version INT NOT NULL, fingerprint VARCHAR(64) NOT NULL, belongs_to UUID NOT NULL,
            created_at TIMESTAMP(6) WITH TIME ZONE NOT NULL, created_by VARCHAR(120) NOT NULL,
            changed_at TIMESTAMP(6) WITH TIME ZONE NOT NULL, received_at TIMESTAMP(6) WITH TIME ZONE NOT NULL,
            brought_in BOOLEAN NOT NULL, withdrawn_because TEXT DEFAULT NULL,
            workspace_id UUID NOT NULL REFERENCES workspace (id) NOT DEFERRABLE, name VARCHAR(120) NOT NULL, own JSONB NOT NULL, PRIMARY KEY (id))',
        );
        $this->addSql('CREATE INDEX workshop_sum_workspace ON workshop_sum (workspace_id)');
        $this->addSql('CREATE INDEX working_of ON working (belongs_to)');
        $this->addSql('CREATE INDEX working_workspace ON working (workspace_id)');
        $this->addSql('CREATE INDEX working_revision ON working (revision_id)');
        $this->addSql('CREATE INDEX working_run ON working (run_id)');
    }

    public function down(Schema $schema): void
    {
        $this->throwIrreversibleMigrationException('The sums that were kept would be lost.');
    }
}
