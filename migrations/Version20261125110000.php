<?php

declare(strict_types=1);

namespace Lustrum\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;
use Symfony\Component\Uid\Uuid;

/**
 * Metrics become records; runs share stored configurations that hold all they are judged by; the database itself refuses
 * what cannot be.
 *
 * Written out by itself: it uses no class of the application, which goes on changing.
 */
final class Version20261125110000 extends AbstractMigration
{
    private const RECORDS = [
        'device', 'requirement', 'revision', 'parameter', 'part', 'article', 'method', 'trial', 'run', 'reading', 'observation', 'failure', 'cause',
        'photo', 'change', 'candidate', 'decision',
    ];

    /** How a record finds its device; in an order in which each path is there when it is walked. */
    private const DEVICES = [
        'device' => 'id', 'requirement' => 'device_id', 'revision' => 'device_id', 'method' => 'device_id',
        'parameter' => 'revision', 'part' => 'revision', 'article' => 'revision', 'trial' => 'revision', 'observation' => 'revision',
        'failure' => 'revision', 'photo' => 'revision', 'change' => 'revision', 'candidate' => 'revision', 'decision' => 'revision',
        'run' => 'trial', 'reading' => 'run', 'cause' => 'failure',
    ];

    private const JSONB = [
        'method' => ['channels', 'conditions', 'settings', 'safety'], 'requirement' => ['conditions', 'depends_on'], 'article' => ['lots'],
        'trial' => ['sign_off', 'override'], 'run' => ['conditions', 'settings', 'amendments'], 'reading' => ['amendments'],
        'candidate' => ['effects'], 'decision' => ['known'], 'history_entry' => ['was', 'became'],
    ];

    private const CHOICES = [
        'device.gates' => ['open', 'formal'], 'membership.role' => ['lead', 'member', 'viewer'], 'revision.state' => ['building', 'built', 'abandoned'],
        'article.state' => ['mockup', 'bare', 'finished', 'payload'], 'requirement.direction' => ['atLeast', 'atMost'],
        'requirement.kind' => ['mean', 'every', 'rate', 'rating', 'check'], 'trial.state' => ['planned', 'running', 'done'],
        'trial.repeats' => ['ruleOutLuck', 'estimate', 'untilItHolds'], 'run.outcome' => ['held', 'failed', 'stoppedEarly', 'lost', 'void'],
        'failure.severity' => ['cosmetic', 'minor', 'major', 'dangerous'], 'cause.standing' => ['suspected', 'supported', 'ruledOut', 'confirmed'],
        'cause.kind' => ['design', 'build', 'setUp', 'method', 'handling', 'use'],
        'change.class' => ['shape', 'strength', 'electrical', 'firmware', 'material', 'process', 'setting', 'cosmetic'],
        'change.verdict' => ['fixed', 'partly', 'noEffect', 'worse', 'nobodyLooked'],
        'candidate.class' => ['shape', 'strength', 'electrical', 'firmware', 'material', 'process', 'setting', 'cosmetic'],
        'candidate.source' => ['failure', 'team', 'outside'], 'candidate.choice' => ['open', 'in', 'wait', 'drop'],
        'metric.scale' => ['numeric', 'count', 'share', 'check'],
    ];

    private const FINITE = [
        'device' => ['confidence', 'hours_limit'], 'requirement' => ['limit_value', 'coverage'], 'method' => ['minutes'], 'change' => ['expected'],
        'parameter' => ['measure_value', 'measure_si', 'measure_resolution'], 'part' => ['quantity'], 'candidate' => ['hours'],
        'reading' => ['typed_value', 'typed_si', 'typed_resolution', 'current_value', 'current_si', 'current_resolution'],
    ];

    /** Table => columns within which, and what names a thing there. */
    private const NAMES = [
        'metric' => ['device_id', 'name', 120], 'method' => ['device_id', 'name', 120], 'revision' => ['device_id', 'letter', 8],
        'article' => ['belongs_to', 'serial', 40], 'part' => ['revision_id', 'name', 120], 'parameter' => ['revision_id', 'name', 120],
    ];

    public function getDescription(): string
    {
        return 'Metrics as records, shared configurations, constraints, times to the microsecond, summaries, places of sign-in.';
    }

    public function up(Schema $schema): void
    {
        $this->belonging();
        $this->metrics();
        $this->typed();
        $this->configurations();
        $this->names();
        $this->closedSets();
        $this->beside();
        $this->indexes();
        $this->addSql('SELECT 1');
    }

    public function down(Schema $schema): void
    {
        $this->throwIrreversibleMigrationException('What runs froze on their way here is not thrown away again.');
    }

    private function run(string $sql, mixed ...$with): void
    {
        $this->connection->executeStatement($sql, array_values($with));
    }

    private function belonging(): void
    {
        foreach (self::DEVICES as $table => $by) {
            $this->run("ALTER TABLE $table ADD belongs_to UUID");
            $this->run(str_contains($by, 'id')
                ? "UPDATE $table SET belongs_to = $by"
                : "UPDATE $table SET belongs_to = o.belongs_to FROM $by o WHERE o.id = $table.{$by}_id");
            $this->run("ALTER TABLE $table ALTER belongs_to SET NOT NULL");
            if ($table !== 'device') {
                $this->run("ALTER TABLE $table ADD CONSTRAINT {$table}_of_device FOREIGN KEY (belongs_to) REFERENCES device (id)");
            }
            foreach (['created_at', 'changed_at'] as $time) {
                $this->run("ALTER TABLE $table ALTER $time TYPE TIMESTAMP(6) WITH TIME ZONE");
            }
            $this->run("ALTER TABLE $table ADD received_at TIMESTAMP(6) WITH TIME ZONE");
            $this->run("UPDATE $table SET received_at = changed_at");
            $this->run("ALTER TABLE $table ALTER received_at SET NOT NULL");
            $this->run("ALTER TABLE $table ADD brought_in BOOLEAN NOT NULL DEFAULT false");
            $this->run("ALTER TABLE $table ALTER brought_in DROP DEFAULT");
        }
        $this->run('ALTER TABLE run ALTER started_at TYPE TIMESTAMP(6) WITH TIME ZONE');
        $this->run('ALTER TABLE history_entry ALTER at TYPE TIMESTAMP(6) WITH TIME ZONE');
        $this->run('ALTER TABLE device ADD counter INT NOT NULL DEFAULT 0');
        $this->run("ALTER TABLE revision ADD corrections JSONB NOT NULL DEFAULT '[]'");
        $this->run('ALTER TABLE revision ALTER corrections DROP DEFAULT');
    }

    private function metrics(): void
    {
        $this->run('CREATE TABLE metric (
            id UUID NOT NULL, version INT NOT NULL, fingerprint VARCHAR(64) NOT NULL, created_at TIMESTAMP(6) WITH TIME ZONE NOT NULL,
            created_by VARCHAR(120) NOT NULL, changed_at TIMESTAMP(6) WITH TIME ZONE NOT NULL, received_at TIMESTAMP(6) WITH TIME ZONE NOT NULL,
            brought_in BOOLEAN NOT NULL, withdrawn_because TEXT DEFAULT NULL, belongs_to UUID NOT NULL REFERENCES device (id),
            name VARCHAR(120) NOT NULL, dimension VARCHAR(40) NOT NULL, scale VARCHAR(10) NOT NULL,
            workspace_id UUID NOT NULL REFERENCES workspace (id), device_id UUID NOT NULL REFERENCES device (id), PRIMARY KEY (id))');
        $found = $this->connection->fetchAllAssociative(
            "SELECT DISTINCT ON (device, lower(name)) device, name, unit FROM (
                SELECT device_id device, metric name, unit, 1 rank FROM requirement
                UNION ALL SELECT m.device_id, c->>'metric', c->>'unit', 2 FROM method m, json_array_elements(m.channels) c
                UNION ALL SELECT device_id, outcome_metric, '', 5 FROM method
                UNION ALL SELECT belongs_to, metric, unit, 4 FROM change
                UNION ALL SELECT belongs_to, metric, current_unit, 3 FROM reading
                UNION ALL SELECT k.belongs_to, e->>'metric', e->>'unit', 4 FROM candidate k, json_array_elements(k.effects) e
                UNION ALL SELECT r.belongs_to, c->>'metric', c->>'unit', 3 FROM run r, jsonb_array_elements(r.configuration->'channels') c
             ) q WHERE trim(coalesce(name, '')) <> '' ORDER BY device, lower(name), rank",
        );
        foreach ($found as $row) {
            $scale = match ($row['unit']) {
                '%' => 'share', 'count' => 'count', default => 'numeric',
            };
            $this->run(
                "INSERT INTO metric SELECT ?, 1, '', d.created_at, 'Lustrum', now(), now(), false, NULL, d.id, ?, '', ?, d.workspace_id, d.id FROM device d WHERE d.id = ?",
                Uuid::v7()->toRfc4122(), $row['name'], $scale, $row['device'],
            );
        }
        $known = '(SELECT m.id FROM metric m WHERE m.device_id = %s AND lower(m.name) = lower(%s))';
        foreach (['requirement' => 'metric', 'change' => 'metric', 'reading' => 'metric', 'method' => 'outcome_metric'] as $table => $column) {
            $this->run("ALTER TABLE $table ADD {$column}_id UUID REFERENCES metric (id)");
            $this->run("UPDATE $table SET {$column}_id = ".sprintf($known, "$table.belongs_to", "$table.$column"));
            $this->run("ALTER TABLE $table DROP $column");
        }
        $this->run('ALTER TABLE requirement ALTER metric_id SET NOT NULL');
        $this->run('ALTER TABLE reading ALTER metric_id SET NOT NULL');
    }

    private function typed(): void
    {
        foreach (self::JSONB as $table => $columns) {
            foreach ($columns as $column) {
                $this->run("ALTER TABLE $table ALTER $column TYPE JSONB USING $column::jsonb");
            }
        }
        $with = "SELECT coalesce(jsonb_agg(e || jsonb_build_object('metric', m.id) ORDER BY i), '[]') FROM jsonb_array_elements(%s) WITH ORDINALITY x(e, i)
                 LEFT JOIN metric m ON m.device_id = %s AND lower(m.name) = lower(e->>'metric')";
        $this->run('UPDATE method SET channels = ('.sprintf($with, 'method.channels', 'method.device_id').')');
        $this->run('UPDATE candidate SET effects = ('.sprintf($with, 'candidate.effects', 'candidate.belongs_to').')');
    }

    private function configurations(): void
    {
        $this->run('CREATE TABLE configuration (hash VARCHAR(64) NOT NULL, content JSONB NOT NULL, belongs_to UUID NOT NULL REFERENCES device (id), PRIMARY KEY (hash))');
        $this->run('ALTER TABLE run RENAME configuration TO frozen');
        $this->run('ALTER TABLE run ADD configuration VARCHAR(64) REFERENCES configuration (hash), ADD earlier_runs INT NOT NULL DEFAULT 0, ADD earlier_failures INT NOT NULL DEFAULT 0');
        $this->run("UPDATE run SET earlier_runs = coalesce((frozen->>'earlierRuns')::int, 0), earlier_failures = coalesce((frozen->>'earlierFailures')::int, 0), frozen = frozen - 'earlierRuns' - 'earlierFailures'");
        $metrics = [];
        foreach ($this->connection->fetchAllAssociative('SELECT device_id, lower(name) name, id FROM metric') as $m) {
            $metrics[$m['device_id'].$m['name']] = $m['id'];
        }
        foreach ($this->connection->fetchAllAssociative('SELECT DISTINCT belongs_to, frozen FROM run') as $row) {
            $content = $this->whole(json_decode($row['frozen'], true, 64, \JSON_THROW_ON_ERROR), $row['belongs_to'], $metrics);
            $json = json_encode($content, \JSON_THROW_ON_ERROR | \JSON_PRESERVE_ZERO_FRACTION);
            $hash = hash('sha256', $json);
            $this->run('INSERT INTO configuration (hash, content, belongs_to) VALUES (?, CAST(? AS jsonb), ?) ON CONFLICT DO NOTHING', $hash, $json, $row['belongs_to']);
            $this->run('UPDATE run SET configuration = ? WHERE belongs_to = ? AND frozen = CAST(? AS jsonb)', $hash, $row['belongs_to'], $row['frozen']);
        }
        $this->run('ALTER TABLE run ALTER configuration SET NOT NULL, DROP frozen, ALTER earlier_runs DROP DEFAULT, ALTER earlier_failures DROP DEFAULT');
    }

    /**
     * What a run froze, with the rest of what it is judged by: from the history of its method's version where that is
     * there, else from the method as it is; parameters and parts from the build as it is.
     *
     * @param array<string, mixed>  $was
     * @param array<string, string> $metrics by device and name
     *
     * @return array<string, mixed>
     */
    private function whole(array $was, string $device, array $metrics): array
    {
        $history = $this->connection->fetchOne(
            "SELECT became FROM history_entry WHERE kind = 'method' AND record = CAST(? AS uuid) AND became->>'version' = ? ORDER BY id DESC LIMIT 1",
            [$was['method'], (string) $was['methodVersion']],
        );
        $method = is_string($history) ? json_decode($history, true, 64, \JSON_THROW_ON_ERROR) : $this->present($was['method']);
        $id = static fn (mixed $name): string => is_string($name) ? $metrics[$device.mb_strtolower($name)] ?? '' : '';
        $limits = array_column($method['channels'] ?? [], null, 'key');
        $channels = [];
        foreach ($was['channels'] ?? [] as $c) {
            $limit = $limits[$c['key'] ?? ''] ?? [];
            $channels[] = [
                'key' => $c['key'] ?? '', 'metric' => $id($c['metric'] ?? ''), 'unit' => $c['unit'] ?? '', 'instrument' => $c['instrument'] ?? '',
                'resolution' => $this->number($c['resolution'] ?? null), 'low' => $this->number($limit['low'] ?? null),
                'high' => $this->number($limit['high'] ?? null), 'whenStopped' => $c['whenStopped'] ?? 'equal', 'formula' => $c['formula'] ?? '',
            ];
        }
        $lots = $was['lots'] ?? [];
        ksort($lots);

        return [
            'revision' => $was['revision'], 'letter' => $was['letter'] ?? '', 'firmware' => $was['firmware'] ?? '',
            'parameters' => $this->parameters($was['revision']), 'parts' => $this->parts($was['revision']),
            'article' => $was['article'] ?? null, 'serial' => $was['serial'] ?? '', 'articleState' => $was['articleState'] ?? '',
            'deviations' => $was['deviations'] ?? '', 'lots' => $lots,
            'method' => $was['method'], 'methodName' => $was['methodName'] ?? '', 'methodVersion' => $was['methodVersion'] ?? 1, 'rig' => $was['rig'] ?? '',
            'channels' => $channels,
            'conditions' => array_map(fn (array $c): array => [
                'name' => $c['name'], 'unit' => $c['unit'] ?? '', 'tolerance' => $this->number($c['tolerance'] ?? null), 'states' => $c['states'] ?? [],
            ], $method['conditions'] ?? []),
            'settings' => array_map(fn (array $s): array => [
                'name' => $s['name'], 'unit' => $s['unit'] ?? '', 'intended' => $this->number($s['intended'] ?? null), 'tolerance' => $this->number($s['tolerance'] ?? null),
            ], $method['settings'] ?? []),
            'outcomeMetric' => is_string($history) ? $id($method['outcomeMetric'] ?? '') : $method['outcomeMetric'],
            'heldWhen' => $method['heldWhen'] ?? '', 'filled' => is_string($history) ? 'history' : 'present',
        ];
    }

    /** @return array<string, mixed> */
    private function present(string $method): array
    {
        $row = $this->connection->fetchAssociative('SELECT channels, conditions, settings, outcome_metric_id, held_when FROM method WHERE id = ?', [$method]) ?: [];
        $list = static fn (string $key): array => json_decode($row[$key] ?? '[]', true, 64, \JSON_THROW_ON_ERROR);

        return [
            'channels' => $list('channels'), 'conditions' => $list('conditions'), 'settings' => $list('settings'),
            'outcomeMetric' => $row['outcome_metric_id'] ?? '', 'heldWhen' => $row['held_when'] ?? '',
        ];
    }

    /** @return list<array<string, mixed>> */
    private function parameters(string $revision): array
    {
        return array_map(fn (array $p): array => [
            'name' => $p['name'], 'value' => (float) $p['measure_value'], 'unit' => $p['measure_unit'],
            'resolution' => $this->number($p['measure_resolution']), 'si' => (float) $p['measure_si'],
        ], $this->connection->fetchAllAssociative(
            'SELECT * FROM parameter WHERE revision_id = ? AND withdrawn_because IS NULL ORDER BY created_at, id', [$revision],
        ));
    }

    /** @return list<array<string, mixed>> */
    private function parts(string $revision): array
    {
        return array_map(static fn (array $p): array => ['name' => $p['name'], 'material' => $p['material'], 'quantity' => (float) $p['quantity']], $this->connection->fetchAllAssociative(
            'SELECT * FROM part WHERE revision_id = ? AND withdrawn_because IS NULL ORDER BY created_at, id', [$revision],
        ));
    }

    private function number(mixed $value): ?float
    {
        return is_numeric($value) ? (float) $value : null;
    }

    /** What names a thing names one; of doubles the later ones are numbered. */
    private function names(): void
    {
        $this->run('ALTER TABLE parameter DROP CONSTRAINT IF EXISTS uniq_2a9791101dfa7c8f5e237e06');
        $this->run('DROP INDEX IF EXISTS uniq_2a9791101dfa7c8f5e237e06');
        $this->run('DROP INDEX IF EXISTS uniq_6d6315cc94a4c7d48e02ee0a');
        foreach (self::NAMES as $table => [$within, $name, $length]) {
            $present = in_array($table, ['part', 'parameter', 'article'], true) ? ' WHERE withdrawn_because IS NULL' : '';
            $this->run("UPDATE $table SET $name = left($name, $length - length(' ' || n)) || ' ' || n FROM (
                SELECT id, row_number() OVER (PARTITION BY $within, lower($name) ORDER BY created_at, id) n FROM $table$present
            ) q WHERE q.id = $table.id AND q.n > 1");
            $this->run("CREATE UNIQUE INDEX {$table}_name ON $table ($within, lower($name))$present");
        }
        $this->run('CREATE UNIQUE INDEX decision_next ON decision (next_id)');
    }

    private function closedSets(): void
    {
        foreach (self::CHOICES as $column => $choices) {
            [$table, $name] = explode('.', $column);
            $this->run("ALTER TABLE $table ADD CONSTRAINT {$table}_{$name}_known CHECK ($name IN ('".implode("', '", $choices)."'))");
        }
        foreach (self::FINITE as $table => $columns) {
            foreach ($columns as $column) {
                $this->run("ALTER TABLE $table ADD CONSTRAINT {$table}_{$column}_finite CHECK ($column > '-Infinity' AND $column < 'Infinity')");
            }
        }
    }

    /** What stands beside the records: identifiers over all kinds, summaries, places of sign-in. */
    private function beside(): void
    {
        $this->run('CREATE TABLE identifier (id UUID NOT NULL, kind VARCHAR(30) NOT NULL, PRIMARY KEY (id))');
        $this->run('CREATE FUNCTION claim_identifier() RETURNS trigger LANGUAGE plpgsql AS $$
            BEGIN INSERT INTO identifier (id, kind) VALUES (NEW.id, TG_TABLE_NAME); RETURN NEW; END $$');
        foreach ([...self::RECORDS, 'metric'] as $table) {
            $this->run("INSERT INTO identifier (id, kind) SELECT id, ? FROM $table", $table);
            $this->run("CREATE TRIGGER {$table}_identifier BEFORE INSERT ON $table FOR EACH ROW EXECUTE FUNCTION claim_identifier()");
        }
        $this->run('CREATE TABLE summary (belongs_to UUID NOT NULL REFERENCES device (id), what VARCHAR(20) NOT NULL, key VARCHAR(120) NOT NULL, builds UUID[] NOT NULL,
            counter INT NOT NULL, code VARCHAR(64) NOT NULL, content TEXT NOT NULL, seal VARCHAR(64) NOT NULL, PRIMARY KEY (belongs_to, key))');
        $this->run('CREATE TABLE signed_in (id UUID NOT NULL, since TIMESTAMP(6) WITH TIME ZONE NOT NULL, last_seen TIMESTAMP(6) WITH TIME ZONE NOT NULL,
            device VARCHAR(200) NOT NULL, user_id UUID NOT NULL REFERENCES account (id) ON DELETE CASCADE, PRIMARY KEY (id))');
        $this->run('CREATE INDEX signed_in_of ON signed_in (user_id)');
        $this->run('DELETE FROM sign_in_failure');
        $this->run('ALTER TABLE sign_in_failure ALTER since TYPE TIMESTAMP(6) WITH TIME ZONE, ADD until TIMESTAMP(6) WITH TIME ZONE NOT NULL, ADD waited TIMESTAMP(6) WITH TIME ZONE');
        // Every session is to name its place; those from before do not.
        $this->run('DELETE FROM session');
    }

    private function indexes(): void
    {
        // Covered by the unique ones that begin with the same column.
        foreach (['idx_5076a4c05596d5f7', 'idx_c11afc4184e3fec4', 'idx_2a97911082d40a1f', 'idx_2a9791101dfa7c8f', 'idx_86ffd28582d40a1f', 'idx_729995179b349f91', 'idx_490f70c61dfa7c8f', 'idx_5e593a6094a4c7d4', 'idx_6d6315cc94a4c7d4', 'idx_84acbe48aa23f6c8'] as $index) {
            $this->run('DROP INDEX IF EXISTS '.$index);
        }
        foreach (self::RECORDS as $table) {
            if (!in_array($table, ['device', 'requirement', 'revision', 'method'], true)) {
                $this->run("CREATE INDEX {$table}_of ON $table (belongs_to)");
            }
            if ($table !== 'device') {
                // Nothing is looked up by workspace but devices and builds.
                $index = $this->connection->fetchOne("SELECT indexname FROM pg_indexes WHERE tablename = ? AND indexdef LIKE '%(workspace_id)'", [$table]);
                if (is_string($index) && $table !== 'revision') {
                    $this->run('DROP INDEX '.$index);
                }
            }
        }
        $this->run('CREATE INDEX part_of_build ON part (revision_id)');
        $this->run('CREATE INDEX parameter_of_build ON parameter (revision_id)');
        $this->run('CREATE INDEX run_unfinished ON run (belongs_to) WHERE outcome IS NULL');
        $this->run('CREATE INDEX run_in_time ON run (trial_id, started_at)');
        $this->run('CREATE INDEX run_configuration ON run (configuration)');
        $this->run('CREATE INDEX reading_of_metric ON reading (metric_id)');
        $this->run('CREATE INDEX change_of_metric ON change (metric_id)');
        $this->run('CREATE INDEX failure_mode ON failure (belongs_to, lower(mode))');
        $this->run('CREATE INDEX configuration_of ON configuration (belongs_to)');
        foreach (['failure', 'photo', 'observation'] as $table) {
            $this->run("CREATE INDEX {$table}_newest ON $table (revision_id, created_at, id)");
        }
        $this->run('CREATE INDEX history_of_record ON history_entry (record, at)');
        $this->run('CREATE INDEX history_of_workspace ON history_entry (workspace, at)');
    }
}
