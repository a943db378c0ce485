<?php

declare(strict_types=1);

namespace Lustrum\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

/** Sound, clips and documents beside photographs, and the queue of what is prepared in the background. */
final class Version20261125150000 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'Files of every kind; the queue';
    }

    public function up(Schema $schema): void
    {
        $this->addSql("ALTER TABLE photo ADD kind VARCHAR(10) NOT NULL DEFAULT 'picture', ADD type VARCHAR(80) NOT NULL DEFAULT 'image/jpeg',
            ADD state VARCHAR(8) NOT NULL DEFAULT 'ready', ADD problem VARCHAR(300) NOT NULL DEFAULT '', ADD taken_at VARCHAR(40) DEFAULT NULL,
            ADD seconds DOUBLE PRECISION DEFAULT NULL, ADD source VARCHAR(64) NOT NULL DEFAULT ''");
        $this->addSql('ALTER TABLE photo ALTER kind DROP DEFAULT, ALTER type DROP DEFAULT, ALTER state DROP DEFAULT, ALTER problem DROP DEFAULT, ALTER source DROP DEFAULT');
        $this->addSql("ALTER TABLE photo ADD CONSTRAINT photo_kind_known CHECK (kind IN ('picture', 'sound', 'clip', 'document')),
            ADD CONSTRAINT photo_state_known CHECK (state IN ('waiting', 'ready', 'broken')),
            ADD CONSTRAINT photo_seconds_finite CHECK (seconds >= 0 AND seconds < 'Infinity')");
        $this->addSql("CREATE INDEX photo_waiting ON photo (created_at) WHERE state = 'waiting'");
        $this->addSql('CREATE TABLE messenger_messages (id BIGSERIAL NOT NULL, body TEXT NOT NULL, headers TEXT NOT NULL, queue_name VARCHAR(190) NOT NULL,
            created_at TIMESTAMP(0) WITHOUT TIME ZONE NOT NULL, available_at TIMESTAMP(0) WITHOUT TIME ZONE NOT NULL,
            delivered_at TIMESTAMP(0) WITHOUT TIME ZONE DEFAULT NULL, PRIMARY KEY (id))');
        $this->addSql('CREATE INDEX messenger_messages_next ON messenger_messages (queue_name, available_at, delivered_at, id)');
    }

    public function down(Schema $schema): void
    {
        $this->throwIrreversibleMigrationException('Go back with the backup that was made before.');
    }
}
