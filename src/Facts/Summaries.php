<?php

declare(strict_types=1);

namespace Lustrum\Facts;

use Doctrine\DBAL\Connection;
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
        $this->store($device, $counter, $what, $key, $builds, $value);

        return $value;
    }

    /** @return array<string, mixed> all that is kept of one kind, by the first build that it rests on */
    public function all(string $device, string $what): array
    {
        $out = [];
        foreach ($this->db->iterateAssociative(
            'SELECT builds[1] build, content, seal FROM summary WHERE belongs_to = ? AND what = ? AND code = ?', [
                $device, $what, $this->code->version,
            ],
        ) as $row) {
            $known = $this->open($row);
            if ($known !== null) {
                $out[Row::text($row['build'])] = $known[0];
            }
        }

        return $out;
    }

    /**
     * Raises the counter of a device, and drops what rests on a build, with what rests on all of them (which names the
     * device in their place); everything of the device where no build is named.
     */
    public function drop(string $device, ?string $build, bool $keep = false): void
    {
        $this->db->executeStatement('UPDATE device SET counter = counter + 1 WHERE id = ?', [$device]);
        if (!$keep) {
            $this->db->executeStatement(
                'DELETE FROM summary WHERE belongs_to = ?'.($build === null ? '' : ' AND (CAST(? AS uuid) = ANY(builds) OR belongs_to = ANY(builds))'),
                $build === null ? [$device] : [$device, $build],
            );
        }
    }

    /** @param list<string> $builds */
    private function store(string $device, int $counter, string $what, string $key, array $builds, mixed $value): void
    {
        // Within somebody's write, what was read may never be: nothing is kept of it.
        if ($this->db->isTransactionActive()) {
            return;
        }
        $content = base64_encode(serialize($value));
        $this->db->transactional(function () use ($device, $counter, $what, $key, $builds, $content): void {
            $now = $this->db->fetchOne('SELECT counter FROM device WHERE id = ? FOR SHARE', [$device]);
            if (Row::whole($now) === $counter) {
                $this->db->executeStatement(
                    'INSERT INTO summary (belongs_to, what, key, builds, counter, code, content, seal) VALUES (?, ?, ?, CAST(? AS uuid[]), ?, ?, ?, ?)
                     ON CONFLICT (belongs_to, key) DO UPDATE SET counter = excluded.counter, code = excluded.code, content = excluded.content, seal = excluded.seal',
                    [$device, $what, $key, '{'.implode(',', $builds).'}', $counter, $this->code->version, $content, $this->seal($content)],
                );
            }
        });
    }

    /**
     * @param array<string, mixed> $row
     *
     * @return array{mixed}|null null where it is not as this application wrote it
     */
    private function open(array $row): ?array
    {
        $content = Row::text($row['content']);

        return hash_equals($this->seal($content), Row::text($row['seal'])) ? [unserialize((string) base64_decode($content, true))] : null;
    }

    private function seal(string $content): string
    {
        return hash_hmac('sha256', $content, $this->secret);
    }
}
