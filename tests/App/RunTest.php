<?php

declare(strict_types=1);

namespace Lustrum\Tests\App;

use PHPUnit\Framework\Attributes\DataProvider;
use Symfony\Component\Uid\Uuid;

/** A run from its beginning to its end: what is read, asked back, refused, amended, and what is said of it. */
final class RunTest extends ApiTestCase
{
    private Bench $bench;

    private string $trial = '';

    protected function setUp(): void
    {
        parent::setUp();
        $this->bench = $this->bench();
        $this->trial = $this->put(
            'trials', ['revision' => $this->bench->b, 'method' => $this->bench->method, 'name' => 'Pushing', 'plannedRuns' => 3],
        );
    }

    /** A mock-up is not taken for the real thing because it has no serial. */
    public function testWhatIsTriedWithoutAnArticleIsAsked(): void
    {
        $run = function (array $more): string {
            $id = Uuid::v7()->toRfc4122();
            $this->json('PUT', '/api/runs/'.$id, $more + ['trial' => $this->trial, 'article' => null]);

            return $id;
        };
        $ended = function (string $id, string $state): void {
            $this->put('readings', ['run' => $id, 'channel' => 'push', 'text' => '41.0 N']);
            $this->json('PUT', '/api/runs/'.$id, ['trial' => $this->trial, 'outcome' => 'held', 'version' => 1, 'state' => $state]);
        };
        $ended($mockup = $run(['state' => 'mockup']), 'mockup');
        self::assertSame(200, $this->answered());
        self::assertSame('mockup', self::text($this->sheet($mockup), 'run', 'state'));
        self::assertStringContainsString('a mock-up', self::text($this->sheet($mockup), 'sentence'));
        $asked = 'Nobody said which article it was';
        self::assertStringNotContainsString($asked, json_encode($this->sheet($mockup)['noticed'], \JSON_THROW_ON_ERROR));
        $ended($loose = $run([]), '');
        self::assertStringContainsString($asked, json_encode($this->sheet($loose)['noticed'], \JSON_THROW_ON_ERROR));
        $this->json('PUT', '/api/runs/'.$loose, ['trial' => $this->trial, 'outcome' => 'held', 'version' => 2, 'state' => 'finished']);
        self::assertSame(422, $this->answered(), 'It is frozen when the run begins.');
        $this->json('POST', '/api/runs/'.$loose.'/tried-on', ['state' => 'mockup']);
        self::assertSame(200, $this->answered());
        self::assertStringContainsString('a mock-up', self::text($this->sheet($loose), 'sentence'));
        self::assertStringNotContainsString($asked, json_encode($this->sheet($loose)['noticed'], \JSON_THROW_ON_ERROR));
        foreach (['mockup' => 200, 'finished' => 422] as $state => $answered) {
            $this->json('POST', '/api/runs/'.$loose.'/tried-on', ['state' => $state]);
            self::assertSame($answered, $this->answered(), 'It is said once.');
        }
        $run(['state' => 'mockup', 'article' => $this->bench->unitB]);
        self::assertSame(422, $this->answered(), 'Its article says what it is.');
    }

    public function testRunsAreNumberedInARow(): void
    {
        $numbers = [];
        for ($i = 0; $i < 4; ++$i) {
            $numbers[] = self::at($this->sheet($this->begun()), 'run', 'number');
        }
        self::assertSame([1, 2, 3, 4], $numbers);
        $other = $this->put('trials', ['revision' => $this->bench->b, 'method' => $this->bench->method, 'name' => 'Again']);
        self::assertSame(
            1, self::at($this->sheet($this->put('runs', ['trial' => $other, 'article' => $this->bench->unitB])), 'run', 'number'),
        );
    }

    /** @return iterable<string, array{string, string, bool}> typed; as it is shown; was it converted */
    public static function typed(): iterable
    {
        yield 'as it is asked' => ['41.2 N', '41.2', false];
        yield 'a bare number is in the unit beside it' => ['41.2', '41.2', false];
        yield 'in another unit' => ['9.26 lbf', '41.19', true];
        yield 'in a multiple' => ['0.0412 kN', '41.2', true];
        yield 'with a comma' => ['41,2 N', '41.2', false];
    }

    #[DataProvider('typed')]
    public function testAReadingIsShownBeforeItIsKept(string $text, string $shown, bool $converted): void
    {
        $run = $this->begun();
        $preview = $this->json('POST', '/api/readings/preview', ['run' => $run, 'channel' => 'push', 'text' => $text, 'unit' => 'N']);
        self::assertSame(200, $this->answered(), json_encode($preview) ?: '');
        self::assertStringContainsString($shown, self::text($preview, 'inChannelUnit'));
        self::assertSame($converted, $preview['converted']);
        self::assertSame([], self::at($this->sheet($run), 'readings'), 'Nothing was kept.');
    }

    /** @return iterable<string, array{string, string}> typed, and what is said */
    public static function refused(): iterable
    {
        yield 'nothing' => ['', ''];
        yield 'no number' => ['much', ''];
        yield 'a mass is no force' => ['4.1 mm', 'length'];
        yield 'a unit that nobody knows' => ['4.1 Nn', ''];
        yield 'without end' => ['1e400 N', ''];
        yield 'not a number' => ['NaN N', ''];
    }

    #[DataProvider('refused')]
    public function testWhatCannotBeReadIsSaidAtItsField(string $text, string $says): void
    {
        $run = $this->begun();
        foreach ([['POST', '/api/readings/preview'], ['PUT', '/api/readings/'.Uuid::v7()->toRfc4122()]] as [$method, $url]) {
            $answer = $this->json($method, $url, ['run' => $run, 'channel' => 'push', 'text' => $text]);
            self::assertSame(
                [422, 'text'], [$this->answered(), self::text($answer, 'violations', 0, 'path')], $method.json_encode($answer),
            );
            self::assertNotSame('', self::text($answer, 'violations', 0, 'message'));
            self::assertStringContainsString($says, self::text($answer, 'violations', 0, 'message'));
        }
        self::assertSame([], self::at($this->sheet($run), 'readings'));
    }

    public function testWhatIsNotPlausibleIsAskedBackAndThenKeptWithTheAnswer(): void
    {
        $run = $this->begun();
        $id = Uuid::v7()->toRfc4122();
        $sent = ['run' => $run, 'channel' => 'push', 'text' => '900 N'];
        $answer = $this->json('PUT', '/api/readings/'.$id, $sent);
        self::assertSame(422, $this->answered());
        self::assertSame('urn:lustrum:problem:asks-back', self::text($answer, 'type'));
        $questions = (array) $answer['questions'];
        self::assertNotEmpty($questions);
        self::assertSame([], self::at($this->sheet($run), 'readings'), 'Nothing is kept before it is answered.');
        $kept = $this->json('PUT', '/api/readings/'.$id, $sent + ['confirmed' => 'The big spring']);
        self::assertSame(201, $this->answered(), json_encode($kept) ?: '');
        self::assertSame('The big spring', self::text($this->sheet($run), 'readings', 0, 'confirmed'));
    }

    public function testADigitThatSlippedIsNoticed(): void
    {
        $this->trial($this->bench, $this->bench->b, $this->bench->unitB, [41.0, 42.0, 40.5, 41.5]);
        $run = $this->put('runs', ['trial' => $this->trialNamed('Pushing', 4), 'article' => $this->bench->unitB]);
        $preview = $this->json('POST', '/api/readings/preview', ['run' => $run, 'channel' => 'push', 'text' => '4.15 N', 'unit' => 'N']);
        self::assertSame(200, $this->answered(), json_encode($preview) ?: '');
        self::assertNotEmpty((array) $preview['questions']);
        self::assertStringContainsString('near 41.2 N', json_encode($preview['questions'], JSON_UNESCAPED_UNICODE) ?: '');
    }

    public function testOneReadingAChannelAndRun(): void
    {
        $run = $this->begun();
        $this->put('readings', ['run' => $run, 'channel' => 'push', 'text' => '41 N']);
        $this->json('PUT', '/api/readings/'.Uuid::v7()->toRfc4122(), ['run' => $run, 'channel' => 'push', 'text' => '42 N']);
        self::assertContains($this->answered(), [409, 422]);
        self::assertCount(1, (array) self::at($this->sheet($run), 'readings'));
    }

    public function testAReadingIsNotOverwritten(): void
    {
        $run = $this->begun();
        $id = $this->put('readings', ['run' => $run, 'channel' => 'push', 'text' => '41 N']);
        $this->json('PUT', '/api/readings/'.$id, ['run' => $run, 'channel' => 'push', 'text' => '42 N', 'version' => 1]);
        self::assertContains($this->answered(), [409, 422]);
        self::assertSame('41', self::text($this->sheet($run), 'readings', 0, 'current', 'value'));
    }

    /** @return iterable<string, array{array<string, mixed>, int, string}> */
    public static function amendments(): iterable
    {
        yield 'with a reason' => [['text' => '42 N', 'reason' => 'Misread', 'version' => 1], 200, ''];
        yield 'without one' => [['text' => '42 N', 'reason' => ' ', 'version' => 1], 422, 'reason'];
        yield 'of another dimension' => [['text' => '42 mm', 'reason' => 'Misread', 'version' => 1], 422, 'text'];
        yield 'of an older state' => [['text' => '42 N', 'reason' => 'Misread', 'version' => 0], 422, 'version'];
        yield 'of a state that is yet to come' => [['text' => '42 N', 'reason' => 'Misread', 'version' => 5], 409, ''];
    }

    /** @param array<string, mixed> $sent */
    #[DataProvider('amendments')]
    public function testAnAmendment(array $sent, int $status, string $path): void
    {
        $run = $this->begun();
        $id = $this->put('readings', ['run' => $run, 'channel' => 'push', 'text' => '41 N']);
        $answer = $this->json('POST', '/api/readings/'.$id.'/amend', $sent);
        self::assertSame($status, $this->answered(), json_encode($answer) ?: '');
        self::assertSame($path, $path === '' ? '' : self::text($answer, 'violations', 0, 'path'));
        $reading = (array) self::at($this->sheet($run), 'readings', 0);
        self::assertSame($status === 200 ? '42' : '41', self::text($reading, 'current', 'value'));
        self::assertSame('41', self::text($reading, 'typed', 'value'));
        self::assertCount($status === 200 ? 1 : 0, (array) $reading['amendments']);
    }

    /** @return iterable<string, array{string, string, int}> outcome, reason, status */
    public static function endings(): iterable
    {
        yield 'it held' => ['held', '', 200];
        yield 'it failed, and how' => ['failed', 'A spoke bent', 200];
        yield 'it failed, and nobody says how' => ['failed', '', 422];
        yield 'stopped early, with why' => ['stoppedEarly', 'Rain', 200];
        yield 'stopped early, without' => ['stoppedEarly', '', 422];
        yield 'void, with why' => ['void', 'Wrong rig', 200];
        yield 'void, without' => ['void', '', 422];
        yield 'lost, with why' => ['lost', 'Dropped it', 200];
        yield 'something else' => ['exploded', '', 422];
    }

    #[DataProvider('endings')]
    public function testHowARunMayEnd(string $outcome, string $reason, int $status): void
    {
        $run = $this->begun();
        $answer = $this->json('PUT', '/api/runs/'.$run, [
            'trial' => $this->trial, 'article' => $this->bench->unitB, 'outcome' => $outcome, 'outcomeReason' => $reason, 'version' => 1,
        ]);
        self::assertSame($status, $this->answered(), json_encode($answer) ?: '');
        self::assertSame($status === 200 ? $outcome : null, self::at($this->sheet($run), 'run', 'outcome'));
    }

    public function testAnOutcomeIsAmendedWithAReason(): void
    {
        $run = $this->begun();
        $this->json(
            'PUT', '/api/runs/'.$run, ['trial' => $this->trial, 'article' => $this->bench->unitB, 'outcome' => 'held', 'version' => 1],
        );
        $this->json(
            'PUT', '/api/runs/'.$run, ['trial' => $this->trial, 'article' => $this->bench->unitB, 'outcome' => 'failed', 'version' => 2],
        );
        self::assertNotSame('failed', self::at($this->sheet($run), 'run', 'outcome'), 'Not by writing over it.');
        $this->json('POST', '/api/runs/'.$run.'/amend', ['outcome' => 'failed', 'reason' => '', 'version' => 2]);
        self::assertSame(422, $this->answered());
        $this->json('POST', '/api/runs/'.$run.'/amend', ['outcome' => 'failed', 'reason' => 'A crack, seen later', 'version' => 2]);
        self::assertSame(200, $this->answered());
        self::assertSame('failed', self::at($this->sheet($run), 'run', 'outcome'));
    }

    public function testWhatNobodyRecordedIsNamed(): void
    {
        $run = $this->put(
            'runs', ['trial' => $this->trial, 'article' => $this->bench->unitB, 'conditions' => [['name' => 'soil', 'text' => 'moist']]],
        );
        $missing = json_encode($this->sheet($run)['missing']) ?: '';
        self::assertStringContainsString('moisture', $missing);
        self::assertStringNotContainsString('soil', $missing);
    }

    /** @return iterable<string, array{list<array{name: string, text: string}>, int}> */
    public static function conditions(): iterable
    {
        yield 'one of its words' => [[['name' => 'soil', 'text' => 'dry']], 201];
        yield 'unknown is a value' => [[['name' => 'soil', 'text' => 'unknown']], 201];
        yield 'a word that nobody foresaw is taken as found' => [[['name' => 'soil', 'text' => 'purple']], 201];
        yield 'in its unit' => [[['name' => 'moisture', 'text' => '12 %']], 201];
        yield 'in a unit that does not fit' => [[['name' => 'moisture', 'text' => '12 N']], 422];
        yield 'twice' => [[['name' => 'soil', 'text' => 'dry'], ['name' => 'soil', 'text' => 'moist']], 422];
    }

    /** @param list<array{name: string, text: string}> $conditions */
    #[DataProvider('conditions')]
    public function testWhatItWasLike(array $conditions, int $status): void
    {
        $answer = $this->json('PUT', '/api/runs/'.Uuid::v7()->toRfc4122(), [
            'trial' => $this->trial, 'article' => $this->bench->unitB, 'conditions' => $conditions,
        ]);
        self::assertSame($status, $this->answered(), json_encode($answer) ?: '');
    }

    public function testAnArticleOfAnotherBuildIsRefused(): void
    {
        $answer = $this->json('PUT', '/api/runs/'.Uuid::v7()->toRfc4122(), ['trial' => $this->trial, 'article' => $this->bench->unitA]);
        self::assertSame([422, 'article'], [$this->answered(), self::text($answer, 'violations', 0, 'path')], json_encode($answer) ?: '');
    }

    public function testSafetyIsSaidBeforeTheRun(): void
    {
        self::assertSame('', self::text($this->sheet($this->begun()), 'mind'), 'Without hazards there is nothing to mind.');
        $this->json('PUT', '/api/methods/'.$this->bench->method, [
            'device' => $this->bench->device, 'name' => 'Push', 'version' => 1,
            'channels' => [['key' => 'push', 'metric' => 'push force', 'unit' => 'N']],
            'safety' => ['hazards' => ['cuts'], 'cautions' => ['wear gloves'], 'abort' => 'When it hurts.'],
        ]);
        self::assertSame(200, $this->answered());
        $mind = 'Cuts. Wear gloves. When it hurts. Local rules and licensed practice come first.';
        self::assertSame($mind, self::text($this->sheet($this->begun()), 'mind'));
        self::assertSame($mind, self::text($this->json('GET', '/api/revisions/'.$this->bench->b.'/try'), 'trials', 0, 'mind'));
    }

    public function testAFailureOnARunIsSaidThere(): void
    {
        $before = $this->begun();
        $this->put('failures', ['revision' => $this->bench->b, 'run' => $before, 'mode' => 'Spoke bent']);
        $run = $this->begun();
        $this->put('failures', ['revision' => $this->bench->b, 'run' => $run, 'mode' => 'spoke bent']);
        $sheet = $this->sheet($run);
        self::assertCount(1, (array) $sheet['failures']);
        self::assertContains('Spoke bent', (array) $sheet['modes']);
        self::assertStringContainsString('B', json_encode($sheet['noticed'], JSON_UNESCAPED_UNICODE) ?: '', 'It was seen before.');
    }

    private function begun(): string
    {
        return $this->put('runs', ['trial' => $this->trial, 'article' => $this->bench->unitB]);
    }

    /** The trial of this name that has so many runs. */
    private function trialNamed(string $name, int $runs): string
    {
        foreach ((array) $this->json('GET', '/api/revisions/'.$this->bench->b.'/try')['trials'] as $row) {
            if (self::text((array) $row, 'trial', 'name') === $name && self::at((array) $row, 'total') === $runs) {
                return self::text((array) $row, 'trial', 'id');
            }
        }
        self::fail('There is no such trial.');
    }

    /** @return array<array-key, mixed> */
    private function sheet(string $run): array
    {
        $sheet = $this->json('GET', '/api/runs/'.$run);
        self::assertSame(200, $this->answered(), json_encode($sheet) ?: '');

        return $sheet;
    }
}
