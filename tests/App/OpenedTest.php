<?php

declare(strict_types=1);

namespace Lustrum\Tests\App;

use Doctrine\DBAL\Connection;
use PHPUnit\Framework\Attributes\DataProvider;

/** The planned number of runs is the first look; every later one, with new runs, is counted and costs confidence. */
final class OpenedTest extends ApiTestCase
{
    private Bench $bench;

    private string $trial = '';

    protected function setUp(): void
    {
        parent::setUp();
        $this->bench = $this->bench();
        $this->trial($this->bench, $this->bench->a, $this->bench->unitA, [43.0, 44.1, 42.7]);
        $this->trial = $this->put(
            'trials', ['revision' => $this->bench->b, 'method' => $this->bench->method, 'name' => 'Pushing', 'plannedRuns' => 3],
        );
    }

    public function testBeforeThePlannedNumberEverythingIsSaidSoFar(): void
    {
        $this->runs('39.9 N', '40.2 N');
        self::assertStringContainsString('So far 2 of 3 runs that were planned', $this->cell());
        self::assertStringStartsWith('So far 2 of 3: Push force on B', $this->weigh('comparisons', 0, 'sentence'));
        self::assertSame('indistinct', $this->weigh('comparisons', 0, 'verdict'));
        self::assertSame(0, $this->looks(), 'Looking before the end is no look that counts.');
        self::assertStringContainsString('0 of 1', $this->evidence());
        $this->runs('40.0 N');
        self::assertStringNotContainsString('So far', $this->cell());
        self::assertSame('lower', $this->weigh('comparisons', 0, 'verdict'));
        self::assertSame('1 of 1 shown', $this->evidence());
    }

    public function testALaterLookIsCountedOnceForNewRuns(): void
    {
        $this->runs('39.9 N', '40.2 N', '40.0 N');
        $this->weigh('sentence');
        $this->weigh('sentence');
        self::assertSame(1, $this->looks(), 'Opened twice with the same runs.');
        $reading = self::text($this->json('GET', '/api/runs/'.$this->tried('runs', 0, 'id')), 'readings', 0, 'id');
        $this->json('POST', '/api/readings/'.$reading.'/amend', ['text' => '39.8 N', 'reason' => 'Read wrong', 'version' => 1]);
        self::assertStringNotContainsString('Looked at', $this->cell(), 'Worked out anew, and no run is new.');
        $first = $this->weigh('comparisons', 0, 'difference', 'text');
        $this->runs('40.1 N');
        $this->runs('40.0 N');
        self::assertStringContainsString('Looked at 2 times with new runs: judged at 97.5 %.', $this->cell());
        self::assertSame(2, $this->looks());
        self::assertNotSame($first, $this->weigh('comparisons', 0, 'difference', 'text'));
        $this->runs('40.2 N');
        // What another sheet worked out in between was worked out before this look.
        $this->evidence();
        self::assertStringContainsString('Looked at 3 times with new runs: judged at 99.2 %.', $this->cell());
        self::assertSame(3, $this->looks());
    }

    public function testARunThatWasVoidHasToBeMadeAgain(): void
    {
        $this->runs('39.9 N', '40.2 N', '40.0 N');
        $run = self::text($this->json('GET', '/api/revisions/'.$this->bench->b.'/try'), 'trials', 0, 'runs', 0, 'id');
        $this->json('POST', '/api/runs/'.$run.'/amend', ['outcome' => 'void', 'reason' => 'The rig moved', 'version' => 2]);
        self::assertStringContainsString('So far 2 of 3', $this->cell());
    }

    public function testWhatWasLostOrSetAsideTakesNoPlace(): void
    {
        $this->runs('39.9 N', '40.2 N', '40.0 N', '40.1 N');
        self::assertStringNotContainsString('So far', $this->cell());
        $runs = (array) self::at($this->json('GET', '/api/revisions/'.$this->bench->b.'/try'), 'trials', 0, 'runs');
        $first = self::text((array) $runs[0], 'id');
        $this->json('POST', '/api/runs/'.$first.'/amend', ['outcome' => 'lost', 'reason' => 'Dropped on the way', 'version' => 2]);
        self::assertSame(200, $this->answered());
        self::assertStringNotContainsString('So far', $this->cell(), 'Three are left, as many as were planned.');
        $second = self::text((array) $runs[1], 'id');
        $failure = $this->put('failures', ['revision' => $this->bench->b, 'mode' => 'Slipped', 'run' => $second]);
        $this->put('causes', ['failure' => $failure, 'text' => 'The clamp stood open', 'kind' => 'setUp', 'standing' => 'suspected']);
        self::assertStringNotContainsString('So far', $this->cell(), 'A suspicion sets nothing aside.');
        $this->put('causes', ['failure' => $failure, 'text' => 'The clamp stood open', 'kind' => 'setUp', 'standing' => 'confirmed', 'findings' => 'It did on the clip']);
        self::assertStringContainsString('So far 2 of 3', $this->cell());
        self::assertNotContains($this->weigh('comparisons', 0, 'verdict'), ['lower', 'higher'], 'Nothing is told before the planned number.');
    }

    public function testWithoutAPlannedNumberSomebodyClosesIt(): void
    {
        $this->plan(0, 'running');
        $this->runs('39.9 N', '40.2 N', '40.0 N', '40.1 N');
        self::assertStringContainsString('nobody said how many runs it takes, or closed the trial', $this->cell());
        self::assertStringStartsWith('So far, 4 runs: ', $this->weigh('comparisons', 0, 'sentence'));
        $this->plan(0, 'done');
        self::assertStringNotContainsString('So far', $this->cell());
        self::assertSame('lower', $this->weigh('comparisons', 0, 'verdict'));
    }

    public function testUntilAHalfWidthTheFirstStageTellsHowMany(): void
    {
        $this->plan(3, 'running', ['untilWidth' => '± 0.2']);
        $this->runs('39.9 N', '40.2 N');
        self::assertSame('2 of 3 runs, the first stage until ± 0.2 N', $this->tried('count'));
        $this->runs('40.0 N');
        self::assertSame('3 of 11 runs, until ± 0.2 N', $this->tried('count'));
        self::assertStringContainsString('So far 3 of 11 runs that were planned', $this->cell());
        self::assertSame(0, $this->looks(), 'Its first look is at the end of the second stage.');
        $this->plan(3, 'running', ['untilWidth' => '0.5 N', 'untilChannel' => 'push']);
        self::assertSame('3 of 3 runs, until ± 0.5 N', $this->tried('count'));
        self::assertSame('lower', $this->weigh('comparisons', 0, 'verdict'));
        self::assertSame(1, $this->looks());
        // What the first stage read tells its length, so that an amended reading may make it longer.
        $run = $this->tried('runs', 0, 'id');
        $reading = self::text($this->json('GET', '/api/runs/'.$run), 'readings', 0, 'id');
        $this->json('POST', '/api/readings/'.$reading.'/amend', ['text' => '38.9 N', 'reason' => 'Read wrong', 'version' => 1]);
        self::assertSame(200, $this->answered());
        self::assertSame('3 of 37 runs, until ± 0.5 N', $this->tried('count'));
    }

    /** @return iterable<string, array{array<string, mixed>, string}> what is asked for, and the field that is wrong */
    public static function halfWidths(): iterable
    {
        yield 'nothing' => [['untilWidth' => '0 N'], 'untilWidth'];
        yield 'in a unit of something else' => [['untilWidth' => '2 kg'], 'untilWidth'];
        yield 'no quantity' => [['untilWidth' => 'narrow'], 'untilWidth'];
        yield 'of a channel that is not read' => [['untilWidth' => '2 N', 'untilChannel' => 'pull'], 'untilChannel'];
        yield 'with too short a first stage' => [['untilWidth' => '2 N', 'plannedRuns' => 2], 'plannedRuns'];
    }

    /** @param array<string, mixed> $asked */
    #[DataProvider('halfWidths')]
    public function testAHalfWidthThatCannotBeReached(array $asked, string $field): void
    {
        $answer = $this->json('PUT', '/api/trials/'.$this->trial, $asked + [
            'revision' => $this->bench->b, 'method' => $this->bench->method, 'name' => 'Pushing', 'plannedRuns' => 3, 'version' => 1,
        ]);
        self::assertSame([422, $field], [$this->answered(), self::text($answer, 'violations', 0, 'path')]);
    }

    public function testTheLooksGoAlongInADeviceFile(): void
    {
        $this->runs('39.9 N', '40.2 N', '40.0 N');
        $this->weigh('sentence');
        $this->runs('40.1 N');
        $this->weigh('sentence');
        $this->client->request('GET', '/api/devices/'.$this->bench->device.'/export.json');
        $file = json_decode((string) $this->client->getInternalResponse()->getContent(), true);
        $trials = is_array($file) && is_array($file['trials'] ?? null) ? array_column($file['trials'], null, 'id') : [];
        self::assertSame([2, 4], [self::at($trials, $this->trial, 'looks'), self::at($trials, $this->trial, 'looked')]);
    }

    private function runs(string ...$readings): void
    {
        foreach ($readings as $text) {
            $run = $this->put('runs', ['trial' => $this->trial, 'article' => $this->bench->unitB]);
            $this->put('readings', ['run' => $run, 'channel' => 'push', 'text' => $text, 'confirmed' => 'in a test']);
            $this->json('PUT', '/api/runs/'.$run, [
                'trial' => $this->trial, 'article' => $this->bench->unitB, 'outcome' => 'held', 'version' => 1,
            ]);
        }
    }

    private function tried(string|int ...$path): string
    {
        return self::text($this->json('GET', '/api/revisions/'.$this->bench->b.'/try'), 'trials', 0, ...$path);
    }

    /** @param array<string, string> $more */
    private function plan(int $runs, string $state, array $more = []): void
    {
        $version = self::at($this->json('GET', '/api/revisions/'.$this->bench->b.'/try'), 'trials', 0, 'trial', 'version');
        $this->json('PUT', '/api/trials/'.$this->trial, [
            'revision' => $this->bench->b, 'method' => $this->bench->method, 'name' => 'Pushing', 'plannedRuns' => $runs, 'state' => $state,
            'version' => $version, ...$more,
        ]);
        self::assertSame(200, $this->answered());
    }

    private function weigh(string|int ...$path): string
    {
        return self::text($this->shown(), ...$path);
    }

    /**
     * Weigh as somebody is shown it: reading it writes nothing, what shows it says so.
     *
     * @return array<array-key, mixed>
     */
    private function shown(): array
    {
        $sheet = $this->json('GET', '/api/revisions/'.$this->bench->b.'/weigh');
        $before = $this->looks();
        self::assertSame($sheet, $this->json('GET', '/api/revisions/'.$this->bench->b.'/weigh'));
        self::assertSame($before, $this->looks(), 'A reading writes nothing.');
        if (self::at($sheet, 'isNew') === true) {
            $this->json('POST', '/api/revisions/'.$this->bench->b.'/looked', []);
            self::assertSame(204, $this->answered());
            $counted = $this->json('GET', '/api/revisions/'.$this->bench->b.'/weigh');
            self::assertSame(['isNew' => false] + $sheet, ['isNew' => false] + $counted, 'What stands there has been a look already.');
            self::assertFalse($counted['isNew']);
        }

        return $sheet;
    }

    /** What is said of the requirement on the second build. */
    private function cell(): string
    {
        foreach ((array) $this->shown()['cells'] as $cell) {
            if (is_array($cell) && $cell['revision'] === $this->bench->b) {
                return self::text($cell, 'sentence');
            }
        }
        self::fail('Nothing is said of it.');
    }

    private function evidence(): string
    {
        return self::text($this->json('GET', '/api/devices/'.$this->bench->device.'/frame'), 'spine', 0, 'evidence');
    }

    private function looks(): int
    {
        $n = self::service(Connection::class)->fetchOne('SELECT looks FROM trial WHERE id = ?', [$this->trial]);

        return is_numeric($n) ? (int) $n : -1;
    }
}
