<?php

declare(strict_types=1);

namespace Lustrum\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

/**
 * Trials that go on until a mean is known to a half-width.
 *
 * Written out by itself: it uses no class of the application, which goes on changing.
 */
final class Version20261126070000 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'Trials that go on until a mean is known to a half-width';
    }

    public function up(Schema $schema): void
    {
        $this->addSql("ALTER TABLE trial ADD until_channel VARCHAR(40) NOT NULL DEFAULT ''");
        $this->addSql("ALTER TABLE trial ADD until_width VARCHAR(120) NOT NULL DEFAULT ''");
        $this->addSql('ALTER TABLE trial ALTER until_channel DROP DEFAULT');
        $this->addSql('ALTER TABLE trial ALTER until_width DROP DEFAULT');
    }

    public function down(Schema $schema): void
    {
        $this->throwIrreversibleMigrationException('Go back with the backup that was made before.');
    }
}
