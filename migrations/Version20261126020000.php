<?php

declare(strict_types=1);

namespace Lustrum\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

/**
 * Readings as somebody said them: about a value, a range, a bound.
 *
 * Written out by itself: it uses no class of the application, which goes on changing.
 */
final class Version20261126020000 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'Readings as they were said: about, ranges, bounds';
    }

    public function up(Schema $schema): void
    {
        $this->addSql("ALTER TABLE reading ADD said VARCHAR(120) NOT NULL DEFAULT '', ADD typed_said VARCHAR(120) NOT NULL DEFAULT '',
            ADD bound VARCHAR(10) NOT NULL DEFAULT '', ADD u DOUBLE PRECISION");
        $this->addSql("ALTER TABLE reading ADD CONSTRAINT reading_bound_known CHECK (bound IN ('', 'atLeast', 'atMost'))");
        foreach (['said', 'typed_said', 'bound'] as $column) {
            $this->addSql("ALTER TABLE reading ALTER $column DROP DEFAULT");
        }
    }

    public function down(Schema $schema): void
    {
        $this->throwIrreversibleMigrationException('Go back with the backup that was made before.');
    }
}
