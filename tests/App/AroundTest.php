<?php

declare(strict_types=1);

namespace Lustrum\Tests\App;

use PHPUnit\Framework\Attributes\DataProvider;
use Symfony\Component\Uid\Uuid;

/** What stands around the requirements: uses, steps of use, what is believed, who is there. */
final class AroundTest extends ApiTestCase
{
    private Bench $bench;

    protected function setUp(): void
    {
        parent::setUp();
        $this->bench = $this->bench();
    }

    /**
     * @return array<string, mixed>
     *
     * @phpstan-impure
     */
    private function brief(): array
    {
        return $this->json('GET', '/api/devices/'.$this->bench->device.'/brief');
    }

    /**
     * @return array<mixed> the first one
     *
     * @phpstan-impure
     */
    private function assumption(): array
    {
        return (array) self::at($this->brief(), 'assumptions', 0);
    }

    /**
     * @return list<mixed>
     *
     * @phpstan-impure
     */
    private function because(string $field): array
    {
        return array_column((array) $this->assumption()['because'], $field);
    }

    /** @return array<string, mixed> of the method as it is sent */
    private function method(): array
    {
        $method = (array) self::at($this->json('GET', '/api/methods/'.$this->bench->method.'/sheet'), 'method');
        $channels = array_map(static fn (mixed $c): array => array_diff_key((array) $c, ['metricId' => '']), (array) $method['channels']);

        return array_intersect_key($method, array_flip(['device', 'name', 'conditions', 'safety', 'version'])) + ['channels' => $channels];
    }

    public function testEachUseHasItsOwnVerdictAndOneMayBeDropped(): void
    {
        $beds = $this->put('uses', ['device' => $this->bench->device, 'name' => 'Beds']);
        $hire = $this->put('uses', ['device' => $this->bench->device, 'name' => 'Hire']);
        $strong = $this->put('requirements', [
            'device' => $this->bench->device, 'statement' => 'Pushed by anybody', 'metric' => 'push force', 'unit' => 'N', 'limit' => 30.0,
            'direction' => 'atMost', 'uses' => [$hire],
        ]);
        self::assertSame('Nothing was tried yet: 1 must to show.', self::text($this->brief(), 'uses', 0, 'verdict'));

        $this->trial($this->bench, $this->bench->a, $this->bench->unitA, [39.9, 40.2, 40.4, 40.1]);
        $uses = $this->brief()['uses'];
        self::assertSame(
            ['fits', 'doesNot'], array_column((array) $uses, 'fit'), 'A use is judged by what it asks for and what all ask for.',
        );
        self::assertSame(
            'A does not fit: “Pushed by anybody” is not met, and nothing proposed answers it.',
            self::text((array) $uses, 1, 'verdict'),
        );

        $this->put('candidates', ['revision' => $this->bench->a, 'what' => 'Bigger wheel', 'requirements' => [$strong]]);
        self::assertSame('withChanges', self::text($this->brief(), 'uses', 1, 'fit'));

        $this->json('PUT', '/api/uses/'.$hire, [
            'device' => $this->bench->device, 'name' => 'Hire', 'dropped' => 'Nobody hires.', 'version' => 1,
        ]);
        self::assertSame(200, $this->answered());
        self::assertSame('Nobody hires.', self::text($this->brief(), 'uses', 1, 'use', 'dropped'));
        self::assertNotSame('', $beds);
    }

    public function testAnAbandonedBuildIsNotWhatUsesAreJudgedOn(): void
    {
        $this->trial($this->bench, $this->bench->a, $this->bench->unitA, [43.0]);
        $this->trial($this->bench, $this->bench->b, $this->bench->unitB, [39.0]);
        self::assertSame('B', $this->brief()['judged']);
        $b = (array) self::at($this->json('GET', '/api/revisions/'.$this->bench->b.'/build'), 'revision');
        $this->json('PUT', '/api/revisions/'.$this->bench->b, [
            'device' => $this->bench->device, 'letter' => 'B', 'parent' => $this->bench->a, 'state' => 'abandoned',
            'stateReason' => 'Too dear.',
            'version' => $b['version'],
        ]);
        self::assertSame(200, $this->answered());
        self::assertSame('A', $this->brief()['judged']);
    }

    public function testAStepThatNoRunWentThroughIsSaidWhereItMatters(): void
    {
        $push = $this->put('steps', ['device' => $this->bench->device, 'name' => 'Push', 'kind' => 'work', 'place' => 0]);
        $this->put('steps', ['device' => $this->bench->device, 'name' => 'Carry home', 'kind' => 'carry', 'place' => 1]);
        $this->json('PUT', '/api/methods/'.$this->bench->method, ['steps' => [$push], 'inUse' => true] + $this->method());
        self::assertSame(200, $this->answered());
        self::assertSame('2 of 2 steps of use were never tried: Push and Carry home; none on B.', self::text($this->brief(), 'stepsSaid'));

        $this->trial($this->bench, $this->bench->a, $this->bench->unitA, [43.0]);
        $said = 'One step of use was never tried: Carry home; 1 of 2 on A.';
        self::assertSame($said, self::text($this->brief(), 'stepsSaid'));
        self::assertSame(['tried on A', 'never tried'], array_column((array) $this->brief()['steps'], 'tried'));
        self::assertSame($said, self::text($this->json('GET', '/api/revisions/'.$this->bench->a.'/build'), 'neverTried'));
        self::assertContains($said, (array) $this->json('GET', '/api/revisions/'.$this->bench->a.'/next')['open']);
        self::assertSame($said, self::text($this->json('GET', '/api/revisions/'.$this->bench->a.'/try'), 'trials', 0, 'before'));
        self::assertSame('Push', self::text($this->json('GET', '/api/devices/'.$this->bench->device.'/methods'), 'methods', 0, 'through'));
        self::assertStringContainsString(
            'none on B', self::text($this->json('GET', '/api/revisions/'.$this->bench->b.'/build'), 'neverTried'),
        );
    }

    public function testARunThatWasStoppedWentThroughNothing(): void
    {
        $push = $this->put('steps', ['device' => $this->bench->device, 'name' => 'Push', 'kind' => 'work']);
        $this->json('PUT', '/api/methods/'.$this->bench->method, ['steps' => [$push]] + $this->method());
        $trial = $this->put('trials', ['revision' => $this->bench->a, 'method' => $this->bench->method, 'name' => 'Once']);
        $run = $this->put('runs', ['trial' => $trial, 'article' => $this->bench->unitA]);
        $this->json('PUT', '/api/runs/'.$run, [
            'trial' => $trial, 'article' => $this->bench->unitA, 'outcome' => 'stoppedEarly', 'outcomeReason' => 'Rain', 'version' => 1,
        ]);
        self::assertSame(200, $this->answered());
        self::assertTrue(self::at($this->brief(), 'steps', 0, 'never'));
    }

    public function testAnAssumptionStandsByItsFindings(): void
    {
        $failure = $this->put('failures', ['revision' => $this->bench->a, 'mode' => 'tore', 'place' => 'rim', 'consequence' => 'minor']);
        $id = $this->put('assumptions', [
            'device' => $this->bench->device, 'text' => 'The rim never tears',
            'findings' => [['says' => 'for', 'note' => 'Looked new after a week']],
        ]);
        self::assertSame(['upheld', ['upheld: Looked new after a week']], [$this->assumption()['standing'], $this->because('said')]);

        $this->json('PUT', '/api/assumptions/'.$id, [
            'device' => $this->bench->device, 'text' => 'The rim never tears', 'version' => 1,
            'findings' => [['says' => 'for', 'note' => 'Looked new after a week'], ['says' => 'against', 'failure' => $failure]],
        ]);
        self::assertSame('overturned', $this->assumption()['standing']);
        self::assertContains('overturned: tore, rim (A)', $this->because('said'));
        self::assertSame(['', 'A'], $this->because('letter'), 'There is a way down to what was found on a build.');

        $this->json('POST', '/api/failures/'.$failure.'/withdraw', ['because' => 'It was a hair']);
        self::assertSame(
            ['upheld', 1], [$this->assumption()['standing'], count((array) $this->assumption()['because'])],
            'What was withdrawn speaks for nothing.',
        );
    }

    public function testAFindingThatIsARunLeadsToIt(): void
    {
        $this->trial($this->bench, $this->bench->a, $this->bench->unitA, [43.0]);
        $run = self::text((array) self::at($this->brief(), 'runs', 0), 'id');
        $this->put('assumptions', [
            'device' => $this->bench->device, 'text' => 'It is light', 'findings' => [['says' => 'for', 'run' => $run]],
        ]);
        self::assertSame([[$run], ['A']], [$this->because('run'), $this->because('letter')]);
    }

    public function testWhatIsOnlyBelievedIsSaidBeforeADecision(): void
    {
        $this->put('assumptions', ['device' => $this->bench->device, 'text' => 'It floats']);
        $next = $this->json('GET', '/api/revisions/'.$this->bench->a.'/next');
        self::assertContains('One thing is only believed: It floats.', (array) $next['open']);
        self::assertSame('One assumption, 1 not settled.', self::text($this->brief(), 'assumptionsSaid'));
    }

    public function testWhoIsAroundIsPickedFromAndWhatTheyDidIsCounted(): void
    {
        $this->put('persons', ['device' => $this->bench->device, 'name' => 'Odile Ferrant', 'relation' => 'tester']);
        self::assertSame('nothing asked, said or signed yet', self::text($this->brief(), 'persons', 0, 'did'));
        $this->put('candidates', [
            'revision' => $this->bench->a, 'what' => 'Softer grip', 'source' => 'outside', 'askedBy' => 'odile ferrant',
        ]);
        $this->put('requirements', [
            'device' => $this->bench->device, 'statement' => 'Quiet', 'metric' => 'noise', 'unit' => 'dB', 'limit' => 60.0,
            'direction' => 'atMost',
            'askedBy' => 'Odile Ferrant',
        ]);
        $this->put('observations', ['revision' => $this->bench->a, 'text' => 'It squeaks', 'saidBy' => 'Odile Ferrant']);
        self::assertSame('asked for 1 requirement, proposed 1 change and said 1 thing', self::text($this->brief(), 'persons', 0, 'did'));
        self::assertContains('Odile Ferrant', (array) $this->json('GET', '/api/devices/'.$this->bench->device.'/frame')['people']);
    }

    /** @return iterable<string, array{string, array<string, mixed>, string, string}> kind, body, field, sentence */
    public static function refused(): iterable
    {
        yield 'a use twice' => ['uses', ['name' => 'beds '], 'name', 'There is a use “Beds” already.'];
        yield 'a step twice' => ['steps', ['name' => 'PUSH'], 'name', '“Push” is a step already: a step that comes again is one step.'];
        yield 'a step for nothing known' => ['steps', ['name' => 'Hop', 'kind' => 'jump'], 'kind', ''];
        yield 'a person twice' => ['persons', ['name' => 'Odile'], 'name', 'Odile is on the list already.'];
        yield 'an assumption that says nothing' => ['assumptions', ['text' => ' '], 'text', 'This is still empty.'];
        yield 'a finding that is none' => [
            'assumptions', ['text' => 'It floats', 'findings' => [['says' => 'for']]], 'findings[0].note',
            'Which finding? Pick a run or a failure, or say what was found.',
        ];
        yield 'a requirement for a use that is not there' => [
            'requirements', ['statement' => 'x', 'metric' => 'x', 'uses' => ['0190a4b0-0000-7000-8000-000000000000']], 'uses[0]', '',
        ];
    }

    /** @param array<string, mixed> $body */
    #[DataProvider('refused')]
    public function testWhatMakesNoSenseIsRefusedAtItsField(string $kind, array $body, string $field, string $sentence): void
    {
        $this->put('uses', ['device' => $this->bench->device, 'name' => 'Beds']);
        $this->put('steps', ['device' => $this->bench->device, 'name' => 'Push']);
        $this->put('persons', ['device' => $this->bench->device, 'name' => 'Odile']);
        $answer = $this->json('PUT', '/api/'.$kind.'/'.Uuid::v7()->toRfc4122(), ['device' => $this->bench->device] + $body);
        self::assertSame([422, $field], [$this->answered(), self::text($answer, 'violations', 0, 'path')]);
        if ($sentence !== '') {
            self::assertSame($sentence, self::text($answer, 'violations', 0, 'message'));
        }
    }
}
