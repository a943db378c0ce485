<?php

declare(strict_types=1);

namespace Lustrum\Tests\App;

use Doctrine\DBAL\Connection;

/** A sheet asks the database so often, however much there is; and says of what is stored what is stored. */
final class CostTest extends ApiTestCase
{
    private Bench $bench;

    private string $run = '';

    protected function setUp(): void
    {
        parent::setUp();
        $this->bench = $this->bench();
        $this->grow(1);
    }

    /** Address, and how many statements at the most. */
    private const SHEETS = [
        '/api/workspaces/{workspace}/devices' => 8, '/api/devices/{device}/frame' => 54, '/api/devices/{device}/brief' => 40,
        '/api/devices/{device}/methods' => 12, '/api/revisions/{b}/build' => 60, '/api/revisions/{b}/try' => 44,
        '/api/revisions/{b}/find' => 54,
        '/api/revisions/{b}/weigh' => 66, '/api/revisions/{b}/next' => 58, '/api/runs/{run}' => 48, '/api/revisions/{b}/failures' => 41,
        '/api/revisions/{b}/photos' => 12, '/api/revisions/{b}/observations' => 12,
    ];

    public function testStatementsDoNotGrowWithWhatThereIs(): void
    {
        $few = array_map(
            fn (string $address): int => $this->statements($address), array_combine(array_keys(self::SHEETS), array_keys(self::SHEETS)),
        );
        $this->grow(3);
        foreach (self::SHEETS as $address => $most) {
            self::assertGreaterThan(0, $few[$address], $address.': nothing was counted.');
            $many = $this->statements($address);
            self::assertLessThanOrEqual($few[$address], $many, $address);
            self::assertLessThanOrEqual($most, $many, $address);
            self::assertLessThanOrEqual($many, $this->statements($address, false), $address.', again');
        }
    }

    public function testWhatTheTablesHoldIsWhatTheSheetsSay(): void
    {
        $this->grow(2);
        $db = self::service(Connection::class);
        $count = static fn (string $sql, string $id): int => is_numeric($n = $db->fetchOne($sql, [$id])) ? (int) $n : -1;
        $b = $this->bench->b;
        $try = $this->json('GET', '/api/revisions/'.$b.'/try');
        self::assertSame(
            $count('SELECT count(*) FROM trial WHERE revision_id = ? AND withdrawn_because IS NULL', $b), count((array) $try['trials']),
        );
        $runs = array_sum(
            array_map(static fn (mixed $t): int => is_numeric($n = self::at((array) $t, 'total')) ? (int) $n : 0, (array) $try['trials']),
        );
        self::assertSame($count('SELECT count(*) FROM run r JOIN trial t ON t.id = r.trial_id WHERE t.revision_id = ?', $b), $runs);
        $find = $this->json('GET', '/api/revisions/'.$b.'/find');
        self::assertSame($count('SELECT count(*) FROM failure WHERE revision_id = ?', $b), count((array) $find['failures']));
        self::assertSame($count('SELECT count(*) FROM observation WHERE revision_id = ?', $b), count((array) $find['observations']));
        $build = $this->json('GET', '/api/revisions/'.$b.'/build');
        foreach (['article' => 'articles', 'part' => 'parts', 'parameter' => 'parameters', 'change' => 'changes'] as $table => $list) {
            self::assertSame(
                $count('SELECT count(*) FROM '.$table.' WHERE revision_id = ?', $b),
                count(array_filter((array) $build[$list], static fn (mixed $row): bool => (((array) $row)['mark'] ?? '') !== 'gone')),
                $list,
            );
        }
        $cost = $db->fetchOne('SELECT sum(quantity * cost) FROM part WHERE revision_id = ?', [$b]);
        self::assertEqualsWithDelta(
            is_numeric($cost) ? (float) $cost : -1.0, is_numeric($build['cost']) ? (float) $build['cost'] : -2.0, 1e-9,
        );
        $weigh = $this->json('GET', '/api/revisions/'.$b.'/weigh');
        $mean = $db->fetchOne(
            'SELECT avg(g.current_si) FROM reading g JOIN run r ON r.id = g.run_id JOIN trial t ON t.id = r.trial_id WHERE t.revision_id = ? AND r.outcome IS NOT NULL',
            [$b],
        );
        $row = (array) self::at($weigh, 'comparisons', 0);
        self::assertEqualsWithDelta(
            is_numeric($mean) ? (float) $mean : -1.0, (float) self::text($row, 'here', 'value'), 1e-9, json_encode($row) ?: '',
        );
        $next = $this->json('GET', '/api/revisions/'.$b.'/next');
        // What waits from the build that it comes from is there as well.
        self::assertSame(
            $count('SELECT count(*) FROM candidate WHERE belongs_to = ?', $this->bench->device), count((array) $next['candidates']),
        );
    }

    /** More of everything, on both builds. */
    private function grow(int $times): void
    {
        for ($i = 0; $i < $times; ++$i) {
            foreach ([$this->bench->a, $this->bench->b] as $build) {
                $mark = substr($build, -4).count($this->lists($build)).$i;
                $unit = $this->put('articles', ['revision' => $build, 'serial' => 'S-'.$mark]);
                $trial = $this->trial($this->bench, $build, $unit, [40.0 + $i, 41.5, 42.0]);
                $this->run = self::text($this->json('GET', '/api/revisions/'.$build.'/try'), 'trials', 0, 'runs', 0, 'id');
                $failure = $this->put('failures', ['revision' => $build, 'run' => $this->run, 'mode' => 'Mode '.$mark]);
                $this->put('causes', ['failure' => $failure, 'text' => 'Cause '.$mark]);
                $this->put('observations', ['revision' => $build, 'run' => $this->run, 'text' => 'Squeaks '.$mark]);
                $this->put('parts', ['revision' => $build, 'name' => 'Part '.$mark, 'cost' => 1.25, 'quantity' => 3]);
                $this->put(
                    'parameters', ['revision' => $build, 'name' => 'p'.$mark, 'text' => '3 mm', 'correction' => 'It was always so.'],
                );
                $this->put(
                    'candidates',
                    [
                        'revision' => $build, 'what' => 'Wider '.$mark, 'failures' => [$failure],
                        'effects' => [['metric' => 'push force', 'unit' => 'N', 'low' => -5.0, 'likely' => -4.0, 'high' => -3.0]],
                    ],
                );
            }
            $this->put(
                'changes',
                [
                    'revision' => $this->bench->b, 'what' => 'Change '.$i.$times,
                    'effects' => [['metric' => 'push force', 'unit' => 'N', 'likely' => -3.0]],
                ],
            );
        }
    }

    /** @return array<array-key, mixed> */
    private function lists(string $build): array
    {
        return (array) $this->json('GET', '/api/revisions/'.$build.'/build')['articles'];
    }

    private function statements(string $address, bool $cold = true): int
    {
        if ($cold) {
            self::service(Connection::class)->executeStatement('DELETE FROM summary');
        }
        $this->json(
            'GET',
            strtr(
                $address,
                ['{workspace}' => $this->workspace, '{device}' => $this->bench->device, '{b}' => $this->bench->b, '{run}' => $this->run],
            ),
        );
        self::assertSame(200, $this->answered(), $address);

        return preg_match('/queries=(\d+)/', (string) $this->client->getResponse()->headers->get('X-Cost'), $m) === 1 ? (int) $m[1] : 0;
    }
}
