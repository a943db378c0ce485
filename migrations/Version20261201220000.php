<?php

declare(strict_types=1);

namespace Lustrum\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

final class Version20261201220000 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'With what each person seals what waits on a device when they sign out';
    }

    public function up(Schema $schema): void
    {
        $this->addSql("ALTER TABLE account ADD seal VARCHAR(64) DEFAULT '' NOT NULL");
        $this->addSql("UPDATE account SET seal = replace(gen_random_uuid()::text || gen_random_uuid()::text, '-', '')");
        $this->addSql('ALTER TABLE account ALTER seal DROP DEFAULT');
    }

    public function down(Schema $schema): void
    {
        $this->addSql('ALTER TABLE account DROP seal');
    }
}
