<?php

declare(strict_types=1);

namespace Lustrum\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

/**
 * The runs of a device in the order in which they were made: the brief offers the last ones as findings, and went through
 * all of them for it.
 */
final class Version20261126220000 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'The runs of a device in time';
    }

    public function up(Schema $schema): void
    {
        $this->addSql('DROP INDEX run_of');
        $this->addSql('CREATE INDEX run_of ON run (belongs_to, started_at)');
    }

    public function down(Schema $schema): void
    {
        $this->addSql('DROP INDEX run_of');
        $this->addSql('CREATE INDEX run_of ON run (belongs_to)');
    }
}
