<?php

declare(strict_types=1);

namespace Lustrum\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

final class Version20261202090000 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'What state it was in that was tried without an article';
    }

    public function up(Schema $schema): void
    {
        $this->addSql("ALTER TABLE run ADD state VARCHAR(10) DEFAULT '' NOT NULL");
        $this->addSql('ALTER TABLE run ALTER state DROP DEFAULT');
    }

    public function down(Schema $schema): void
    {
        $this->addSql('ALTER TABLE run DROP state');
    }
}
