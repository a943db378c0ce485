<?php

declare(strict_types=1);

namespace Lustrum\Tests\App;

use Doctrine\DBAL\Connection;
use Lustrum\Account\Role;

/** Who did what and when is kept with each record, and of a workspace what is no record. */
final class HistoryTest extends ApiTestCase
{
    private Bench $bench;

    protected function setUp(): void
    {
        parent::setUp();
        $this->bench = $this->bench();
    }

    public function testARecordsWayFromItsBeginning(): void
    {
        $id = $this->put('failures', ['revision' => $this->bench->b, 'mode' => 'Broke']);
        $this->signIn('member@example.test');
        $this->json('PUT', '/api/failures/'.$id, ['revision' => $this->bench->b, 'mode' => 'Bent', 'version' => 1]);
        self::assertSame(200, $this->answered());
        $this->signIn('lead@example.test');
        $this->json('POST', '/api/failures/'.$id.'/withdraw', ['because' => 'Another build']);
        $rows = $this->rows('failure', $id);
        self::assertCount(3, $rows);
        [$withdrawn, $changed, $made] = $rows;
        self::assertNull($made['was']);
        self::assertSame('Broke', self::text($made, 'is', 'mode'));
        self::assertSame(['Broke', 'Bent'], [self::text($changed, 'was', 'mode'), self::text($changed, 'is', 'mode')]);
        self::assertSame(['Lead', 'Member', 'Lead'], array_map(static fn (array $r): string => self::text($r, 'by'), $rows));
        self::assertNotSame('null', self::text($withdrawn, 'was'));
        $times = array_map(static fn (array $r): string => self::text($r, 'at'), $rows);
        $sorted = $times;
        rsort($sorted);
        self::assertSame($sorted, $times, 'Newest first.');
    }

    public function testTheSameWriteAgainIsNoEntry(): void
    {
        $id = $this->put('parts', ['revision' => $this->bench->b, 'name' => 'Arm']);
        $this->json('PUT', '/api/parts/'.$id, ['revision' => $this->bench->b, 'name' => 'Arm']);
        self::assertSame(200, $this->answered());
        self::assertCount(1, $this->rows('part', $id));
    }

    public function testARefusedWriteIsNoEntry(): void
    {
        $id = $this->put('parts', ['revision' => $this->bench->b, 'name' => 'Arm']);
        $this->json('PUT', '/api/parts/'.$id, ['revision' => $this->bench->b, 'name' => '', 'version' => 1]);
        self::assertSame(422, $this->answered());
        $this->json('PUT', '/api/parts/'.$id, ['revision' => $this->bench->b, 'name' => 'Leg', 'version' => 7]);
        self::assertSame(409, $this->answered());
        self::assertCount(1, $this->rows('part', $id));
    }

    public function testAnAmendmentIsAnEntryWithBothValues(): void
    {
        $this->trial($this->bench, $this->bench->b, $this->bench->unitB, [4.1]);
        $run = self::text($this->json('GET', '/api/revisions/'.$this->bench->b.'/try'), 'trials', 0, 'runs', 0, 'id');
        $reading = self::text($this->json('GET', '/api/runs/'.$run), 'readings', 0, 'id');
        $this->json(
            'POST', '/api/readings/'.$reading.'/amend', ['text' => '41 N', 'reason' => 'Slipped', 'version' => 1, 'confirmed' => 'x'],
        );
        self::assertSame(200, $this->answered());
        $rows = $this->rows('reading', $reading);
        self::assertCount(2, $rows);
        self::assertSame(['4.1', '41'], [self::text($rows[0], 'was', 'current', 'value'), self::text($rows[0], 'is', 'current', 'value')]);
        self::assertSame('4.1', self::text($rows[0], 'is', 'typed', 'value'), 'What was typed stays.');
        $this->json('POST', '/api/runs/'.$run.'/amend', ['outcome' => 'void', 'reason' => 'Rain', 'version' => 2]);
        self::assertSame('void', self::text($this->rows('run', $run)[0], 'is', 'outcome'));
    }

    public function testADecisionIsAnEntryOfItsOwn(): void
    {
        $candidate = $this->put('candidates', ['revision' => $this->bench->b, 'what' => 'Wider', 'choice' => 'in', 'reason' => 'x']);
        $decision = $this->put(
            'decisions', ['revision' => $this->bench->b, 'next' => '01a21399-f267-7ee4-95b9-399e024a2527', 'letter' => 'C'],
        );
        self::assertCount(1, $this->rows('decision', $decision));
        self::assertGreaterThanOrEqual(1, count($this->rows('candidate', $candidate)));
        self::assertCount(1, $this->rows('revision', '01a21399-f267-7ee4-95b9-399e024a2527'), 'The build that it begins.');
    }

    public function testALongHistoryIsGivenInPages(): void
    {
        $id = $this->put('parts', ['revision' => $this->bench->b, 'name' => 'Arm 0']);
        for ($i = 1; $i <= 60; ++$i) {
            $this->json('PUT', '/api/parts/'.$id, ['revision' => $this->bench->b, 'name' => 'Arm '.$i, 'version' => $i]);
            self::assertSame(200, $this->answered());
        }
        $seen = [];
        $after = '';
        do {
            $page = $this->json('GET', '/api/history/part/'.$id.($after === '' ? '' : '?after='.rawurlencode($after)));
            foreach ((array) $page['rows'] as $row) {
                $seen[] = self::text((array) $row, 'is', 'name');
            }
            $after = is_string($page['next']) ? $page['next'] : '';
        } while ($after !== '');
        self::assertSame(array_map(static fn (int $i): string => 'Arm '.$i, range(60, 0)), $seen);
    }

    public function testWhatHappensInAWorkspaceIsKept(): void
    {
        $this->json('PUT', '/api/workspaces/'.$this->workspace.'/members', [
            'name' => 'New One', 'email' => 'new@example.test', 'role' => 'viewer', 'password' => 'a long enough word too',
        ]);
        self::assertLessThan(300, $this->answered());
        $this->client->request('GET', '/api/devices/'.$this->bench->device.'/export.json');
        $happened = self::service(Connection::class)->fetchFirstColumn(
            'SELECT DISTINCT kind FROM history_entry WHERE workspace = ? AND kind NOT IN (SELECT DISTINCT kind FROM identifier)',
            [$this->workspace],
        );
        self::assertContains('export', $happened);
        self::assertGreaterThanOrEqual(2, count($happened), json_encode($happened) ?: '');
    }

    public function testPasswordsAreInNoEntry(): void
    {
        $this->json('PUT', '/api/workspaces/'.$this->workspace.'/members', [
            'name' => 'New One', 'email' => 'new@example.test', 'role' => 'viewer', 'password' => 'marsh-lantern-kettle-9',
        ]);
        self::assertLessThan(300, $this->answered());
        $all = json_encode(self::service(Connection::class)->fetchAllAssociative('SELECT * FROM history_entry')) ?: '';
        self::assertStringNotContainsString('marsh-lantern', $all);
        self::assertStringNotContainsString('$argon', $all);
        self::assertStringNotContainsString('$2y$', $all);
    }

    public function testAnotherWorkspaceSeesNothingOfIt(): void
    {
        $id = $this->put('parts', ['revision' => $this->bench->b, 'name' => 'Arm']);
        $this->newWorkspace('Elsewhere', ['elsewhere@example.test' => Role::Lead]);
        $this->signIn('elsewhere@example.test');
        $this->json('GET', '/api/history/part/'.$id);
        self::assertSame(404, $this->answered());
        $this->json('GET', '/api/history/nonsense/'.$id);
        self::assertSame(404, $this->answered());
    }

    /** @return list<array<array-key, mixed>> newest first */
    private function rows(string $kind, string $id): array
    {
        $page = $this->json('GET', '/api/history/'.$kind.'/'.$id);
        self::assertSame(200, $this->answered(), json_encode($page) ?: '');

        return array_map(static fn (mixed $row): array => (array) $row, array_values((array) $page['rows']));
    }
}
