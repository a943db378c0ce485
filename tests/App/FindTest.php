<?php

declare(strict_types=1);

namespace Lustrum\Tests\App;

use PHPUnit\Framework\Attributes\DataProvider;
use Symfony\Component\Uid\Uuid;

/** Failures: where they gather, what was done against them, and when one is no longer open. */
final class FindTest extends ApiTestCase
{
    private Bench $bench;

    protected function setUp(): void
    {
        parent::setUp();
        $this->bench = $this->bench();
    }

    public function testTheSameWordsAreOneMode(): void
    {
        foreach (['Spoke bent', 'spoke bent', ' SPOKE BENT '] as $mode) {
            $this->put('failures', ['revision' => $this->bench->b, 'mode' => $mode, 'place' => 'hub']);
        }
        $this->put('failures', ['revision' => $this->bench->a, 'mode' => 'Spoke bent']);
        $this->put('failures', ['revision' => $this->bench->b, 'mode' => 'Weld cracked']);
        $modes = (array) $this->find($this->bench->b)['modes'];
        self::assertCount(2, $modes);
        self::assertSame(['4', '1'], array_map(static fn (mixed $m): string => self::text((array) $m, 'total'), $modes));
        $counts = [];
        foreach ((array) self::at($modes, 0, 'counts') as $count) {
            $counts[self::text((array) $count, 'letter')] = self::at((array) $count, 'failures');
        }
        self::assertSame(['A' => 1, 'B' => 3], $counts);
    }

    public function testHowOftenItWasTriedStandsBesideIt(): void
    {
        $trial = $this->trial($this->bench, $this->bench->b, $this->bench->unitB, [40.0, 41.0, 42.0]);
        $this->put('failures', ['revision' => $this->bench->b, 'mode' => 'Bent', 'run' => $this->runOf(0)]);
        $mode = (array) self::at($this->find($this->bench->b), 'modes', 0);
        $tried = array_combine(array_column((array) $mode['counts'], 'letter'), array_column((array) $mode['counts'], 'tried'));
        self::assertSame(['A' => 0, 'B' => 3], $tried);
        $run = $this->put('runs', ['trial' => $trial, 'article' => $this->bench->unitB]);
        $this->json('PUT', '/api/runs/'.$run, [
            'trial' => $trial, 'article' => $this->bench->unitB, 'outcome' => 'void', 'outcomeReason' => 'Wrong rig', 'version' => 1,
        ]);
        $again = (array) self::at($this->find($this->bench->b), 'modes', 0, 'counts');
        self::assertSame([0, 3], array_column($again, 'tried'), 'A void run is no try.');
    }

    public function testWhatFailedIsOpenAlsoWhereNobodyWroteItDown(): void
    {
        $b = $this->bench->b;
        $trial = $this->put('trials', ['revision' => $b, 'method' => $this->bench->method, 'name' => 'Pushing']);
        foreach (['failed', 'failed', 'held'] as $outcome) {
            $run = $this->put('runs', ['trial' => $trial, 'article' => $this->bench->unitB]);
            $this->json('PUT', '/api/runs/'.$run, [
                'trial' => $trial, 'article' => $this->bench->unitB, 'outcome' => $outcome, 'outcomeReason' => 'The arm tore', 'version' => 1,
            ]);
            self::assertSame(200, $this->answered());
        }
        $use = static fn (string $wrong): array => ['day' => '2026-03-02', 'howLong' => '30 beds', 'what' => 'a neighbour', 'wrong' => $wrong];
        $article = (array) self::at($this->json('GET', '/api/revisions/'.$b.'/build'), 'articles', 0, 'article');
        $this->json('PUT', '/api/articles/'.$this->bench->unitB, ['uses' => [$use('nothing'), $use('The rope slipped off')]] + $article);
        self::assertSame(200, $this->answered());
        $said = fn (): array => array_column((array) $this->find($b)['unrecorded'], 'sentence');
        self::assertSame([
            '2 runs failed, and nobody wrote down how: run 2 of Pushing and run 1 of Pushing. Open.',
            'U-2, in use outside trials (2026-03-02): “The rope slipped off”. Open; log it as a failure, so that it can be closed.',
        ], $said());
        self::assertSame(
            '2 runs failed and nobody wrote down how. In use outside trials one thing went wrong.', self::text($this->find($b), 'sentence'),
        );
        $this->put('failures', ['revision' => $b, 'mode' => 'Tore', 'run' => $this->runOf(0)]);
        $this->put('failures', ['revision' => $b, 'mode' => 'Rope slipped off', 'article' => $this->bench->unitB]);
        self::assertSame(['A run failed, and nobody wrote down how: run 2 of Pushing. Open.'], $said());
    }

    public function testAFailureIsKeptWithItsRunOrNotAtAll(): void
    {
        $b = $this->bench->b;
        $trial = $this->put('trials', ['revision' => $b, 'method' => $this->bench->method, 'name' => 'Pushing']);
        $run = $this->put('runs', ['trial' => $trial, 'article' => $this->bench->unitB]);
        $failure = Uuid::v7()->toRfc4122();
        $end = ['trial' => $trial, 'article' => $this->bench->unitB, 'outcome' => 'failed', 'outcomeReason' => 'The arm tore', 'failures' => [
            ['id' => $failure, 'mode' => 'Arm tore', 'place' => 'arm', 'consequence' => 'dangerous'],
        ]];
        $modes = fn (): array => array_map(
            static fn (mixed $row): string => self::text((array) $row, 'failure', 'mode'), (array) $this->find($b)['failures'],
        );
        $this->json('PUT', '/api/runs/'.$run, $end + ['version' => 7]);
        self::assertSame([409, []], [$this->answered(), $modes()], 'Somebody else wrote it meanwhile.');
        $this->json('PUT', '/api/runs/'.$run, ['levels' => [['name' => '', 'text' => 'x']], 'conditions' => [['name' => 'soil', 'text' => 'wet']], 'startedAt' => 'never', 'version' => 1] + $end);
        self::assertSame([422, []], [$this->answered(), $modes()]);
        $this->json('PUT', '/api/runs/'.$run, ['failures' => [['id' => $failure, 'mode' => 'Arm tore', 'consequence' => 'terrible']], 'version' => 1] + $end);
        self::assertSame(422, $this->answered());
        self::assertNull(self::at($this->json('GET', '/api/runs/'.$run), 'run', 'outcome'), 'Nor is the run ended.');
        foreach ([1, 2] as $_) {
            $this->json('PUT', '/api/runs/'.$run, $end + ['version' => 1]);
            self::assertSame([200, ['Arm tore']], [$this->answered(), $modes()], 'Sent twice, it is one.');
        }
        $this->json('PUT', '/api/runs/'.$run, ['outcomeReason' => 'The arm tore at the weld', 'version' => 2] + $end);
        self::assertSame([200, ['Arm tore']], [$this->answered(), $modes()], 'Nor is it made twice where something else was written anew.');
        $row = (array) self::at($this->find($b), 'failures', 0, 'failure');
        self::assertSame([$failure, $run, 'dangerous', 'arm'], [$row['id'], $row['run'], $row['consequence'], $row['place']]);
    }

    public function testANamedPersonClosesItSoonerAndAReturnOpensItAgain(): void
    {
        $b = $this->bench->b;
        $failure = $this->put('failures', ['revision' => $b, 'mode' => 'Arm tore', 'consequence' => 'dangerous']);
        $stands = fn (): array => array_map(
            static fn (mixed $row): string => self::text((array) $row, 'standing'), (array) $this->find($b)['failures'],
        );
        self::assertSame(['unplaced'], $stands());
        $this->json('PUT', '/api/closings/'.Uuid::v7()->toRfc4122(), ['failure' => $failure, 'why' => ' ']);
        self::assertSame(422, $this->answered(), 'Without words nobody closes anything.');
        $closing = $this->put('closings', ['failure' => $failure, 'why' => 'It was the weld of one arm.']);
        self::assertSame(['byHand'], $stands());
        $row = (array) self::at($this->find($b), 'failures', 0);
        self::assertSame($closing, $row['closedByHand']);
        self::assertStringStartsWith('Closed in words by Lead: “It was the weld of one arm”.', self::text($row, 'sentence'));
        // It came back: what was said of it stays written down, and closes nothing.
        $this->put('failures', ['revision' => $b, 'mode' => 'arm tore', 'consequence' => 'dangerous']);
        self::assertSame(['unplaced', 'unplaced'], $stands());
        $again = $this->put('closings', ['failure' => $failure, 'why' => 'That one too.']);
        self::assertEqualsCanonicalizing(['byHand', 'unplaced'], $stands());
        $this->client->request('GET', '/api/devices/'.$this->bench->device.'/export.json');
        $file = (array) json_decode($this->client->getInternalResponse()->getContent(), true);
        self::assertCount(2, (array) $file['closings'], 'It goes along in the file.');
        $device = self::text($this->json('POST', '/api/workspaces/'.$this->workspace.'/import', $file), 'device');
        $copy = self::text($this->json('GET', '/api/devices/'.$device.'/frame'), 'spine', 0, 'revision', 'id');
        self::assertEqualsCanonicalizing(['byHand', 'unplaced'], array_column((array) $this->find($copy)['failures'], 'standing'));
        $this->json('POST', '/api/closings/'.$again.'/withdraw', ['because' => 'It is not closed after all.']);
        self::assertSame(['unplaced', 'unplaced'], $stands());
    }

    public function testNextSaysWhatWaitsAndWhatAnswersOneFailureTogether(): void
    {
        $b = $this->bench->b;
        $trial = $this->put('trials', ['revision' => $b, 'method' => $this->bench->method, 'name' => 'Pushing']);
        $run = $this->put('runs', ['trial' => $trial, 'article' => $this->bench->unitB]);
        $this->put('readings', ['run' => $run, 'channel' => 'push', 'text' => '41', 'undecided' => true]);
        $failure = $this->put('failures', ['revision' => $b, 'mode' => 'Arm tore']);
        $next = fn (): array => $this->json('GET', '/api/revisions/'.$b.'/next');
        self::assertContains(
            'A reading waits for its unit and is used for nothing until somebody says it: push force of run 1 of Pushing.', (array) $next()['open'],
        );
        $propose = fn (string $what): string => $this->put('candidates', [
            'revision' => $b, 'what' => $what, 'failures' => [$failure], 'class' => 'shape',
        ]);
        $propose('Gusset');
        self::assertStringNotContainsString('nothing will tell which', json_encode($next()['warnings']) ?: '');
        $propose('Rib');
        self::assertContains(
            '“Gusset” and “Rib” both answer “Arm tore”: put into one build, nothing will tell which of them ended it.', (array) $next()['warnings'],
        );
    }

    public function testTheHeadlineCountsWhatTheListHolds(): void
    {
        $b = $this->bench->b;
        $this->put('failures', ['revision' => $b, 'mode' => 'Might crack', 'feared' => true]);
        $aside = $this->put('failures', ['revision' => $b, 'mode' => 'Bent']);
        $this->put('causes', ['failure' => $aside, 'text' => 'Dropped', 'kind' => 'handling', 'standing' => 'confirmed', 'findings' => 'Seen']);
        self::assertSame('Build B: none open, one set aside, one feared.', self::text($this->find($b), 'sentence'));
        $this->trial($this->bench, $b, $this->bench->unitB, [40.0]);
        $run = $this->runOf(0);
        $first = $this->put('failures', ['revision' => $b, 'mode' => 'Spoke broke', 'run' => $run]);
        $this->put('failures', ['revision' => $b, 'mode' => 'Rim bent', 'run' => $run, 'consequenceOf' => $first]);
        $find = $this->find($b);
        self::assertStringStartsWith('Build B: 1 failure in 1 mode, “Spoke broke”.', self::text($find, 'sentence'));
        self::assertStringEndsWith('Beside them, one that followed from another, one set aside, one feared.', self::text($find, 'sentence'));
        self::assertSame(4, $find['allFailures']);
    }

    public function testAFailureStandsOpenUntilAFixHolds(): void
    {
        $this->trial($this->bench, $this->bench->a, $this->bench->unitA, [40.0]);
        $failure = $this->put('failures', ['revision' => $this->bench->a, 'mode' => 'Bent', 'run' => $this->runOf(0, $this->bench->a)]);
        self::assertSame('open', $this->standing($failure));
        $this->put('changes', ['revision' => $this->bench->b, 'what' => 'Thicker', 'against' => [$failure]]);
        self::assertSame('fixUntried', $this->standing($failure));
        $this->trial($this->bench, $this->bench->b, $this->bench->unitB, [40.0, 41.0, 40.5]);
        self::assertNotContains($this->standing($failure), ['open', 'fixUntried'], 'It was tried, and held.');
        $this->put('failures', ['revision' => $this->bench->b, 'mode' => 'bent']);
        self::assertSame('cameBack', $this->standing($failure));
        self::assertStringContainsString(
            'B', $this->row($failure)['sentence'] === null ? '' : self::text($this->row($failure), 'sentence'),
        );
    }

    public function testUseOutsideTrialsBoundsAndClosesNothing(): void
    {
        $drop = $this->put('methods', [
            'device' => $this->bench->device, 'name' => 'Drop', 'safety' => ['abort' => 'x'], 'channels' => [],
            'factors' => [['name' => 'height', 'kind' => 'number', 'unit' => 'cm', 'harder' => 'more']],
        ]);
        $failure = $this->put('failures', [
            'revision' => $this->bench->a, 'mode' => 'Frame bent', 'method' => $drop, 'levels' => [['name' => 'height', 'text' => '60 cm']],
        ]);
        $this->put('changes', ['revision' => $this->bench->b, 'what' => 'Thicker', 'against' => [$failure]]);
        $use = ['day' => '2026-03-02', 'howLong' => '30 beds', 'what' => 'spring sowing', 'without' => ['frame bent'], 'method' => 'Drop'];
        $article = ['revision' => $this->bench->b, 'serial' => 'U-2'];
        $answer = $this->json('PUT', '/api/articles/'.$this->bench->unitB, [
            ...$article, 'uses' => [$use + ['levels' => ['speed: 3 km/h']]], 'version' => 1,
        ]);
        self::assertSame(422, $this->answered());
        self::assertSame('“Drop” has no factor “speed”: it has height.', self::text($answer, 'violations', 0, 'message'));
        self::assertSame('uses[0].levels', self::text($answer, 'violations', 0, 'path'));
        $this->json('PUT', '/api/articles/'.$this->bench->unitB, [
            ...$article, 'uses' => [$use + ['levels' => ['height: 80 cm']]], 'version' => 1,
        ]);
        self::assertSame(200, $this->answered());
        $row = $this->row($failure);
        self::assertSame([
            'Outside trials: B came through 30 beds without it at 80 cm, so it shows in at most 10 % of them (95 %), as hard as where it happened'
            .' or harder. That is no trial, and closes nothing.',
        ], $row['outside']);
        self::assertSame('fixUntried', $row['standing']);
    }

    public function testTriesOfAnotherMethodCloseNothing(): void
    {
        $this->trial($this->bench, $this->bench->a, $this->bench->unitA, [40.0]);
        $failure = $this->put('failures', ['revision' => $this->bench->a, 'mode' => 'Bent', 'run' => $this->runOf(0, $this->bench->a)]);
        $this->put('changes', ['revision' => $this->bench->b, 'what' => 'Thicker', 'against' => [$failure]]);
        $other = $this->put(
            'methods', ['device' => $this->bench->device, 'name' => 'Shake', 'safety' => ['abort' => 'x'], 'channels' => []],
        );
        $trial = $this->put('trials', ['revision' => $this->bench->b, 'method' => $other, 'name' => 'Shaking']);
        for ($i = 0; $i < 4; ++$i) {
            $run = $this->put('runs', ['trial' => $trial, 'article' => $this->bench->unitB]);
            $this->json(
                'PUT', '/api/runs/'.$run, ['trial' => $trial, 'article' => $this->bench->unitB, 'outcome' => 'held', 'version' => 1],
            );
            self::assertSame(200, $this->answered());
        }
        self::assertSame('fixUntried', $this->standing($failure));
    }

    public function testCausesAndWhatWasProposedStandWithIt(): void
    {
        $failure = $this->put('failures', ['revision' => $this->bench->b, 'mode' => 'Bent']);
        self::assertStringContainsString('no suspected cause', self::text($this->find($this->bench->b), 'sentence'));
        $cause = $this->put('causes', ['failure' => $failure, 'text' => 'A stone', 'kind' => 'use']);
        $this->put('causes', ['failure' => $failure, 'text' => 'Soft steel']);
        $this->put('candidates', ['revision' => $this->bench->b, 'what' => 'Harder steel', 'failures' => [$failure]]);
        $row = $this->row($failure);
        self::assertSame(['A stone', 'Soft steel'], array_column((array) $row['causes'], 'text'));
        self::assertSame(['Harder steel'], $row['candidates']);
        self::assertStringNotContainsString('no suspected cause', self::text($this->find($this->bench->b), 'sentence'));
        $this->json('POST', '/api/causes/'.$cause.'/withdraw', ['because' => 'There was no stone']);
        self::assertSame(['Soft steel'], array_column((array) $this->row($failure)['causes'], 'text'));
    }

    /** @return iterable<string, array{array<string, mixed>, int}> */
    public static function failures(): iterable
    {
        yield 'a mode is enough' => [['mode' => 'Bent'], 201];
        yield 'without one there is nothing to call it by' => [['mode' => ' '], 422];
        yield 'how bad' => [['mode' => 'Bent', 'consequence' => 'major'], 201];
        yield 'no such word for how bad' => [['mode' => 'Bent', 'consequence' => 'awful'], 422];
        yield 'on a run that is not there' => [['mode' => 'Bent', 'run' => '01a21399-f267-7ee4-95b9-399e024a2527'], 422];
        yield 'on something that is no run' => [['mode' => 'Bent', 'run' => 'x'], 422];
    }

    /** @param array<string, mixed> $with */
    #[DataProvider('failures')]
    public function testAFailure(array $with, int $status): void
    {
        $answer = $this->json('PUT', '/api/failures/'.Uuid::v7()->toRfc4122(), ['revision' => $this->bench->b] + $with);
        self::assertSame($status, $this->answered(), json_encode($answer) ?: '');
        self::assertSame($status === 201 ? 1 : 0, self::at($this->find($this->bench->b), 'allFailures'));
    }

    public function testARunOfAnotherBuildIsNotWhereItHappened(): void
    {
        $this->trial($this->bench, $this->bench->a, $this->bench->unitA, [40.0]);
        $answer = $this->json('PUT', '/api/failures/'.Uuid::v7()->toRfc4122(), [
            'revision' => $this->bench->b, 'mode' => 'Bent', 'run' => $this->runOf(0, $this->bench->a),
        ]);
        self::assertSame([422, 'run'], [$this->answered(), self::text($answer, 'violations', 0, 'path')], json_encode($answer) ?: '');
    }

    public function testTheFirstSentenceSpeaksOfThisBuild(): void
    {
        $clean = self::text($this->find($this->bench->b), 'sentence');
        self::assertStringContainsString('No failures yet', $clean);
        $this->put('failures', ['revision' => $this->bench->b, 'mode' => 'Bent']);
        $this->put('failures', ['revision' => $this->bench->b, 'mode' => 'Bent']);
        $said = self::text($this->find($this->bench->b), 'sentence');
        self::assertNotSame($clean, $said);
        self::assertMatchesRegularExpression('/2|twice/', $said);
    }

    private function runOf(int $which, ?string $build = null): string
    {
        return self::text($this->json('GET', '/api/revisions/'.($build ?? $this->bench->b).'/try'), 'trials', 0, 'runs', $which, 'id');
    }

    /** @return array<array-key, mixed> */
    private function find(string $build): array
    {
        $sheet = $this->json('GET', '/api/revisions/'.$build.'/find');
        self::assertSame(200, $this->answered(), json_encode($sheet) ?: '');

        return $sheet;
    }

    private function standing(string $failure): string
    {
        return self::text($this->row($failure), 'standing');
    }

    /** @return array<array-key, mixed> */
    private function row(string $failure): array
    {
        foreach ([$this->bench->a, $this->bench->b] as $build) {
            foreach ((array) $this->find($build)['failures'] as $row) {
                if (self::text((array) $row, 'failure', 'id') === $failure) {
                    return (array) $row;
                }
            }
        }
        self::fail('It is on no build.');
    }
}
