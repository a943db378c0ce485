<?php

declare(strict_types=1);

namespace Lustrum\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

final class Version20261127010000 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'Which device carries which is found without going through all parts';
    }

    public function up(Schema $schema): void
    {
        $this->addSql('DROP INDEX part_module');
        $this->addSql('CREATE INDEX part_carries ON part (module_id, belongs_to) WHERE module_id IS NOT NULL');
    }

    public function down(Schema $schema): void
    {
        $this->addSql('DROP INDEX part_carries');
        $this->addSql('CREATE INDEX part_module ON part (module_id)');
    }
}
