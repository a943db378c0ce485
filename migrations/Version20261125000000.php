<?php

declare(strict_types=1);

namespace Lustrum\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

final class Version20261125000000 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'Accounts, devices, revisions, methods, trials, findings, candidates and decisions.';
    }

    public function up(Schema $schema): void
    {
        $this->addSql('CREATE TABLE method (id UUID NOT NULL, version INT NOT NULL, fingerprint VARCHAR(64) NOT NULL, created_at TIMESTAMP(0) WITH TIME ZONE NOT NULL, created_by VARCHAR(120) NOT NULL, changed_at TIMESTAMP(0) WITH TIME ZONE NOT NULL, withdrawn_because TEXT DEFAULT NULL, name VARCHAR(120) NOT NULL, purpose TEXT NOT NULL, rig VARCHAR(120) NOT NULL, held_when TEXT NOT NULL, end_point TEXT NOT NULL, not_represented TEXT NOT NULL, outcome_metric VARCHAR(120) NOT NULL, minutes DOUBLE PRECISION NOT NULL, channels JSON NOT NULL, conditions JSON NOT NULL, settings JSON NOT NULL, safety JSON NOT NULL, workspace_id UUID NOT NULL, device_id UUID NOT NULL, PRIMARY KEY (id))');
        $this->addSql('CREATE INDEX IDX_5E593A6082D40A1F ON method (workspace_id)');
        $this->addSql('CREATE INDEX IDX_5E593A6094A4C7D4 ON method (device_id)');
        $this->addSql('CREATE TABLE observation (id UUID NOT NULL, version INT NOT NULL, fingerprint VARCHAR(64) NOT NULL, created_at TIMESTAMP(0) WITH TIME ZONE NOT NULL, created_by VARCHAR(120) NOT NULL, changed_at TIMESTAMP(0) WITH TIME ZONE NOT NULL, withdrawn_because TEXT DEFAULT NULL, text TEXT NOT NULL, workspace_id UUID NOT NULL, revision_id UUID NOT NULL, run_id UUID DEFAULT NULL, PRIMARY KEY (id))');
        $this->addSql('CREATE INDEX IDX_C576DBE082D40A1F ON observation (workspace_id)');
        $this->addSql('CREATE INDEX IDX_C576DBE01DFA7C8F ON observation (revision_id)');
        $this->addSql('CREATE INDEX IDX_C576DBE084E3FEC4 ON observation (run_id)');
        $this->addSql('CREATE TABLE failure (id UUID NOT NULL, version INT NOT NULL, fingerprint VARCHAR(64) NOT NULL, created_at TIMESTAMP(0) WITH TIME ZONE NOT NULL, created_by VARCHAR(120) NOT NULL, changed_at TIMESTAMP(0) WITH TIME ZONE NOT NULL, withdrawn_because TEXT DEFAULT NULL, mode VARCHAR(120) NOT NULL, place VARCHAR(120) NOT NULL, severity VARCHAR(10) NOT NULL, stage VARCHAR(120) NOT NULL, note TEXT NOT NULL, workspace_id UUID NOT NULL, revision_id UUID NOT NULL, run_id UUID DEFAULT NULL, article_id UUID DEFAULT NULL, PRIMARY KEY (id))');
        $this->addSql('CREATE INDEX IDX_219B03C182D40A1F ON failure (workspace_id)');
        $this->addSql('CREATE INDEX IDX_219B03C11DFA7C8F ON failure (revision_id)');
        $this->addSql('CREATE INDEX IDX_219B03C184E3FEC4 ON failure (run_id)');
        $this->addSql('CREATE INDEX IDX_219B03C17294869C ON failure (article_id)');
        $this->addSql('CREATE TABLE photo (id UUID NOT NULL, version INT NOT NULL, fingerprint VARCHAR(64) NOT NULL, created_at TIMESTAMP(0) WITH TIME ZONE NOT NULL, created_by VARCHAR(120) NOT NULL, changed_at TIMESTAMP(0) WITH TIME ZONE NOT NULL, withdrawn_because TEXT DEFAULT NULL, caption VARCHAR(300) NOT NULL, sha256 VARCHAR(64) NOT NULL, width INT NOT NULL, height INT NOT NULL, bytes INT NOT NULL, workspace_id UUID NOT NULL, revision_id UUID NOT NULL, run_id UUID DEFAULT NULL, failure_id UUID DEFAULT NULL, PRIMARY KEY (id))');
        $this->addSql('CREATE INDEX IDX_14B7841882D40A1F ON photo (workspace_id)');
        $this->addSql('CREATE INDEX IDX_14B784181DFA7C8F ON photo (revision_id)');
        $this->addSql('CREATE INDEX IDX_14B7841884E3FEC4 ON photo (run_id)');
        $this->addSql('CREATE INDEX IDX_14B78418BADC2069 ON photo (failure_id)');
        $this->addSql('CREATE TABLE cause (id UUID NOT NULL, version INT NOT NULL, fingerprint VARCHAR(64) NOT NULL, created_at TIMESTAMP(0) WITH TIME ZONE NOT NULL, created_by VARCHAR(120) NOT NULL, changed_at TIMESTAMP(0) WITH TIME ZONE NOT NULL, withdrawn_because TEXT DEFAULT NULL, text VARCHAR(300) NOT NULL, kind VARCHAR(10) NOT NULL, standing VARCHAR(10) NOT NULL, findings TEXT NOT NULL, workspace_id UUID NOT NULL, failure_id UUID NOT NULL, PRIMARY KEY (id))');
        $this->addSql('CREATE INDEX IDX_F0DA7FBF82D40A1F ON cause (workspace_id)');
        $this->addSql('CREATE INDEX IDX_F0DA7FBFBADC2069 ON cause (failure_id)');
        $this->addSql('CREATE TABLE change (id UUID NOT NULL, version INT NOT NULL, fingerprint VARCHAR(64) NOT NULL, created_at TIMESTAMP(0) WITH TIME ZONE NOT NULL, created_by VARCHAR(120) NOT NULL, changed_at TIMESTAMP(0) WITH TIME ZONE NOT NULL, withdrawn_because TEXT DEFAULT NULL, what VARCHAR(300) NOT NULL, why TEXT NOT NULL, class VARCHAR(12) NOT NULL, metric VARCHAR(120) NOT NULL, expected DOUBLE PRECISION DEFAULT NULL, unit VARCHAR(40) NOT NULL, verdict VARCHAR(12) DEFAULT NULL, verdict_note TEXT NOT NULL, workspace_id UUID NOT NULL, revision_id UUID NOT NULL, against_id UUID DEFAULT NULL, PRIMARY KEY (id))');
        $this->addSql('CREATE INDEX IDX_4057FE2082D40A1F ON change (workspace_id)');
        $this->addSql('CREATE INDEX IDX_4057FE201DFA7C8F ON change (revision_id)');
        $this->addSql('CREATE INDEX IDX_4057FE2016139D9A ON change (against_id)');
        $this->addSql('CREATE TABLE part (id UUID NOT NULL, version INT NOT NULL, fingerprint VARCHAR(64) NOT NULL, created_at TIMESTAMP(0) WITH TIME ZONE NOT NULL, created_by VARCHAR(120) NOT NULL, changed_at TIMESTAMP(0) WITH TIME ZONE NOT NULL, withdrawn_because TEXT DEFAULT NULL, name VARCHAR(120) NOT NULL, material VARCHAR(120) NOT NULL, quantity DOUBLE PRECISION NOT NULL, cost NUMERIC(12, 4) NOT NULL, note VARCHAR(300) NOT NULL, workspace_id UUID NOT NULL, revision_id UUID NOT NULL, PRIMARY KEY (id))');
        $this->addSql('CREATE INDEX IDX_490F70C682D40A1F ON part (workspace_id)');
        $this->addSql('CREATE INDEX IDX_490F70C61DFA7C8F ON part (revision_id)');
        $this->addSql('CREATE TABLE parameter (id UUID NOT NULL, version INT NOT NULL, fingerprint VARCHAR(64) NOT NULL, created_at TIMESTAMP(0) WITH TIME ZONE NOT NULL, created_by VARCHAR(120) NOT NULL, changed_at TIMESTAMP(0) WITH TIME ZONE NOT NULL, withdrawn_because TEXT DEFAULT NULL, name VARCHAR(120) NOT NULL, measure_value DOUBLE PRECISION NOT NULL, measure_unit VARCHAR(40) NOT NULL, measure_resolution DOUBLE PRECISION DEFAULT NULL, measure_si DOUBLE PRECISION NOT NULL, workspace_id UUID NOT NULL, revision_id UUID NOT NULL, PRIMARY KEY (id))');
        $this->addSql('CREATE UNIQUE INDEX UNIQ_2A9791101DFA7C8F5E237E06 ON parameter (revision_id, name)');
        $this->addSql('CREATE INDEX IDX_2A97911082D40A1F ON parameter (workspace_id)');
        $this->addSql('CREATE INDEX IDX_2A9791101DFA7C8F ON parameter (revision_id)');
        $this->addSql('CREATE TABLE revision (id UUID NOT NULL, version INT NOT NULL, fingerprint VARCHAR(64) NOT NULL, created_at TIMESTAMP(0) WITH TIME ZONE NOT NULL, created_by VARCHAR(120) NOT NULL, changed_at TIMESTAMP(0) WITH TIME ZONE NOT NULL, withdrawn_because TEXT DEFAULT NULL, letter VARCHAR(8) NOT NULL, branch VARCHAR(120) NOT NULL, intent VARCHAR(300) NOT NULL, firmware VARCHAR(120) NOT NULL, state VARCHAR(10) NOT NULL, state_reason TEXT NOT NULL, workspace_id UUID NOT NULL, device_id UUID NOT NULL, parent_id UUID DEFAULT NULL, PRIMARY KEY (id))');
        $this->addSql('CREATE UNIQUE INDEX UNIQ_6D6315CC94A4C7D48E02EE0A ON revision (device_id, letter)');
        $this->addSql('CREATE INDEX IDX_6D6315CC82D40A1F ON revision (workspace_id)');
        $this->addSql('CREATE INDEX IDX_6D6315CC94A4C7D4 ON revision (device_id)');
        $this->addSql('CREATE INDEX IDX_6D6315CC727ACA70 ON revision (parent_id)');
        $this->addSql('CREATE TABLE article (id UUID NOT NULL, version INT NOT NULL, fingerprint VARCHAR(64) NOT NULL, created_at TIMESTAMP(0) WITH TIME ZONE NOT NULL, created_by VARCHAR(120) NOT NULL, changed_at TIMESTAMP(0) WITH TIME ZONE NOT NULL, withdrawn_because TEXT DEFAULT NULL, serial VARCHAR(40) NOT NULL, lots JSON NOT NULL, deviations TEXT NOT NULL, state VARCHAR(10) NOT NULL, workspace_id UUID NOT NULL, revision_id UUID NOT NULL, PRIMARY KEY (id))');
        $this->addSql('CREATE INDEX IDX_23A0E6682D40A1F ON article (workspace_id)');
        $this->addSql('CREATE INDEX IDX_23A0E661DFA7C8F ON article (revision_id)');
        $this->addSql('CREATE TABLE history_entry (id UUID NOT NULL, at TIMESTAMP(0) WITH TIME ZONE NOT NULL, workspace UUID NOT NULL, record UUID NOT NULL, kind VARCHAR(60) NOT NULL, author VARCHAR(120) NOT NULL, was JSON DEFAULT NULL, became JSON NOT NULL, PRIMARY KEY (id))');
        $this->addSql('CREATE INDEX IDX_729995179B349F91 ON history_entry (record)');
        $this->addSql('CREATE TABLE requirement (id UUID NOT NULL, version INT NOT NULL, fingerprint VARCHAR(64) NOT NULL, created_at TIMESTAMP(0) WITH TIME ZONE NOT NULL, created_by VARCHAR(120) NOT NULL, changed_at TIMESTAMP(0) WITH TIME ZONE NOT NULL, withdrawn_because TEXT DEFAULT NULL, statement VARCHAR(300) NOT NULL, metric VARCHAR(120) NOT NULL, unit VARCHAR(40) NOT NULL, limit_value DOUBLE PRECISION NOT NULL, direction VARCHAR(10) NOT NULL, kind VARCHAR(10) NOT NULL, coverage DOUBLE PRECISION NOT NULL, must BOOLEAN NOT NULL, conditions JSON NOT NULL, depends_on JSON NOT NULL, place INT NOT NULL, workspace_id UUID NOT NULL, device_id UUID NOT NULL, PRIMARY KEY (id))');
        $this->addSql('CREATE INDEX IDX_DB3F555082D40A1F ON requirement (workspace_id)');
        $this->addSql('CREATE INDEX IDX_DB3F555094A4C7D4 ON requirement (device_id)');
        $this->addSql('CREATE TABLE device (id UUID NOT NULL, version INT NOT NULL, fingerprint VARCHAR(64) NOT NULL, created_at TIMESTAMP(0) WITH TIME ZONE NOT NULL, created_by VARCHAR(120) NOT NULL, changed_at TIMESTAMP(0) WITH TIME ZONE NOT NULL, withdrawn_because TEXT DEFAULT NULL, name VARCHAR(120) NOT NULL, brief TEXT NOT NULL, users TEXT NOT NULL, gates VARCHAR(10) NOT NULL, confidence DOUBLE PRECISION NOT NULL, currency VARCHAR(8) NOT NULL, cost_limit NUMERIC(12, 2) DEFAULT NULL, hours_limit DOUBLE PRECISION DEFAULT NULL, changes_limit INT DEFAULT NULL, workspace_id UUID NOT NULL, PRIMARY KEY (id))');
        $this->addSql('CREATE INDEX IDX_92FB68E82D40A1F ON device (workspace_id)');
        $this->addSql('CREATE TABLE membership (id UUID NOT NULL, role VARCHAR(10) NOT NULL, workspace_id UUID NOT NULL, user_id UUID NOT NULL, PRIMARY KEY (id))');
        $this->addSql('CREATE UNIQUE INDEX UNIQ_86FFD28582D40A1FA76ED395 ON membership (workspace_id, user_id)');
        $this->addSql('CREATE INDEX IDX_86FFD28582D40A1F ON membership (workspace_id)');
        $this->addSql('CREATE INDEX IDX_86FFD285A76ED395 ON membership (user_id)');
        $this->addSql('CREATE TABLE account (id UUID NOT NULL, password VARCHAR(255) NOT NULL, email VARCHAR(180) NOT NULL, name VARCHAR(120) NOT NULL, PRIMARY KEY (id))');
        $this->addSql('CREATE UNIQUE INDEX UNIQ_7D3656A4E7927C74 ON account (email)');
        $this->addSql('CREATE TABLE workspace (id UUID NOT NULL, name VARCHAR(120) NOT NULL, PRIMARY KEY (id))');
        $this->addSql('CREATE TABLE trial (id UUID NOT NULL, version INT NOT NULL, fingerprint VARCHAR(64) NOT NULL, created_at TIMESTAMP(0) WITH TIME ZONE NOT NULL, created_by VARCHAR(120) NOT NULL, changed_at TIMESTAMP(0) WITH TIME ZONE NOT NULL, withdrawn_because TEXT DEFAULT NULL, name VARCHAR(120) NOT NULL, question TEXT NOT NULL, planned_runs INT NOT NULL, repeats VARCHAR(12) NOT NULL, state VARCHAR(10) NOT NULL, sign_off JSON DEFAULT NULL, override JSON DEFAULT NULL, workspace_id UUID NOT NULL, revision_id UUID NOT NULL, method_id UUID NOT NULL, PRIMARY KEY (id))');
        $this->addSql('CREATE INDEX IDX_74A25E3F82D40A1F ON trial (workspace_id)');
        $this->addSql('CREATE INDEX IDX_74A25E3F1DFA7C8F ON trial (revision_id)');
        $this->addSql('CREATE INDEX IDX_74A25E3F19883967 ON trial (method_id)');
        $this->addSql('CREATE TABLE run (id UUID NOT NULL, version INT NOT NULL, fingerprint VARCHAR(64) NOT NULL, created_at TIMESTAMP(0) WITH TIME ZONE NOT NULL, created_by VARCHAR(120) NOT NULL, changed_at TIMESTAMP(0) WITH TIME ZONE NOT NULL, withdrawn_because TEXT DEFAULT NULL, number INT NOT NULL, operator VARCHAR(120) NOT NULL, position VARCHAR(120) NOT NULL, started_at TIMESTAMP(0) WITH TIME ZONE NOT NULL, conditions JSON NOT NULL, settings JSON NOT NULL, note TEXT NOT NULL, outcome VARCHAR(12) DEFAULT NULL, outcome_reason TEXT NOT NULL, amendments JSON NOT NULL, configuration JSONB NOT NULL, workspace_id UUID NOT NULL, trial_id UUID NOT NULL, article_id UUID DEFAULT NULL, PRIMARY KEY (id))');
        $this->addSql('CREATE UNIQUE INDEX UNIQ_5076A4C05596D5F796901F54 ON run (trial_id, number)');
        $this->addSql('CREATE INDEX IDX_5076A4C082D40A1F ON run (workspace_id)');
        $this->addSql('CREATE INDEX IDX_5076A4C05596D5F7 ON run (trial_id)');
        $this->addSql('CREATE INDEX IDX_5076A4C07294869C ON run (article_id)');
        $this->addSql('CREATE TABLE reading (id UUID NOT NULL, version INT NOT NULL, fingerprint VARCHAR(64) NOT NULL, created_at TIMESTAMP(0) WITH TIME ZONE NOT NULL, created_by VARCHAR(120) NOT NULL, changed_at TIMESTAMP(0) WITH TIME ZONE NOT NULL, withdrawn_because TEXT DEFAULT NULL, channel VARCHAR(40) NOT NULL, metric VARCHAR(120) NOT NULL, amendments JSON NOT NULL, confirmed VARCHAR(300) NOT NULL, typed_value DOUBLE PRECISION NOT NULL, typed_unit VARCHAR(40) NOT NULL, typed_resolution DOUBLE PRECISION DEFAULT NULL, typed_si DOUBLE PRECISION NOT NULL, current_value DOUBLE PRECISION NOT NULL, current_unit VARCHAR(40) NOT NULL, current_resolution DOUBLE PRECISION DEFAULT NULL, current_si DOUBLE PRECISION NOT NULL, workspace_id UUID NOT NULL, run_id UUID NOT NULL, PRIMARY KEY (id))');
        $this->addSql('CREATE UNIQUE INDEX UNIQ_C11AFC4184E3FEC4A2F98E47 ON reading (run_id, channel)');
        $this->addSql('CREATE INDEX IDX_C11AFC4182D40A1F ON reading (workspace_id)');
        $this->addSql('CREATE INDEX IDX_C11AFC4184E3FEC4 ON reading (run_id)');
        $this->addSql('CREATE TABLE candidate (id UUID NOT NULL, version INT NOT NULL, fingerprint VARCHAR(64) NOT NULL, created_at TIMESTAMP(0) WITH TIME ZONE NOT NULL, created_by VARCHAR(120) NOT NULL, changed_at TIMESTAMP(0) WITH TIME ZONE NOT NULL, withdrawn_because TEXT DEFAULT NULL, what VARCHAR(300) NOT NULL, why TEXT NOT NULL, class VARCHAR(12) NOT NULL, cost NUMERIC(12, 2) NOT NULL, hours DOUBLE PRECISION NOT NULL, effects JSON NOT NULL, source VARCHAR(10) NOT NULL, asked_by VARCHAR(120) NOT NULL, choice VARCHAR(8) NOT NULL, reason TEXT NOT NULL, workspace_id UUID NOT NULL, revision_id UUID NOT NULL, failure_id UUID DEFAULT NULL, decision_id UUID DEFAULT NULL, PRIMARY KEY (id))');
        $this->addSql('CREATE INDEX IDX_C8B28E4482D40A1F ON candidate (workspace_id)');
        $this->addSql('CREATE INDEX IDX_C8B28E441DFA7C8F ON candidate (revision_id)');
        $this->addSql('CREATE INDEX IDX_C8B28E44BADC2069 ON candidate (failure_id)');
        $this->addSql('CREATE INDEX IDX_C8B28E44BDEE7539 ON candidate (decision_id)');
        $this->addSql('CREATE TABLE decision (id UUID NOT NULL, version INT NOT NULL, fingerprint VARCHAR(64) NOT NULL, created_at TIMESTAMP(0) WITH TIME ZONE NOT NULL, created_by VARCHAR(120) NOT NULL, changed_at TIMESTAMP(0) WITH TIME ZONE NOT NULL, withdrawn_because TEXT DEFAULT NULL, note TEXT NOT NULL, known JSON NOT NULL, workspace_id UUID NOT NULL, revision_id UUID NOT NULL, next_id UUID NOT NULL, PRIMARY KEY (id))');
        $this->addSql('CREATE INDEX IDX_84ACBE4882D40A1F ON decision (workspace_id)');
        $this->addSql('CREATE INDEX IDX_84ACBE481DFA7C8F ON decision (revision_id)');
        $this->addSql('CREATE INDEX IDX_84ACBE48AA23F6C8 ON decision (next_id)');
        $this->addSql('CREATE TABLE session (sess_id VARCHAR(128) NOT NULL, sess_data BYTEA NOT NULL, lifetime INT NOT NULL, sess_time INT NOT NULL, PRIMARY KEY (sess_id))');
        $this->addSql('CREATE INDEX lifetime_idx ON session (lifetime)');
        $this->addSql('ALTER TABLE method ADD CONSTRAINT FK_5E593A6082D40A1F FOREIGN KEY (workspace_id) REFERENCES workspace (id) NOT DEFERRABLE');
        $this->addSql('ALTER TABLE method ADD CONSTRAINT FK_5E593A6094A4C7D4 FOREIGN KEY (device_id) REFERENCES device (id) NOT DEFERRABLE');
        $this->addSql('ALTER TABLE observation ADD CONSTRAINT FK_C576DBE082D40A1F FOREIGN KEY (workspace_id) REFERENCES workspace (id) NOT DEFERRABLE');
        $this->addSql('ALTER TABLE observation ADD CONSTRAINT FK_C576DBE01DFA7C8F FOREIGN KEY (revision_id) REFERENCES revision (id) NOT DEFERRABLE');
        $this->addSql('ALTER TABLE observation ADD CONSTRAINT FK_C576DBE084E3FEC4 FOREIGN KEY (run_id) REFERENCES run (id)');
        $this->addSql('ALTER TABLE failure ADD CONSTRAINT FK_219B03C182D40A1F FOREIGN KEY (workspace_id) REFERENCES workspace (id) NOT DEFERRABLE');
        $this->addSql('ALTER TABLE failure ADD CONSTRAINT FK_219B03C11DFA7C8F FOREIGN KEY (revision_id) REFERENCES revision (id) NOT DEFERRABLE');
        $this->addSql('ALTER TABLE failure ADD CONSTRAINT FK_219B03C184E3FEC4 FOREIGN KEY (run_id) REFERENCES run (id)');
        $this->addSql('ALTER TABLE failure ADD CONSTRAINT FK_219B03C17294869C FOREIGN KEY (article_id) REFERENCES article (id)');
        $this->addSql('ALTER TABLE photo ADD CONSTRAINT FK_14B7841882D40A1F FOREIGN KEY (workspace_id) REFERENCES workspace (id) NOT DEFERRABLE');
        $this->addSql('ALTER TABLE photo ADD CONSTRAINT FK_14B784181DFA7C8F FOREIGN KEY (revision_id) REFERENCES revision (id) NOT DEFERRABLE');
        $this->addSql('ALTER TABLE photo ADD CONSTRAINT FK_14B7841884E3FEC4 FOREIGN KEY (run_id) REFERENCES run (id)');
        $this->addSql('ALTER TABLE photo ADD CONSTRAINT FK_14B78418BADC2069 FOREIGN KEY (failure_id) REFERENCES failure (id)');
        $this->addSql('ALTER TABLE cause ADD CONSTRAINT FK_F0DA7FBF82D40A1F FOREIGN KEY (workspace_id) REFERENCES workspace (id) NOT DEFERRABLE');
        $this->addSql('ALTER TABLE cause ADD CONSTRAINT FK_F0DA7FBFBADC2069 FOREIGN KEY (failure_id) REFERENCES failure (id) NOT DEFERRABLE');
        $this->addSql('ALTER TABLE change ADD CONSTRAINT FK_4057FE2082D40A1F FOREIGN KEY (workspace_id) REFERENCES workspace (id) NOT DEFERRABLE');
        $this->addSql('ALTER TABLE change ADD CONSTRAINT FK_4057FE201DFA7C8F FOREIGN KEY (revision_id) REFERENCES revision (id) NOT DEFERRABLE');
        $this->addSql('ALTER TABLE change ADD CONSTRAINT FK_4057FE2016139D9A FOREIGN KEY (against_id) REFERENCES failure (id)');
        $this->addSql('ALTER TABLE part ADD CONSTRAINT FK_490F70C682D40A1F FOREIGN KEY (workspace_id) REFERENCES workspace (id) NOT DEFERRABLE');
        $this->addSql('ALTER TABLE part ADD CONSTRAINT FK_490F70C61DFA7C8F FOREIGN KEY (revision_id) REFERENCES revision (id) NOT DEFERRABLE');
        $this->addSql('ALTER TABLE parameter ADD CONSTRAINT FK_2A97911082D40A1F FOREIGN KEY (workspace_id) REFERENCES workspace (id) NOT DEFERRABLE');
        $this->addSql('ALTER TABLE parameter ADD CONSTRAINT FK_2A9791101DFA7C8F FOREIGN KEY (revision_id) REFERENCES revision (id) NOT DEFERRABLE');
        $this->addSql('ALTER TABLE revision ADD CONSTRAINT FK_6D6315CC82D40A1F FOREIGN KEY (workspace_id) REFERENCES workspace (id) NOT DEFERRABLE');
        $this->addSql('ALTER TABLE revision ADD CONSTRAINT FK_6D6315CC94A4C7D4 FOREIGN KEY (device_id) REFERENCES device (id) NOT DEFERRABLE');
        $this->addSql('ALTER TABLE revision ADD CONSTRAINT FK_6D6315CC727ACA70 FOREIGN KEY (parent_id) REFERENCES revision (id)');
        $this->addSql('ALTER TABLE article ADD CONSTRAINT FK_23A0E6682D40A1F FOREIGN KEY (workspace_id) REFERENCES workspace (id) NOT DEFERRABLE');
        $this->addSql('ALTER TABLE article ADD CONSTRAINT FK_23A0E661DFA7C8F FOREIGN KEY (revision_id) REFERENCES revision (id) NOT DEFERRABLE');
        $this->addSql('ALTER TABLE requirement ADD CONSTRAINT FK_DB3F555082D40A1F FOREIGN KEY (workspace_id) REFERENCES workspace (id) NOT DEFERRABLE');
        $this->addSql('ALTER TABLE requirement ADD CONSTRAINT FK_DB3F555094A4C7D4 FOREIGN KEY (device_id) REFERENCES device (id) NOT DEFERRABLE');
        $this->addSql('ALTER TABLE device ADD CONSTRAINT FK_92FB68E82D40A1F FOREIGN KEY (workspace_id) REFERENCES workspace (id) NOT DEFERRABLE');
        $this->addSql('ALTER TABLE membership ADD CONSTRAINT FK_86FFD28582D40A1F FOREIGN KEY (workspace_id) REFERENCES workspace (id) NOT DEFERRABLE');
        $this->addSql('ALTER TABLE membership ADD CONSTRAINT FK_86FFD285A76ED395 FOREIGN KEY (user_id) REFERENCES account (id) NOT DEFERRABLE');
        $this->addSql('ALTER TABLE trial ADD CONSTRAINT FK_74A25E3F82D40A1F FOREIGN KEY (workspace_id) REFERENCES workspace (id) NOT DEFERRABLE');
        $this->addSql('ALTER TABLE trial ADD CONSTRAINT FK_74A25E3F1DFA7C8F FOREIGN KEY (revision_id) REFERENCES revision (id) NOT DEFERRABLE');
        $this->addSql('ALTER TABLE trial ADD CONSTRAINT FK_74A25E3F19883967 FOREIGN KEY (method_id) REFERENCES method (id) NOT DEFERRABLE');
        $this->addSql('ALTER TABLE run ADD CONSTRAINT FK_5076A4C082D40A1F FOREIGN KEY (workspace_id) REFERENCES workspace (id) NOT DEFERRABLE');
        $this->addSql('ALTER TABLE run ADD CONSTRAINT FK_5076A4C05596D5F7 FOREIGN KEY (trial_id) REFERENCES trial (id) NOT DEFERRABLE');
        $this->addSql('ALTER TABLE run ADD CONSTRAINT FK_5076A4C07294869C FOREIGN KEY (article_id) REFERENCES article (id)');
        $this->addSql('ALTER TABLE reading ADD CONSTRAINT FK_C11AFC4182D40A1F FOREIGN KEY (workspace_id) REFERENCES workspace (id) NOT DEFERRABLE');
        $this->addSql('ALTER TABLE reading ADD CONSTRAINT FK_C11AFC4184E3FEC4 FOREIGN KEY (run_id) REFERENCES run (id) NOT DEFERRABLE');
        $this->addSql('ALTER TABLE candidate ADD CONSTRAINT FK_C8B28E4482D40A1F FOREIGN KEY (workspace_id) REFERENCES workspace (id) NOT DEFERRABLE');
        $this->addSql('ALTER TABLE candidate ADD CONSTRAINT FK_C8B28E441DFA7C8F FOREIGN KEY (revision_id) REFERENCES revision (id) NOT DEFERRABLE');
        $this->addSql('ALTER TABLE candidate ADD CONSTRAINT FK_C8B28E44BADC2069 FOREIGN KEY (failure_id) REFERENCES failure (id)');
        $this->addSql('ALTER TABLE candidate ADD CONSTRAINT FK_C8B28E44BDEE7539 FOREIGN KEY (decision_id) REFERENCES decision (id)');
        $this->addSql('ALTER TABLE decision ADD CONSTRAINT FK_84ACBE4882D40A1F FOREIGN KEY (workspace_id) REFERENCES workspace (id) NOT DEFERRABLE');
        $this->addSql('ALTER TABLE decision ADD CONSTRAINT FK_84ACBE481DFA7C8F FOREIGN KEY (revision_id) REFERENCES revision (id) NOT DEFERRABLE');
        $this->addSql('ALTER TABLE decision ADD CONSTRAINT FK_84ACBE48AA23F6C8 FOREIGN KEY (next_id) REFERENCES revision (id) NOT DEFERRABLE');
        $this->addSql('CREATE TABLE sign_in_failure (key VARCHAR(64) NOT NULL, failures INT NOT NULL, since TIMESTAMP(0) WITH TIME ZONE NOT NULL, PRIMARY KEY (key))');
    }

    public function down(Schema $schema): void
    {
        $this->throwIrreversibleMigrationException('There is nothing before the first state.');
    }
}
