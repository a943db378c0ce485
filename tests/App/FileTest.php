<?php

declare(strict_types=1);

namespace Lustrum\Tests\App;

use Doctrine\DBAL\Connection;
use Lustrum\Action\Files\Preparing;
use Lustrum\Storage\FileKind;
use Lustrum\Storage\Files;
use PHPUnit\Framework\Attributes\DataProvider;
use Symfony\Component\Process\Process;
use Symfony\Component\Uid\Uuid;

/** Pictures, sounds, clips and documents: taken in, prepared in line, given out in parts, stripped of what tells on people. */
final class FileTest extends ApiTestCase
{
    private string $folder = '';

    private string $build = '';

    protected function setUp(): void
    {
        parent::setUp();
        $this->folder = sys_get_temp_dir().'/lustrum-files-'.getmypid();
        @mkdir($this->folder);
        $this->build = $this->bench()->a;
    }

    /** @return iterable<string, array{string, string, string, list<string>}> kind, type, ending, how it is made */
    public static function recordings(): iterable
    {
        $where = [
            '-metadata', 'location=+48.1234+011.5678/', '-metadata', 'make=Pocketcam', '-metadata', 'creation_time=2026-03-02T14:05:11Z',
        ];
        yield 'a clip' => [
            'clip', 'video/mp4', 'mp4',
            [
                '-f', 'lavfi', '-i', 'testsrc=size=320x240:rate=10:duration=2', '-f', 'lavfi', '-i', 'sine=duration=2', '-pix_fmt',
                'yuv420p', '-shortest', ...$where,
            ],
        ];
        yield 'a clip of a web camera' => [
            'clip', 'video/webm', 'webm', ['-f', 'lavfi', '-i', 'testsrc=size=160x120:rate=5:duration=1', '-c:v', 'libvpx', ...$where],
        ];
        yield 'a sound' => [
            'sound', 'audio/mpeg', 'mp3', ['-f', 'lavfi', '-i', 'sine=frequency=440:duration=2', '-metadata', 'comment=at 48.1234 north'],
        ];
        yield 'a sound in a container for clips' => [
            'clip', 'audio/mp4', 'mov', ['-f', 'lavfi', '-i', 'sine=frequency=440:duration=1', '-c:a', 'aac', ...$where],
        ];
        yield 'a sound as it is' => [
            'sound', 'audio/wav', 'wav', ['-f', 'lavfi', '-i', 'sine=frequency=440:duration=1', '-metadata', 'comment=at 48.1234 north'],
        ];
    }

    /** @param list<string> $how */
    #[DataProvider('recordings')]
    public function testARecordingWaitsItsTurnAndIsThenThere(string $kind, string $type, string $ending, array $how): void
    {
        $file = $this->folder.'/sent.'.$ending;
        (new Process(['ffmpeg', '-v', 'error', '-y', ...$how, $file]))->mustRun();
        $id = Uuid::v7()->toRfc4122();
        $taken = $this->upload('/api/photos/'.$id, $file, ['revision' => $this->build, 'caption' => 'Passing by'], 'anything.bin');
        self::assertSame(202, $this->answered(), json_encode($taken) ?: '');
        self::assertSame([$kind, 'waiting'], [$taken['kind'], $taken['state']]);
        $this->client->request('GET', '/api/photos/'.$id.'/file');
        self::assertSame(404, $this->answered(), 'Nothing is given out before it is stripped.');

        $before = $this->counter();
        $this->letWorkersWork();
        self::assertGreaterThan($before, $this->counter(), 'Who looks at the sheet is told.');
        $ready = $this->photo();
        self::assertSame(['ready', $type, ''], [$ready['state'], $ready['type'], $ready['problem']]);
        self::assertGreaterThan(0.8, $ready['seconds']);
        // What a container is called does not make a clip of it.
        $kind = str_starts_with($type, 'audio/') ? 'sound' : 'clip';
        self::assertSame([$kind, $kind === 'clip' ? ($ending === 'mp4' ? 320 : 160) : 0], [$ready['kind'], $ready['width']]);
        if ($ending === 'mp4') {
            self::assertSame('2026-03-02T14:05:11+00:00', $ready['takenAt']);
        }
        $this->client->request('GET', '/api/photos/'.$id.'/file');
        $kept = $this->client->getInternalResponse()->getContent();
        self::assertSame($type, $this->client->getResponse()->headers->get('Content-Type'));
        foreach (['48.1234', '+011.5678', 'Pocketcam'] as $told) {
            self::assertStringNotContainsString($told, $kept);
        }
        if ($kind === 'clip') {
            $this->client->request('GET', '/api/photos/'.$id.'/picture?preview=1');
            self::assertStringStartsWith("\xff\xd8", $this->client->getInternalResponse()->getContent());
        }
        // The same once more: it is that one, and nothing is prepared anew.
        $this->upload('/api/photos/'.$id, $file, ['revision' => $this->build, 'caption' => 'Passing by']);
        self::assertSame(200, $this->answered());
        self::assertSame(0, $this->inLine());
    }

    public function testWhatIsDamagedSaysSoAtItsPlace(): void
    {
        $file = $this->folder.'/cut.mp4';
        (new Process(['ffmpeg', '-v', 'error', '-y', '-f', 'lavfi', '-i', 'testsrc=size=320x240:rate=10:duration=2', '-pix_fmt', 'yuv420p', $file]))->mustRun();
        file_put_contents($file, substr((string) file_get_contents($file), 0, 3000));
        $this->upload('/api/photos/'.Uuid::v7()->toRfc4122(), $file, ['revision' => $this->build]);
        self::assertSame(202, $this->answered());
        $this->letWorkersWork();
        $broken = $this->photo();
        self::assertSame('broken', $broken['state']);
        self::assertStringContainsString('damaged', self::text($broken, 'problem'));
        $this->client->request('GET', '/api/photos/'.self::text($broken, 'id').'/file');
        self::assertSame(404, $this->answered());
    }

    public function testWhatCannotBePreparedForGoodSaysSoAsWell(): void
    {
        $file = $this->folder.'/sent.mp3';
        (new Process(['ffmpeg', '-v', 'error', '-y', '-f', 'lavfi', '-i', 'sine=duration=1', $file]))->mustRun();
        $id = Uuid::v7();
        $this->upload('/api/photos/'.$id->toRfc4122(), $file, ['revision' => $this->build]);
        self::service(Preparing::class)->giveUp($id);
        self::assertSame(
            ['broken', 'This file could not be prepared here. Withdraw it and send it again, or in another format.'],
            [$this->photo()['state'], $this->photo()['problem']],
        );
        // The message that is still in line finds nothing to do.
        $this->letWorkersWork();
        self::assertSame('broken', $this->photo()['state']);
    }

    public function testADocumentIsKeptAsItIsAndOnlyEverSaved(): void
    {
        $file = $this->folder.'/drawing.pdf';
        file_put_contents($file, "%PDF-1.4\n1 0 obj<</Type/Catalog>>endobj\ntrailer<</Root 1 0 R>>\n%%EOF\n");
        $id = Uuid::v7()->toRfc4122();
        $taken = $this->upload('/api/photos/'.$id, $file, ['revision' => $this->build], 'drawing.pdf');
        self::assertSame(201, $this->answered(), json_encode($taken) ?: '');
        self::assertSame(['document', 'ready', 'application/pdf'], [$taken['kind'], $taken['state'], $taken['type']]);
        $this->client->request('GET', '/api/photos/'.$id.'/file');
        $headers = $this->client->getResponse()->headers;
        self::assertStringStartsWith('attachment; filename="', (string) $headers->get('Content-Disposition'));
        self::assertSame("default-src 'none'; sandbox", $headers->get('Content-Security-Policy'));
        self::assertSame(file_get_contents($file), $this->client->getInternalResponse()->getContent());
        $this->client->request('GET', '/api/photos/'.$id.'/picture');
        self::assertSame(404, $this->answered(), 'There is nothing to see of it.');
    }

    public function testPartsOfAFile(): void
    {
        $file = $this->folder.'/notes.txt';
        file_put_contents($file, 'abcdefghij');
        $id = Uuid::v7()->toRfc4122();
        $this->upload('/api/photos/'.$id, $file, ['revision' => $this->build]);
        foreach (['bytes=2-4' => 'cde', 'bytes=7-' => 'hij', 'bytes=-2' => 'ij', 'bytes=0-99' => 'abcdefghij'] as $range => $expected) {
            $this->client->request('GET', '/api/photos/'.$id.'/file', [], [], ['HTTP_RANGE' => $range]);
            self::assertSame([206, $expected], [$this->answered(), $this->client->getInternalResponse()->getContent()], $range);
            self::assertSame((string) strlen($expected), $this->client->getResponse()->headers->get('Content-Length'), $range);
        }
        $this->client->request('GET', '/api/photos/'.$id.'/file', [], [], ['HTTP_RANGE' => 'bytes=10-12']);
        self::assertSame([416, 'bytes */10'], [$this->answered(), $this->client->getResponse()->headers->get('Content-Range')]);
        $this->client->request('GET', '/api/photos/'.$id.'/file', [], [], ['HTTP_RANGE' => 'pages=1-2']);
        self::assertSame(200, $this->answered(), 'What is not understood is as if it had not been asked.');
    }

    public function testTheTimeOfACameraIsKeptAndNothingElse(): void
    {
        $file = $this->picture(64, 48);
        // An EXIF block whose one entry points at the sub-block with DateTimeOriginal (Exif 2.32, tag 0x9003).
        $sub = pack('n', 1).pack('nnNN', 0x9003, 2, 20, 44).pack('N', 0);
        $exif = "Exif\0\0MM\0*".pack('N', 8).pack('n', 1).pack('nnNN', 0x8769, 4, 1, 26).pack('N', 0).$sub."2026:03:02 14:05:11\0";
        $bytes = (string) file_get_contents($file);
        file_put_contents($file, substr($bytes, 0, 2)."\xff\xe1".pack('n', strlen($exif) + 2).$exif.substr($bytes, 2));
        $taken = $this->upload('/api/photos/'.Uuid::v7()->toRfc4122(), $file, ['revision' => $this->build]);
        $this->letWorkersWork();
        self::assertSame('2026-03-02T14:05:11', $this->photo()['takenAt']);
        $this->client->request('GET', '/api/photos/'.self::text($taken, 'id').'/picture');
        self::assertStringNotContainsString('2026:03:02', $this->client->getInternalResponse()->getContent());
    }

    public function testOnlyTheFirstFrameOfAMovingPicture(): void
    {
        $file = $this->folder.'/moving.gif';
        (new Process(['ffmpeg', '-v', 'error', '-y', '-f', 'lavfi', '-i', 'testsrc=size=80x60:rate=5:duration=2', $file]))->mustRun();
        $this->sendPicture('/api/photos/'.Uuid::v7()->toRfc4122(), $file, ['revision' => $this->build]);
        self::assertSame(['ready', 'picture', 80], [$this->photo()['state'], $this->photo()['kind'], $this->photo()['width']]);
    }

    public function testAFileThatIsNoneOfThese(): void
    {
        foreach (['page.html' => '<html><script>alert(1)</script></html>', 'tool.sh' => "#!/bin/sh\necho hello\n", 'pack.zip' => "PK\x03\x04".str_repeat("\0", 40), 'drawing.svg' => '<svg xmlns="http://www.w3.org/2000/svg"><script/></svg>'] as $name => $content) {
            file_put_contents($this->folder.'/'.$name, $content);
            $answer = $this->upload(
                '/api/photos/'.Uuid::v7()->toRfc4122(), $this->folder.'/'.$name, ['revision' => $this->build], 'innocent.jpg',
            );
            self::assertSame(415, $this->answered(), $name.json_encode($answer));
        }
    }

    public function testFilesComeAlongInADeviceFile(): void
    {
        $file = $this->folder.'/notes.txt';
        file_put_contents($file, 'as it was said');
        $this->upload('/api/photos/'.Uuid::v7()->toRfc4122(), $file, ['revision' => $this->build, 'caption' => 'Said']);
        $device = $this->outAndIn();
        $db = self::service(Connection::class);
        $rows = $db->fetchAllAssociative('SELECT kind, type, state, sha256 FROM photo WHERE belongs_to = ?', [$device]);
        self::assertSame(
            [['kind' => 'document', 'type' => 'text/plain', 'state' => 'ready', 'sha256' => hash_file('sha256', $file)]], $rows,
        );
    }

    public function testADeviceFileCarriesWhatIsBrokenOrWaitsToo(): void
    {
        (new Process(['ffmpeg', '-v', 'error', '-y', '-f', 'lavfi', '-i', 'sine=duration=1', $this->folder.'/a.mp3']))->mustRun();
        (new Process(['ffmpeg', '-v', 'error', '-y', '-f', 'lavfi', '-i', 'testsrc=size=320x240:rate=10:duration=2', '-pix_fmt', 'yuv420p', $this->folder.'/cut.mp4']))->mustRun();
        file_put_contents($this->folder.'/cut.mp4', substr((string) file_get_contents($this->folder.'/cut.mp4'), 0, 3000));
        foreach (['/cut.mp4' => true, '/a.mp3' => false] as $name => $prepared) {
            $this->upload('/api/photos/'.Uuid::v7()->toRfc4122(), $this->folder.$name, ['revision' => $this->build, 'caption' => $name]);
            self::assertSame(202, $this->answered(), $name);
            if ($prepared) {
                $this->letWorkersWork();
            }
        }
        $device = $this->outAndIn();
        $db = self::service(Connection::class);
        $rows = $db->fetchAllAssociative(
            'SELECT caption, kind, state, problem FROM photo WHERE belongs_to = ? ORDER BY caption', [$device],
        );
        self::assertSame(
            [['/a.mp3', 'sound', 'broken'], ['/cut.mp4', 'clip', 'broken']],
            array_map(static fn (array $r): array => [$r['caption'], $r['kind'], $r['state']], $rows),
        );
        self::assertStringContainsString('not prepared yet', self::text($rows[0], 'problem'));
        self::assertStringContainsString('damaged', self::text($rows[1], 'problem'));
    }

    public function testEveryTypeHasAnEndingAndALimit(): void
    {
        foreach (FileKind::cases() as $kind) {
            self::assertGreaterThan(1_000_000, $kind->mostBytes());
        }
        self::assertSame('mp4', FileKind::ending('video/mp4'));
        self::assertSame('bin', FileKind::ending('application/x-unheard-of'));
        self::assertNull(FileKind::ofType('text/html'));
        self::assertSame('text/plain', Files::sniff($this->write('a.txt', 'plain words')));
    }

    /** The device out into its file and in again beside itself; the identifier that it has there. */
    private function outAndIn(): string
    {
        $device = self::text($this->json('GET', '/api/revisions/'.$this->build.'/build'), 'revision', 'device');
        $this->client->request('GET', '/api/devices/'.$device.'/export.json');
        $exported = json_decode($this->client->getInternalResponse()->getContent(), true);
        self::assertIsArray($exported);
        $view = $this->json('POST', '/api/workspaces/'.$this->workspace.'/import', $exported);
        self::assertSame(201, $this->answered(), json_encode($view) ?: '');

        return self::text($view, 'device');
    }

    private function picture(int $width, int $height): string
    {
        $file = $this->folder.'/picture.jpg';
        imagejpeg(imagecreatetruecolor(max(1, $width), max(1, $height)), $file);

        return $file;
    }

    private function write(string $name, string $content): string
    {
        file_put_contents($this->folder.'/'.$name, $content);

        return $this->folder.'/'.$name;
    }

    /** @return array<array-key, mixed> the one of the build, as the sheet shows it */
    private function photo(): array
    {
        return (array) self::at($this->json('GET', '/api/revisions/'.$this->build.'/find'), 'photos', 0);
    }

    private function counter(): int
    {
        $counter = self::service(Connection::class)->fetchOne(
            'SELECT counter FROM device d JOIN revision v ON v.device_id = d.id WHERE v.id = ?', [$this->build],
        );

        return is_numeric($counter) ? (int) $counter : 0;
    }
}
