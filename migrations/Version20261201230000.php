<?php

declare(strict_types=1);

namespace Lustrum\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

final class Version20261201230000 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'From where somebody is signed in and why that ended, when a password was changed, and by whom an entry was brought in';
    }

    public function up(Schema $schema): void
    {
        $this->addSql("ALTER TABLE signed_in ADD address VARCHAR(64) DEFAULT '' NOT NULL, ADD ended VARCHAR(20) DEFAULT '' NOT NULL");
        $this->addSql('ALTER TABLE signed_in ALTER address DROP DEFAULT, ALTER ended DROP DEFAULT');
        $this->addSql('ALTER TABLE account ADD password_changed_at TIMESTAMP(6) WITH TIME ZONE DEFAULT NULL');
        foreach ($this->connection->fetchFirstColumn(
            "SELECT table_name FROM information_schema.columns WHERE table_schema = 'public' AND column_name = 'brought_in' ORDER BY 1",
        ) as $table) {
            $name = $this->connection->quoteIdentifier(is_string($table) ? $table : '');
            $this->addSql("ALTER TABLE $name ADD brought_in_by VARCHAR(120) DEFAULT '' NOT NULL");
            $this->addSql("ALTER TABLE $name ALTER brought_in_by DROP DEFAULT");
        }
    }

    public function down(Schema $schema): void
    {
        foreach ($this->connection->fetchFirstColumn(
            "SELECT table_name FROM information_schema.columns WHERE table_schema = 'public' AND column_name = 'brought_in_by'",
        ) as $table) {
            $this->addSql('ALTER TABLE '.$this->connection->quoteIdentifier(is_string($table) ? $table : '').' DROP brought_in_by');
        }
        $this->addSql('ALTER TABLE account DROP password_changed_at');
        $this->addSql('ALTER TABLE signed_in DROP address, DROP ended');
    }
}
