<?php

declare(strict_types=1);

namespace Lustrum\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

final class Version20261201200000 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'Who serves a panel, who opened it before it was unblinded, and what was not rated blind';
    }

    public function up(Schema $schema): void
    {
        $this->addSql('ALTER TABLE panel ADD serves UUID DEFAULT NULL, ADD serves_name VARCHAR(120) DEFAULT \'\' NOT NULL,
            ADD opened JSONB DEFAULT \'[]\' NOT NULL');
        $this->addSql('ALTER TABLE panel ALTER serves_name DROP DEFAULT, ALTER opened DROP DEFAULT');
        $this->addSql('ALTER TABLE panel_sheet ADD not_blind BOOLEAN DEFAULT false NOT NULL');
        $this->addSql('ALTER TABLE panel_sheet ALTER not_blind DROP DEFAULT');
        // A number without a unit was kept as it never was said: '20 1'.
        foreach (['said', 'typed_said'] as $column) {
            $this->addSql("UPDATE reading SET $column = '' WHERE $column ~ '^[+−-]?[0-9.,]+ 1$' AND NOT undecided");
        }
        // What was written down of panels that are blind still told which code is which, and what was said.
        $this->addSql("UPDATE history_entry h SET was = h.was - 'seed', became = h.became - 'seed'
            FROM panel p WHERE h.kind = 'panel' AND h.record = p.id AND p.unblinded IS NULL");
        $this->addSql("UPDATE history_entry h SET became = h.became - '{ratings,prefers,guess,note}'::text[]
            FROM panel_sheet s JOIN panel p ON p.id = s.panel_id WHERE h.kind = 'sheet' AND h.record = s.id AND p.unblinded IS NULL");
    }

    public function down(Schema $schema): void
    {
        $this->addSql('ALTER TABLE panel_sheet DROP not_blind');
        $this->addSql('ALTER TABLE panel DROP serves, DROP serves_name, DROP opened');
    }
}
