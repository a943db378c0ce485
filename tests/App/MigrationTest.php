<?php

declare(strict_types=1);

namespace Lustrum\Tests\App;

use Doctrine\DBAL\Connection;
use Doctrine\DBAL\DriverManager;
use Doctrine\DBAL\Tools\DsnParser;
use Lustrum\Core\Evidence\State;
use Lustrum\Core\Judging\Evidence;
use Lustrum\Core\Run\Alikeness;
use Lustrum\Core\Run\Row;
use Lustrum\Core\Run\RunFact;
use Lustrum\Facts\DeviceFacts;
use Lustrum\Facts\RunFacts;
use PHPUnit\Framework\TestCase;
use Symfony\Component\Process\Process;

/** A database with data of each earlier release is brought up to date without losing a word or a conclusion. */
final class MigrationTest extends TestCase
{
    private const FIRST = 'Lustrum\\Migrations\\Version20261125000000';
    private const SECOND = 'Lustrum\\Migrations\\Version20261125110000';

    private const WORKSPACE = '0190a000-0000-7000-8000-000000000001';

    private Connection $db;

    private string $url = '';

    private int $made = 100;

    protected function setUp(): void
    {
        $url = $_SERVER['LUSTRUM_MOVED_URL'] ?? null;
        self::assertIsString($url, 'LUSTRUM_MOVED_URL names a database of its own; ./lustrum test makes it.');
        $this->url = $url;
        $this->db = DriverManager::getConnection((new DsnParser(['postgresql' => 'pdo_pgsql']))->parse($url));
        $this->db->executeStatement('DROP SCHEMA public CASCADE');
        $this->db->executeStatement('CREATE SCHEMA public');
    }

    public function testFromTheFirstRelease(): void
    {
        $this->migrate(self::FIRST);
        $ids = $this->first();
        $this->migrate('latest');

        // Two ways of writing one name were one metric all along.
        self::assertSame(
            [['name' => 'Push force'], ['name' => 'strong']],
            $this->db->fetchAllAssociative('SELECT name FROM metric WHERE device_id = ? ORDER BY name', [$ids['device']]),
        );
        $push = $this->one("SELECT id FROM metric WHERE name = 'Push force'");
        foreach (['SELECT metric_id FROM requirement', 'SELECT DISTINCT metric_id FROM reading', "SELECT effects->0->>'metric' FROM change", "SELECT effects->0->>'metric' FROM candidate", "SELECT channels->0->>'metric' FROM method"] as $sql) {
            self::assertSame($push, $this->one($sql), $sql);
        }
        // What the runs froze is whole: with the method of that time, from its history, and with what the build is made of.
        self::assertSame('1', $this->one('SELECT count(DISTINCT configuration) FROM run'));
        self::assertSame(
            ['history', 'When nothing bends.', '2.5', 'arm', 'Bracket'],
            array_values($this->db->fetchAssociative("SELECT content->>'filled' a, content->>'heldWhen' b, content->'conditions'->0->>'tolerance' c,
                content->'parameters'->0->>'name' d, content->'parts'->0->>'name' e FROM configuration") ?: []),
        );
        self::assertSame(
            [['earlier_runs' => 0], ['earlier_runs' => 1], ['earlier_runs' => 2]],
            $this->db->fetchAllAssociative('SELECT earlier_runs FROM run ORDER BY number'),
        );
        // What was there twice under one name is numbered; identifiers are known over all kinds.
        self::assertSame(['U-1', 'U-1 2'], $this->db->fetchFirstColumn('SELECT serial FROM article ORDER BY created_at, serial'));
        foreach (['device', 'run', 'reading', 'photo', 'decision'] as $table) {
            self::assertSame(
                '0',
                $this->one(
                    "SELECT count(*) FROM $table t WHERE NOT EXISTS (SELECT 1 FROM identifier i WHERE i.id = t.id AND i.kind = '$table')",
                ),
                $table,
            );
        }
        $this->concludes($ids);
        self::assertSame(
            ['picture', 'image/jpeg', 'ready'], array_values($this->db->fetchAssociative('SELECT kind, type, state FROM photo') ?: []),
        );
    }

    public function testFromTheSecondRelease(): void
    {
        $this->migrate(self::FIRST);
        $ids = $this->first();
        $this->migrate(self::SECOND);
        $before = $this->rows();
        $this->migrate('latest');
        $after = $this->rows();
        foreach ($before as $table => $rows) {
            foreach ($rows as $i => $row) {
                foreach ($row as $column => $value) {
                    // What a run that held shows has become a question, of methods and of what was frozen of them.
                    if (in_array([$table, $column], [
                        ['configuration', 'content'], ['method', 'outcome_metric_id'], ['run', 'position'], ['candidate', 'effects'],
                        ['candidate', 'failure_id'], ['change', 'metric_id'], ['change', 'expected'], ['change', 'unit'],
                        ['change', 'against_id'],
                        ['failure', 'severity'],
                    ], true)) {
                        continue;
                    }
                    self::assertSame($value, $after[$table][$i][$column] ?? null, $table.'.'.$column);
                }
            }
        }
        $this->concludes($ids);
    }

    /** A whole demo workspace as it was before runs had levels: every record of it is there, and what it says is said in the new way. */
    public function testFromBeforeRunsHadLevels(): void
    {
        $this->db->executeStatement((string) gzdecode((string) file_get_contents(__DIR__.'/data/before-levels.sql.gz')));
        $this->db->executeStatement("SET search_path TO 'public'");
        $tables = [
            'requirement', 'revision', 'parameter', 'part', 'article', 'method', 'trial', 'run', 'reading', 'failure', 'cause',
            'change', 'candidate', 'decision', 'history_entry',
        ];
        $count = fn (): array => array_map(fn (string $t): string => $this->one("SELECT count(*) FROM $t"), array_combine($tables, $tables));
        $before = $count();
        $severities = $this->db->fetchAllKeyValue('SELECT id, severity FROM failure ORDER BY id');
        $rungs = array_map(Row::text(...), $this->db->fetchAllKeyValue("SELECT id, position FROM run WHERE position <> '' ORDER BY id"));
        self::assertNotSame([], $rungs);
        $asked = $this->db->fetchFirstColumn('SELECT id FROM method WHERE outcome_metric_id IS NOT NULL ORDER BY id');
        $fixes = $this->one('SELECT count(*) FROM change WHERE against_id IS NOT NULL');
        $expected = $this->db->fetchAllKeyValue('SELECT id, expected FROM change WHERE expected IS NOT NULL ORDER BY id');
        $this->migrate('latest');
        self::assertSame($before, $count());
        self::assertSame($severities, $this->db->fetchAllKeyValue('SELECT id, consequence FROM failure ORDER BY id'));
        self::assertSame(
            $asked, $this->db->fetchFirstColumn('SELECT id FROM method WHERE jsonb_array_length(questions) > 0 ORDER BY id'),
            'What a run that held shows has become a question.',
        );
        self::assertEquals($expected, $this->db->fetchAllKeyValue(
            "SELECT id, (effects->0->>'likely')::float FROM change WHERE effects->0->>'likely' IS NOT NULL ORDER BY id",
        ));
        self::assertSame($fixes, $this->one('SELECT count(*) FROM change WHERE jsonb_array_length(against) = 1'));
        self::assertSame('0', $this->one("SELECT count(*) FROM failure f WHERE f.run_id IS NOT NULL AND f.consequence = ''"));
        $ids = array_keys($rungs);
        $ordered = 0;
        $facts = [];
        foreach ((new RunFacts($this->db))->these(array_map(strval(...), $ids)) as $run) {
            $facts[$run->id] = $run;
        }
        foreach ($rungs as $id => $rung) {
            self::assertContains($rung, $facts[(string) $id]->levels, 'A rung is a level.');
            $alike = Alikeness::of($facts[(string) $id]);
            self::assertTrue($alike->isKnown());
            if (preg_match('/^\d/', $rung) === 1) {
                self::assertNotNull($alike->size, 'Rungs have an order.');
                ++$ordered;
            } else {
                self::assertContains(mb_strtolower($rung), $alike->blocks, 'A place pairs runs, and says nothing of how hard they were.');
            }
        }
        self::assertGreaterThan(20, $ordered);
    }

    public function testMigratingTwiceChangesNothing(): void
    {
        $this->migrate('latest');
        $before = $this->one('SELECT count(*) FROM doctrine_migration_versions');
        $this->migrate('latest');
        self::assertSame($before, $this->one('SELECT count(*) FROM doctrine_migration_versions'));
    }

    /** @param array<string, string> $ids */
    private function concludes(array $ids): void
    {
        $facts = new DeviceFacts($this->db, new RunFacts($this->db));
        [$device] = $facts->device($ids['device']);
        $of = $this->db->fetchFirstColumn('SELECT r.id FROM run r JOIN trial t ON t.id = r.trial_id WHERE t.revision_id = ?', [$ids['a']]);
        $runs = (new RunFacts($this->db))->these(array_map(Row::text(...), $of));
        self::assertSame([39.8, 41.2, 40.5], array_map(static fn (RunFact $r): float => $r->readings[0]->si, $runs));
        $build = $facts->lineage($ids['device'])->build($ids['a']);
        self::assertNotNull($build);
        $own = Evidence::own($facts->wanted($device)[0], $build, $runs);
        self::assertSame(
            [State::Shown, 3], [$own->by->worst->state, $own->runs], 'Forty and a half newtons are shown to keep forty-five.',
        );
    }

    private function migrate(string $to): void
    {
        $process = new Process(
            [
                \PHP_BINARY, 'bin/console', 'doctrine:migrations:migrate', $to, '--no-interaction', '--allow-no-migration',
            ], dirname(__DIR__, 2),
            ['DATABASE_URL' => $this->url, 'APP_ENV' => 'test'], null, 120,
        );
        $process->mustRun();
    }

    private function one(string $sql): string
    {
        $value = $this->db->fetchOne($sql);

        return is_scalar($value) ? (string) $value : '';
    }

    /** @return array<string, list<array<string, mixed>>> everything, by table */
    private function rows(): array
    {
        $out = [];
        foreach ($this->db->fetchFirstColumn("SELECT tablename FROM pg_tables WHERE schemaname = 'public' AND tablename <> 'doctrine_migration_versions' ORDER BY 1") as $table) {
            $name = is_string($table) ? $table : '';
            $out[$name] = $this->db->fetchAllAssociative('SELECT * FROM "'.$name.'" ORDER BY 1, 2');
        }

        return $out;
    }

    /**
     * A small story as the first release kept it.
     *
     * @return array<string, string> identifiers
     */
    private function first(): array
    {
        $this->db->insert('workspace', ['id' => self::WORKSPACE, 'name' => 'Workshop']);
        $device = $this->add('device', ['name' => 'Wagtail', 'gates' => 'open', 'confidence' => 0.95, 'currency' => 'EUR']);
        $this->add(
            'requirement',
            [
                'device_id' => $device, 'statement' => 'Light', 'metric' => 'Push force', 'unit' => 'N', 'limit_value' => 45.0,
                'direction' => 'atMost', 'kind' => 'mean', 'coverage' => 0.9, 'must' => 'true',
            ],
        );
        $a = $this->add('revision', ['device_id' => $device, 'letter' => 'A', 'state' => 'built']);
        $b = $this->add('revision', ['device_id' => $device, 'letter' => 'B', 'state' => 'building', 'parent_id' => $a]);
        $channels = [
            [
                'key' => 'push', 'metric' => 'push force', 'unit' => 'N', 'instrument' => 'Cell', 'resolution' => 0.1, 'low' => 5,
                'high' => 200, 'whenStopped' => 'equal', 'formula' => '',
            ],
        ];
        $method = $this->add(
            'method',
            [
                'device_id' => $device, 'name' => 'Push', 'version' => 2, 'outcome_metric' => 'strong', 'held_when' => 'Whatever.',
                'channels' => json_encode($channels), 'safety' => '{}',
            ],
        );
        $this->db->insert('history_entry', [
            'id' => $this->id(), 'at' => '2026-03-01 10:00:00+00', 'workspace' => self::WORKSPACE, 'record' => $method, 'kind' => 'method',
            'author' => 'Ines',
            'became' => json_encode(
                [
                    'version' => 1, 'channels' => $channels,
                    'conditions' => [['name' => 'moisture', 'unit' => '%', 'tolerance' => 2.5, 'states' => []]], 'settings' => [],
                    'outcomeMetric' => 'strong', 'heldWhen' => 'When nothing bends.',
                ],
            ),
        ]);
        $article = $this->add('article', ['revision_id' => $a, 'serial' => 'U-1', 'state' => 'bare', 'lots' => '{}']);
        $this->add('article', ['revision_id' => $a, 'serial' => 'U-1', 'state' => 'bare', 'lots' => '{}']);
        $this->add(
            'parameter', ['revision_id' => $a, 'name' => 'arm', 'measure_value' => 3.0, 'measure_unit' => 'mm', 'measure_si' => 0.003],
        );
        $this->add('part', ['revision_id' => $a, 'name' => 'Bracket', 'material' => 'steel', 'quantity' => 1, 'cost' => '2.5000']);
        $trial = $this->add(
            'trial',
            [
                'revision_id' => $a, 'method_id' => $method, 'name' => 'Pushing', 'planned_runs' => 3, 'repeats' => 'estimate',
                'state' => 'running',
            ],
        );
        $frozen = [
            'revision' => $a, 'letter' => 'A', 'firmware' => '', 'article' => $article, 'serial' => 'U-1', 'articleState' => 'bare',
            'deviations' => '', 'lots' => [], 'method' => $method, 'methodName' => 'Push', 'methodVersion' => 1, 'rig' => '',
            'channels' => $channels,
        ];
        foreach ([39.8, 41.2, 40.5] as $i => $newton) {
            $run = $this->add(
                'run',
                [
                    'trial_id' => $trial, 'article_id' => $article, 'number' => $i + 1,
                    'started_at' => sprintf('2026-03-02 10:0%d:00+00', $i), 'outcome' => 'held',
                    'configuration' => json_encode($frozen + ['earlierRuns' => $i, 'earlierFailures' => 0]),
                ],
            );
            $this->add(
                'reading',
                [
                    'run_id' => $run, 'channel' => 'push', 'metric' => 'push force', 'typed_value' => $newton, 'typed_unit' => 'N',
                    'typed_si' => $newton, 'current_value' => $newton, 'current_unit' => 'N', 'current_si' => $newton,
                ],
            );
        }
        $failure = $this->add('failure', ['revision_id' => $a, 'mode' => 'Arm bent', 'severity' => 'minor']);
        $this->add('cause', ['failure_id' => $failure, 'text' => 'Too thin', 'kind' => 'design', 'standing' => 'suspected']);
        $this->add('photo', ['revision_id' => $a, 'sha256' => str_repeat('a', 64), 'width' => 4, 'height' => 3, 'bytes' => 100]);
        $this->add(
            'change',
            [
                'revision_id' => $b, 'what' => 'Thicker', 'class' => 'shape', 'metric' => 'PUSH FORCE', 'expected' => -3.0, 'unit' => 'N',
                'against_id' => $failure,
            ],
        );
        $decision = $this->add('decision', ['revision_id' => $a, 'next_id' => $b, 'known' => '[]']);
        $this->add(
            'candidate',
            [
                'revision_id' => $a, 'what' => 'Thicker', 'class' => 'shape', 'cost' => '3.00', 'hours' => 1.0, 'source' => 'team',
                'choice' => 'in', 'decision_id' => $decision,
                'effects' => json_encode([['metric' => 'push force', 'unit' => 'N', 'low' => -5, 'likely' => -4, 'high' => -3]]),
            ],
        );

        return ['device' => $device, 'a' => $a, 'b' => $b];
    }

    /** @param array<string, mixed> $given */
    private function add(string $table, array $given): string
    {
        $id = $this->id();
        $given += ['id' => $id, 'workspace_id' => self::WORKSPACE, 'version' => 1, 'created_by' => 'Ines'];
        foreach ($this->db->fetchAllAssociative(
            "SELECT column_name, udt_name FROM information_schema.columns WHERE table_schema = 'public' AND table_name = ? AND is_nullable = 'NO' AND column_default IS NULL",
            [$table],
        ) as ['column_name' => $column, 'udt_name' => $type]) {
            $given += [(string) (is_scalar($column) ? $column : '') => match ($type) {
                'timestamptz' => '2026-03-02 09:00:00+00', 'json', 'jsonb' => '[]', 'int4', 'float8', 'numeric' => 0, 'bool' => 'false',
                default => '',
            }];
        }
        $this->db->insert($table, $given);

        return $id;
    }

    private function id(): string
    {
        return sprintf('0190a000-0000-7000-8000-%012d', ++$this->made);
    }
}
