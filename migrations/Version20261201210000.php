<?php

declare(strict_types=1);

namespace Lustrum\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

final class Version20261201210000 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'How far the clock of a device was ahead when a run began on it';
    }

    public function up(Schema $schema): void
    {
        $this->addSql('ALTER TABLE run ADD clock_ahead DOUBLE PRECISION DEFAULT NULL');
    }

    public function down(Schema $schema): void
    {
        $this->addSql('ALTER TABLE run DROP clock_ahead');
    }
}
