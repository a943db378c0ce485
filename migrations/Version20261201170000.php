<?php

declare(strict_types=1);

namespace Lustrum\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

final class Version20261201170000 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'What a place may reach lies in its own row';
    }

    public function up(Schema $schema): void
    {
        $this->addSql('ALTER TABLE signed_in ADD handed_over_for UUID DEFAULT NULL');
    }

    public function down(Schema $schema): void
    {
        $this->addSql('ALTER TABLE signed_in DROP handed_over_for');
    }
}
