<?php

declare(strict_types=1);

namespace Lustrum\Tests\App;

use PHPUnit\Framework\Attributes\DataProvider;
use Symfony\Component\Routing\RouterInterface;
use Symfony\Component\Uid\Uuid;

/** Whatever is sent: a sentence at the right place, nothing by halves, and never a server error. */
final class BadInputTest extends ApiTestCase
{
    /** @return iterable<string, array{string, array<string, mixed>, string}> kind, what is wrong, path */
    public static function wrong(): iterable
    {
        yield 'text for a number' => ['requirements', ['limit' => 'many'], 'limit'];
        yield 'a wrong unit' => ['requirements', ['unit' => 'flurb'], 'unit'];
        yield 'a unit that nobody knows' => ['requirements', ['unit' => 'flurb'], 'unit'];
        yield 'a name of 10,000 characters' => ['devices', ['name' => str_repeat('x', 10_000)], 'name'];
        yield 'an empty name' => ['devices', ['name' => "  \t"], 'name'];
        yield 'a limit passed' => ['devices', ['changesLimit' => 1000], 'changesLimit'];
        yield 'an unknown choice' => ['changes', ['class' => 'magic'], 'class'];
        yield 'an amount in a unit of something else' => [
            'changes', ['effects' => [['metric' => 'push force', 'unit' => 'kg', 'likely' => 3]]], 'effects[0].unit',
        ];
        yield 'no quantity' => ['parameters', ['text' => '3 millimetricals'], 'unit'];
        yield 'nothing at all' => ['parameters', ['text' => ' '], 'text'];
        yield 'a negative cost' => ['parts', ['cost' => -1], 'cost'];
        yield 'a letter too long' => ['revisions', ['letter' => 'ABCDEFGHIJ'], 'letter'];
        yield 'no identifier' => ['changes', ['revision' => 'here'], 'revision'];
        yield 'somebody else’s parent' => ['revisions', ['parent' => '01a21049-65fc-7935-914b-241100cdb9e6'], 'parent'];
        yield 'abandoned without a reason' => ['revisions', ['state' => 'abandoned'], 'stateReason'];
        yield 'a channel upside down' => [
            'methods', ['channels' => [['key' => 'a', 'metric' => 'm', 'unit' => 'N', 'low' => 9, 'high' => 1]]], 'channels[0].high',
        ];
        yield 'a channel without unit' => ['methods', ['channels' => [['key' => 'a', 'metric' => 'm', 'unit' => '']]], 'channels[0].unit'];
        yield 'an effect upside down' => [
            'candidates', ['effects' => [['metric' => 'm', 'unit' => 'N', 'low' => 3, 'likely' => 1, 'high' => 2]]], 'effects[0].likely',
        ];
        yield 'dropped without a reason' => ['candidates', ['choice' => 'drop'], 'reason'];
        yield 'confirmed without a finding' => ['causes', ['standing' => 'confirmed'], 'findings'];
        yield 'a list for a text' => ['observations', ['text' => ['x']], 'text'];
        yield 'nothing in a list' => ['methods', ['channels' => [null]], 'channels[0].key'];
        yield 'an object in a list of texts' => ['articles', ['lots' => [['sheet' => 'P-1']]], 'lots[0]'];
        yield 'a text for a list' => ['articles', ['lots' => 'sheet: P-1'], 'lots'];
        yield 'a number for a text' => ['observations', ['text' => 3], 'text'];
        yield 'a number as text' => ['parts', ['cost' => '1.25'], 'cost'];
        yield 'a half as a whole number' => ['devices', ['changesLimit' => 2.5], 'changesLimit'];
        yield 'a unit that measures something else' => [
            'candidates', ['effects' => [['metric' => 'push force', 'unit' => 'flurb', 'low' => 1, 'likely' => 2, 'high' => 3]]],
            'effects[0].unit',
        ];
        yield 'the year nought' => ['runs', ['startedAt' => '0000-01-01T00:00:00Z'], 'startedAt'];
        yield 'a year of five digits' => ['runs', ['startedAt' => '+12345-01-01T00:00:00Z'], 'startedAt'];
        yield 'a day that is none' => ['runs', ['startedAt' => '2026-02-30T00:00:00Z'], 'startedAt'];
        yield 'a null character' => ['observations', ['text' => "a\0b"], 'text'];
    }

    /** @param array<string, mixed> $wrong */
    #[DataProvider('wrong')]
    public function testASentenceAtItsPlace(string $kind, array $wrong, string $path): void
    {
        $answer = $this->json('PUT', '/api/'.$kind.'/'.Uuid::v7()->toRfc4122(), $wrong + $this->sound($kind));
        self::assertSame(422, $this->answered(), json_encode($answer) ?: '');
        self::assertSame($path, self::text($answer, 'violations', 0, 'path'));
        self::assertMatchesRegularExpression('/^[\p{Lu}“].*[.?]$/u', self::text($answer, 'violations', 0, 'message'));
    }

    /** @return array<string, mixed> */
    private function sound(string $kind): array
    {
        $bench = $this->bench();

        return match ($kind) {
            'devices' => ['workspace' => $this->workspace, 'name' => 'x'],
            'requirements' => ['device' => $bench->device, 'statement' => 'x', 'metric' => 'm', 'unit' => 'N', 'limit' => 3.0],
            'revisions' => ['device' => $bench->device, 'letter' => 'Q'],
            'methods' => ['device' => $bench->device, 'name' => 'x'],
            'causes' => ['failure' => $this->put('failures', ['revision' => $bench->a, 'mode' => 'x']), 'text' => 'x'],
            'parameters' => ['revision' => $bench->a, 'name' => 'p', 'text' => '3 mm'],
            'parts' => ['revision' => $bench->a, 'name' => 'p'],
            'articles' => ['revision' => $bench->a, 'serial' => 's'],
            'runs' => [
                'trial' => $this->put('trials', ['revision' => $bench->a, 'method' => $bench->method, 'name' => 'x']),
                'article' => $bench->unitA,
            ],
            default => ['revision' => $bench->a, 'what' => 'x', 'text' => 'x'],
        };
    }

    public function testNoInputCausesAServerError(): void
    {
        $bench = $this->bench();
        $junk = [
            '', 'x', 'null', '[]', '{}', '{"', '[[[[[[', '"text"', '1e400', '{"name":1e400}', '{"name":"\ud800"}', '{"name":"\u0000"}',
            "{\"name\":\"\xff\"}", '{"version":"x","name":{}}', '{"'.str_repeat('a', 2000).'":1}',
            str_repeat('[', 600).str_repeat(']', 600),
        ];
        $values = [null, true, -1, 1e308, 99999999999999, '', '🪛<script>', str_repeat('ü', 5000), [], [[]], ['x' => ['y' => 1]]];
        $fields = [
            'workspace' => $this->workspace, 'device' => $bench->device, 'revision' => $bench->a, 'name' => 'n', 'text' => '3 mm',
            'what' => 'w', 'mode' => 'm', 'letter' => 'L', 'statement' => 's', 'metric' => 'm', 'serial' => 's', 'quantity' => 1.0,
            'cost' => 1.0, 'version' => 1, 'place' => 3, 'startedAt' => '2026-01-01T00:00:00Z', 'conditions' => [], 'channels' => [],
            'effects' => [], 'safety' => ['abort' => 'x'], 'method' => $bench->method, 'trial' => $bench->a,
        ];
        $sent = 0;
        foreach (self::service(RouterInterface::class)->getRouteCollection() as $route) {
            foreach (array_diff($route->getMethods(), ['GET', 'DELETE']) as $method) {
                if (in_array($route->getPath(), ['/api/first-account', '/api/session'], true) || !str_starts_with($route->getPath(), '/api')) {
                    continue;
                }
                foreach ($junk as $body) {
                    $this->raw($method, strtr($route->getPath(), ['{id}' => Uuid::v7()->toRfc4122(), '{person}' => $bench->a]), $body);
                    self::assertLessThan(500, $this->answered(), $method.' '.$route->getPath().' '.$body);
                    ++$sent;
                }
                // A few of them at each; ./lustrum test fuzz sends thousands.
                for ($i = $sent; $i < $sent + 6; ++$i) {
                    $field = array_keys($fields)[$i % count($fields)];
                    $this->json(
                        $method, strtr($route->getPath(), ['{id}' => Uuid::v7()->toRfc4122(), '{person}' => $bench->a]),
                        [$field => $values[$i % count($values)]] + $fields,
                    );
                    self::assertLessThan(
                        500, $this->answered(), $method.' '.$route->getPath().' '.$field.': '.$this->client->getResponse()->getContent(),
                    );
                }
            }
        }
        self::assertGreaterThan(600, $sent);
    }

    public function testAddressesThatAreNotThere(): void
    {
        foreach (['/api/runs/nonsense', '/api/runs/'.Uuid::v7()->toRfc4122(), '/api/nothing', '/api/revisions/'.Uuid::v7()->toRfc4122().'/weigh', '/api/devices/00000000-0000-0000-0000-000000000000/frame'] as $url) {
            $answer = $this->json('GET', $url);
            self::assertSame(404, $this->answered(), $url);
            self::assertStringContainsString('nothing at this address', self::text($answer, 'detail'));
        }
        $bench = $this->bench();
        self::assertSame(422, $this->json('GET', '/api/revisions/'.$bench->b.'/weigh?against=x') === [] ? 0 : $this->answered());
        foreach (['metric=x', 'metric='.$bench->a, 'metric=&after=%27', ''] as $query) {
            $this->json('GET', '/api/revisions/'.$bench->a.'/runs?'.$query);
            self::assertSame(422, $this->answered(), $query);
        }
    }

    public function testTooLargeABody(): void
    {
        $this->raw('PUT', '/api/devices/'.Uuid::v7()->toRfc4122(), '{"name":"'.str_repeat('x', 2_100_000).'"}');
        self::assertSame(413, $this->answered());
    }

    public function testPicturesThatAreNone(): void
    {
        $bench = $this->bench();
        $folder = sys_get_temp_dir().'/lustrum-pictures-'.getmypid();
        @mkdir($folder);
        $good = imagecreatetruecolor(300, 200);
        imagejpeg($good, $folder.'/good.jpg');
        file_put_contents($folder.'/text.jpg', '<!doctype html><html><body><script>alert(1)</script></body></html>');
        file_put_contents($folder.'/cut.jpg', substr((string) file_get_contents($folder.'/good.jpg'), 0, 400));
        // A PNG of 30,000 by 30,000 pixels in sixty bytes: only its header is there.
        $header = pack('NNC5', 30_000, 30_000, 8, 2, 0, 0, 0);
        file_put_contents($folder.'/wide.png', "\x89PNG\r\n\x1a\n".pack('N', 13).'IHDR'.$header.pack('N', crc32('IHDR'.$header)));
        // More than 25 MB, and a JPEG by its first bytes.
        file_put_contents($folder.'/heavy.jpg', file_get_contents($folder.'/good.jpg').str_repeat("\0", 26_000_000));
        foreach (['text.jpg' => 415, 'wide.png' => 413, 'heavy.jpg' => 413] as $file => $status) {
            $answer = $this->upload('/api/photos/'.Uuid::v7()->toRfc4122(), $folder.'/'.$file, ['revision' => $bench->a]);
            self::assertSame($status, $this->answered(), $file.json_encode($answer));
            self::assertNotSame('', self::text($answer, 'detail'));
        }
        self::assertSame([], self::at($this->json('GET', '/api/revisions/'.$bench->a.'/find'), 'photos'));
        $this->sendPicture('/api/photos/'.Uuid::v7()->toRfc4122(), $folder.'/cut.jpg', ['revision' => $bench->a]);
        $cut = (array) self::at($this->json('GET', '/api/revisions/'.$bench->a.'/find'), 'photos', 0);
        self::assertSame(['broken', 'This picture is damaged and could not be read.'], [$cut['state'], $cut['problem']]);
        $id = Uuid::v7()->toRfc4122();
        $photo = $this->upload('/api/photos/'.$id, $folder.'/good.jpg', ['revision' => $bench->a, 'caption' => 'The arm']);
        self::assertSame(201, $this->answered(), json_encode($photo) ?: '');
        $this->upload('/api/photos/'.$id, $folder.'/good.jpg', ['revision' => $bench->a, 'caption' => 'The arm']);
        self::assertSame(200, $this->answered(), 'Sent twice, it is one photo.');
        $this->client->request('GET', '/api/photos/'.$id.'/picture?preview=1');
        self::assertSame('image/jpeg', $this->client->getResponse()->headers->get('Content-Type'));
    }

    public function testPositionIsTakenOut(): void
    {
        $bench = $this->bench();
        $file = sys_get_temp_dir().'/lustrum-exif-'.getmypid().'.jpg';
        $image = imagecreatetruecolor(64, 48);
        imagejpeg($image, $file);
        // An EXIF block with a GPS entry, right behind the start of the picture.
        $gps = "MM\0*\0\0\0\x08\0\x01\x88\x25\0\x04\0\0\0\x01\0\0\0\x1a\0\0\0\0".'GPSLATITUDE-48.123456';
        $exif = "Exif\0\0".$gps;
        $bytes = (string) file_get_contents($file);
        file_put_contents($file, substr($bytes, 0, 2)."\xff\xe1".pack('n', strlen($exif) + 2).$exif.substr($bytes, 2));
        $id = Uuid::v7()->toRfc4122();
        $this->upload('/api/photos/'.$id, $file, ['revision' => $bench->a]);
        self::assertSame(202, $this->answered());
        $this->client->request('GET', '/api/photos/'.$id.'/picture');
        self::assertSame(404, $this->answered(), 'Nothing is given out before it is stripped.');
        $this->letWorkersWork();
        $this->client->request('GET', '/api/photos/'.$id.'/picture');
        $kept = $this->client->getInternalResponse()->getContent();
        self::assertStringStartsWith("\xff\xd8", $kept);
        self::assertStringNotContainsString('GPSLATITUDE', $kept);
    }
}
