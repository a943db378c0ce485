<?php

declare(strict_types=1);

namespace Lustrum\Tests\App;

use Lustrum\Account\Role;
use Symfony\Component\Uid\Uuid;

/** Beginning with a thing in the hand: one line makes whatever is missing, and nothing is typed twice. */
final class StartTest extends ApiTestCase
{
    public function testOneLineMakesADeviceItsFirstBuildAndARun(): void
    {
        $run = Uuid::v7()->toRfc4122();
        $begun = $this->begin(['run' => $run, 'what' => 'Handle pulled 412 N']);
        self::assertSame([$run, 'A'], [self::text($begun, 'run'), self::text($begun, 'letter')]);
        $sheet = $this->json('GET', '/api/runs/'.$run);
        self::assertSame(['Handle pulled', ''], [self::text($sheet, 'trial', 'name'), self::text($sheet, 'mind')]);
        self::assertSame('Handle pulled', self::text(
            $this->json('GET', '/api/devices/'.self::text($begun, 'device').'/frame'), 'device', 'name',
        ));
        self::assertSame($begun, $this->begin(['run' => $run, 'what' => 'Handle pulled 412 N']), 'Sent twice, it is one run.');
        $start = $this->json('GET', '/api/workspaces/'.$this->workspace.'/start');
        self::assertSame([self::text($begun, 'build'), 1, 'A-1'], [
            self::text($start, 'build'), count((array) $start['builds']), self::text($start, 'builds', 0, 'articles', 0, 'serial'),
        ]);
        self::assertSame(self::text($start, 'article'), self::text($sheet, 'article', 'id'), 'What is in the hand is its first article.');
    }

    public function testWhatWasSaidBecomesResultLevelAndRequirementAndTheNextRunFindsThem(): void
    {
        $first = $this->begin(['run' => Uuid::v7()->toRfc4122(), 'what' => 'Handle pull', 'device' => 'Cart']);
        $run = self::text($first, 'run');
        $said = $this->said($run, '412 N at 60 cm, held');
        self::assertSame([
            ['text' => '412 N', 'unit' => 'N', 'name' => 'force', 'isLevel' => false, 'isKnown' => false],
            ['text' => '60 cm', 'unit' => 'cm', 'name' => 'length', 'isLevel' => true, 'isKnown' => false],
        ], $said['parts']);
        self::assertTrue($said['held']);
        $this->takeUp($run, [
            ['text' => '412 N', 'unit' => 'N', 'name' => 'pull at break', 'direction' => 'atLeast', 'limit' => 400.0],
            ['text' => '60 cm', 'unit' => 'cm', 'name' => 'height', 'isLevel' => true],
        ]);
        self::assertSame(200, $this->answered());
        $sheet = $this->json('GET', '/api/runs/'.$run);
        self::assertSame(['412 N', '60 cm'], [self::text($sheet, 'readings', 0, 'typed', 'text'), self::text($sheet, 'level')]);
        self::assertSame('412 N at 60 cm, held', self::text($sheet, 'observations', 0, 'text'), 'The line stays as it was said.');
        $brief = $this->json('GET', '/api/devices/'.self::text($first, 'device').'/brief');
        self::assertSame(
            ['Pull at break at least 400 N', 'pull at break'], [
                self::text($brief, 'requirements', 0, 'statement'), self::text($brief, 'requirements', 0, 'metric'),
            ],
        );
        $this->end($run);
        $second = self::text(
            $this->begin(['run' => Uuid::v7()->toRfc4122(), 'what' => 'handle pull', 'build' => self::text($first, 'build')]),
            'run',
        );
        $sheet = $this->json('GET', '/api/runs/'.$second);
        self::assertSame(['pull at break', 'height', '2'], [
            self::text($sheet, 'asked', 'channels', 0, 'metric'), self::text($sheet, 'asked', 'factors', 0, 'name'),
            self::text($sheet, 'run', 'number'),
        ]);
        $said = $this->said($second, '0.43 kN at 0.6 m');
        self::assertSame([['pull at break', true], ['height', true]], array_map(
            static fn (array $p): array => [$p['name'], $p['isKnown']], array_values(array_filter((array) $said['parts'], is_array(...))),
        ));
        $this->takeUp($second, [
            ['text' => '0.43 kN', 'unit' => 'kN', 'name' => 'Pull at break'],
            ['text' => '0.6 m', 'unit' => 'm', 'name' => 'height', 'isLevel' => true],
        ]);
        self::assertSame(200, $this->answered());
        self::assertSame(
            [1, 1], array_map(fn (string $r): mixed => self::at($this->json('GET', '/api/runs/'.$r), 'asked', 'version'), [$run, $second]),
            'What is taken up makes no other edition of it.',
        );
        $this->end($second);
        $weigh = $this->json('GET', '/api/revisions/'.self::text($first, 'build').'/weigh');
        self::assertStringContainsString('421 N over 2 runs', self::text($weigh, 'cells', 0, 'sentence'), 'Both are runs at one level.');
        self::assertCount(1, (array) $this->json('GET', '/api/devices/'.self::text($first, 'device').'/methods')['methods']);
    }

    public function testASlipInALineIsAskedBackAndTakenOnceItIsSaidToBeSo(): void
    {
        $first = $this->begin(['run' => Uuid::v7()->toRfc4122(), 'what' => 'Handle pull', 'device' => 'Cart']);
        $build = self::text($first, 'build');
        foreach (['412 N', '409 N', '415 N', '411 N', '413 N'] as $n => $typed) {
            $run = $n === 0 ? self::text($first, 'run') : self::text(
                $this->begin(['run' => Uuid::v7()->toRfc4122(), 'what' => 'Handle pull', 'build' => $build]), 'run',
            );
            $this->takeUp($run, [['text' => $typed, 'unit' => 'N', 'name' => 'pull at break']]);
            self::assertSame(200, $this->answered());
            $this->end($run);
        }
        $run = self::text($this->begin(['run' => Uuid::v7()->toRfc4122(), 'what' => 'Handle pull', 'build' => $build]), 'run');
        $slip = ['text' => '41.2 N', 'unit' => 'N', 'name' => 'pull at break'];
        $asked = $this->takeUp($run, [$slip]);
        self::assertSame([422, 'urn:lustrum:problem:asks-back'], [$this->answered(), self::text($asked, 'type')]);
        $sentence = self::text($asked, 'questions', 0, 'sentence');
        self::assertStringContainsString('near 412 N', $sentence);
        self::assertSame([], self::at($this->json('GET', '/api/runs/'.$run), 'readings'), 'Nothing is kept before it is answered.');
        $this->takeUp($run, [[...$slip, 'confirmed' => $sentence]]);
        self::assertSame(200, $this->answered());
        self::assertSame('41.2 N', self::text($this->json('GET', '/api/runs/'.$run), 'readings', 0, 'typed', 'text'));
    }

    public function testTheSameLineTwiceIsTwoDevices(): void
    {
        $first = $this->begin(['run' => Uuid::v7()->toRfc4122(), 'what' => 'Cart']);
        $second = $this->begin(['run' => Uuid::v7()->toRfc4122(), 'what' => 'Cart']);
        self::assertSame(200, $this->answered(), json_encode($second) ?: '');
        self::assertNotSame(self::text($first, 'device'), self::text($second, 'device'));
        $this->begin(['run' => Uuid::v7()->toRfc4122(), 'what' => str_repeat('ö', 300)]);
        self::assertSame(200, $this->answered(), 'A long line names what fits.');
        $this->begin(['run' => Uuid::v7()->toRfc4122()]);
        self::assertSame(200, $this->answered(), 'A picture may say it.');
        foreach ([['run' => 'x'], ['what' => 'x'], ['run' => Uuid::v7()->toRfc4122(), 'what' => str_repeat('x', 301)]] as $body) {
            $this->begin($body);
            self::assertSame(422, $this->answered(), json_encode($body) ?: '');
        }
    }

    public function testWhatCanHurtSomebodyIsMindedOrDoesNotBegin(): void
    {
        $answer = $this->begin(['run' => Uuid::v7()->toRfc4122(), 'what' => 'Spin', 'hurts' => 'Flying parts']);
        self::assertSame([422, 'stop'], [$this->answered(), self::text($answer, 'violations', 0, 'path')]);
        self::assertSame(
            [], (array) $this->json('GET', '/api/workspaces/'.$this->workspace.'/start')['builds'], 'Nothing was made by halves.',
        );
        $first = $this->begin(['run' => Uuid::v7()->toRfc4122(), 'what' => 'Spin', 'hurts' => 'Flying parts', 'stop' => 'At 600 rpm.']);
        self::assertStringStartsWith('Flying parts. At 600 rpm.', self::text(
            $this->json('GET', '/api/runs/'.self::text($first, 'run')), 'mind',
        ));
        // Tried again on the same build, with a hazard that nobody had thought of.
        $again = $this->begin([
            'run' => Uuid::v7()->toRfc4122(), 'what' => 'spin', 'build' => self::text($first, 'build'), 'hurts' => 'Hot bearing',
            'stop' => 'At 60 °C.',
        ]);
        $mind = self::text($this->json('GET', '/api/runs/'.self::text($again, 'run')), 'mind');
        foreach (['Flying parts', 'hot bearing', 'At 600 rpm.', 'At 60 °C.', 'Local rules'] as $said) {
            self::assertStringContainsStringIgnoringCase($said, $mind);
        }
    }

    public function testWhatDoesNotFitIsRefusedAndTheLineIsKept(): void
    {
        $run = self::text($this->begin(['run' => Uuid::v7()->toRfc4122(), 'what' => 'Drop']), 'run');
        $this->said($run, 'It fell 60 cm');
        foreach ([
            [[['text' => '12 kg', 'unit' => 'kg', 'name' => 'mass'], ['text' => '3 s', 'unit' => 's', 'name' => 'Mass']], 'taken[1].name'],
            [
                [['text' => '12 kg', 'unit' => 'kg', 'name' => 'mass'], ['text' => '13 kg', 'unit' => 'kg', 'name' => 'Mass']],
                'taken[1].name',
            ],
            [[['text' => 'many kg', 'unit' => 'kg', 'name' => 'mass']], 'taken[0].text'],
            [[['text' => '12 kg', 'unit' => 'kg', 'name' => ' ']], 'taken[0].name'],
            [[['text' => '12 kg', 'unit' => 'kg', 'name' => 'mass', 'direction' => 'atMost']], 'taken[0].limit'],
            [[['text' => '12 kg', 'unit' => 'stones', 'name' => 'mass']], 'taken[0].unit'],
            [[], 'taken'],
        ] as [$taken, $path]) {
            $answer = $this->takeUp($run, $taken);
            self::assertSame([422, $path], [$this->answered(), self::text($answer, 'violations', 0, 'path')], json_encode($answer) ?: '');
        }
        $sheet = $this->json('GET', '/api/runs/'.$run);
        self::assertSame([[], 'It fell 60 cm'], [self::at($sheet, 'asked', 'channels'), self::text($sheet, 'observations', 0, 'text')]);
        $this->takeUp($run, [['text' => '12 kg', 'unit' => 'kg', 'name' => 'mass']]);
        $answer = $this->takeUp($run, [['text' => '13 kg', 'unit' => 'kg', 'name' => 'mass']]);
        self::assertSame('“mass” was read on this run already: amend it there.', self::text($answer, 'violations', 0, 'message'));
    }

    public function testAStrangerBeginsNothingAndIsToldNothing(): void
    {
        $first = $this->begin(['run' => Uuid::v7()->toRfc4122(), 'what' => 'Drop']);
        [$workspace, $run, $build] = [$this->workspace, self::text($first, 'run'), self::text($first, 'build')];
        $elsewhere = $this->newWorkspace('Elsewhere', ['stranger@example.test' => Role::Lead]);
        $this->signIn('stranger@example.test');
        foreach ([
            ['GET', '/api/workspaces/'.$workspace.'/start', null],
            ['POST', '/api/workspaces/'.$workspace.'/tries', ['run' => Uuid::v7()->toRfc4122()]],
            ['POST', '/api/runs/'.$run.'/said', ['text' => 'x']],
            ['POST', '/api/runs/'.$run.'/take-up', ['taken' => [['text' => '1 kg', 'unit' => 'kg', 'name' => 'mass']]]],
        ] as [$method, $url, $body]) {
            $this->json($method, $url, $body);
            self::assertSame(404, $this->answered(), $url);
        }
        foreach ([['run' => $run], ['run' => Uuid::v7()->toRfc4122(), 'build' => $build]] as $body) {
            $this->json('POST', '/api/workspaces/'.$elsewhere.'/tries', $body);
            self::assertContains($this->answered(), [404, 422], 'Neither a run nor a build of somebody else’s.');
        }
    }

    /**
     * @param array<string, mixed> $body
     *
     * @return array<array-key, mixed>
     */
    private function begin(array $body): array
    {
        return $this->json('POST', '/api/workspaces/'.$this->workspace.'/tries', $body);
    }

    /** @return array<array-key, mixed> */
    private function said(string $run, string $line): array
    {
        return $this->json('POST', '/api/runs/'.$run.'/said', ['text' => $line]);
    }

    /**
     * @param list<array<string, mixed>> $taken
     *
     * @return array<array-key, mixed>
     */
    private function takeUp(string $run, array $taken): array
    {
        return $this->json('POST', '/api/runs/'.$run.'/take-up', ['taken' => $taken]);
    }

    private function end(string $run): void
    {
        $sheet = $this->json('GET', '/api/runs/'.$run);
        $this->json('PUT', '/api/runs/'.$run, [
            'trial' => self::text($sheet, 'trial', 'id'), 'article' => self::at($sheet, 'run', 'article'),
            'operator' => self::text($sheet, 'run', 'operator'), 'levels' => self::at($sheet, 'run', 'levels'),
            'outcome' => 'held', 'version' => self::at($sheet, 'run', 'version'),
        ]);
        self::assertSame(200, $this->answered());
    }
}
