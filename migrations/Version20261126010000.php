<?php

declare(strict_types=1);

namespace Lustrum\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

/**
 * Failures say how hard it was and what they led to; changes what they altered, and several failures that they answer;
 * candidates what becomes of the build; articles their arm, their deviations one by one, where they are and what they went
 * through; builds their arms; requirements which articles and methods count; metrics the natural limits of their scale.
 *
 * Written out by itself: it uses no class of the application, which goes on changing.
 */
final class Version20261126010000 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'Consequence and severity of failures, alterations, arms, pasts of articles, scopes of requirements, natural limits';
    }

    public function up(Schema $schema): void
    {
        $this->failures();
        $this->changes();
        $this->builds();
        $this->requirements();
        $this->run('DELETE FROM summary');
        $this->addSql('SELECT 1');
    }

    public function down(Schema $schema): void
    {
        $this->throwIrreversibleMigrationException('Go back with the backup that was made before.');
    }

    private function failures(): void
    {
        $this->run('ALTER TABLE failure RENAME severity TO consequence');
        $this->run('ALTER TABLE failure DROP CONSTRAINT failure_severity_known');
        $this->run("UPDATE failure SET consequence = 'minor' WHERE consequence = 'cosmetic'");
        $this->run("ALTER TABLE failure ADD CONSTRAINT failure_consequence_known CHECK (consequence IN ('minor', 'major', 'dangerous'))");
        $this->run("ALTER TABLE failure ADD levels JSONB NOT NULL DEFAULT '[]', ADD method_id UUID REFERENCES method (id),
            ADD question VARCHAR(40) NOT NULL DEFAULT '', ADD consequence_of_id UUID REFERENCES failure (id),
            ADD feared BOOLEAN NOT NULL DEFAULT false, ADD guard TEXT NOT NULL DEFAULT ''");
        $this->run('CREATE INDEX failure_method ON failure (method_id)');
        $this->run('CREATE INDEX failure_consequence_of ON failure (consequence_of_id)');
        $this->plain('failure', ['levels', 'question', 'feared', 'guard']);
        $this->run("ALTER TABLE run ADD looked_for JSONB NOT NULL DEFAULT '[]', ADD others JSONB NOT NULL DEFAULT '[]',
            ADD person VARCHAR(120) NOT NULL DEFAULT '', ADD goes INT, ADD differs VARCHAR(300) NOT NULL DEFAULT ''");
        $this->plain('run', ['looked_for', 'others', 'person', 'differs']);
    }

    private function changes(): void
    {
        $this->run("ALTER TABLE change ADD against JSONB NOT NULL DEFAULT '[]', ADD alters JSONB NOT NULL DEFAULT '[]',
            ADD effects JSONB NOT NULL DEFAULT '[]'");
        $this->run("UPDATE change SET effects = jsonb_build_array(jsonb_build_object('metric', metric_id, 'unit', unit, 'mode', 'add',
            'low', expected, 'likely', expected, 'high', expected, 'margin', NULL)) WHERE metric_id IS NOT NULL");
        $this->run('ALTER TABLE change DROP metric_id, DROP expected, DROP unit');
        $this->run("UPDATE candidate SET effects = (SELECT coalesce(jsonb_agg(e || jsonb_build_object('mode', 'add', 'margin', NULL) ORDER BY i), '[]')
            FROM jsonb_array_elements(candidate.effects) WITH ORDINALITY x(e, i))");
        $this->run('UPDATE change SET against = jsonb_build_array(against_id) WHERE against_id IS NOT NULL');
        $this->run('ALTER TABLE change DROP against_id');
        $this->plain('change', ['against', 'alters', 'effects']);
        $this->run("ALTER TABLE candidate ADD failures JSONB NOT NULL DEFAULT '[]', ADD requirements JSONB NOT NULL DEFAULT '[]',
            ADD alters JSONB NOT NULL DEFAULT '[]'");
        $this->run('UPDATE candidate SET failures = jsonb_build_array(failure_id) WHERE failure_id IS NOT NULL');
        $this->run('ALTER TABLE candidate DROP failure_id');
        $this->plain('candidate', ['failures', 'requirements', 'alters']);
        $this->run("ALTER TABLE decision ADD kind VARCHAR(10) NOT NULL DEFAULT 'build', ALTER next_id DROP NOT NULL");
        $this->run("ALTER TABLE decision ADD CONSTRAINT decision_kind_known CHECK (kind IN ('build', 'contenders', 'tryMore'))");
        $this->plain('decision', ['kind']);
    }

    private function builds(): void
    {
        $this->run("ALTER TABLE revision ADD arms JSONB NOT NULL DEFAULT '[]', ADD chosen_arm VARCHAR(40) NOT NULL DEFAULT ''");
        $this->plain('revision', ['arms', 'chosen_arm']);
        $this->run("ALTER TABLE parameter ADD words VARCHAR(120) NOT NULL DEFAULT ''");
        $this->plain('parameter', ['words']);
        $this->run('ALTER TABLE article DROP CONSTRAINT article_state_known');
        $this->run("ALTER TABLE article ADD CONSTRAINT article_state_known CHECK (state IN ('mockup', 'model', 'bare', 'finished', 'payload'))");
        $this->run("ALTER TABLE article ADD arm VARCHAR(40) NOT NULL DEFAULT '', ADD scale VARCHAR(20) NOT NULL DEFAULT '',
            ADD stands_for JSONB NOT NULL DEFAULT '[]', ADD deviants JSONB NOT NULL DEFAULT '[]', ADD keeper VARCHAR(120) NOT NULL DEFAULT '',
            ADD whereabouts VARCHAR(10) NOT NULL DEFAULT 'here', ADD uses JSONB NOT NULL DEFAULT '[]',
            ADD earlier JSONB NOT NULL DEFAULT '[]'");
        $this->run("ALTER TABLE article ADD CONSTRAINT article_whereabouts_known
            CHECK (whereabouts IN ('here', 'tester', 'lent', 'sold', 'scrapped'))");
        $this->plain('article', ['arm', 'scale', 'stands_for', 'deviants', 'keeper', 'whereabouts', 'uses', 'earlier']);
    }

    private function requirements(): void
    {
        $this->run('ALTER TABLE requirement DROP CONSTRAINT requirement_kind_known');
        $this->run("ALTER TABLE requirement ADD CONSTRAINT requirement_kind_known
            CHECK (kind IN ('mean', 'every', 'rate', 'rating', 'check', 'spread'))");
        $this->run("ALTER TABLE requirement ADD enough JSONB NOT NULL DEFAULT '[]', ADD methods JSONB NOT NULL DEFAULT '[]',
            ADD source VARCHAR(10) NOT NULL DEFAULT 'runs'");
        $this->run("ALTER TABLE requirement ADD CONSTRAINT requirement_source_known CHECK (source IN ('runs', 'parameter', 'cost'))");
        $this->plain('requirement', ['enough', 'methods', 'source']);
        $this->run('ALTER TABLE metric DROP CONSTRAINT metric_scale_known');
        $this->run("ALTER TABLE metric ADD CONSTRAINT metric_scale_known CHECK (scale IN ('numeric', 'count', 'share', 'check', 'ordered', 'plain'))");
        $this->run("ALTER TABLE metric ADD natural_low DOUBLE PRECISION, ADD natural_high DOUBLE PRECISION,
            ADD effects VARCHAR(10) NOT NULL DEFAULT '', ADD computed BOOLEAN NOT NULL DEFAULT false, ADD words JSONB NOT NULL DEFAULT '[]'");
        $this->run("ALTER TABLE metric ADD CONSTRAINT metric_effects_known CHECK (effects IN ('', 'add', 'ratio'))");
        $this->run("UPDATE metric SET natural_low = 0 WHERE scale = 'count'");
        $this->run("UPDATE metric SET natural_low = 0, natural_high = 1 WHERE scale = 'share'");
        $this->plain('metric', ['effects', 'computed', 'words']);
    }

    /** @param list<string> $columns that need no default once the rows that are there have one */
    private function plain(string $table, array $columns): void
    {
        foreach ($columns as $column) {
            $this->run("ALTER TABLE $table ALTER $column DROP DEFAULT");
        }
    }

    private function run(string $sql): void
    {
        $this->connection->executeStatement($sql);
    }
}
