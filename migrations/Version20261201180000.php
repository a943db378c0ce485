<?php

declare(strict_types=1);

namespace Lustrum\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

final class Version20261201180000 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'Files wait in two lines; what waits in the one before goes on in the longer one';
    }

    public function up(Schema $schema): void
    {
        $this->addSql('ALTER TABLE document DROP CONSTRAINT document_preview_known');
        $this->addSql("ALTER TABLE document ADD CONSTRAINT document_preview_known
            CHECK (preview IN ('none', 'picture', 'waiting', 'pages', 'model'))");
        // As PHP wrote it down, with a stroke before each quotation mark.
        $this->addSql(<<<'SQL'
            UPDATE messenger_messages SET queue_name = 'recordings', body = replace(body, 's:5:\"photo\"', 's:6:\"record\"')
            WHERE queue_name = 'files'
            SQL);
    }

    public function down(Schema $schema): void
    {
        $this->addSql("UPDATE document SET preview = 'none' WHERE preview = 'waiting'");
        $this->addSql('ALTER TABLE document DROP CONSTRAINT document_preview_known');
        $this->addSql("ALTER TABLE document ADD CONSTRAINT document_preview_known
            CHECK (preview IN ('none', 'picture', 'pages', 'model'))");
        $this->addSql("UPDATE messenger_messages SET queue_name = 'files' WHERE queue_name IN ('pictures', 'recordings')");
    }
}
