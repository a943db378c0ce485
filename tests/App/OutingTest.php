<?php

declare(strict_types=1);

namespace Lustrum\Tests\App;

use Symfony\Component\Uid\Uuid;

/** Days out: trials of several devices in one order, and the list of what has to come along. */
final class OutingTest extends ApiTestCase
{
    /** @return array<string, string> identifiers of two trials of two devices */
    private function world(): array
    {
        $bench = $this->bench();
        $this->put('instruments', [
            'workspace' => $this->workspace, 'name' => 'Hook', 'unit' => 'N', 'power' => 'two AA cells', 'leftIn' => 'lbf',
        ]);
        $safe = $this->put('methods', [
            'device' => $bench->device, 'name' => 'Roll', 'safety' => ['abort' => 'When it slips.', 'cautions' => ['Boots']],
            'minutes' => 10.0, 'setUpMinutes' => 5.0,
            'channels' => [['key' => 'push', 'metric' => 'push force', 'unit' => 'N', 'instrument' => 'Hook']], 'tools' => ['tape'],
            'settings' => [['name' => 'gap', 'unit' => 'mm', 'intended' => 1.5, 'tool' => '2 mm hex key']],
            'usesUp' => [['what' => 'seed', 'kind' => 'material', 'amount' => 40.0, 'unit' => 'g']],
        ]);
        $other = $this->put('devices', ['workspace' => $this->workspace, 'name' => 'Kite']);
        $build = $this->put('revisions', ['device' => $other, 'letter' => 'A']);
        $grave = $this->put('methods', [
            'device' => $other, 'name' => 'Lift', 'minutes' => 20.0,
            'safety' => ['abort' => 'Gusts.', 'hazards' => ['a loaded line'], 'needsSignOff' => true, 'agreedBy' => ['the safety officer']],
        ]);

        return [
            'lift' => $this->put('trials', ['revision' => $build, 'method' => $grave, 'name' => 'Lifting', 'plannedRuns' => 2]),
            'roll' => $this->put('trials', ['revision' => $bench->a, 'method' => $safe, 'name' => 'Rolling', 'plannedRuns' => 3]),
        ];
    }

    public function testTheDayIsOrderedAndNothingIsForgotten(): void
    {
        $trials = $this->world();
        $before = $this->put('outings', [
            'workspace' => $this->workspace, 'place' => 'The lane', 'day' => '2026-03-01', 'missed' => ['spirit level'],
        ]);
        $day = $this->put('outings', [
            'workspace' => $this->workspace, 'place' => 'Lower field', 'day' => '2026-03-08', 'hours' => 2.0, 'people' => ['Ines', 'Yusuf'],
            'permits' => ['Letter of the farmer'], 'weather' => 'dry, under 4 m/s', 'trials' => array_values($trials),
        ]);
        $page = $this->json('GET', '/api/outings/'.$day.'/page');

        // 5 + 3 · 10 and 2 · 20.
        self::assertSame('2 trials, 5 runs, about 1 h 15 min of 2 h.', self::text($page, 'sentence'));
        self::assertSame(
            ['Rolling', 'Lifting'], array_column((array) $page['stops'], 'name'),
            'Somebody stands near the line: that comes late.',
        );
        $take = [];
        foreach ((array) $page['take'] as $line) {
            $take[self::text((array) $line, 'kind')][] = self::text((array) $line, 'what');
        }
        self::assertContains('Hook, with two AA cells; it was left in lbf', $take['instruments']);
        self::assertSame(['tape', '2 mm hex key'], $take['tools']);
        self::assertSame(['120 g of seed'], $take['consumables']);
        self::assertSame(['Boots'], $take['protection']);
        self::assertSame(['Lifting waits until the safety officer has agreed', 'Letter of the farmer'], $take['papers']);
        self::assertSame(['spirit level: missed at The lane'], $take['missed']);
        self::assertContains('Nothing is here for Lifting', $take['articles']);
        self::assertNotContains(
            'missed', array_column((array) $this->json('GET', '/api/outings/'.$before.'/page')['take'], 'kind'),
            'Its own is for the next.',
        );
        $later = $this->put('outings', [
            'workspace' => $this->workspace, 'place' => 'The hill', 'day' => '2026-04-01', 'missed' => ['rope'],
        ]);
        self::assertNotContains('rope: missed at The hill', array_column(
            (array) $this->json('GET', '/api/outings/'.$day.'/page')['take'], 'what',
        ));
        $this->json('POST', '/api/outings/'.$later.'/withdraw', ['because' => 'Rain.']);

        $list = $this->json('GET', '/api/workspaces/'.$this->workspace.'/outings');
        self::assertSame(['Lower field', 'The lane'], array_column((array) $list['outings'], 'place'), 'The latest first.');
        self::assertContains('Rolling', array_column((array) $list['open'], 'name'));
    }

    public function testWhenTimeIsShortItSaysWhatToLeaveOut(): void
    {
        $trials = $this->world();
        $day = $this->put('outings', [
            'workspace' => $this->workspace, 'place' => 'Lower field', 'hours' => 0.75, 'trials' => array_values($trials),
        ]);
        $page = $this->json('GET', '/api/outings/'.$day.'/page');

        self::assertSame(['Lifting'], array_column((array) $page['leftOut'], 'name'));
        self::assertSame('One trial, 3 runs, about 35 min of 45 min; time is short, so leave out Lifting.', self::text($page, 'sentence'));
    }

    public function testWhatWasLostOnTheWayBringsSpares(): void
    {
        $trials = $this->world();
        foreach (['lost', 'held', 'held'] as $outcome) {
            $run = $this->put('runs', ['trial' => $trials['roll']]);
            $this->json('PUT', '/api/runs/'.$run, [
                'trial' => $trials['roll'], 'outcome' => $outcome, 'outcomeReason' => 'Fell off', 'version' => 1,
            ]);
        }
        $day = $this->put('outings', ['workspace' => $this->workspace, 'place' => 'Lower field', 'trials' => [$trials['roll']]]);
        $page = $this->json('GET', '/api/outings/'.$day.'/page');

        self::assertSame(1, self::at($page, 'stops', 0, 'runs'), 'Two of three are made; one was lost and is still to be made.');
        self::assertStringContainsString('and one spare', self::text($page, 'take', 0, 'what'));
    }

    public function testWhatCostsAnArticleComesLastAndBringsOneForEachRun(): void
    {
        $bench = $this->bench();
        $stop = ['safety' => ['abort' => 'When it cracks.']];
        $break = $this->put('methods', $stop + [
            'device' => $bench->device, 'name' => 'Break', 'usesUp' => [['what' => 'bracket', 'kind' => 'article', 'amount' => 1.0]],
        ]);
        $timed = $this->put('methods', $stop + [
            'device' => $bench->device, 'name' => 'Run empty',
            'channels' => [['key' => 'hours', 'metric' => 'run time', 'unit' => 'h', 'whenStopped' => 'atLeast']],
        ]);
        $day = $this->put('outings', ['workspace' => $this->workspace, 'place' => 'Bench', 'trials' => [
            $this->put('trials', ['revision' => $bench->a, 'method' => $break, 'name' => 'Breaking', 'plannedRuns' => 3]),
            $this->put('trials', ['revision' => $bench->a, 'method' => $timed, 'name' => 'Emptying', 'plannedRuns' => 1]),
        ]]);
        $page = $this->json('GET', '/api/outings/'.$day.'/page');

        self::assertSame(
            ['Emptying', 'Breaking'], array_column((array) $page['stops'], 'name'), 'A battery that is run empty breaks nothing.',
        );
        self::assertStringStartsWith('last: it costs an article a run', self::text($page, 'stops', 1, 'why'));
        $take = array_column((array) $page['take'], 'what');
        self::assertContains('U-1 for Breaking, and 2 spares, since each run costs one', $take);
        self::assertSame([], array_filter($take, static fn (mixed $w): bool => is_string($w) && str_contains($w, 'bracket')));
    }

    public function testOnlyTrialsOfTheWorkspaceAreGathered(): void
    {
        $this->world();
        $answer = $this->json('PUT', '/api/outings/'.Uuid::v7()->toRfc4122(), [
            'workspace' => $this->workspace, 'place' => 'x', 'trials' => [Uuid::v7()->toRfc4122()],
        ]);
        self::assertSame([422, 'trials[0]'], [$this->answered(), self::text($answer, 'violations', 0, 'path')]);
    }
}
