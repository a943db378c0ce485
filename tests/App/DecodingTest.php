<?php

declare(strict_types=1);

namespace Lustrum\Tests\App;

use Doctrine\DBAL\Connection;
use Lustrum\Shared\Refusal\Invalid;
use Lustrum\Storage\Drawings;
use Lustrum\Storage\FileKind;
use Lustrum\Storage\Files;
use Lustrum\Storage\Limited;
use Lustrum\Storage\LimitPassed;
use Lustrum\Storage\Line;
use Lustrum\Storage\Pictures;
use Lustrum\Storage\PlainJpeg;
use Lustrum\Storage\Recordings;
use Symfony\Component\Process\Process;
use Symfony\Component\Uid\Uuid;

/** What people bring is decoded by workers only, each process with a limit of its own, and as what it was found to be. */
final class DecodingTest extends ApiTestCase
{
    private string $folder = '';

    protected function setUp(): void
    {
        parent::setUp();
        $this->folder = sys_get_temp_dir().'/lustrum-decoding-'.getmypid();
        @mkdir($this->folder);
    }

    /** What takes minutes waits in a line of its own, so that pictures do not wait behind it. */
    public function testRecordingsWaitInALineOfTheirOwn(): void
    {
        self::assertSame([Line::Recordings, Line::Recordings, Line::Pictures, Line::Pictures], array_map(
            static fn (FileKind $kind): Line => $kind->line(), [FileKind::Sound, FileKind::Clip, FileKind::Picture, FileKind::Document],
        ));
    }

    public function testAProcessThatTakesMoreThanItIsGivenIsEnded(): void
    {
        $from = microtime(true);
        try {
            (new Limited(1))->run(Line::Pictures, ['php', '-r', 'while (true) { hash("sha256", "x"); }']);
            self::fail('It went on.');
        } catch (LimitPassed $e) {
            self::assertSame('Showing this file takes more work than one file is given (1 s of processor time).', $e->getMessage());
        }
        self::assertLessThan(20, microtime(true) - $from);
    }

    public function testItGetsNoMoreMemoryAndNothingOfOurSurroundings(): void
    {
        $told = (new Limited())->run(Line::Pictures, ['php', '-r', 'echo json_encode(getenv()), file_get_contents("/proc/self/limits");']);
        self::assertStringNotContainsString('DATABASE_URL', $told);
        self::assertStringNotContainsString('APP_SECRET', $told);
        self::assertMatchesRegularExpression('/Max address space\s+1500000000/', $told);
        self::assertMatchesRegularExpression('/Max cpu time\s+10 /', $told);
        self::assertStringContainsString('Max cpu time              600', (new Limited())->run(Line::Recordings, ['cat', '/proc/self/limits']));
    }

    /** Forty stacked blurs of 2.6 kB kept a decoder busy for minutes. */
    public function testFiltersOfADrawingAreLeftOutAndKeepNobodyWaiting(): void
    {
        $blur = '<feGaussianBlur stdDeviation="400"/><feTurbulence numOctaves="99" baseFrequency="0.9"/>';
        $svg = '<svg xmlns="http://www.w3.org/2000/svg" width="9000" height="9000"><style>g{filter:url(#f);fill:red}</style><filter id="f">'
            .str_repeat($blur, 20).'</filter><g filter="url(#f)" style="opacity:.9;filter:blur(900px)">'
            .str_repeat('<g filter="url(#f)">', 12).'<rect width="900" height="900"/>'.str_repeat('</g>', 12).'</g></svg>';
        $build = $this->bench()->a;
        $slow = $this->document($build, $svg, 'blurred.svg');
        $quick = $this->document($build, '<svg xmlns="http://www.w3.org/2000/svg"><rect width="9" height="9"/></svg>', 'plain.svg');
        $from = microtime(true);
        $this->letWorkersWork();
        self::assertLessThan(30, microtime(true) - $from);
        $rows = self::service(Connection::class)->fetchAllAssociativeIndexed('SELECT id, preview, seen FROM document');
        self::assertSame('picture', $rows[$quick]['preview']);
        self::assertSame(['picture', 'Its filters (blurs, shadows) are left out of the picture.'], array_values($rows[$slow]));
    }

    public function testADrawingReachesNobodyAndDeclaresNothing(): void
    {
        $file = $this->folder.'/far.svg';
        file_put_contents($file, '<!DOCTYPE svg [<!ENTITY e SYSTEM "file:///etc/passwd">]><svg xmlns="http://www.w3.org/2000/svg" '
            .'xmlns:xlink="http://www.w3.org/1999/xlink" onload="alert(1)"><image xlink:href="file:///etc/hostname" width="9" height="9"/>'
            .'<use href="http://127.0.0.1:1/x.svg#a"/><style>@import "http://127.0.0.1:1/x.css"; rect{fill:url(http://127.0.0.1:1/y)}</style>'
            .'<rect width="90" height="90" onclick="x()"/></svg>');
        $clean = $this->folder.'/clean.svg';
        $said = (new Process(['php', dirname(__DIR__, 2).'/bin/decode', 'drawing', $file, $clean]))->mustRun()->getOutput();
        self::assertSame('{"script":true,"filters":false}', $said);
        $left = (string) file_get_contents($clean);
        foreach (['ENTITY', 'passwd', 'hostname', '127.0.0.1', 'onload', 'onclick'] as $gone) {
            self::assertStringNotContainsString($gone, $left);
        }
        self::assertStringContainsString('<rect width="90"', $left);
        [$preview, $note] = self::service(Drawings::class)->draw($file);
        self::assertFileExists($preview);
        self::assertSame('This drawing carries a script. It is shown as a picture, where nothing runs.', $note);
    }

    /** A list of files is no recording, whatever it is called: it would be read by way of others. */
    public function testARecordingIsReadAsWhatItWasFoundToBe(): void
    {
        $sound = $this->folder.'/real.mp3';
        (new Process(['ffmpeg', '-v', 'error', '-y', '-f', 'lavfi', '-i', 'sine=duration=1', $sound]))->mustRun();
        $list = $this->folder.'/list.mp3';
        file_put_contents($list, "ffconcat version 1.0\nfile real.mp3\n");
        self::assertTrue((new Process(['ffprobe', '-v', 'error', $list]))->run() === 0, 'Left to guess, it is read.');
        $recordings = self::service(Recordings::class);
        self::assertGreaterThan(0.9, $recordings->look($sound, 'mp3')['seconds']);
        foreach (['mp3', 'mp4', 'webm', 'ogg', 'flac', 'wav'] as $ending) {
            try {
                self::assertSame(0.0, $recordings->look($list, $ending)['seconds'], 'Nothing of what it names is read as '.$ending);
            } catch (Invalid) {
                continue;
            }
        }
        $this->expectException(Invalid::class);
        $recordings->look('concat:'.$sound.'|'.$sound, 'mp3');
    }

    public function testAPictureThatCarriesNothingElseIsKeptByteForByte(): void
    {
        $plain = $this->folder.'/plain.jpg';
        imagejpeg(imagecreatetruecolor(60, 40), $plain, 86);
        $bytes = (string) file_get_contents($plain);
        self::assertTrue(PlainJpeg::is($plain));
        $with = fn (string $marker, string $content): string => substr($bytes, 0, 2)."\xff".$marker.pack('n', strlen($content) + 2).$content
            .substr($bytes, 2);
        $thumbnail = "\xff\xe0".pack('n', 17)."JFIF\0\1\1\0\0\1\0\1\1\0x";
        foreach ([
            'EXIF' => $with("\xe1", "Exif\0\0MM"), 'a comment' => $with("\xfe", 'Maren was here'), 'a colour profile' => $with("\xe2", 'ICC_PROFILE'),
            'words behind it' => $bytes.'Maren was here', 'words behind it, ended' => $bytes."Maren was here\xff\xd9",
            'a thumbnail' => substr($bytes, 0, 2).$thumbnail.substr($bytes, 20), 'half of it' => substr($bytes, 0, 300), 'a page' => '<html>',
        ] as $what => $other) {
            file_put_contents($this->folder.'/other.jpg', $other);
            self::assertFalse(PlainJpeg::is($this->folder.'/other.jpg'), $what);
        }
        $pictures = self::service(Pictures::class);
        self::assertSame([60, 40], $pictures->clean($plain));
        imagejpeg(imagecreatetruecolor(2600, 40), $this->folder.'/wide.jpg', 86);
        self::assertNull($pictures->clean($this->folder.'/wide.jpg'), 'It is larger than what is kept.');

        $id = Uuid::v7()->toRfc4122();
        $build = $this->bench()->a;
        $this->sendPicture('/api/photos/'.$id, $plain, ['revision' => $build]);
        $this->client->request('GET', '/api/photos/'.$id.'/picture');
        self::assertSame($bytes, $this->client->getInternalResponse()->getContent());
        $this->client->request('GET', '/api/photos/'.$id.'/picture?preview=1');
        self::assertSame([200, true], [$this->answered(), self::service(Files::class)->has(hash('sha256', $bytes), true)]);
    }

    /** What cuts a write off leaves nothing at the place of what is whole. */
    public function testAFileAppearsWholeOrNotAtAll(): void
    {
        $files = self::service(Files::class);
        $path = $this->folder.'/words.txt';
        file_put_contents($path, random_bytes(100));
        $sha256 = Files::sha256($path);
        self::assertFalse($files->has($sha256));
        try {
            $files->keep(Files::path($sha256, false), $this->folder);
            self::fail('A folder was read.');
        } catch (\Throwable) {
            self::assertFalse($files->has($sha256), 'What was not read to its end is not there.');
        }
        $files->keep(Files::path($sha256, false), $path);
        self::assertSame(100, $files->bytes($sha256));
    }
}
