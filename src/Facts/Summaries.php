<?php

declare(strict_types=1);

namespace Lustrum\Facts;

use Doctrine\DBAL\Connection;
use Doctrine\DBAL\ParameterType;
use Lustrum\Core\Run\Row;
use Symfony\Component\DependencyInjection\Attribute\Autowire;

/**
 * What was worked out from many runs, kept until a write drops it: numbers and identifiers, never sentences.
 *
 * A summary is stored only under a lock that shows that nobody wrote since its counter was read; a writer raises the
 * counter and drops summaries as the last thing in its transaction, and waits for that lock. So a stored summary is
 * never older than what it rests on.
 */
final class Summaries
{
    /** Of the levels of compression, the one that costs least. */
    private const QUICK = 1;

    /** Of the key that something is kept under; what is known by more is known by a hash of it. */
    private const LONGEST = 120;

    /** Of a device, and of each that carries it as a module: what they show by it may be another. */
    private const RAISE = 'WITH RECURSIVE carrier (id) AS (
            SELECT CAST(? AS uuid) UNION SELECT p.belongs_to FROM carrier c JOIN revision v ON v.device_id = c.id
                JOIN part p ON p.module_id = v.id AND p.module_id IS NOT NULL
        ) UPDATE device SET counter = counter + 1 WHERE id = ANY (ARRAY (SELECT id FROM carrier))';

    private const RAISE_ALONE = 'UPDATE device SET counter = counter + 1 WHERE id = ?';

    /** The failures of each build. */
    public const FAILURES = 'failures';

    /** Where the failures of a build stand: it rests on those of all builds. */
    public const STANDINGS = 'standings';

    /** Which stretches of a build's trials hold runs. */
    public const STRETCHES = 'stretches';

    /** What rests on how runs ended and what they were asked, and on no reading. */
    private const WITHOUT_READINGS = [
        self::STANDINGS, self::FAILURES.self::OF_A_PART, self::STRETCHES.self::OF_A_PART, 'tries'.self::OF_A_PART,
    ];

    /** Ends the name of what rests on a part of the runs: a trial, a stretch of one, or those of one metric. */
    private const OF_A_PART = ':part';

    public function __construct(
        private readonly Connection $db,
        private readonly Code $code,
        #[Autowire('%kernel.secret%')]
        private readonly string $secret,
    ) {
    }

    /**
     * @template T
     *
     * @param int          $counter of the device, read before anything that the summary rests on
     * @param list<string> $builds  that it rests on; the device itself for all of them
     * @param callable(): T $workOut
     * @param string        $of     what else tells it from others of its kind
     *
     * @return T
     */
    public function kept(string $device, int $counter, string $what, array $builds, callable $workOut, string $of = ''): mixed
    {
        $key = $what.':'.implode(':', $builds).($of === '' ? '' : ':'.$of);
        if (strlen($key) > self::LONGEST) {
            $key = $what.':'.hash('sha256', $key);
        }
        $row = $this->db->fetchAssociative(
            'SELECT content, seal FROM summary WHERE belongs_to = ? AND key = ? AND code = ?', [$device, $key, $this->code->version],
        );
        $known = $row === false ? null : $this->open($row);
        if ($known !== null) {
            /** @var T $value */
            $value = $known[0];

            return $value;
        }
        $value = $workOut();
        $this->keep($device, $counter, $what, [[$key, $builds, $value]]);

        return $value;
    }

    /**
     * What is kept of whole devices, of those of which it is.
     *
     * @param list<string> $devices
     *
     * @return array<string, mixed> by device
     */
    public function ofDevices(string $what, array $devices): array
    {
        $out = [];
        foreach ($devices === [] ? [] : $this->db->iterateAssociative(
            "SELECT belongs_to, content, seal FROM summary
             WHERE belongs_to = ANY(CAST(? AS uuid[])) AND code = ? AND key = ? || ':' || belongs_to",
            ['{'.implode(',', $devices).'}', $this->code->version, $what],
        ) as $row) {
            $known = $this->open($row);
            if ($known !== null) {
                $out[Row::text($row['belongs_to'])] = $known[0];
            }
        }

        return $out;
    }

    /**
     * What is kept of parts of a build's runs.
     *
     * @param list<string> $parts
     *
     * @return iterable<string, mixed> by part
     */
    public function ofParts(string $device, string $what, array $parts): iterable
    {
        $keys = array_map(static fn (string $part): string => $what.':'.$part, $parts);
        foreach ($parts === [] ? [] : $this->db->iterateAssociative(
            'SELECT key, content, seal FROM summary WHERE belongs_to = ? AND code = ? AND key = ANY(CAST(? AS text[]))',
            [$device, $this->code->version, '{'.implode(',', $keys).'}'],
        ) as $row) {
            $known = $this->open($row);
            if ($known !== null) {
                yield substr(Row::text($row['key']), strlen($what) + 1) => $known[0];
            }
        }
    }

    /**
     * Keeps what rests on a part of the runs of these builds: a write to another part leaves it.
     *
     * @param list<string>         $builds
     * @param array<string, mixed> $values by part: a trial, a stretch of one, or anything that ends in ':' and a metric
     */
    public function keepParts(string $device, int $counter, string $what, array $builds, array $values): void
    {
        $rows = [];
        foreach ($values as $part => $value) {
            $rows[] = [$what.':'.$part, $builds, $value];
        }
        $this->keep($device, $counter, $what.self::OF_A_PART, $rows);
    }

    /**
     * What rests on a build and how its runs ended, each build by itself.
     *
     * @template T
     *
     * @param list<string>                             $builds
     * @param callable(list<string>): array<string, T> $workOut by build, of those of which nothing is kept
     * @param string                                   $on      Dropped::ENDED: a reading leaves it; Dropped::READ: it does not
     * @param (callable(string): string)|null          $stamp   of a build, what else it rests on; null: nothing else
     *
     * @return array<string, T> by build
     */
    public function byBuild(string $device, int $counter, string $what, array $builds, callable $workOut, string $on = Dropped::ENDED, ?callable $stamp = null): array
    {
        $part = static fn (string $build): string => implode(':', array_filter([$build, $stamp === null ? '' : $stamp($build), $on]));
        $known = [];
        foreach ($this->ofParts($device, $what, array_map($part, $builds)) as $key => $value) {
            /** @var T $value */
            $known[explode(':', $key)[0]] = $value;
        }
        $missing = array_values(array_diff($builds, array_keys($known)));
        if ($missing !== []) {
            $known += $workOut($missing);
            $this->keep($device, $counter, $what.self::OF_A_PART, array_map(
                static fn (string $build): array => [$what.':'.$part($build), [$build], $known[$build]], $missing,
            ));
        }

        return $known;
    }

    /** What every device of a workspace shows may be another; nothing that was worked out of runs is. */
    public function raise(string $workspace): void
    {
        $this->db->executeStatement('UPDATE device SET counter = counter + 1 WHERE workspace_id = ?', [$workspace]);
    }

    /**
     * Raises the counter of a device, and drops what a write makes stale: what rests on a build, with what rests on all of
     * them (which names the device in their place); everything where it touches more than one.
     */
    public function drop(string $device, Dropped $dropped): void
    {
        $this->db->executeStatement($dropped->bearsOnCarriers ? self::RAISE : self::RAISE_ALONE, [$device]);
        if ($dropped->everything || count($dropped->builds) > 1) {
            $this->db->executeStatement('DELETE FROM summary WHERE belongs_to = ?', [$device]);

            return;
        }
        if ($dropped->failures || $dropped->failedOn !== []) {
            $this->db->executeStatement(
                'DELETE FROM summary WHERE belongs_to = ? AND (what = ? OR (what = ? AND (? OR builds && CAST(? AS uuid[]))))',
                [
                    $device, self::STANDINGS, self::FAILURES.self::OF_A_PART, $dropped->failures,
                    '{'.implode(',', array_keys($dropped->failedOn)).'}',
                ], [3 => ParameterType::BOOLEAN],
            );
        }
        foreach (array_keys($dropped->builds) as $build) {
            $parts = array_map(static fn (string $part): string => '%:'.$part, $dropped->parts());
            $this->db->executeStatement(
                'DELETE FROM summary WHERE belongs_to = ? AND (CAST(? AS uuid) = ANY(builds) OR belongs_to = ANY(builds))
                   AND (? OR what NOT LIKE ? OR key LIKE ANY(CAST(? AS text[]))) AND what <> ALL(CAST(? AS text[]))',
                [
                    $device, $build, $parts === [], '%'.self::OF_A_PART, '{'.implode(',', $parts).'}',
                    '{'.implode(',', $dropped->onlyReadings() ? self::WITHOUT_READINGS : []).'}',
                ],
                [2 => ParameterType::BOOLEAN],
            );
        }
    }

    /**
     * @param int                                       $counter of the device, read before anything that they rest on
     * @param list<array{string, list<string>, mixed}> $values  key, what it rests on, and what is to be kept
     */
    private function keep(string $device, int $counter, string $what, array $values): void
    {
        // Within somebody's write, what was read may never be: nothing is kept of it.
        if ($values === [] || $this->db->isTransactionActive()) {
            return;
        }
        $rows = array_map(function (array $v): array {
            $content = base64_encode((string) gzcompress(serialize($v[2]), self::QUICK));

            return ['key' => $v[0], 'builds' => '{'.implode(',', $v[1]).'}', 'content' => $content, 'seal' => $this->seal($content)];
        }, $values);
        // One statement is a transaction of its own: the lock is held while the rows go in. Nobody waits for them to reach
        // the disk: what a fall of the machine takes of it is worked out again, and what was written before it is never older.
        $this->db->executeStatement(
            "INSERT INTO summary (belongs_to, what, key, builds, counter, code, content, seal)
             SELECT d.id, ?, x.key, CAST(x.builds AS uuid[]), d.counter, ?, x.content, x.seal
             FROM (SELECT id, counter FROM device WHERE id = ? FOR SHARE) d,
                set_config('synchronous_commit', 'off', true),
                json_to_recordset(CAST(? AS json)) AS x(key text, builds text, content text, seal text)
             WHERE d.counter = ?
             ON CONFLICT (belongs_to, key) DO UPDATE SET counter = excluded.counter, code = excluded.code,
                content = excluded.content, seal = excluded.seal",
            [$what, $this->code->version, $device, json_encode($rows, JSON_THROW_ON_ERROR), $counter],
        );
    }

    /**
     * @param array<string, mixed> $row
     *
     * @return array{mixed}|null null where it is not as this application wrote it
     */
    private function open(array $row): ?array
    {
        $content = Row::text($row['content']);

        return hash_equals($this->seal($content), Row::text($row['seal'])) ? [
            unserialize((string) gzuncompress((string) base64_decode($content, true))),
        ] : null;
    }

    private function seal(string $content): string
    {
        return hash_hmac('sha256', $content, $this->secret);
    }
}
