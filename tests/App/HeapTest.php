<?php

declare(strict_types=1);

namespace Lustrum\Tests\App;

use Doctrine\Persistence\ManagerRegistry;
use Lustrum\Account\Role;
use Lustrum\Action\Files\Preparing;
use Symfony\Component\Process\Process;
use Symfony\Component\Uid\Uuid;

/** One heap of what was filmed and photographed: laid against runs, gone through, the rest put aside. */
final class HeapTest extends ApiTestCase
{
    private string $folder = '';

    protected function setUp(): void
    {
        parent::setUp();
        $this->folder = sys_get_temp_dir().'/lustrum-heap-'.getmypid();
        @mkdir($this->folder);
    }

    /** @return array{string, string} two runs of one trial, at 14:00 and 14:30 by Greenwich, each of ten minutes */
    private function runs(): array
    {
        $bench = $this->bench();
        $trial = $this->put('trials', ['revision' => $bench->a, 'method' => $bench->method, 'name' => 'Push']);

        return [
            $this->put('runs', ['trial' => $trial, 'startedAt' => '2026-03-02T14:00:00Z', 'outcome' => 'held']),
            $this->put('runs', ['trial' => $trial, 'startedAt' => '2026-03-02T14:30:00Z', 'outcome' => 'held']),
        ];
    }

    /** @param int<0, 255> $shade */
    private function picture(int $shade): string
    {
        $file = $this->folder.'/'.$shade.'.jpg';
        $im = imagecreatetruecolor(40, 30);
        imagefill($im, 0, 0, (int) imagecolorallocate($im, $shade, 90, 120));
        imagejpeg($im, $file);

        return $file;
    }

    /** @return array<array-key, mixed> */
    private function drop(string $file, string $name, string $modified = '2026-03-02T14:05:00Z', ?string $id = null): array
    {
        return $this->upload('/api/heapfiles/'.($id ?? Uuid::v7()->toRfc4122()), $file, [
            'workspace' => $this->workspace, 'name' => $name, 'camera' => 'Phone', 'zone' => 'Europe/Berlin', 'modified' => $modified,
        ], $name);
    }

    /** @return array<array-key, mixed> */
    private function heap(): array
    {
        return $this->json('GET', '/api/workspaces/'.$this->workspace.'/heap');
    }

    /** @return array<string, array{?string, string}> name => run and where it lies beside it */
    private function laid(): array
    {
        $out = [];
        foreach ((array) $this->heap()['rows'] as $row) {
            $row = (array) $row;
            $out[self::text((array) $row['file'], 'name')] = [is_string($row['run']) ? $row['run'] : null, self::text($row, 'said')];
        }

        return $out;
    }

    public function testWhatWasTakenLiesAgainstItsRun(): void
    {
        [$first, $second] = $this->runs();
        $this->drop($this->picture(10), 'P1.jpg');
        $this->drop($this->picture(20), 'P2.jpg', '2026-03-02T14:25:00Z');
        $this->drop($this->picture(30), 'P3.jpg', '2026-03-02T14:41:30Z');
        $this->drop($this->picture(40), 'P4.jpg', '2026-03-02T20:00:00Z');

        self::assertSame([
            'P1.jpg' => [$first, '5 min into it'], 'P2.jpg' => [$first, '15 min after its end'],
            'P3.jpg' => [$second, '1 min 30 s after its end'], 'P4.jpg' => [null, 'no run near'],
        ], $this->laid());
        $heap = $this->heap();
        self::assertSame(
            '4 files are not gone through yet: one lies within a run, 2 right beside one, one near none.',
            self::text($heap, 'sentence'),
        );
        self::assertSame(['Wagtail A, Push, run 1', 'Wagtail A, Push, run 2'], array_column((array) $heap['runs'], 'name'));
        $try = $this->json('GET', '/api/revisions/'.$this->build($first).'/try');
        self::assertSame('4 files in the heap are not gone through yet', self::text($try, 'heap'));
    }

    private function build(string $run): string
    {
        return self::text((array) $this->json('GET', '/api/runs/'.$run)['revision'], 'id');
    }

    public function testAClockIsSetRightOnceForAllThatACameraTook(): void
    {
        [$first, $second] = $this->runs();
        // Its clock is two hours and a minute ahead.
        $begin = Uuid::v7()->toRfc4122();
        $this->drop($this->picture(10), 'P1.jpg', '2026-03-02T16:01:00Z', $begin);
        $this->drop($this->picture(20), 'P2.jpg', '2026-03-02T16:36:00Z');
        self::assertSame([null, null], array_column($this->laid(), 0));

        $this->json('POST', '/api/heapfiles/'.$begin.'/clock', ['run' => $first]);
        self::assertSame(201, $this->answered());
        self::assertSame(['P1.jpg' => [$first, '0 s into it'], 'P2.jpg' => [$second, '5 min into it']], $this->laid());
        self::assertSame(
            '2 files; its clock is 2 h 1 min ahead, which is taken off', ((array) ((array) $this->heap()['cameras'])[0])['said'],
        );

        // Said once more it is the same camera, by its time.
        $this->json('POST', '/api/heapfiles/'.$begin.'/clock', ['truly' => '2026-03-02T14:02:00Z']);
        self::assertSame(200, $this->answered());
        self::assertSame('2 min into it', $this->laid()['P1.jpg'][1]);
        // What comes later of it is right at once.
        $this->drop($this->picture(30), 'P3.jpg', '2026-03-02T16:02:00Z');
        self::assertSame([$first, '3 min into it'], $this->laid()['P3.jpg']);

        $this->refused('POST', '/api/heapfiles/'.$begin.'/clock', [], 'When was it truly?');
        $this->refused('POST', '/api/heapfiles/'.$begin.'/clock', ['truly' => '1970-01-01T00:00:00Z'], 'thirty years');
    }

    /** @param array<string, mixed> $body */
    private function refused(string $method, string $url, array $body, string $words): void
    {
        $said = $this->json($method, $url, $body);
        self::assertGreaterThanOrEqual(400, $this->answered());
        self::assertLessThan(500, $this->answered());
        self::assertStringContainsString($words, self::text($said, 'detail'));
    }

    public function testWhatIsKeptIsWithItsRunAndTheRestIsPutAsideInOneTouch(): void
    {
        [$first, $second] = $this->runs();
        $id = Uuid::v7()->toRfc4122();
        $this->drop($this->picture(10), 'P1.jpg', id: $id);
        foreach ([20, 30, 40] as $shade) {
            $this->drop($this->picture($shade), $shade.'.jpg');
        }
        $photo = Uuid::v7()->toRfc4122();
        $kept = $this->json('POST', '/api/heapfiles/'.$id.'/keep', ['photo' => $photo, 'run' => $first, 'caption' => 'The fork']);
        self::assertSame([201, 'The fork', 'P1.jpg', $first], [$this->answered(), $kept['caption'], $kept['name'], $kept['run']]);
        $this->json('POST', '/api/heapfiles/'.$id.'/keep', ['photo' => $photo, 'run' => $first, 'caption' => 'The fork']);
        self::assertSame(200, $this->answered(), 'Sent twice, it is one.');
        self::assertSame([$photo], array_column((array) $this->json('GET', '/api/runs/'.$first)['photos'], 'id'));
        $this->client->request('GET', '/api/photos/'.$photo.'/picture');
        self::assertSame(200, $this->answered());
        // Of two runs it is a record of each.
        $this->json('POST', '/api/heapfiles/'.$id.'/keep', ['photo' => Uuid::v7()->toRfc4122(), 'run' => $second]);
        self::assertCount(1, (array) $this->json('GET', '/api/runs/'.$second)['photos']);

        self::assertCount(3, $this->laid());
        $one = self::text((array) ((array) ((array) $this->heap()['rows'])[0])['file'], 'id');
        self::assertSame(1, $this->json('POST', '/api/workspaces/'.$this->workspace.'/heap/aside', ['files' => [$one]])['files']);
        self::assertSame(2, $this->json('POST', '/api/workspaces/'.$this->workspace.'/heap/aside', [])['files']);
        $heap = $this->heap();
        self::assertSame([], $heap['rows']);
        self::assertSame('Nothing waits to be gone through. 1 kept with runs, 3 put aside.', self::text($heap, 'sentence'));
        // One of them is wanted after all.
        $file = (array) ((array) ((array) $heap['aside'])[0])['file'];
        $this->json('PUT', '/api/heapfiles/'.self::text($file, 'id'), [
            'workspace' => $this->workspace, 'name' => $file['name'], 'aside' => false, 'version' => $file['version'],
        ]);
        self::assertCount(1, $this->laid());
    }

    public function testAmongFiveHundredDoublesAndStrangersSaySoAndTheRestIsKept(): void
    {
        [$first] = $this->runs();
        $this->drop($this->picture(10), 'P1.jpg');
        $again = $this->drop($this->picture(10), 'copy of P1.jpg');
        self::assertSame([409, 'This is here already: in the heap. It was not taken twice.'], [$this->answered(), $again['detail']]);
        file_put_contents($this->folder.'/a.exe', "MZ\x90\0\3\0\0\0\4\0\0\0");
        $stranger = $this->drop($this->folder.'/a.exe', 'clip.mp4');
        self::assertSame(415, $this->answered());
        self::assertStringContainsString('This is not a file that Lustrum can take', self::text($stranger, 'detail'));
        file_put_contents($this->folder.'/letter.txt', 'Dear all.');
        self::assertSame(
            '“letter.mp4” is called like a clip and is none. It was not taken.',
            $this->drop($this->folder.'/letter.txt', 'letter.mp4')['detail'],
        );
        file_put_contents($this->folder.'/none.mp4', '');
        self::assertSame('This file is empty.', $this->drop($this->folder.'/none.mp4', 'none.mp4')['detail']);
        self::assertSame(['P1.jpg'], array_keys($this->laid()));

        // What a run has already is known too, before anything is sent.
        $this->upload('/api/photos/'.Uuid::v7()->toRfc4122(), $this->picture(50), ['revision' => $this->build($first), 'run' => $first]);
        $hashes = [];
        foreach ([10, 50, 60] as $shade) {
            $hashes[] = (string) hash_file('sha256', $this->picture($shade));
        }
        $known = $this->json('POST', '/api/workspaces/'.$this->workspace.'/heap/known', ['sha256' => $hashes]);
        self::assertEqualsCanonicalizing(
            [['sha256' => $hashes[0], 'where' => 'in the heap'], ['sha256' => $hashes[1], 'where' => 'build A, Push, run 1']],
            $known['files'],
        );
    }

    public function testAClipIsPreparedInLineAndCannotBeKeptBefore(): void
    {
        [$first] = $this->runs();
        $file = $this->folder.'/clip.mp4';
        (new Process([
            'ffmpeg', '-v', 'error', '-y', '-f', 'lavfi', '-i', 'testsrc=size=160x120:rate=10:duration=4', '-pix_fmt', 'yuv420p',
            '-metadata',
            'creation_time=2026-03-02T14:03:20Z', $file,
        ]))->mustRun();
        $id = Uuid::v7();
        self::assertSame('waiting', $this->drop($file, 'G1.mp4', '2026-03-09T09:00:00Z', $id->toRfc4122())['state']);
        $this->refused(
            'POST', '/api/heapfiles/'.$id.'/keep', ['photo' => Uuid::v7()->toRfc4122(), 'run' => $first], 'still being prepared',
        );
        // A refused write closes the unit of work that it was made in.
        self::service(ManagerRegistry::class)->resetManager();
        self::service(Preparing::class)->prepare($id);

        // What the clip says goes before the date of its file.
        self::assertSame(['G1.mp4' => [$first, '3 min 20 s into it']], $this->laid());
        $row = (array) ((array) $this->heap()['rows'])[0];
        self::assertEqualsWithDelta(200.0, $row['into'], 0.01);
        $view = (array) $row['file'];
        $marks = [['at' => 1.5, 'what' => '41.5'], ['at' => 3.0, 'what' => 'the belt slips']];
        $this->json('PUT', '/api/heapfiles/'.$id, [
            'workspace' => $this->workspace, 'name' => 'G1.mp4', 'camera' => 'Phone', 'zone' => 'Europe/Berlin',
            'version' => $view['version'], 'marks' => $marks,
        ]);
        self::assertSame(200, $this->answered());
        $kept = $this->json('POST', '/api/heapfiles/'.$id.'/keep', ['photo' => Uuid::v7()->toRfc4122(), 'run' => $first]);
        self::assertEquals($marks, $kept['marks'], 'They go along.');
        $this->client->request('GET', '/api/heapfiles/'.$id.'/file', server: ['HTTP_RANGE' => 'bytes=0-99']);
        self::assertSame(206, $this->answered());
        $this->client->request('GET', '/api/heapfiles/'.$id.'/picture?preview=1');
        self::assertSame(200, $this->answered());
    }

    public function testAClipStaysWhereItLiesAndIsKnownByItsHash(): void
    {
        [$first] = $this->runs();
        $id = Uuid::v7()->toRfc4122();
        $body = [
            'workspace' => $this->workspace, 'name' => 'G9.mp4', 'camera' => 'Rig', 'modified' => '2026-03-02T14:06:40Z',
            'seconds' => 100.0,
            'bytes' => 4_100_000_000, 'type' => 'video/mp4', 'lies' => 'card 3, in the tin',
        ];
        $this->refused('PUT', '/api/heapfiles/'.$id, ['lies' => ''] + $body, 'Where does it lie?');
        $this->refused('PUT', '/api/heapfiles/'.$id, $body, 'known by its SHA-256');
        $hash = str_repeat('ab', 32);
        $made = $this->json('PUT', '/api/heapfiles/'.$id, $body + ['sha256' => $hash]);
        self::assertSame([201, 'away', 4_100_000_000, '4.1 GB'], [$this->answered(), $made['state'], $made['bytes'], $made['size']]);
        $this->refused('PUT', '/api/heapfiles/'.Uuid::v7()->toRfc4122(), $body + ['sha256' => $hash], 'here already');
        // The date of the file is when it was written to its end.
        self::assertSame(['G9.mp4' => [$first, '5 min into it']], $this->laid());
        $this->client->request('GET', '/api/heapfiles/'.$id.'/file');
        self::assertSame(404, $this->answered());

        $photo = Uuid::v7()->toRfc4122();
        $kept = $this->json('POST', '/api/heapfiles/'.$id.'/keep', ['photo' => $photo, 'run' => $first]);
        self::assertSame(['away', 'card 3, in the tin', 'clip'], [$kept['state'], $kept['lies'], $kept['kind']]);
        // A device file carries what is known of it.
        $device = self::text((array) $this->json('GET', '/api/runs/'.$first)['revision'], 'device');
        $this->client->request('GET', '/api/devices/'.$device.'/export.json');
        $file = json_decode((string) $this->client->getInternalResponse()->getContent(), true);
        self::assertIsArray($file);
        $row = (array) ((array) $file['photos'])[0];
        self::assertSame(
            ['away', '', 'card 3, in the tin', 4_100_000_000, $hash],
            [$row['state'], $row['picture'], $row['lies'], $row['bytes'], $row['sha256']],
        );
        // And it is taken in again as it is.
        $this->workspace = $this->newWorkspace('Elsewhere', ['lead3@example.test' => Role::Lead]);
        $this->signIn('lead3@example.test');
        $taken = $this->raw(
            'POST', '/api/workspaces/'.$this->workspace.'/import',
            json_encode($file, \JSON_THROW_ON_ERROR | \JSON_PRESERVE_ZERO_FRACTION),
        );
        self::assertSame(201, $this->answered(), json_encode($taken) ?: '');
        $known = $this->json('POST', '/api/workspaces/'.$this->workspace.'/heap/known', ['sha256' => [$hash]]);
        self::assertSame('build A, Push, run 1', self::text($known, 'files', 0, 'where'));
    }

    public function testNothingOfAnotherWorkspaceIsReached(): void
    {
        [$first] = $this->runs();
        $id = Uuid::v7()->toRfc4122();
        $this->drop($this->picture(10), 'P1.jpg', id: $id);
        $mine = $this->workspace;
        $this->workspace = $this->newWorkspace('Elsewhere', ['lead2@example.test' => Role::Lead]);
        $this->signIn('lead2@example.test');
        $other = Uuid::v7()->toRfc4122();
        $this->drop($this->picture(20), 'P2.jpg', id: $other);
        $this->refused(
            'POST', '/api/heapfiles/'.$other.'/keep', ['photo' => Uuid::v7()->toRfc4122(), 'run' => $first],
            'not there, or is not yours',
        );
        $this->json('GET', '/api/workspaces/'.$mine.'/heap');
        self::assertSame(404, $this->answered());
        $this->json('POST', '/api/heapfiles/'.$id.'/keep', ['photo' => Uuid::v7()->toRfc4122(), 'run' => $first]);
        self::assertSame(404, $this->answered());
        // The same picture in another workspace is no double there.
        $this->drop($this->picture(10), 'P1.jpg');
        self::assertSame(201, $this->answered());
    }

    /** Who works in two teams carries nothing from one into the other. */
    public function testAFileStaysInItsOwnWorkspace(): void
    {
        [$first] = $this->runs();
        $this->workspace = $this->newWorkspace('Second team', ['lead@example.test' => Role::Lead]);
        $this->signIn('lead@example.test');
        $id = Uuid::v7()->toRfc4122();
        $this->drop($this->picture(10), 'P1.jpg', id: $id);
        self::assertSame(201, $this->answered());
        $this->refused(
            'POST', '/api/heapfiles/'.$id.'/keep', ['photo' => Uuid::v7()->toRfc4122(), 'run' => $first], 'of another workspace',
        );
    }
}
