<?php

declare(strict_types=1);

namespace Lustrum\Tests\App;

use Symfony\Component\Uid\Uuid;

/** What a rig reads by itself is taken off, and what it drifts is how far off a result may be. */
final class EmptyRunTest extends ApiTestCase
{
    private string $trial = '';

    private string $build = '';

    protected function setUp(): void
    {
        parent::setUp();
        $bench = $this->bench();
        $this->build = $bench->a;
        $method = $this->put('methods', [
            'device' => $bench->device, 'name' => 'Pull', 'safety' => ['abort' => 'When it slips.'], 'reference' => 'R-1', 'minutes' => 5.0,
            'channels' => [
                ['key' => 'shown', 'metric' => 'shown force', 'unit' => 'N', 'resolution' => 0.1],
                ['key' => 'pull', 'metric' => 'pull', 'unit' => 'N', 'formula' => 'shown - shown_empty'],
            ],
        ]);
        $this->trial = $this->put('trials', ['revision' => $bench->a, 'method' => $method, 'name' => 'Pulls', 'plannedRuns' => 3]);
    }

    private function ran(string $at, string $shown, string $purpose = 'findOut'): string
    {
        $about = ['trial' => $this->trial, 'startedAt' => $at, 'purpose' => $purpose];
        $run = $this->put('runs', $about);
        $this->put('readings', ['run' => $run, 'channel' => 'shown', 'text' => $shown, 'confirmed' => 'as it was read']);
        $this->json('PUT', '/api/runs/'.$run, ['outcome' => 'held', 'version' => 1] + $about);
        self::assertSame(200, $this->answered());

        return $run;
    }

    private function pull(string $run): string
    {
        return self::text($this->json('GET', '/api/runs/'.$run), 'derived', 0, 'text');
    }

    /** @return array<array-key, mixed> */
    private function row(): array
    {
        return (array) self::at($this->json('GET', '/api/revisions/'.$this->build.'/try'), 'trials', 0);
    }

    public function testTheMiddleIsTakenOffAndTheDriftIsUncertainty(): void
    {
        self::assertTrue($this->row()['isEmptied']);
        $this->ran('2026-03-02T10:00:00Z', '1.0 N', 'empty');
        $first = $this->ran('2026-03-02T10:10:00Z', '41.0 N');
        // As far as anybody knows: what comes later may show more.
        self::assertMatchesRegularExpression('/^40\.0\d* ± 0\.0\d+ N/', $this->pull($first));
        self::assertSame(
            ['Empty, the rig read shown force 1.0 N once: an empty run after the last one tells how far it drifted.'],
            $this->row()['drift'],
        );

        $empty = $this->ran('2026-03-02T11:00:00Z', '2.0 N', 'empty');
        $second = $this->ran('2026-03-02T11:10:00Z', '42.0 N');
        // 41 less the middle of 1 and 2; half of what lies between over the root of three, and the steps: 0.29 N.
        self::assertMatchesRegularExpression('/^39\.50? ± 0\.29\d* N/', $this->pull($first));
        self::assertStringStartsWith('40.0', $this->pull($second));
        self::assertSame(
            ['Empty, the rig read shown force 1.0 N first and 2.0 N last: 1.0 N of drift, which is in the ± of every result.'],
            $this->row()['drift'],
        );

        $reading = self::text($this->json('GET', '/api/runs/'.$empty), 'readings', 0, 'id');
        $this->json('POST', '/api/readings/'.$reading.'/amend', ['text' => '3.0', 'unit' => 'N', 'reason' => 'Misread.', 'version' => 1]);
        self::assertSame(200, $this->answered());
        self::assertStringStartsWith('39.0', $this->pull($first), 'What was read wrongly is taken off anew.');
        $this->json('POST', '/api/runs/'.$empty.'/amend', ['outcome' => 'void', 'reason' => 'Somebody leant on it.', 'version' => 2]);
        self::assertSame(200, $this->answered());
        self::assertStringStartsWith('40.0', $this->pull($first), 'What is void is taken off nothing.');
    }

    public function testWithoutAnEmptyRunNothingIsWorkedOut(): void
    {
        $run = $this->ran('2026-03-02T10:10:00Z', '41.0 N');
        self::assertNull(self::at($this->json('GET', '/api/runs/'.$run), 'derived', 0, 'text'));
        // One that is made afterwards serves as well.
        $this->ran('2026-03-02T10:20:00Z', '1.0 N', 'empty');
        self::assertStringStartsWith('40.0', $this->pull($run));
    }

    public function testEmptyAndReferenceRunsAreNoResultsOfTheBuild(): void
    {
        $this->ran('2026-03-02T10:00:00Z', '1.0 N', 'empty');
        $this->ran('2026-03-02T10:05:00Z', '20.4 N', 'reference');
        foreach (['40.0 N', '41.0 N', '42.0 N'] as $i => $shown) {
            $this->ran(sprintf('2026-03-02T10:%d0:00Z', $i + 1), $shown);
        }
        $this->ran('2026-03-02T10:50:00Z', '20.9 N', 'reference');
        $row = $this->row();
        self::assertContains(
            'The reference R-1 read shown force 20.4 N first and 20.9 N last: 0.5 N of drift; a smaller difference is none.',
            (array) $row['drift'],
        );
        self::assertStringContainsString('3 of 3 runs', self::text($row, 'count'));
        self::assertStringContainsString(
            '41.0 N', implode(' ', array_filter((array) $row['results'], is_string(...))), 'The mean of the three.',
        );
    }

    public function testWhatWasReadEmptyStaysSo(): void
    {
        $run = $this->ran('2026-03-02T10:00:00Z', '1.0 N', 'empty');
        $said = $this->json('PUT', '/api/runs/'.$run, [
            'trial' => $this->trial, 'purpose' => 'findOut', 'outcome' => 'held', 'version' => 2,
        ]);
        self::assertSame([422, 'purpose'], [$this->answered(), self::text($said, 'violations', 0, 'path')]);
    }

    /** An empty run that held has shown nothing of the level below. */
    public function testAnEmptyRunOpensNoLadder(): void
    {
        $bench = $this->bench();
        $method = $this->put('methods', [
            'device' => $bench->device, 'name' => 'Climb', 'safety' => ['abort' => 'When it slips.'],
            'factors' => [[
                'name' => 'height', 'kind' => 'number', 'unit' => 'cm', 'levels' => ['20 cm', '40 cm'], 'harder' => 'more',
                'climbs' => true,
            ]],
            'channels' => [['key' => 'shown', 'metric' => 'blow', 'unit' => 'N']],
        ]);
        $trial = $this->put('trials', ['revision' => $bench->a, 'method' => $method, 'name' => 'Drops']);
        $low = [['name' => 'height', 'text' => '20 cm']];
        $about = ['trial' => $trial, 'levels' => $low, 'purpose' => 'empty'];
        $run = $this->put('runs', $about);
        $this->json('PUT', '/api/runs/'.$run, ['outcome' => 'held', 'version' => 1] + $about);
        self::assertSame('held', self::text($this->json('GET', '/api/runs/'.$run), 'run', 'outcome'));
        $high = ['trial' => $trial, 'levels' => [['name' => 'height', 'text' => '40 cm']]];
        $said = $this->json('PUT', '/api/runs/'.Uuid::v7()->toRfc4122(), $high);
        self::assertSame([422, 'ahead'], [$this->answered(), self::text($said, 'violations', 0, 'path')]);
    }
}
