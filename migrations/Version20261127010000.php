<?php

declare(strict_types=1);

namespace Lustrum\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

final class Version20261127010000 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'Carriers are found without going through all parts, ended runs counted without reading them, summaries kept as they are packed';
    }

    public function up(Schema $schema): void
    {
        $this->addSql('DROP INDEX part_module');
        $this->addSql('CREATE INDEX part_carries ON part (module_id, belongs_to) WHERE module_id IS NOT NULL');
        $this->addSql('CREATE INDEX run_ended ON run (trial_id) INCLUDE (outcome, purpose) WHERE outcome IS NOT NULL AND withdrawn_because IS NULL');
        // It is packed already.
        $this->addSql('ALTER TABLE summary ALTER COLUMN content SET STORAGE EXTERNAL');
    }

    public function down(Schema $schema): void
    {
        $this->addSql('ALTER TABLE summary ALTER COLUMN content SET STORAGE EXTENDED');
        $this->addSql('DROP INDEX run_ended');
        $this->addSql('DROP INDEX part_carries');
        $this->addSql('CREATE INDEX part_module ON part (module_id)');
    }
}
