<?php

declare(strict_types=1);

namespace Lustrum\Tests\App;

use Doctrine\DBAL\Connection;
use Doctrine\ORM\EntityManagerInterface;
use Lustrum\Shared\Refusal\TooLarge;
use Lustrum\Storage\Documents;
use PHPUnit\Framework\Attributes\DataProvider;
use Symfony\Component\Uid\Uuid;

/** What stands behind a build: its parts and files, modules, families, how it was made and what that took. */
final class WorkshopTest extends ApiTestCase
{
    private const SVG = '<svg xmlns="http://www.w3.org/2000/svg" width="90" height="60"><rect width="40" height="20"/></svg>';

    private Bench $bench;

    protected function setUp(): void
    {
        parent::setUp();
        $this->bench = $this->bench();
    }

    /**
     * @return array<array-key, mixed>
     *
     * @phpstan-impure
     */
    private function workshop(string $build = ''): array
    {
        return $this->json('GET', '/api/revisions/'.($build === '' ? $this->bench->a : $build).'/workshop');
    }

    /**
     * @return array<array-key, mixed>
     *
     * @phpstan-impure
     */
    private function build(string $build = ''): array
    {
        return $this->json('GET', '/api/revisions/'.($build === '' ? $this->bench->a : $build).'/build');
    }

    private function part(string $name, string|float|null ...$with): string
    {
        $fields = ['revision' => $this->bench->a, 'name' => $name];
        foreach ($with as $field => $value) {
            $fields[(string) $field] = $value;
        }

        return $this->put('parts', $fields);
    }

    public function testAParameterFollowsWhatItIsWorkedOutFrom(): void
    {
        $wheel = $this->put('parameters', ['revision' => $this->bench->a, 'name' => 'wheel diameter', 'text' => '300 ± 1 mm']);
        $this->put('parameters', ['revision' => $this->bench->a, 'name' => 'round', 'formula' => 'pi * wheel diameter', 'text' => 'm']);
        $this->put('parameters', ['revision' => $this->bench->a, 'name' => 'twice round', 'formula' => 'round * 2', 'text' => 'm']);
        $texts = fn (): array => array_map(
            static fn (mixed $p): string => self::text((array) $p, 'here', 'measure', 'text'), (array) $this->build()['parameters'],
        );
        self::assertSame(['300.0 ± 1.0 mm', '0.9425 ± 0.0031 m', '1.8850 ± 0.0063 m'], $texts());

        $this->json('PUT', '/api/parameters/'.$wheel, [
            'revision' => $this->bench->a, 'name' => 'wheel diameter', 'text' => '400 ± 1 mm', 'version' => 1,
        ]);
        self::assertSame(200, $this->answered());
        self::assertSame(['400.0 ± 1.0 mm', '1.2566 ± 0.0031 m', '2.5133 ± 0.0063 m'], $texts(), 'Both follow, in the same write.');

        // On the next build they follow as well.
        $c = $this->put('revisions', ['device' => $this->bench->device, 'letter' => 'C', 'parent' => $this->bench->a]);
        $round = (array) self::at($this->build($c), 'parameters', 1);
        self::assertSame(['pi * wheel diameter', 'same'], [self::text($round, 'here', 'formula'), $round['mark']]);

        // What it differs in, its input differs in already.
        $here = (array) self::at($this->build($c), 'parameters', 0, 'here');
        $this->json('PUT', '/api/parameters/'.self::text($here, 'id'), [
            'revision' => $c, 'name' => 'wheel diameter', 'text' => '350 ± 1 mm', 'version' => 1,
        ]);
        self::assertSame(['Wheel diameter (400.0 ± 1.0 mm, now 350.0 ± 1.0 mm): changed, nobody said why.'], $this->build($c)['notes']);
    }

    public function testWhatItWasWorkedOutFromMayBeGone(): void
    {
        $turn = $this->put('parameters', ['revision' => $this->bench->a, 'name' => 'time a turn', 'text' => '0.5 s']);
        $this->put('parameters', ['revision' => $this->bench->a, 'name' => 'turns', 'formula' => '1 / time a turn', 'text' => '1/min']);
        self::assertSame('120.0 ± 6.9 1/min', self::text($this->build(), 'parameters', 1, 'here', 'measure', 'text'));
        $this->json('POST', '/api/parameters/'.$turn.'/withdraw', ['because' => 'Nobody times it']);
        $left = (array) self::at($this->build(), 'parameters', 0);
        self::assertSame('120.0 ± 6.9 1/min', self::text($left, 'here', 'measure', 'text'));
        self::assertStringStartsWith('It keeps what it was: ', self::text($left, 'problem'));
    }

    /** @return iterable<string, array{array<string, mixed>, string}> */
    public static function formulas(): iterable
    {
        yield 'what is not there' => [['formula' => 'hub * 2'], 'hub'];
        yield 'itself' => [['name' => 'wheel', 'formula' => 'wheel * 2', 'version' => 1], 'wheel'];
        yield 'of another kind' => [['formula' => 'wheel * 2', 'text' => 'kg'], 'length'];
    }

    /** @param array<string, mixed> $body */
    #[DataProvider('formulas')]
    public function testAFormulaThatCannotBeWorkedOutIsRefusedAtItsField(array $body, string $sentence): void
    {
        $wheel = $this->put('parameters', ['revision' => $this->bench->a, 'name' => 'wheel', 'text' => '300 mm']);
        $answer = $this->json(
            'PUT', '/api/parameters/'.(isset($body['version']) ? $wheel : Uuid::v7()->toRfc4122()),
            $body + ['revision' => $this->bench->a, 'name' => 'x'],
        );
        self::assertSame([422, 'formula'], [$this->answered(), self::text($answer, 'violations', 0, 'path')]);
        self::assertStringContainsString($sentence, self::text($answer, 'violations', 0, 'message'));
    }

    public function testWhatIsThereForNowCountsInNoSumAndIsSaid(): void
    {
        $light = $this->put('requirements', [
            'device' => $this->bench->device, 'statement' => 'Light', 'metric' => 'parts mass', 'unit' => 'kg', 'limit' => 1.0,
            'direction' => 'atMost',
            'source' => 'mass',
        ]);
        $this->part('Bracket', cost: 4.0, mass: 800.0);
        $this->part('Lead weight', cost: 3.0, mass: 900.0, standing: 'forTrying');
        $this->trial($this->bench, $this->bench->a, $this->bench->unitA, [43.0, 44.0, 43.5]);
        $sheet = $this->build();
        self::assertSame('4.00', $sheet['cost']);
        self::assertSame('800 g; one part is there for now and counts in neither', $sheet['masses']);
        $rests = 'Whatever was tried on A rests on Lead weight, which is there for now only.';
        self::assertSame($rests, $sheet['rests']);
        $weigh = $this->json('GET', '/api/revisions/'.$this->bench->a.'/weigh');
        self::assertSame($rests, $weigh['rests']);
        self::assertSame('solid', self::text((array) array_values(array_filter(
            (array) $weigh['cells'],
            fn (mixed $c): bool => self::text((array) $c, 'requirement') === $light && self::text((array) $c, 'revision') === $this->bench->a,
        ))[0], 'texture'));
        self::assertSame('Lead weight', self::text($this->json('GET', '/api/revisions/'.$this->bench->a.'/next'), 'forNow', 0, 'label'));
        $run = self::text($this->json('GET', '/api/revisions/'.$this->bench->a.'/try'), 'trials', 0, 'runs', 0, 'id');
        self::assertContains($rests, (array) $this->json('GET', '/api/runs/'.$run)['noticed']);
    }

    public function testAFitThatOthersRelyOnIsNamedBeforeAndAskedForAfterwards(): void
    {
        $this->put('parameters', ['revision' => $this->bench->b, 'name' => 'shaft', 'text' => '12 mm', 'reliedOn' => 'Bram’s carrier']);
        $this->put('candidates', [
            'revision' => $this->bench->b, 'what' => 'Thicker shaft', 'choice' => 'in', 'reason' => 'Bends',
            'alters' => [['kind' => 'parameter', 'name' => 'shaft', 'from' => '12 mm', 'to' => '14 mm']],
        ]);
        self::assertContains(
            '“Thicker shaft” changes shaft, on which Bram’s carrier relies: ask first, and have it checked again.',
            (array) $this->json('GET', '/api/revisions/'.$this->bench->b.'/next')['warnings'],
        );
        $next = Uuid::v7()->toRfc4122();
        $this->put('decisions', ['revision' => $this->bench->b, 'next' => $next, 'letter' => 'C']);
        self::assertContains(
            'Bram’s carrier relies on shaft, which was changed here: have it checked again.',
            (array) $this->build($next)['notes'],
        );

        $here = (array) self::at($this->build($next), 'parameters', 0, 'here');
        $this->json('PUT', '/api/parameters/'.self::text($here, 'id'), [
            'revision' => $next, 'name' => 'shaft', 'text' => '14 mm', 'reliedOn' => 'Bram’s carrier', 'checkedBy' => 'Bram',
            'version' => $here['version'],
        ]);
        self::assertContains(
            'Bram’s carrier relies on shaft, which was changed here; checked by Bram.', (array) $this->build($next)['notes'],
        );
    }

    public function testAPastedTableIsSaidFirstAndKeptOnlyWhenAsked(): void
    {
        $this->part('Bracket', material: 'steel', cost: 4.0, reliedOn: 'Bram');
        $text = "Part\tQty\tPrice\tWeight\nBracket\t2\t€ 5,00\t120 g\nScrew\t8\t0.05\t\n\t4\t1.00\t\n";
        $said = $this->json('POST', '/api/revisions/'.$this->bench->a.'/paste', ['text' => $text]);
        self::assertSame([['Screw'], ['Bracket'], false], [$said['added'], $said['changed'], $said['kept']]);
        self::assertSame('1 part would be added, 1 would be changed; 1 row is left out.', $said['sentence']);
        self::assertCount(1, (array) $this->build()['parts'], 'Nothing was kept yet.');

        $kept = $this->json('POST', '/api/revisions/'.$this->bench->a.'/paste', ['text' => $text, 'keep' => true]);
        self::assertSame('1 part added, 1 changed; 1 row is left out.', $kept['sentence']);
        $bracket = (array) self::at($this->build(), 'parts', 0, 'part');
        self::assertSame(['steel', 2, 5, 120, 'Bram'], [
            $bracket['material'], (int) self::number($bracket['quantity']), (int) self::number($bracket['cost']),
            (int) self::number($bracket['mass']), $bracket['reliedOn'],
        ], 'What the table does not have stays as it was.');
        $again = $this->json('POST', '/api/revisions/'.$this->bench->a.'/paste', ['text' => $text, 'keep' => true]);
        self::assertSame([[], [], 2], [$again['added'], $again['changed'], $again['same']], 'Pasted twice, it is there once.');

        $this->client->request('GET', '/api/revisions/'.$this->bench->a.'/parts.csv');
        $csv = (string) $this->client->getResponse()->getContent();
        self::assertStringContainsString("Bracket,steel,2,5.0000,120,,10.00,yes,Bram,\r\n", $csv);
        $back = $this->json('POST', '/api/revisions/'.$this->bench->a.'/paste', ['text' => $csv]);
        self::assertSame([[], [], 2, []], [$back['added'], $back['changed'], $back['same'], $back['problems']], 'What goes out comes in.');
    }

    private static function number(mixed $value): float
    {
        return is_numeric($value) ? (float) $value : \NAN;
    }

    public function testADrawingIsShownAsAPictureAndKeptByteByByte(): void
    {
        $script = str_replace('<rect', '<script>alert(1)</script><rect', self::SVG);
        $id = $this->document($this->bench->a, $script, 'plate.svg', ['author' => 'Tobias', 'day' => '2026-03-02']);
        self::assertSame('waiting', self::at($this->workshop(), 'documents', 0, 'document', 'preview'));
        $this->letWorkersWork();
        $view = (array) self::at($this->workshop(), 'documents', 0, 'document');
        self::assertSame(['picture', hash('sha256', $script), 'Tobias'], [$view['preview'], $view['sha256'], $view['author']]);
        self::assertSame('This drawing carries a script. It is shown as a picture, where nothing runs.', $view['seen']);

        $this->client->request('GET', '/api/documents/'.$id.'/picture');
        self::assertSame('image/jpeg', $this->client->getResponse()->headers->get('Content-Type'));
        $this->client->request('GET', '/api/documents/'.$id.'/file');
        $headers = $this->client->getResponse()->headers;
        self::assertSame('application/octet-stream', $headers->get('Content-Type'));
        self::assertStringStartsWith('attachment;', (string) $headers->get('Content-Disposition'));
        self::assertStringContainsString('sandbox', (string) $headers->get('Content-Security-Policy'));
    }

    /** @return iterable<string, array{string, string, array<string, string>, int, string}> content, name, fields, status, sentence */
    public static function files(): iterable
    {
        yield 'a model' => [
            "solid a\nfacet normal 0 0 1\nouter loop\nvertex 0 0 0\nvertex 1 0 0\nvertex 0 1 0\nendloop\nendfacet\nendsolid a\n",
            'rim.stl', [], 201, 'model',
        ];
        yield 'pages' => ["%PDF-1.4\n1 0 obj<<>>endobj\ntrailer<<>>\n%%EOF\n", 'motor.pdf', ['role' => 'dataSheet'], 201, 'pages'];
        yield 'a drawing for the cutter' => ["0\nSECTION\n2\nENTITIES\n", 'rim.dxf', ['role' => 'cutting'], 201, 'none'];
        yield 'a damaged picture' => ["\x89PNG\r\n\x1a\n".str_repeat('x', 40), 'rim.png', [], 201, 'none'];
        yield 'a page' => [
            '<!DOCTYPE html><html><script>alert(1)</script></html>', 'drawing.html', [], 415, 'would run where it is opened',
        ];
        yield 'a script as a drawing' => ["#!/bin/sh\nrm -rf /\n", 'drawing.svg', [], 415, 'would run where it is opened'];
        yield 'a script as a source' => ["#!/bin/sh\necho built\n", 'build.sh', ['role' => 'source'], 201, 'none'];
        yield 'nothing' => ['', 'rim.dxf', [], 422, 'This file is empty.'];
        yield 'of no kind that there is' => ['x', 'rim.dxf', ['role' => 'poem'], 422, ''];
        yield 'of a day that is none' => ['x', 'rim.dxf', ['day' => 'spring'], 422, 'A date such as'];
    }

    /** @param array<string, string> $fields */
    #[DataProvider('files')]
    public function testAFileIsTakenForWhatItIs(string $content, string $name, array $fields, int $status, string $said): void
    {
        $answer = $this->sendDocument(Uuid::v7()->toRfc4122(), $this->bench->a, $content, $name, $fields);
        self::assertSame($status, $this->answered(), json_encode($answer) ?: '');
        if ($status === 201) {
            $this->letWorkersWork();
        }
        $status === 201 ? self::assertSame($said, self::at($this->workshop(), 'documents', 0, 'document', 'preview'))
            : self::assertStringContainsString($said, self::text($answer, 'detail').json_encode($answer['violations'] ?? []));
        self::assertCount($status === 201 ? 1 : 0, (array) $this->workshop()['documents']);
    }

    public function testAFileOf200MegabytesIsRefusedWithASentence(): void
    {
        $file = (string) tempnam(sys_get_temp_dir(), 'large');
        ftruncate(fopen($file, 'w') ?: self::fail(), 200_000_000);
        $answer = $this->upload('/api/documents/'.Uuid::v7()->toRfc4122(), $file, ['revision' => $this->bench->a], 'scan.step');
        self::assertSame([413, true], [$this->answered(), str_contains(self::text($answer, 'detail'), 'at most 50 MB can be taken.')]);
        self::assertSame([], $this->workshop()['documents']);
        try {
            // What the server lets through is refused by the store.
            self::service(Documents::class)->take($file, 'scan.step', false);
            self::fail('It is too large.');
        } catch (TooLarge $wrong) {
            self::assertSame('This document has 200 MB; at most 50 MB can be taken.', $wrong->getMessage());
        } finally {
            unlink($file);
        }
    }

    public function testAFileThatIsNotTheParentsIsNamedUntilAChangeSaysWhy(): void
    {
        $c = $this->put('revisions', ['device' => $this->bench->device, 'letter' => 'C', 'parent' => $this->bench->a]);
        $this->document($this->bench->a, 'one', 'rim.dxf');
        $this->document($this->bench->a, 'sheet', 'motor.txt', ['role' => 'dataSheet']);
        self::assertSame(
            ['A', 'A'], array_column((array) $this->workshop($c)['documents'], 'from'),
            'Until it has its own, its parent’s are its files.',
        );

        $this->document($c, 'two', 'rim-v2.dxf');
        $rows = (array) $this->workshop($c)['documents'];
        self::assertSame(['', 'A'], array_column($rows, 'from'));
        self::assertSame('rim-v2.dxf: not the file of A, nobody said why.', self::text($rows, 0, 'note'));

        $this->put('changes', ['revision' => $c, 'what' => 'A wider rim-v2', 'class' => 'shape']);
        self::assertSame('', self::text((array) $this->workshop($c)['documents'], 0, 'note'));
    }

    public function testWhatADataSheetClaimsIsAssertedWithItsPage(): void
    {
        $id = $this->document($this->bench->a, 'sheet', 'spring.txt', ['role' => 'dataSheet']);
        $view = (array) self::at($this->workshop(), 'documents', 0, 'document');
        $this->json('PUT', '/api/documents/'.$id, [
            'revision' => $this->bench->a, 'name' => 'spring.txt', 'role' => 'dataSheet', 'version' => $view['version'],
            'ratings' => [
                ['what' => 'push force', 'value' => '60 N', 'page' => '3'], ['what' => 'life', 'value' => '10000', 'page' => '4'],
            ],
        ]);
        self::assertSame(200, $this->answered());
        self::assertSame([
            'push force 60 N, asserted (page 3); asked is at most 45 N, which it would not meet. Nobody measured it.',
            'life 10000, asserted (page 4).',
        ], self::at($this->workshop(), 'documents', 0, 'claims'));
        $answer = $this->json('PUT', '/api/documents/'.$id, [
            'revision' => $this->bench->a, 'name' => 'spring.txt', 'version' => 2,
            'ratings' => [['what' => 'life', 'value' => '10000', 'page' => ' ']],
        ]);
        self::assertSame([422, 'ratings[0].page'], [$this->answered(), self::text($answer, 'violations', 0, 'path')]);
    }

    public function testAModuleIsTriedAloneAndCountsForWhatCarriesIt(): void
    {
        $gate = $this->put('devices', ['workspace' => $this->workspace, 'name' => 'Gate']);
        $small = $this->put('requirements', [
            'device' => $gate, 'statement' => 'Light to push', 'metric' => 'push force', 'unit' => 'N', 'limit' => 40.0,
            'direction' => 'atMost',
        ]);
        $method = $this->put('methods', [
            'device' => $gate, 'name' => 'Push', 'safety' => ['abort' => 'x'],
            'channels' => [['key' => 'push', 'metric' => 'push force', 'unit' => 'N', 'resolution' => 0.1]],
        ]);
        $g1 = $this->put('revisions', ['device' => $gate, 'letter' => 'A']);
        $article = $this->put('articles', ['revision' => $g1, 'serial' => 'G-1']);
        $this->part('Gate', module: $g1);
        $of = $this->put('requirements', [
            'device' => $this->bench->device, 'statement' => 'Gate opens lightly', 'metric' => 'gate force', 'unit' => 'N', 'limit' => 45.0,
            'direction' => 'atMost', 'byModule' => $small,
        ]);
        $cell = fn (): array => (array) array_values(array_filter(
            (array) $this->json('GET', '/api/revisions/'.$this->bench->a.'/weigh')['cells'],
            fn (mixed $c): bool => self::text((array) $c, 'requirement') === $of && self::text((array) $c, 'revision') === $this->bench->a,
        ))[0];
        self::assertSame('none', $cell()['state']);
        $tag = $this->client->getResponse()->headers->get('ETag');

        $trial = $this->trial(new Bench($gate, $small, $method, $g1, $g1, $article, $article), $g1, $article, [31.0, 32.0, 31.5, 31.7]);
        self::assertSame('shown', $cell()['state'], 'What the module shows is known at once.');
        self::assertStringStartsWith('By the module Gate A: Shown', self::text($cell(), 'sentence'));
        $after = $this->client->getResponse()->headers->get('ETag');
        self::assertNotSame($tag, $after);
        $run = $this->put('runs', ['trial' => $trial, 'article' => $article]);
        $this->put('readings', ['run' => $run, 'channel' => 'push', 'text' => '31.6 N', 'confirmed' => 'in a test']);
        $cell();
        self::assertSame($after, $this->client->getResponse()->headers->get('ETag'), 'What is still being read concerns nobody else.');
        $this->json('PUT', '/api/runs/'.$run, ['trial' => $trial, 'article' => $article, 'outcome' => 'held', 'version' => 1]);
        $cell();
        self::assertNotSame($after, $this->client->getResponse()->headers->get('ETag'), 'Ended, it does.');
        self::assertSame(
            ['Gate', 'A', '1 of 1 shown, the newest.'],
            [
                self::text($this->workshop(), 'modules', 0, 'name'), self::text($this->workshop(), 'modules', 0, 'letter'),
                self::text($this->workshop(), 'modules', 0, 'said'),
            ],
        );
        self::assertSame('A module of Wagtail, carried by A.', self::text(
            $this->json('GET', '/api/devices/'.$gate.'/brief'), 'carriers', 0,
        ));
        self::assertStringContainsString('carries no build of the module', self::text((array) array_values(array_filter(
            (array) $this->json('GET', '/api/revisions/'.$this->bench->b.'/weigh')['cells'],
            fn (mixed $c): bool => self::text((array) $c, 'requirement') === $of && self::text((array) $c, 'revision') === $this->bench->b,
        ))[0], 'sentence'));
    }

    /** @return iterable<string, array{list<float>, string, string}> pushes of the module, its own state, the device's */
    public static function stricter(): iterable
    {
        yield 'it keeps both' => [[31.0, 32.0, 31.5, 31.7], 'shown', 'shown'];
        yield 'it fails the stricter one, and keeps this one' => [[42.0, 42.4, 42.2, 41.9], 'against', 'shown'];
        yield 'it fails both' => [[52.0, 52.4, 52.2, 51.9], 'against', 'against'];
    }

    /** @param list<float> $pushes */
    #[DataProvider('stricter')]
    public function testAModuleIsJudgedByTheLimitThatIsAskedHere(array $pushes, string $own, string $here): void
    {
        $gate = $this->put('devices', ['workspace' => $this->workspace, 'name' => 'Gate']);
        $strict = $this->put('requirements', [
            'device' => $gate, 'statement' => 'Light', 'metric' => 'push force', 'unit' => 'N', 'limit' => 40.0, 'direction' => 'atMost',
        ]);
        $method = $this->put('methods', [
            'device' => $gate, 'name' => 'Push', 'safety' => ['abort' => 'x'],
            'channels' => [['key' => 'push', 'metric' => 'push force', 'unit' => 'N', 'resolution' => 0.1]],
        ]);
        $build = $this->put('revisions', ['device' => $gate, 'letter' => 'A']);
        $article = $this->put('articles', ['revision' => $build, 'serial' => 'G-1']);
        $this->part('Gate', module: $build);
        $of = $this->put('requirements', [
            'device' => $this->bench->device, 'statement' => 'Gate opens lightly', 'metric' => 'gate force', 'unit' => 'N', 'limit' => 45.0,
            'direction' => 'atMost', 'byModule' => $strict,
        ]);
        $this->trial(new Bench($gate, $strict, $method, $build, $build, $article, $article), $build, $article, $pushes);
        $state = fn (string $revision, string $requirement): string => self::text((array) array_values(array_filter(
            (array) $this->json('GET', '/api/revisions/'.$revision.'/weigh')['cells'],
            fn (mixed $c): bool => self::text((array) $c, 'requirement') === $requirement && self::text((array) $c, 'revision') === $revision,
        ))[0], 'state');
        self::assertSame([$own, $here], [$state($build, $strict), $state($this->bench->a, $of)]);
    }

    public function testAModuleIsNeverInsideItself(): void
    {
        $gate = $this->put('devices', ['workspace' => $this->workspace, 'name' => 'Gate']);
        $g1 = $this->put('revisions', ['device' => $gate, 'letter' => 'A']);
        $this->part('Gate', module: $g1);
        $refuse = function (string $in, string $module): void {
            $answer = $this->json('PUT', '/api/parts/'.Uuid::v7()->toRfc4122(), [
                'revision' => $in, 'name' => 'Whole', 'module' => $module,
            ]);
            self::assertSame([422, 'module'], [$this->answered(), self::text($answer, 'violations', 0, 'path')]);
            self::assertStringContainsString('inside itself', self::text($answer, 'violations', 0, 'message'));
        };
        $refuse($g1, $g1);
        $refuse($g1, $this->bench->a);
    }

    public function testAModuleIsNotAskedForLessThanTheDevice(): void
    {
        $gate = $this->put('devices', ['workspace' => $this->workspace, 'name' => 'Gate']);
        $weak = $this->put('requirements', [
            'device' => $gate, 'statement' => 'Light', 'metric' => 'push force', 'unit' => 'N', 'limit' => 60.0,
            'direction' => 'atMost',
        ]);
        $answer = $this->json('PUT', '/api/requirements/'.Uuid::v7()->toRfc4122(), [
            'device' => $this->bench->device, 'statement' => 'Gate', 'metric' => 'gate force', 'unit' => 'N', 'limit' => 45.0,
            'direction' => 'atMost', 'byModule' => $weak,
        ]);
        self::assertSame([422, 'byModule'], [$this->answered(), self::text($answer, 'violations', 0, 'path')]);
        self::assertStringContainsString('asks the module for less', self::text($answer, 'violations', 0, 'message'));
    }

    public function testAFamilyStaysAndOneMemberIsNone(): void
    {
        $arms = static fn (string ...$names): array => array_map(static fn (string $n): array => ['name' => $n, 'values' => []], $names);
        $answer = $this->json('PUT', '/api/revisions/'.Uuid::v7()->toRfc4122(), [
            'device' => $this->bench->device, 'letter' => 'C', 'family' => true, 'arms' => $arms('S'),
        ]);
        self::assertSame([422, 'arms'], [$this->answered(), self::text($answer, 'violations', 0, 'path')]);
        $c = $this->put('revisions', [
            'device' => $this->bench->device, 'letter' => 'C', 'family' => true, 'arms' => $arms('S', 'L'), 'worstArm' => 'L',
        ]);
        $d = $this->put('revisions', ['device' => $this->bench->device, 'letter' => 'D', 'parent' => $c]);
        $view = (array) self::at($this->build($d), 'revision');
        self::assertSame([true, 'L', ['S', 'L']], [$view['family'], $view['worstArm'], array_column((array) $view['arms'], 'name')]);
    }

    public function testMakingAnArticleIsARunThatIsWeighed(): void
    {
        $make = function (string $article, float ...$minutes): void {
            foreach ($minutes as $i => $m) {
                $this->put('makings', [
                    'article' => $article, 'name' => ['Cut', 'Glue', 'Sand'][$i], 'minutes' => $m, 'scrap' => $m > 100 ? 1 : 0,
                ]);
            }
            $this->json('POST', '/api/articles/'.$article.'/made', ['id' => Uuid::v7()->toRfc4122()]);
            self::assertSame(200, $this->answered());
        };
        foreach (['U-5', 'U-6', 'U-7'] as $i => $serial) {
            $make($this->put('articles', ['revision' => $this->bench->a, 'serial' => $serial]), 60.0 + $i, 120.0);
            $make($this->put('articles', ['revision' => $this->bench->b, 'serial' => $serial.'b']), 20.0 + $i, 40.0);
        }
        $sheet = $this->workshop($this->bench->b);
        self::assertSame(['Cut', 'Glue'], $sheet['steps'], 'Steps are offered in the order in which they come.');
        self::assertStringContainsString('2 steps, 60 min, right first time so far; made', json_encode($sheet['made']) ?: '');
        self::assertStringContainsString('Making time on B', self::text($sheet, 'making'));
        $weigh = $this->json('GET', '/api/revisions/'.$this->bench->b.'/weigh');
        $time = array_values(array_filter(
            (array) $weigh['comparisons'], static fn (mixed $c): bool => self::text((array) $c, 'metric') === 'making time',
        ));
        self::assertCount(1, $time, '“Easier to make” is weighed.');

        $again = $this->json('POST', '/api/articles/'.$this->bench->unitA.'/made', ['id' => Uuid::v7()->toRfc4122()]);
        self::assertSame(
            [422, 'No step of making it was logged, so there is nothing to count.'],
            [$this->answered(), self::text($again, 'detail')],
        );
    }

    public function testTheClockRunsFromTouchToTouchOfOneDay(): void
    {
        $log = fn (string $name): string => $this->put('makings', ['article' => $this->bench->unitA, 'name' => $name, 'clocked' => true]);
        $log('Sawn');
        $this->put('makings', ['article' => $this->bench->unitA, 'name' => 'Begun', 'minutes' => 0.0]);
        $this->backdate('14 minutes 30 seconds');
        $log('Glued');
        $this->backdate('13 hours');
        $log('Sanded');
        $steps = array_column((array) self::at($this->workshop(), 'made', 0, 'steps'), 'minutes', 'name');
        self::assertNull($steps['Sawn'], 'There was no step before it.');
        self::assertEqualsWithDelta(14.5, self::number($steps['Glued']), 0.2);
        self::assertNull($steps['Sanded'], 'The night between was no making.');
    }

    /** What was logged so far was logged that much earlier. */
    private function backdate(string $by): void
    {
        self::service(Connection::class)->executeStatement('UPDATE making SET created_at = created_at - CAST(? AS interval)', [$by]);
        self::service(EntityManagerInterface::class)->clear();
    }

    public function testAnArticleIsMadeOnce(): void
    {
        $this->put('makings', ['article' => $this->bench->unitA, 'name' => 'Cut', 'minutes' => null]);
        $id = Uuid::v7()->toRfc4122();
        $first = $this->json('POST', '/api/articles/'.$this->bench->unitA.'/made', ['id' => $id]);
        self::assertSame('held', $first['outcome']);
        $this->json('POST', '/api/articles/'.$this->bench->unitA.'/made', ['id' => $id]);
        self::assertSame(200, $this->answered(), 'Sent twice, it is one run.');
        $this->json('POST', '/api/articles/'.$this->bench->unitA.'/made', ['id' => Uuid::v7()->toRfc4122()]);
        self::assertSame(422, $this->answered());
        $readings = (array) $this->json('GET', '/api/runs/'.$id)['readings'];
        self::assertSame(['scrap'], array_column($readings, 'channel'), 'What was not timed has no time.');
    }

    public function testWhatWasSpentStandsBesideWhatWasPlanned(): void
    {
        $this->put('candidates', [
            'revision' => $this->bench->b, 'what' => 'Wider', 'choice' => 'in', 'reason' => 'x', 'cost' => 20.0, 'hours' => 2.0,
        ]);
        $next = Uuid::v7()->toRfc4122();
        $this->put('decisions', ['revision' => $this->bench->b, 'next' => $next, 'letter' => 'C']);
        $clock = $this->put('spendings', ['revision' => $next, 'what' => 'Welding', 'started' => '2026-03-02T09:00:00Z']);
        $this->put('spendings', ['revision' => $next, 'what' => 'Steel', 'cost' => 18.5]);
        self::assertSame(
            'Spent so far: 0 h and 18.50 EUR; planned when it was decided: 2 h and 20.00 EUR. A clock is running.',
            self::text($this->workshop($next), 'spent'),
        );
        $this->json('PUT', '/api/spendings/'.$clock, [
            'revision' => $next, 'what' => 'Welding', 'started' => '2026-03-02T09:00:00Z', 'stopped' => '2026-03-02T11:30:00Z',
            'version' => 1,
        ]);
        self::assertSame(
            'Spent so far: 2.5 h and 18.50 EUR; planned when it was decided: 2 h and 20.00 EUR, which the hours have passed.',
            self::text($this->workshop($next), 'spent'),
        );
        $wrong = $this->json('PUT', '/api/spendings/'.Uuid::v7()->toRfc4122(), [
            'revision' => $next, 'started' => '2026-03-02T09:00:00Z', 'stopped' => '2026-03-01T09:00:00Z',
        ]);
        self::assertSame([422, 'stopped'], [$this->answered(), self::text($wrong, 'violations', 0, 'path')]);
        $this->json('PUT', '/api/spendings/'.Uuid::v7()->toRfc4122(), ['revision' => $next, 'what' => 'nothing']);
        self::assertSame(422, $this->answered());
    }

    public function testADeviceMayBeginAsABuildOfAnotherAndSaysSo(): void
    {
        $this->json('PUT', '/api/requirements/'.$this->bench->requirement, [
            'device' => $this->bench->device, 'statement' => 'Light to push', 'metric' => 'push force', 'unit' => 'N',
            'limit' => 45.0, 'direction' => 'atMost',
            'dependsOn' => ['part:Wheel'], 'version' => 1,
        ]);
        $this->part('Wheel', material: 'birch');
        $this->put('parameters', ['revision' => $this->bench->a, 'name' => 'wheel', 'text' => '300 mm']);
        $this->trial($this->bench, $this->bench->a, $this->bench->unitA, [39.9, 40.2, 40.4, 40.1]);
        $id = Uuid::v7()->toRfc4122();
        $body = [
            'id' => $id, 'name' => 'Pipit', 'build' => $this->bench->a, 'author' => 'Maren', 'terms' => 'Share alike',
            'alterations' => 'Half the size',
        ];
        $this->json('POST', '/api/workspaces/'.$this->workspace.'/devices-from', $body);
        self::assertSame(200, $this->answered());
        $brief = $this->json('GET', '/api/devices/'.$id.'/brief');
        self::assertSame(
            'Began with Wagtail A by Maren, on these terms: Share alike. Altered: Half the size.', self::text($brief, 'origin'),
        );

        $build = self::text($this->json('GET', '/api/devices/'.$id.'/frame'), 'spine', 0, 'revision', 'id');
        self::assertSame('300 mm', self::text($this->build($build), 'parameters', 0, 'here', 'measure', 'text'));
        $said = self::text($this->workshop($build), 'takenOver', 0, 'said');
        self::assertStringStartsWith('Taken over from Wagtail A, as it was. There: Light to push: shown', $said);

        $part = (array) self::at($this->build($build), 'parts', 0, 'part');
        $this->json('PUT', '/api/parts/'.self::text($part, 'id'), [
            'revision' => $build, 'name' => 'Wheel', 'material' => 'ash', 'version' => $part['version'],
        ]);
        self::assertStringContainsString('differs in birch → ash', self::text($this->workshop($build), 'takenOver', 0, 'said'));

        $this->json('PUT', '/api/devices/'.$id, ['workspace' => $this->workspace, 'name' => 'Pipit', 'version' => 1]);
        self::assertStringContainsString(
            'by Maren', self::text($this->json('GET', '/api/devices/'.$id.'/brief'), 'origin'), 'Whose it was stays with it.',
        );
    }

    public function testADeviceMayBeginWithSomebodyElsesDesign(): void
    {
        $id = Uuid::v7()->toRfc4122();
        $this->json('POST', '/api/workspaces/'.$this->workspace.'/devices-from', [
            'id' => $id, 'name' => 'Pipit', 'design' => 'A kite from a magazine', 'author' => 'unknown',
        ]);
        self::assertSame(200, $this->answered());
        self::assertSame(
            'Began with A kite from a magazine by unknown.',
            self::text($this->json('GET', '/api/devices/'.$id.'/brief'), 'origin'),
        );
        $answer = $this->json(
            'POST', '/api/workspaces/'.$this->workspace.'/devices-from', ['id' => Uuid::v7()->toRfc4122(), 'name' => 'Nobody’s'],
        );
        self::assertSame([422, 'design'], [$this->answered(), self::text($answer, 'violations', 0, 'path')]);
    }
}
