<?php

declare(strict_types=1);

namespace Lustrum\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

/**
 * What a method varies, asks and represents; at which levels a run was made, what it answered and how it ended.
 *
 * The one metric that runs showed by holding becomes a question; the rung that runs named becomes a factor where all rungs
 * of a method are numbers with a unit, else a block. What was frozen gets the same, under the key that it has.
 *
 * Written out by itself: it uses no class of the application, which goes on changing.
 */
final class Version20261126000000 extends AbstractMigration
{
    /** A number, with a unit behind it: '40 cm', '0.83 m'. */
    private const QUANTITY = '/^\s*[+−-]?[0-9]+(?:[.,][0-9]+)?\s*(?<unit>[^\s0-9.,][^\s]*)\s*$/u';

    public function getDescription(): string
    {
        return 'Factors, blocks, questions; levels, answers and ends of runs';
    }

    public function up(Schema $schema): void
    {
        foreach (['factors', 'questions', 'modes', 'represents'] as $column) {
            $this->run("ALTER TABLE method ADD $column JSONB NOT NULL DEFAULT '[]'");
        }
        $this->run('ALTER TABLE method ADD wears BOOLEAN NOT NULL DEFAULT true');
        foreach (['levels', 'answers'] as $column) {
            $this->run("ALTER TABLE run ADD $column JSONB NOT NULL DEFAULT '[]'");
        }
        $this->run("ALTER TABLE run ADD ended VARCHAR(10), ADD purpose VARCHAR(12) NOT NULL DEFAULT 'findOut',
            ADD firmware VARCHAR(120) NOT NULL DEFAULT '', ADD set_aside VARCHAR(300) NOT NULL DEFAULT '',
            ADD taken_in BOOLEAN NOT NULL DEFAULT false");
        $this->run("ALTER TABLE run ADD CONSTRAINT run_ended_known CHECK (ended IN ('event', 'endPoint', 'stopped', 'felt'))");
        $this->run("ALTER TABLE run ADD CONSTRAINT run_purpose_known CHECK (purpose IN ('findOut', 'settle', 'practise', 'demonstrate'))");
        $this->questions();
        $this->levels();
        foreach (['method' => ['factors', 'questions', 'modes', 'represents', 'wears'],
            'run' => ['levels', 'answers', 'purpose', 'firmware', 'set_aside', 'taken_in']] as $table => $columns) {
            foreach ($columns as $column) {
                $this->run("ALTER TABLE $table ALTER $column DROP DEFAULT");
            }
        }
        $this->run('ALTER TABLE method DROP outcome_metric_id');
        $this->run('ALTER TABLE run DROP position');
        $this->run('DELETE FROM summary');
        $this->addSql('SELECT 1');
    }

    public function down(Schema $schema): void
    {
        $this->throwIrreversibleMigrationException('Go back with the backup that was made before.');
    }

    private function questions(): void
    {
        $this->run("UPDATE method SET questions = jsonb_build_array(
            jsonb_build_object('key', 'held', 'metric', outcome_metric_id, 'text', held_when)) WHERE outcome_metric_id IS NOT NULL");
        $this->run("UPDATE configuration SET content = content || jsonb_build_object('questions', jsonb_build_array(
            jsonb_build_object('key', 'held', 'metric', content->>'outcomeMetric', 'text', coalesce(content->>'heldWhen', ''))))
            WHERE coalesce(content->>'outcomeMetric', '') <> ''");
        $this->run("UPDATE configuration SET content = content - 'outcomeMetric'");
    }

    private function levels(): void
    {
        $rungs = [];
        foreach ($this->connection->fetchAllNumeric(
            "SELECT DISTINCT t.method_id, r.position FROM run r JOIN trial t ON t.id = r.trial_id WHERE trim(r.position) <> ''",
        ) as [$method, $position]) {
            $rungs[(string) $method][] = (string) $position;
        }
        foreach ($rungs as $method => $positions) {
            $factor = json_encode([self::factor($positions)], \JSON_THROW_ON_ERROR | \JSON_UNESCAPED_UNICODE);
            $this->run('UPDATE method SET factors = CAST(? AS jsonb) WHERE id = ?', $factor, $method);
            $this->run(
                "UPDATE configuration SET content = content || jsonb_build_object('factors', CAST(? AS jsonb)) WHERE content->>'method' = ?",
                $factor, $method,
            );
        }
        $this->run("UPDATE run SET levels = jsonb_build_array(jsonb_build_object('name',
            (SELECT m.factors->0->>'name' FROM method m JOIN trial t ON t.method_id = m.id WHERE t.id = run.trial_id), 'text', position))
            WHERE trim(position) <> ''");
    }

    /**
     * @param list<string> $positions
     *
     * @return array<string, mixed>
     */
    private static function factor(array $positions): array
    {
        $units = [];
        foreach ($positions as $position) {
            $units[preg_match(self::QUANTITY, $position, $m) === 1 ? $m['unit'] : ''] = true;
        }
        $isNumber = !isset($units['']) && count($units) <= 2;
        $unit = (string) array_key_first($units);

        return ['name' => $isNumber ? 'level' : 'place', 'role' => $isNumber ? 'factor' : 'block', 'kind' => $isNumber ? 'number' : 'words',
            'unit' => $isNumber ? $unit : '', 'step' => null, 'levels' => [], 'harder' => 'none'];
    }

    private function run(string $sql, mixed ...$with): void
    {
        $this->connection->executeStatement($sql, array_values($with));
    }
}
