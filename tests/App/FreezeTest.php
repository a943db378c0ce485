<?php

declare(strict_types=1);

namespace Lustrum\Tests\App;

use PHPUnit\Framework\Attributes\DataProvider;

/** A run keeps what it was made with and measured by: later edits change neither its numbers nor its conclusions. */
final class FreezeTest extends ApiTestCase
{
    private Bench $bench;

    protected function setUp(): void
    {
        parent::setUp();
        $this->bench = $this->bench();
        $this->put('parameters', ['revision' => $this->bench->a, 'name' => 'arm', 'text' => '30 mm']);
        $this->put('parts', ['revision' => $this->bench->a, 'name' => 'Blade', 'material' => 'steel', 'cost' => 2.0]);
        $this->trial($this->bench, $this->bench->a, $this->bench->unitA, [43.0, 44.1, 42.7]);
        $this->trial($this->bench, $this->bench->b, $this->bench->unitB, [39.9, 41.2, 40.4]);
    }

    /** @return iterable<string, array{array<string, mixed>}> what is edited of the method */
    public static function edits(): iterable
    {
        $channel = [
            'key' => 'push', 'metric' => 'push force', 'unit' => 'N', 'instrument' => 'Cell', 'resolution' => 0.1, 'low' => 5,
            'high' => 200, 'whenStopped' => 'atLeast',
        ];
        yield 'its name' => [['name' => 'Shove']];
        yield 'what it is for' => [['purpose' => 'Other things']];
        yield 'the rig' => [['rig' => 'A sledge']];
        yield 'when it held' => [['heldWhen' => 'Nothing creaks']];
        yield 'its end' => [['endPoint' => 'After 20 m']];
        yield 'what it is not like' => [['notRepresented' => 'Stones']];
        yield 'how long it takes' => [['minutes' => 55.0]];
        yield 'the instrument' => [['channels' => [['instrument' => 'Spring balance'] + $channel]]];
        yield 'the resolution' => [['channels' => [['resolution' => 5.0] + $channel]]];
        yield 'what is plausible' => [['channels' => [['low' => 41, 'high' => 42] + $channel]]];
        yield 'what a stopped run says' => [['channels' => [['whenStopped' => 'atMost'] + $channel]]];
        yield 'a channel more' => [['channels' => [$channel, ['key' => 'lift', 'metric' => 'lift', 'unit' => 'N']]]];
        yield 'a condition less' => [['conditions' => []]];
        yield 'a setting' => [['settings' => [['name' => 'speed', 'unit' => 'km/h', 'intended' => 3.0, 'tolerance' => 0.5]]]];
        yield 'a factor' => [['factors' => [['name' => 'height', 'kind' => 'number', 'unit' => 'cm', 'harder' => 'more']]]];
        yield 'a question' => [['questions' => [['metric' => 'strong']]]];
        yield 'that it is tried in use' => [['inUse' => true]];
        yield 'its warnings' => [['safety' => ['abort' => 'When it smokes.']]];
    }

    /** @param array<string, mixed> $edit */
    #[DataProvider('edits')]
    public function testAMethodThatIsEditedLaterChangesNoConclusion(array $edit): void
    {
        $before = $this->conclusions();
        $method = (array) self::at($this->json('GET', '/api/methods/'.$this->bench->method.'/sheet'), 'method');
        unset($method['id'], $method['createdAt'], $method['createdBy']);
        $fields = array_intersect_key(
            $method,
            array_flip(
                ['device', 'name', 'purpose', 'rig', 'heldWhen', 'endPoint', 'notRepresented', 'minutes', 'version'],
            ),
        );
        $sound = [
            'channels' => [
                [
                    'key' => 'push', 'metric' => 'push force', 'unit' => 'N', 'instrument' => 'Cell', 'resolution' => 0.1, 'low' => 5,
                    'high' => 200, 'whenStopped' => 'atLeast',
                ],
            ],
            'conditions' => [['name' => 'soil', 'states' => ['dry', 'moist']], ['name' => 'moisture', 'unit' => '%']],
            'safety' => ['abort' => 'When it hurts.'],
        ];
        $answer = $this->json('PUT', '/api/methods/'.$this->bench->method, $edit + $sound + $fields);
        self::assertSame(200, $this->answered(), json_encode($answer) ?: '');
        self::assertSame($before, $this->conclusions());
    }

    /** The same metric read in another unit is another channel: what was read stays as it was read. */
    public function testAnotherUnitLeavesWhatWasReadAlone(): void
    {
        $before = $this->conclusions();
        $answer = $this->json('PUT', '/api/methods/'.$this->bench->method, [
            'device' => $this->bench->device, 'name' => 'Push', 'version' => 1, 'channels' => [
                ['key' => 'push', 'metric' => 'push force', 'unit' => 'kN'],
            ],
        ]);
        self::assertContains($this->answered(), [200, 422], json_encode($answer) ?: '');
        self::assertSame($before, $this->conclusions());
    }

    public function testABuildThatIsEditedLaterDoesNotRewriteItsRuns(): void
    {
        $csv = $this->readings();
        $this->put('parameters', ['revision' => $this->bench->a, 'name' => 'reach', 'text' => '90 mm']);
        self::assertSame($csv, $this->readings());
    }

    public function testWhatWasAlwaysSoIsTakenOverByTheRunsAndSaid(): void
    {
        $build = '/api/revisions/'.$this->bench->a.'/build';
        self::assertSame([], self::at($this->json('GET', $build), 'revision', 'corrections'));
        $this->put(
            'parameters',
            ['revision' => $this->bench->a, 'name' => 'reach', 'text' => '90 mm', 'correction' => 'Nobody had written it down.'],
        );
        $said = self::text($this->json('GET', $build), 'revision', 'corrections', 0, 'sentence');
        self::assertStringContainsString('Corrected afterwards by Lead', $said);
        self::assertStringContainsString('reach 90 mm was always so, which 3 runs took over', $said);
        self::assertStringContainsString('Nobody had written it down.', $said);
        $runs = $this->configurations($this->bench->a);
        self::assertCount(1, array_unique($runs), 'All runs took it over.');
        self::assertStringContainsString('reach', $runs[0]);
        self::assertStringNotContainsString('reach', implode('', $this->configurations($this->bench->b)), 'Another build has its own.');
    }

    public function testOnlyAChangeOfTodayIsForTheRunsToCome(): void
    {
        $this->put('parameters', ['revision' => $this->bench->a, 'name' => 'reach', 'text' => '90 mm']);
        $this->trial($this->bench, $this->bench->a, $this->bench->unitA, [44.0]);
        $runs = $this->configurations($this->bench->a);
        self::assertCount(4, $runs);
        self::assertCount(1, array_filter($runs, static fn (string $c): bool => str_contains($c, 'reach')));
        self::assertCount(2, array_unique($runs));
    }

    /** @return list<string> the stored configuration of each run of a build, as it is exported */
    private function configurations(string $build): array
    {
        $this->client->request('GET', '/api/devices/'.$this->bench->device.'/export.json');
        ob_start();
        $content = $this->client->getInternalResponse()->getContent();
        ob_end_clean();
        $file = (array) json_decode($content, true, 512, JSON_THROW_ON_ERROR);
        $out = [];
        $trials = [];
        foreach ((array) self::at($file, 'trials') as $trial) {
            $trials[self::text((array) $trial, 'id')] = self::text((array) $trial, 'revision');
        }
        foreach ((array) self::at($file, 'runs') as $run) {
            $run = (array) $run;
            if (($trials[self::text($run, 'trial')] ?? '') === $build) {
                $out[] = self::text((array) self::at($file, 'configurations'), self::text($run, 'configuration'));
            }
        }

        return $out;
    }

    private function readings(): string
    {
        $this->client->request('GET', '/api/devices/'.$this->bench->device.'/readings.csv');

        return $this->client->getInternalResponse()->getContent();
    }

    /** @return array<string, mixed> what is concluded from the runs of both builds */
    private function conclusions(): array
    {
        $out = ['csv' => $this->readings()];
        foreach ([$this->bench->a, $this->bench->b] as $build) {
            $out['weigh '.$build] = $this->json('GET', '/api/revisions/'.$build.'/weigh');
            // Names that a form offers are no conclusion.
            $out['next '.$build] = array_diff_key($this->json('GET', '/api/revisions/'.$build.'/next'), ['metrics' => true]);
            $out['find '.$build] = array_diff_key($this->json('GET', '/api/revisions/'.$build.'/find'), ['methods' => true]);
        }

        return $out;
    }
}
