<?php

declare(strict_types=1);

namespace Lustrum\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

/**
 * Files of a build, making and spending, families that stay, evidence by a module, and where a device began.
 *
 * Written out by itself: it uses no class of the application, which goes on changing.
 */
final class Version20261126110000 extends AbstractMigration
{
    private const RECORD = 'id UUID NOT NULL, version INT NOT NULL, fingerprint VARCHAR(64) NOT NULL, belongs_to UUID NOT NULL,
        created_at TIMESTAMP(0) WITH TIME ZONE NOT NULL, created_by VARCHAR(120) NOT NULL,
        changed_at TIMESTAMP(0) WITH TIME ZONE NOT NULL, received_at TIMESTAMP(0) WITH TIME ZONE NOT NULL,
        brought_in BOOLEAN NOT NULL, withdrawn_because TEXT DEFAULT NULL, workspace_id UUID NOT NULL REFERENCES workspace (id) NOT DEFERRABLE';

    private const REVISION = 'revision_id UUID NOT NULL REFERENCES revision (id) NOT DEFERRABLE';

    public function getDescription(): string
    {
        return 'Files of a build, making and spending, families that stay, evidence by a module, and where a device began';
    }

    public function up(Schema $schema): void
    {
        $this->table('document', self::REVISION.', part_id UUID DEFAULT NULL REFERENCES part (id) NOT DEFERRABLE,
            article_id UUID DEFAULT NULL REFERENCES article (id) NOT DEFERRABLE, name VARCHAR(120) NOT NULL, role VARCHAR(12) NOT NULL,
            author VARCHAR(120) NOT NULL, day VARCHAR(10) NOT NULL, note VARCHAR(300) NOT NULL, ratings JSONB NOT NULL, sha256 VARCHAR(64) NOT NULL,
            bytes INT NOT NULL, type VARCHAR(120) NOT NULL, preview VARCHAR(8) NOT NULL, seen VARCHAR(300) NOT NULL');
        $this->addSql('CREATE INDEX document_revision ON document (revision_id)');
        $this->table('making', 'article_id UUID NOT NULL REFERENCES article (id) NOT DEFERRABLE, name VARCHAR(120) NOT NULL,
            who VARCHAR(120) NOT NULL, minutes DOUBLE PRECISION DEFAULT NULL, wrong VARCHAR(300) NOT NULL, scrap INT NOT NULL,
            noticed VARCHAR(300) NOT NULL');
        $this->addSql('CREATE INDEX making_article ON making (article_id)');
        $this->addSql('CREATE INDEX making_belongs_to ON making (belongs_to)');
        $this->table('spending', self::REVISION.', what VARCHAR(300) NOT NULL, who VARCHAR(120) NOT NULL, hours DOUBLE PRECISION DEFAULT NULL,
            cost NUMERIC(12, 2) NOT NULL, started VARCHAR(40) NOT NULL, stopped VARCHAR(40) NOT NULL');
        $this->addSql('CREATE INDEX spending_revision ON spending (revision_id)');
        $this->addSql("ALTER TABLE revision ADD family BOOLEAN NOT NULL DEFAULT FALSE, ADD worst_arm VARCHAR(40) NOT NULL DEFAULT ''");
        $this->addSql('ALTER TABLE revision ALTER family DROP DEFAULT, ALTER worst_arm DROP DEFAULT');
        $this->addSql("ALTER TABLE requirement ADD members VARCHAR(8) NOT NULL DEFAULT 'each',
            ADD by_module_id UUID DEFAULT NULL REFERENCES requirement (id) NOT DEFERRABLE");
        $this->addSql('ALTER TABLE requirement ALTER members DROP DEFAULT');
        $this->addSql('ALTER TABLE device ADD began_with JSONB DEFAULT NULL');
        $this->addSql("ALTER TABLE observation ADD said_by VARCHAR(120) NOT NULL DEFAULT ''");
        $this->addSql('ALTER TABLE observation ALTER said_by DROP DEFAULT');
        foreach (self::KNOWN as $column => $choices) {
            [$table, $name] = explode('.', $column);
            $this->addSql("ALTER TABLE $table ADD CONSTRAINT {$table}_{$name}_known CHECK ($name IN ('".implode("', '", $choices)."'))");
        }
        $this->addSql("ALTER TABLE requirement DROP CONSTRAINT requirement_source_known,
            ADD CONSTRAINT requirement_source_known CHECK (source IN ('runs', 'parameter', 'cost', 'mass'))");
    }

    /** What a column may hold, as the code has it. */
    private const KNOWN = [
        'use_step.kind' => ['getReady', 'fit', 'begin', 'work', 'adjust', 'stop', 'empty', 'clean', 'carry', 'store', 'mend', 'other'],
        'person.relation' => ['team', 'tester', 'customer', 'user', 'safety', 'supplier', 'onlooker'],
        'part.sort' => ['part', 'joint', 'code'], 'part.standing' => ['stays', 'forNow', 'forTrying'],
        'document.role' => ['drawing', 'model', 'cutting', 'source', 'dataSheet', 'certificate', 'approval', 'making', 'other'],
        'document.preview' => ['none', 'picture', 'pages', 'model'], 'requirement.members' => ['each', 'worst', 'chosen'],
    ];

    private function table(string $name, string $columns): void
    {
        $this->addSql(sprintf('CREATE TABLE %s (%s, %s, PRIMARY KEY (id))', $name, self::RECORD, $columns));
    }

    public function down(Schema $schema): void
    {
        $this->throwIrreversibleMigrationException('Go back with the backup that was made before.');
    }
}
