<?php

declare(strict_types=1);

namespace Lustrum\Tests\App;

use Doctrine\DBAL\Connection;
use Doctrine\ORM\EntityManagerInterface;
use Lustrum\Action\Exchange\DeviceFile;
use Lustrum\Action\Exchange\DeviceLines;
use Lustrum\Action\Exchange\Importer;
use Lustrum\Core\Run\Row;
use Lustrum\Domain\Trial\Reading;
use Lustrum\Domain\Trial\Run;
use Lustrum\Record\Bulk;
use Lustrum\Shared\Refusal\Invalid;
use Lustrum\Shared\Refusal\Unreadable;
use PHPUnit\Framework\Attributes\DataProvider;

/** A device file is the same thing however it is laid out, is taken whole or not at all, and tells how far it is. */
final class DeviceFileTest extends ApiTestCase
{
    private const LINES = 'application/x-ndjson';

    private const LAID_OUT = <<<'JSON'
        {
        "format":"lustrum-device","version":2,"exportedAt":"2026-03-02T10:00:00Z",
        "device":{"id":"d","name":"Wagtail"},
        "configurations":{
        "abc":{"letter":"A"},
        "def":{"letter":"B"}
        },
        "metrics":[

        ],
        "revisions":[
        {"id":"a","letter":"A"},
        {"id":"b","letter":"B"}
        ]
        }
        JSON;

    public function testAFileOfOursIsReadLineByLine(): void
    {
        $lines = DeviceLines::of(self::stream(self::LAID_OUT));
        self::assertNotNull($lines);
        self::assertSame(['format', 'version', 'exportedAt', 'device'], array_keys($lines->head));
        self::assertSame(['abc' => ['letter' => 'A'], 'def' => ['letter' => 'B']], $lines->named('configurations'));
        self::assertSame([], iterator_to_array($lines->entries('metrics')));
        self::assertSame(['a', 'b'], array_column(iterator_to_array($lines->entries('revisions')), 'id'));
        self::assertSame([], iterator_to_array($lines->entries('runs')), 'A list that is not there is empty.');
        self::assertSame(['a', 'b'], array_column(iterator_to_array($lines->entries('revisions')), 'id'), 'Read again.');
    }

    /** @return iterable<string, array{string}> */
    public static function otherLayouts(): iterable
    {
        $decoded = json_decode(self::LAID_OUT, true);
        yield 'on one line' => [json_encode($decoded) ?: ''];
        yield 'indented' => [json_encode($decoded, JSON_PRETTY_PRINT) ?: ''];
        yield 'cut off within a list' => [substr(self::LAID_OUT, 0, -20)];
        yield 'cut off after a list' => [substr(self::LAID_OUT, 0, -2)];
        yield 'nothing' => [''];
        yield 'something else' => ["{\nnot ours\n}"];
        yield 'a number' => ['5'];
    }

    #[DataProvider('otherLayouts')]
    public function testWhatIsLaidOutInAnotherWayIsNotReadByLines(string $text): void
    {
        self::assertNull(DeviceLines::of(self::stream($text)));
    }

    public function testTheLayoutMakesNoDifference(): void
    {
        $kinds = self::service(Importer::class)->kinds();
        $read = static fn (string $text): array => self::summed(DeviceFile::read(self::stream($text), $kinds));
        $decoded = json_decode(self::LAID_OUT, true);
        $expected = [
            ['id' => 'd', 'name' => 'Wagtail'], ['abc' => ['letter' => 'A'], 'def' => ['letter' => 'B']], ['d', 'a', 'b'],
            [['id' => 'a', 'letter' => 'A'], ['id' => 'b', 'letter' => 'B']],
        ];
        self::assertSame($expected, $read(self::LAID_OUT));
        self::assertSame($expected, $read(json_encode($decoded) ?: ''));
        self::assertSame($expected, $read(json_encode($decoded, JSON_PRETTY_PRINT) ?: ''));
        self::assertIsArray($decoded);
        self::assertSame($expected, self::summed(DeviceFile::of($decoded, $kinds)));
        self::assertSame($expected, $read(str_replace("\n", "\r\n", self::LAID_OUT)), 'As another system ends its lines.');
    }

    public function testUnitsOfOldFilesAreArticles(): void
    {
        $text = str_replace(['"version":2', '"revisions"'], ['"version":1', '"units"'], self::LAID_OUT);
        $kinds = self::service(Importer::class)->kinds();
        foreach ([$text, json_encode(json_decode($text, true)) ?: ''] as $layout) {
            $file = DeviceFile::read(self::stream($layout), $kinds);
            self::assertSame(['a', 'b'], array_column(iterator_to_array($file->entries('articles')), 'id'));
        }
    }

    /** @return iterable<string, array{string, string, string}> what is put for what, and where it is wrong */
    public static function broken(): iterable
    {
        yield 'an entry that is cut off' => ['{"id":"b","letter":"B"}', '{"id":"b","let', 'revisions/1'];
        yield 'an entry that is a number' => ['{"id":"b","letter":"B"}', '7', 'revisions/1'];
        yield 'an entry that is a list' => ['{"id":"b","letter":"B"}', '[1]', 'revisions/1'];
        yield 'an entry without an identifier' => ['{"id":"b","letter":"B"}', '{"letter":"B"}', 'revisions/1/id'];
        yield 'an identifier that is there twice' => ['"id":"b"', '"id":"a"', 'revisions/1/id'];
        yield 'the device’s identifier again' => ['"id":"b"', '"id":"d"', 'revisions/1/id'];
        yield 'a null character' => ['"letter":"B"}'."\n]", '"letter":"\u0000"}'."\n]", 'revisions/1/letter'];
        yield 'a number without end' => ['"letter":"B"}'."\n]", '"letter":1e999}'."\n]", 'revisions/1/letter'];
        yield 'a null character in the device' => ['"name":"Wagtail"', '"name":"Wag\u0000tail"', 'name'];
        yield 'another format' => ['lustrum-device', 'something', 'format'];
        yield 'a version that is not known' => ['"version":2', '"version":4', 'version'];
        yield 'no device' => ['"device":{"id":"d","name":"Wagtail"},', '"note":"",', 'device'];
    }

    #[DataProvider('broken')]
    public function testWhatIsWrongIsNamedWithItsPlace(string $what, string $by, string $path): void
    {
        self::assertSame(1, substr_count(self::LAID_OUT, $what));
        try {
            DeviceFile::read(self::stream(str_replace($what, $by, self::LAID_OUT)), self::service(Importer::class)->kinds());
        } catch (Invalid $e) {
            self::assertSame($path, $e->violations[0]['path'] ?? '');

            return;
        }
        self::fail('It was read.');
    }

    public function testWhatIsNoJsonIsRefused(): void
    {
        $this->expectException(Unreadable::class);
        DeviceFile::read(self::stream(substr(self::LAID_OUT, 0, -30)), self::service(Importer::class)->kinds());
    }

    public function testWhatIsGivenOutIsReadByLinesAndTellsHowFarItIs(): void
    {
        $out = $this->given($this->device());
        self::assertNotNull(DeviceLines::of(self::stream($out)), 'Each entry stands on its own line.');
        $said = $this->told($out);
        $last = array_pop($said);
        self::assertNotEmpty($said, 'It tells on the way.');
        $records = Row::whole(self::at((array) $last, 'done', 'records'));
        self::assertGreaterThan(500, $records);
        $taken = array_column($said, 'taken');
        $sorted = $taken;
        sort($sorted);
        self::assertSame($sorted, $taken);
        foreach ($said as $line) {
            self::assertSame($records, $line['of']);
            self::assertLessThanOrEqual($records, $line['taken']);
            self::assertStringContainsString(' of ', self::text($line, 'sentence'));
        }
        $again = $this->given(self::text((array) $last, 'done', 'device'));
        self::assertSame(self::counted($out), self::counted($again));
    }

    public function testARefusalOnTheWayIsTheLastLineAndStoresNothing(): void
    {
        $out = $this->given($this->device());
        $before = $this->stored();
        $said = $this->told(str_replace('"outcome":"held"', '"outcome":"exploded"', $out));
        $last = array_pop($said);
        self::assertSame('422', self::text((array) $last, 'problem', 'status'));
        self::assertStringStartsWith('runs/', self::text((array) $last, 'problem', 'violations', 0, 'path'));
        self::assertSame($before, $this->stored());
    }

    public function testAViewerIsRefusedBeforeAnythingIsRead(): void
    {
        $this->signIn('viewer@example.test');
        self::assertSame([['type' => 'urn:lustrum:problem:forbidden']], array_map(
            static fn (array $line): array => array_intersect_key($line, ['type' => 1]), $this->told('{}'),
        ));
        self::assertSame(403, $this->answered());
    }

    public function testManyAtOnceAreWhatTheyAreOneByOne(): void
    {
        $bench = $this->bench();
        $this->trial($bench, $bench->a, $bench->unitA, [43.0, 44.1, 42.7]);
        $db = self::service(Connection::class);
        $em = self::service(EntityManagerInterface::class);
        foreach ([Reading::class => 'reading', Run::class => 'run'] as $class => $table) {
            $rows = static fn (): array => $db->fetchAllAssociative("SELECT * FROM $table ORDER BY id");
            $before = $rows();
            self::assertCount(3, $before);
            $records = $em->getRepository($class)->findBy([], ['id' => 'ASC']);
            $em->clear();
            $db->executeStatement('DELETE FROM reading');
            $db->executeStatement('DELETE FROM '.$table);
            $db->executeStatement('DELETE FROM identifier WHERE kind = ?', [$table]);
            self::service(Bulk::class)->insert($records);
            self::assertSame($before, $rows());
            self::assertNotContains($records[0], self::service(Bulk::class)->fetch($class, [$records[0]->id()->toRfc4122()]), 'Let go.');
        }
        self::service(Bulk::class)->insert([]);
        self::assertSame([], self::service(Bulk::class)->fetch(Run::class, []));
    }

    /** A device with more records than it takes to be told of. */
    private function device(): string
    {
        /** @var array<string, mixed> $file */
        $file = json_decode((string) file_get_contents(dirname(__DIR__, 2).'/demo/wren.json'), true, 64, JSON_THROW_ON_ERROR);
        $answer = $this->json('POST', '/api/workspaces/'.$this->workspace.'/import', ['photos' => []] + $file);
        self::assertSame(201, $this->answered(), json_encode($answer) ?: '');

        return self::text($answer, 'device');
    }

    private function given(string $device): string
    {
        $this->client->request('GET', '/api/devices/'.$device.'/export.json');
        self::assertSame(200, $this->answered());

        return $this->client->getInternalResponse()->getContent();
    }

    /** @return list<array<string, mixed>> what the answer says, line by line */
    private function told(string $file): array
    {
        $this->raw('POST', '/api/workspaces/'.$this->workspace.'/import', $file, ['HTTP_ACCEPT' => self::LINES]);
        $out = [];
        foreach (explode("\n", trim($this->client->getInternalResponse()->getContent())) as $line) {
            /** @var array<string, mixed> $said */
            $said = (array) json_decode($line, true, 64, JSON_THROW_ON_ERROR);
            $out[] = $said;
        }

        return $out;
    }

    /** @return array<string, int> */
    private function stored(): array
    {
        $db = self::service(Connection::class);
        $out = [];
        foreach (['device', 'revision', 'run', 'reading', 'configuration', 'identifier', 'history_entry'] as $table) {
            $out[$table] = Row::whole($db->fetchOne('SELECT count(*) FROM '.$table));
        }

        return $out;
    }

    /** @return array<string, int> how long each list of a file is */
    private static function counted(string $file): array
    {
        return array_map(
            static fn (mixed $list): int => count((array) $list),
            array_filter((array) json_decode($file, true, 64, JSON_THROW_ON_ERROR), is_array(...)),
        );
    }

    /** @return array{array<string, mixed>, array<string, mixed>, list<string>, list<array<string, mixed>>} */
    private static function summed(DeviceFile $file): array
    {
        return [
            $file->device, $file->configurations, array_map(strval(...), array_keys($file->ids)),
            array_values(iterator_to_array($file->entries('revisions'))),
        ];
    }

    /** @return resource */
    private static function stream(string $text)
    {
        $stream = fopen('php://temp', 'w+');
        self::assertIsResource($stream);
        fwrite($stream, $text);

        return $stream;
    }
}
