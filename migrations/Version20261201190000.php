<?php

declare(strict_types=1);

namespace Lustrum\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

final class Version20261201190000 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'One place says which files the database names, for backups, checks and quotas';
    }

    public function up(Schema $schema): void
    {
        $path = "substr(sha256, 1, 2) || '/' || substr(sha256, 3, 2) || '/' || sha256 || '%s.jpg'";
        [$kept, $preview] = [sprintf($path, ''), sprintf($path, '-preview')];
        $parts = [];
        foreach (['photo' => "coalesce(nullif(caption, ''), name)", 'heap_file' => 'name'] as $table => $name) {
            $from = "FROM $table WHERE state";
            $parts[] = "SELECT id, workspace_id, belongs_to, '$table', $name, 'kept', $kept, sha256, bytes $from = 'ready' AND sha256 <> ''";
            $parts[] = "SELECT id, workspace_id, belongs_to, '$table', $name, 'preview', $preview, '', 0 $from = 'ready' AND sha256 <> ''
                AND kind IN ('picture', 'clip')";
            $parts[] = "SELECT id, workspace_id, belongs_to, '$table', $name, 'waiting', 'waiting/' || id, source, bytes $from = 'waiting'";
        }
        $parts[] = "SELECT id, workspace_id, belongs_to, 'document', name, 'kept', $kept, sha256, bytes FROM document WHERE sha256 <> ''";
        $parts[] = "SELECT id, workspace_id, belongs_to, 'document', name, 'preview', $preview, '', 0 FROM document WHERE preview = 'picture'";
        $this->addSql(
            'CREATE VIEW stored_file (record, workspace_id, belongs_to, held_as, name, part, path, sha256, bytes) AS '.implode(' UNION ALL ', $parts),
        );
    }

    public function down(Schema $schema): void
    {
        $this->addSql('DROP VIEW stored_file');
    }
}
