<?php

declare(strict_types=1);

namespace Lustrum\Tests\App;

use Lustrum\Domain\Trial\Run;
use Lustrum\Record\Records;
use Symfony\Component\Uid\Uuid;

/** What was changed between two runs becomes a build of its own in one step; the runs made with it go along. */
final class GatherTest extends ApiTestCase
{
    private Bench $bench;

    private string $trial = '';

    protected function setUp(): void
    {
        parent::setUp();
        $this->bench = $this->bench();
        $this->put('parameters', ['revision' => $this->bench->b, 'name' => 'arm', 'text' => '3 mm']);
        $this->put('parts', ['revision' => $this->bench->b, 'name' => 'Grip', 'material' => 'ash']);
        $this->trial = $this->put(
            'trials', ['revision' => $this->bench->b, 'method' => $this->bench->method, 'name' => 'Pushing', 'plannedRuns' => 2],
        );
    }

    public function testTheRunsMadeWithItGoAlong(): void
    {
        $this->runs('44.0 N', '44.4 N');
        $this->changed(
            ['kind' => 'parameter', 'name' => 'arm', 'value' => '4 mm'], ['kind' => 'part', 'name' => 'Grip', 'value' => 'cork'],
        );
        $runs = $this->runs('38.0 N', '38.2 N', '38.1 N');
        $failure = $this->put('failures', ['revision' => $this->bench->b, 'mode' => 'Slipped', 'run' => $runs[1]]);
        $this->put('observations', ['revision' => $this->bench->b, 'text' => 'Softer', 'run' => $runs[2]]);
        $made = $this->gather();
        self::assertSame(['C', $this->bench->b], [self::text($made, 'letter'), self::text($made, 'parent')]);
        $c = self::text($made, 'id');
        $build = $this->json('GET', '/api/revisions/'.$c.'/build');
        self::assertSame('4 mm', self::text($build, 'parameters', 0, 'here', 'measure', 'text'));
        self::assertSame('cork', self::text($build, 'parts', 0, 'part', 'material'));
        self::assertEqualsCanonicalizing(
            ['Arm 4 mm instead of 3 mm', 'Grip cork instead of ash'],
            array_map(static fn (mixed $row): string => self::text((array) $row, 'change', 'what'), (array) $build['changes']),
        );
        self::assertSame([], $build['notes'], 'Every difference has its change record.');
        self::assertSame([], self::at($build, 'articles', 0, 'article', 'deviants'));
        $try = $this->json('GET', '/api/revisions/'.$c.'/try');
        self::assertSame([3, $runs[0], 3], [
            self::at($try, 'trials', 0, 'total'), self::text($try, 'trials', 0, 'runs', 0, 'id'),
            self::at($try, 'trials', 0, 'runs', 0, 'number'),
        ]);
        $stays = $this->json('GET', '/api/revisions/'.$this->bench->b.'/try');
        self::assertSame([2, '2 of 2 runs'], [self::at($stays, 'trials', 0, 'total'), self::text($stays, 'trials', 0, 'count')]);
        self::assertSame('3 of 3 runs', self::text($try, 'trials', 0, 'count'));
        $find = $this->json('GET', '/api/revisions/'.$c.'/find');
        self::assertSame([$failure, 'Softer'], [
            self::text($find, 'failures', 0, 'failure', 'id'), self::text($find, 'observations', 0, 'text'),
        ]);
        $weigh = $this->json('GET', '/api/revisions/'.$c.'/weigh');
        self::assertStringContainsString('38.1 N', self::text($weigh, 'comparisons', 0, 'here', 'text'));
        self::assertStringContainsString('44.2 N', self::text($weigh, 'comparisons', 0, 'other', 'text'));
        self::assertStringContainsString('3 runs', self::text($weigh, 'cells', 2, 'sentence'), 'They count for what the build is now.');
    }

    public function testWhatWasPlannedIsPlannedOnce(): void
    {
        $this->trial = $this->put('trials', [
            'revision' => $this->bench->b, 'method' => $this->bench->method, 'name' => 'Twelve', 'plannedRuns' => 12,
        ]);
        $this->runs(...array_fill(0, 5, '44.0 N'));
        $this->changed(['kind' => 'parameter', 'name' => 'arm', 'value' => '4 mm']);
        $this->runs('38.0 N', '38.2 N', '38.1 N');
        $c = self::text($this->gather(), 'id');
        $count = fn (string $build): string => implode(', ', array_column(
            (array) $this->json('GET', '/api/revisions/'.$build.'/try')['trials'], 'count',
        ));
        self::assertStringContainsString('5 of 5 runs', $count($this->bench->b));
        self::assertSame('3 of 7 runs', $count($c), 'Twelve in all, not 12 of 24.');
    }

    /** Firmware that was typed on runs is one touch from a change, and a second one from a build that has these runs. */
    public function testFirmwareThatWasTypedBecomesAChangeAndABuild(): void
    {
        $b = $this->json('GET', '/api/revisions/'.$this->bench->b.'/build')['revision'];
        $this->json('PUT', '/api/revisions/'.$this->bench->b, ['firmware' => '1.2'] + (array) $b);
        self::assertSame(200, $this->answered());
        $this->runs('44.0 N', '44.4 N');
        [$typed] = $this->runs(['38.0 N', '1.3'], ['38.2 N', '1.3']);
        $weigh = fn (string $build): array => (array) self::at($this->json('GET', '/api/revisions/'.$build.'/weigh'), 'comparisons', 0);
        self::assertSame(2, $weigh($this->bench->b)['n'], 'Another firmware is another state.');
        self::assertStringContainsString(
            '2 runs of B are not in it: something was changed on an article between two runs (“firmware 1.3”)',
            self::text($weigh($this->bench->b), 'sentence'),
        );
        $said = (array) $this->json('GET', '/api/runs/'.$typed)['typedFirmware'];
        self::assertSame('Firmware 1.3 was typed on this run; B has 1.2.', self::text($said, 'sentence'));

        $this->json('POST', '/api/articles/'.$this->bench->unitB.'/changed', ['text' => self::text($said, 'line')]);
        self::assertSame(200, $this->answered());
        self::assertNull($this->json('GET', '/api/runs/'.$typed)['typedFirmware']);
        [$later] = $this->runs('38.1 N');
        $begun = self::service(Records::class)->find(Run::class, Uuid::fromString($later))->configuration();
        self::assertSame(['1.3', true], [$begun->firmware, $begun->ownFirmware]);
        $c = self::text($this->gather(), 'id');
        $build = $this->json('GET', '/api/revisions/'.$c.'/build');
        self::assertSame(['1.3', 'Firmware 1.3 instead of 1.2', []], [
            self::text($build, 'revision', 'firmware'), self::text($build, 'changes', 0, 'change', 'what'), $build['notes'],
        ]);
        self::assertSame(3, $weigh($c)['n']);
        $bear = array_column((array) self::at($weigh($c), 'bearing', 'bear'), 'what');
        self::assertSame(['firmware'], $bear, 'Of the two builds, no longer of a run.');
    }

    /** Nobody is asked to undo what was done on purpose. */
    public function testASettingChangedOnPurposeIsMeantFromThenOn(): void
    {
        $method = $this->put('methods', [
            'device' => $this->bench->device, 'name' => 'Sow', 'heldWhen' => 'The row is closed.',
            'settings' => [['name' => 'Gate', 'unit' => 'mm', 'intended' => 1.5, 'tolerance' => 0.1]], 'safety' => ['abort' => 'When it hurts.'],
        ]);
        $this->trial = $this->put('trials', ['revision' => $this->bench->b, 'method' => $method, 'name' => 'Rows']);
        $found = function (): string {
            $run = $this->put('runs', [
                'trial' => $this->trial, 'article' => $this->bench->unitB, 'settings' => [['name' => 'Gate', 'text' => '2.2 mm']],
            ]);

            return json_encode($this->json('GET', '/api/runs/'.$run)['noticed'], \JSON_THROW_ON_ERROR | \JSON_UNESCAPED_UNICODE);
        };
        self::assertStringContainsString('it should be 1.5 mm', $found());
        $this->json('POST', '/api/articles/'.$this->bench->unitB.'/changed', ['text' => 'gate 2.2 mm']);
        self::assertStringNotContainsString('it should be', $found());
        $c = self::text($this->gather(), 'id');
        $this->trial = $this->put('trials', ['revision' => $c, 'method' => $method, 'name' => 'Rows']);
        self::assertStringNotContainsString('it should be', $found(), 'The change of the build says it now.');
    }

    public function testOneLineSaysWhatWasChangedAndNextOffersToGatherIt(): void
    {
        $this->runs('44.0 N');
        $say = fn (string $line): array => $this->json('POST', '/api/articles/'.$this->bench->unitB.'/changed', ['text' => $line]);
        self::assertEquals([['kind' => 'parameter', 'name' => 'arm', 'value' => '4 mm']], $say('arm from 3 mm to 4 mm')['deviants']);
        self::assertCount(2, (array) $say('The grip is now cork.')['deviants']);
        $said = $say('Arm 5 mm');
        self::assertEqualsCanonicalizing(['Grip cork', 'arm 5 mm'], array_map(
            static fn (mixed $d): string => self::text((array) $d, 'name').' '.self::text((array) $d, 'value'), (array) $said['deviants'],
        ), 'What is said again is what it is now.');
        self::assertEqualsCanonicalizing(
            ['U-2: arm from 3 mm to 4 mm', 'U-2: The grip is now cork.', 'U-2: Arm 5 mm'],
            array_column((array) $this->json('GET', '/api/revisions/'.$this->bench->b.'/find')['observations'], 'text'),
            'The lines stay as they were said.',
        );
        self::assertSame(
            [$this->bench->unitB], array_column((array) $this->json('GET', '/api/revisions/'.$this->bench->b.'/next')['changed'], 'id'),
        );
        $this->runs('38.0 N');
        $made = $this->gather();
        self::assertSame('5 mm', self::text(
            $this->json('GET', '/api/revisions/'.self::text($made, 'id').'/build'), 'parameters', 0, 'here', 'measure', 'text',
        ));
        self::assertSame([], $this->json('GET', '/api/revisions/'.$this->bench->b.'/next')['changed']);
        $say(' . ');
        self::assertSame(422, $this->answered());
    }

    public function testARunMadeWithAPartOfItStays(): void
    {
        $this->changed(['kind' => 'parameter', 'name' => 'arm', 'value' => '4 mm']);
        $this->runs('41.0 N');
        $this->changed(
            ['kind' => 'parameter', 'name' => 'arm', 'value' => '4 mm'],
            ['kind' => 'parameter', 'name' => 'gap', 'value' => '1 mm'],
        );
        $this->runs('38.0 N');
        $c = self::text($this->gather(), 'id');
        self::assertSame(1, self::at($this->json('GET', '/api/revisions/'.$c.'/try'), 'trials', 0, 'total'));
        self::assertSame(1, self::at($this->json('GET', '/api/revisions/'.$this->bench->b.'/try'), 'trials', 0, 'total'));
    }

    public function testTheBuildBeginsAfterTheStepThatSomebodySays(): void
    {
        $arm = static fn (string $mm): array => ['kind' => 'parameter', 'name' => 'arm', 'value' => $mm];
        $base = $this->runs('44.0 N');
        $this->changed($arm('4 mm'));
        $first = $this->runs('41.0 N', '41.2 N');
        $this->changed($arm('5 mm'));
        $second = $this->runs('39.0 N');
        $this->changed($arm('5 mm'), ['kind' => 'part', 'name' => 'Grip', 'value' => 'cork']);
        $third = $this->runs('38.0 N');
        $steps = $this->json('GET', '/api/articles/'.$this->bench->unitB.'/steps');
        self::assertSame(
            [[1, 'Arm 4 mm', 2], [2, 'Arm 5 mm', 1], [3, 'Grip cork', 1]],
            array_map(static fn (mixed $s): array => array_slice(array_values((array) $s), 0, 3), array_values($steps)),
        );
        $this->json('POST', '/api/articles/'.$this->bench->unitB.'/gather', ['id' => Uuid::v7()->toRfc4122(), 'step' => 4]);
        self::assertSame(422, $this->answered());
        $made = $this->json('POST', '/api/articles/'.$this->bench->unitB.'/gather', ['id' => Uuid::v7()->toRfc4122(), 'step' => 2]);
        $c = self::text($made, 'id');
        $runs = fn (string $build): array => array_column((array) self::at($this->json('GET', '/api/revisions/'.$build.'/try'), 'trials', 0, 'runs'), 'id');
        self::assertSame([...$base, ...$first], $runs($this->bench->b), 'The steps before it stay.');
        self::assertSame([...$second, ...$third], $runs($c), 'That step and later ones go along.');
        $build = $this->json('GET', '/api/revisions/'.$c.'/build');
        self::assertSame(['5 mm', 'ash'], [
            self::text($build, 'parameters', 0, 'here', 'measure', 'text'), self::text($build, 'parts', 0, 'part', 'material'),
        ]);
        self::assertSame('Grip', self::text($build, 'articles', 0, 'article', 'deviants', 0, 'name'), 'What came later is still its own.');
    }

    public function testARunWithoutWhatWasGatheredStaysWhereItIs(): void
    {
        $cork = ['kind' => 'part', 'name' => 'Grip', 'value' => 'cork'];
        $arm = ['kind' => 'parameter', 'name' => 'arm', 'value' => '4 mm'];
        $this->changed($cork, $arm);
        $both = $this->runs('41.0 N');
        $this->changed($arm);
        $back = $this->runs('43.0 N');
        $made = $this->json('POST', '/api/articles/'.$this->bench->unitB.'/gather', ['id' => Uuid::v7()->toRfc4122(), 'step' => 1]);
        $runs = fn (string $build): array => array_column((array) self::at($this->json('GET', '/api/revisions/'.$build.'/try'), 'trials', 0, 'runs'), 'id');
        self::assertSame([$both, $back], [$runs(self::text($made, 'id')), $runs($this->bench->b)], 'Nobody says that it had the cork.');
    }

    public function testWhatWasChangedAfterAFailureIsOfferedAsItsAnswer(): void
    {
        [$run] = $this->runs('44.0 N');
        $slipped = $this->put('failures', ['revision' => $this->bench->b, 'mode' => 'Slipped', 'run' => $run]);
        $this->changed(['kind' => 'part', 'name' => 'Grip', 'value' => 'cork']);
        [$run] = $this->runs('43.0 N');
        $bent = $this->put('failures', ['revision' => $this->bench->b, 'mode' => 'Bent', 'run' => $run]);
        $this->changed(['kind' => 'part', 'name' => 'Grip', 'value' => 'cork'], ['kind' => 'parameter', 'name' => 'arm', 'value' => '4 mm']);
        $this->runs('38.0 N');
        $steps = $this->json('GET', '/api/articles/'.$this->bench->unitB.'/steps');
        self::assertSame([['Slipped'], ['Slipped', 'Bent']], array_map(
            static fn (mixed $s): array => array_column((array) ((array) $s)['after'], 'mode'), array_values($steps),
        ));
        $made = $this->json('POST', '/api/articles/'.$this->bench->unitB.'/gather', [
            'id' => Uuid::v7()->toRfc4122(), 'answers' => [$slipped, $bent, Uuid::v7()->toRfc4122()],
        ]);
        $changes = array_column(array_map(
            static fn (mixed $row): array => (array) ((array) $row)['change'],
            (array) $this->json('GET', '/api/revisions/'.self::text($made, 'id').'/build')['changes'],
        ), 'against', 'what');
        self::assertSame([$slipped], $changes['Grip cork instead of ash'], 'Nothing answers what had not happened yet.');
        self::assertSame([$slipped, $bent], $changes['Arm 4 mm instead of 3 mm']);
        $find = $this->json('GET', '/api/revisions/'.$this->bench->b.'/find');
        self::assertStringContainsString('Holds so far (1 of 5), on C with', json_encode($find['failures'] ?? []) ?: '');
    }

    public function testWhatIsOfTheArticleAloneStaysWithIt(): void
    {
        $this->changed(
            ['kind' => 'workmanship', 'name' => 'weld', 'value' => 'rough'], ['kind' => 'part', 'name' => 'Grip', 'value' => 'old'],
        );
        $this->json('POST', '/api/articles/'.$this->bench->unitB.'/gather', ['id' => Uuid::v7()->toRfc4122()]);
        self::assertSame(422, $this->answered());
        $this->changed(
            ['kind' => 'workmanship', 'name' => 'weld', 'value' => 'rough'],
            ['kind' => 'parameter', 'name' => 'arm', 'value' => '4 mm'],
        );
        $c = self::text($this->gather(), 'id');
        $article = self::at($this->json('GET', '/api/revisions/'.$c.'/build'), 'articles', 0, 'article');
        self::assertSame('weld', self::text((array) $article, 'deviants', 0, 'name'));
    }

    public function testSentTwiceItIsOneBuildAndAStrangerGathersNothing(): void
    {
        $this->changed(['kind' => 'parameter', 'name' => 'arm', 'value' => '4 mm']);
        $id = Uuid::v7()->toRfc4122();
        $first = $this->json('POST', '/api/articles/'.$this->bench->unitB.'/gather', ['id' => $id]);
        self::assertSame($first, $this->json('POST', '/api/articles/'.$this->bench->unitB.'/gather', ['id' => $id]));
        $this->signIn('viewer@example.test');
        $this->json('POST', '/api/articles/'.$this->bench->unitB.'/gather', ['id' => Uuid::v7()->toRfc4122()]);
        self::assertSame(403, $this->answered());
    }

    public function testABuildOfAnotherDeviceIsNotShown(): void
    {
        $this->changed(['kind' => 'parameter', 'name' => 'arm', 'value' => '4 mm']);
        $other = $this->put('devices', ['workspace' => $this->workspace, 'name' => 'Secret', 'currency' => 'EUR']);
        $build = $this->put('revisions', ['device' => $other, 'letter' => 'A', 'intent' => 'Nobody knows']);
        $answer = $this->json('POST', '/api/articles/'.$this->bench->unitB.'/gather', ['id' => $build]);
        self::assertSame(422, $this->answered());
        self::assertStringNotContainsString('Nobody knows', json_encode($answer) ?: '');
    }

    /** @return array<array-key, mixed> */
    private function gather(): array
    {
        $made = $this->json('POST', '/api/articles/'.$this->bench->unitB.'/gather', ['id' => Uuid::v7()->toRfc4122()]);
        self::assertSame(200, $this->answered(), json_encode($made) ?: '');

        return $made;
    }

    /** @param array<string, string> ...$deviants */
    private function changed(array ...$deviants): void
    {
        $article = self::at($this->json('GET', '/api/revisions/'.$this->bench->b.'/build'), 'articles', 0, 'article');
        $this->json('PUT', '/api/articles/'.$this->bench->unitB, ['deviants' => $deviants] + (array) $article);
        self::assertSame(200, $this->answered());
    }

    /**
     * @param string|array{string, string} ...$readings alone, or with the firmware that is typed
     *
     * @return list<string>
     */
    private function runs(string|array ...$readings): array
    {
        $out = [];
        foreach ($readings as $text) {
            [$text, $firmware] = is_array($text) ? $text : [$text, ''];
            $out[] = $run = $this->put('runs', ['trial' => $this->trial, 'article' => $this->bench->unitB, 'firmware' => $firmware]);
            $this->put('readings', ['run' => $run, 'channel' => 'push', 'text' => $text, 'confirmed' => 'in a test']);
            $this->json('PUT', '/api/runs/'.$run, [
                'trial' => $this->trial, 'article' => $this->bench->unitB, 'outcome' => 'held', 'version' => 1, 'firmware' => $firmware,
            ]);
            self::assertSame(200, $this->answered());
        }

        return $out;
    }
}
