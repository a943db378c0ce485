<?php

declare(strict_types=1);

namespace Lustrum\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

final class Version20261202174500 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'Failures that somebody closes sooner than their holds ask';
    }

    public function up(Schema $schema): void
    {
        $this->addSql('CREATE TABLE closing_by_hand (id UUID NOT NULL, belongs_to UUID NOT NULL, version INT NOT NULL, fingerprint VARCHAR(64) NOT NULL,
            created_at TIMESTAMP(6) WITH TIME ZONE NOT NULL, created_by VARCHAR(120) NOT NULL,
            changed_at TIMESTAMP(6) WITH TIME ZONE NOT NULL, received_at TIMESTAMP(6) WITH TIME ZONE NOT NULL,
            brought_in BOOLEAN NOT NULL, brought_in_by VARCHAR(120) NOT NULL, withdrawn_because TEXT DEFAULT NULL,
            why VARCHAR(300) NOT NULL,
            workspace_id UUID NOT NULL REFERENCES workspace (id) NOT DEFERRABLE,
            failure_id UUID NOT NULL REFERENCES failure (id) NOT DEFERRABLE, PRIMARY KEY (id))');
        foreach (['workspace_id', 'failure_id', 'belongs_to'] as $column) {
            $this->addSql(sprintf('CREATE INDEX closing_by_hand_%s ON closing_by_hand (%s)', str_replace('_id', '', $column), $column));
        }
    }

    public function down(Schema $schema): void
    {
        $this->addSql('DROP TABLE closing_by_hand');
    }
}
