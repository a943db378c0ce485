<?php

declare(strict_types=1);

namespace Lustrum\Tests\App;

use PHPUnit\Framework\Attributes\DataProvider;
use Symfony\Component\Uid\Uuid;

/** Plans of trials: what they would take and find, how far they came, and which run is next with which article. */
final class PlanTest extends ApiTestCase
{
    private const HEIGHT = ['name' => 'height', 'kind' => 'number', 'unit' => 'cm', 'harder' => 'more', 'levels' => ['20 cm', '40 cm']];

    private string $build = '';

    private string $method = '';

    /** @param array<string, mixed> $more of the method */
    private function world(array $more = []): void
    {
        $bench = $this->bench();
        $this->build = $this->put('revisions', [
            'device' => $bench->device, 'letter' => 'P', 'arms' => [
                ['name' => 'round', 'values' => [], 'planned' => 2], ['name' => 'oval', 'values' => [], 'planned' => 1],
            ],
        ]);
        $this->method = $this->put('methods', [
            'device' => $bench->device, 'name' => 'Drop', 'minutes' => 6.0, 'setUpMinutes' => 10.0, 'resetMinutes' => 2.0,
            'changeMinutes' => 4.0,
            'safety' => ['abort' => 'When it slips.'], 'factors' => [self::HEIGHT],
            'channels' => [['key' => 'blow', 'metric' => 'blow', 'unit' => 'N']],
            'questions' => [['metric' => 'opens', 'text' => 'Opens']],
            'usesUp' => [['what' => 'seed', 'kind' => 'material', 'amount' => 40.0, 'unit' => 'g']],
        ] + $more);
    }

    /**
     * @param array<string, mixed> $layout
     *
     * @return array<array-key, mixed>
     */
    private function look(array $layout): array
    {
        return $this->json('POST', '/api/methods/'.$this->method.'/plan', ['revision' => $this->build, 'layout' => $layout]);
    }

    public function testWhatAPlanTakesFindsAndCostsIsSaidBeforeItIsKept(): void
    {
        $this->world();
        $ladder = ['kind' => 'ladder', 'levels' => [['name' => 'height', 'levels' => ['40 cm', '20 cm']]], 'repeats' => 2];
        $plan = $this->look($ladder);

        // 10 to set up, 4 runs of 6, 3 resets of 2, one change of level of 4.
        self::assertSame('4 runs, about 44 min.', self::text($plan, 'sentence'));
        self::assertSame(['20 cm', '20 cm', '40 cm', '40 cm'], $plan['order']);
        self::assertSame(
            'blow: nobody knows the scatter of such runs yet, so nobody can say what 2 runs a side will find.',
            self::text($plan, 'finds', 0),
        );
        // One-sided: 1 − 0.05^(1/2) = 0.776.
        self::assertSame('opens: 2 that all hold on a side could still fail up to 78 % of the time.', self::text($plan, 'finds', 1));
        self::assertContains('It uses up 160 g of seed.', (array) $plan['costs']);
        self::assertSame(
            0, count((array) self::at($this->json('GET', '/api/revisions/'.$this->build.'/try'), 'trials')), 'Nothing is kept.',
        );
    }

    public function testTheScatterOfEarlierRunsSaysWhatAPlanCanFind(): void
    {
        $this->world();
        $earlier = $this->put('trials', ['revision' => $this->build, 'method' => $this->method, 'name' => 'Earlier']);
        foreach (['20 cm' => [10.0, 12.0, 14.0], '40 cm' => [30.0, 32.0, 34.0]] as $level => $values) {
            foreach ($values as $value) {
                $about = ['trial' => $earlier, 'levels' => [['name' => 'height', 'text' => $level]]];
                $run = $this->put('runs', $about);
                $this->put('readings', [
                    'run' => $run, 'channel' => 'blow', 'text' => number_format($value, 1).' N', 'confirmed' => 'as read',
                ]);
                $this->json('PUT', '/api/runs/'.$run, $about + ['outcome' => 'held', 'version' => 1]);
                self::assertSame(200, $this->answered());
            }
        }
        $plan = $this->look([
            'kind' => 'sweep', 'levels' => [['name' => 'height', 'levels' => ['20 cm', '40 cm']]], 'repeats' => 16,
            'order' => 'blocks',
        ]);

        // Within the levels the spread is 2 N, with four degrees, however far apart they lie; for n = 16 a side, power 0.8 at 95 %
        // two-sided: 1.02 sd (Cohen 1988, table 2.3.5), which is 2.0 N.
        self::assertSame(
            'blow: one run a side finds a difference of about 11 N, 16 find 2.0 N, four times out of five;'
                .' the scatter itself is known to ± 40 %.',
            self::text($plan, 'finds', 0),
        );
    }

    public function testTheNextRunIsThePlansWithTheArticleThatWasUsedLeast(): void
    {
        $this->world();
        $articles = [];
        foreach (['R-1' => 'round', 'R-2' => 'round', 'O-1' => 'oval'] as $serial => $arm) {
            $articles[$serial] = $this->put('articles', ['revision' => $this->build, 'serial' => $serial, 'arm' => $arm]);
        }
        $layout = [
            'kind' => 'pairs', 'arms' => ['round', 'oval'], 'repeats' => 2,
            'levels' => [['name' => 'height', 'levels' => ['20 cm']]],
        ];
        self::assertSame(
            'There is one article of oval: what the article is and what the variant is cannot be told apart. A second article of it would.',
            array_values(array_filter((array) $this->look($layout)['costs'], static fn (mixed $c): bool => is_string($c) && str_starts_with($c, 'There')))[0] ?? '',
        );
        $trial = $this->put('trials', [
            'revision' => $this->build, 'method' => $this->method, 'name' => 'Pairs', 'plannedRuns' => 99, 'layout' => $layout,
        ]);
        $plan = fn (): array => (array) self::at($this->json('GET', '/api/revisions/'.$this->build.'/try'), 'trials', 0, 'plan');
        $make = function (string $outcome, string $reason = '') use ($plan, $trial): string {
            $now = $plan();
            $about = ['trial' => $trial, 'article' => self::text($now, 'article'), 'levels' => (array) self::at($now, 'next', 'levels')];
            $run = $this->put('runs', $about);
            $this->json('PUT', '/api/runs/'.$run, $about + ['outcome' => $outcome, 'outcomeReason' => $reason, 'version' => 1]);
            self::assertSame(200, $this->answered());

            return self::text($now, 'serial');
        };

        self::assertSame('0 of 4 runs tried; 52 min to go.', self::text($plan(), 'sentence'));
        self::assertSame(
            4, self::at($this->json('GET', '/api/revisions/'.$this->build.'/try'), 'trials', 0, 'trial', 'plannedRuns'),
            'The plan says how many.',
        );
        self::assertSame(['R-1', 'O-1'], [$make('held'), $make('held')]);
        self::assertSame('R-2', $make('lost', 'It rolled off'), 'The other round one has done nothing yet.');
        self::assertSame('2 of 4 runs tried, 1 lost in handling; 28 min to go.', self::text($plan(), 'sentence'));
        $make('failed', 'The latch stuck');
        self::assertSame('O-1', $make('held'));
        self::assertSame('4 of 4 runs tried, 1 lost in handling: it is done.', self::text($plan(), 'sentence'));
        self::assertNull($plan()['next']);
        self::assertSame('failed', self::at($plan(), 'slots', 2, 'outcome'));
    }

    public function testASettingIsFoundFromItsEndsToTheMiddle(): void
    {
        $gap = ['name' => 'gap', 'unit' => 'mm', 'intended' => 0.8, 'tolerance' => 0.1, 'low' => 0.2, 'high' => 2.0, 'step' => 0.1];
        $this->world(['factors' => [], 'channels' => [], 'questions' => [], 'settings' => [$gap]]);
        $layout = ['kind' => 'setting', 'setting' => 'gap'];
        $trial = $this->put('trials', [
            'revision' => $this->build, 'method' => $this->method, 'name' => 'Gap', 'plannedRuns' => 0, 'layout' => $layout,
        ]);
        $plan = fn (): array => (array) self::at($this->json('GET', '/api/revisions/'.$this->build.'/try'), 'trials', 0, 'plan');
        $try = function (string $stands) use ($plan, $trial): string {
            $about = ['trial' => $trial, 'settings' => [(array) $plan()['sets']]];
            $run = $this->put('runs', $about);
            $this->json('PUT', '/api/runs/'.$run, $about + ['outcome' => 'held', 'stands' => $stands, 'version' => 1]);
            self::assertSame(200, $this->answered());
            $noticed = implode(' ', array_filter((array) $this->json('GET', '/api/runs/'.$run)['noticed'], is_string(...)));
            self::assertStringNotContainsString('0.8 mm', $noticed, 'What is set to another value on purpose deviates from nothing.');

            return self::text($about, 'settings', 0, 'text');
        };

        self::assertSame('gap: nothing tried yet; try 0.2 mm next, an end that nobody tried.', self::text($plan(), 'sentence'));
        self::assertSame(['0.2 mm', '2 mm', '1.1 mm'], [$try('low'), $try('high'), $try('high')]);
        // (0.2 + 1.1)/2 = 0.65, half a step goes up: 0.7.
        self::assertSame('gap: too low at 0.2 mm, too high at 1.1 mm; try 0.7 mm next, the middle.', self::text($plan(), 'sentence'));
        self::assertSame('gap 0.7 mm', self::text($plan(), 'next', 'text'));
        $try('good');
        self::assertSame('gap: good at 0.7 mm; too low at 0.2 mm, too high at 1.1 mm.', self::text($plan(), 'sentence'));
        self::assertNull($plan()['next']);
        self::assertSame(
            ['0.2 mm, too low', '2 mm, too high', '1.1 mm, too high', '0.7 mm, good'],
            array_column((array) $plan()['slots'], 'text'),
        );
        self::assertSame('', $plan()['widen']);
    }

    public function testARangeThatIsUsedUpAsksToBeWidened(): void
    {
        $gap = ['name' => 'gap', 'unit' => 'mm', 'low' => 1.0, 'high' => 2.0, 'step' => 1.0];
        $this->world(['factors' => [], 'settings' => [$gap, ['name' => 'speed', 'unit' => 'rpm']]]);
        $about = [
            'revision' => $this->build, 'method' => $this->method, 'name' => 'Gap',
            'layout' => ['kind' => 'setting', 'setting' => 'gap'],
        ];
        $trial = $this->put('trials', $about);
        foreach (['1 mm' => 'low', '2 mm' => 'high'] as $text => $stands) {
            $run = ['trial' => $trial, 'settings' => [['name' => 'gap', 'text' => $text]], 'stands' => $stands];
            $this->put('runs', $run);
        }
        $plan = (array) self::at($this->json('GET', '/api/revisions/'.$this->build.'/try'), 'trials', 0, 'plan');
        self::assertStringContainsString('no setting between: none of them is good', self::text($plan, 'sentence'));
        self::assertSame('Widen gap beyond 1 to 2 mm: no setting in that range was good', $plan['widen']);

        $this->put('runs', ['trial' => $trial, 'settings' => [['name' => 'gap', 'text' => '0.5 mm']], 'stands' => 'high']);
        $plan = (array) self::at($this->json('GET', '/api/revisions/'.$this->build.'/try'), 'trials', 0, 'plan');
        self::assertStringContainsString('one of these runs stood at something else', self::text($plan, 'sentence'));
        self::assertNull($plan['next']);

        foreach (['speed', 'colour', ''] as $none) {
            $answer = $this->json(
                'PUT', '/api/trials/'.Uuid::v7()->toRfc4122(), ['layout' => ['kind' => 'setting', 'setting' => $none]] + $about,
            );
            self::assertSame(
                [422, 'layout.setting'], [$this->answered(), self::text($answer, 'violations', 0, 'path')], 'It has no range.',
            );
        }
    }

    public function testAPlanTravelsWithItsDevice(): void
    {
        $this->world();
        $layout = [
            'kind' => 'matrix', 'arms' => ['round', 'oval'], 'repeats' => 3, 'order' => 'random', 'seed' => 11,
            'levels' => [['name' => 'height', 'levels' => ['20 cm', '40 cm']]],
            'leftOut' => [['levels' => [['name' => 'height', 'text' => '40 cm']], 'arm' => 'oval', 'reason' => 'It cracks at 30 cm']],
        ];
        $this->put('trials', ['revision' => $this->build, 'method' => $this->method, 'name' => 'All', 'layout' => $layout]);
        $device = self::text($this->json('GET', '/api/revisions/'.$this->build.'/try'), 'revision', 'device');
        $this->client->request('GET', '/api/devices/'.$device.'/export.json');
        $text = $this->client->getInternalResponse()->getContent();
        $file = (array) json_decode($text, true, 64, JSON_THROW_ON_ERROR);
        self::assertEquals($layout, array_intersect_key((array) self::at($file, 'trials', 0, 'layout'), $layout));
        self::assertArrayNotHasKey('instruments', $file, 'They belong to the workspace.');
        $this->raw('POST', '/api/workspaces/'.$this->workspace.'/import', $text);
        self::assertSame(201, $this->answered());
        $copies = array_filter(
            (array) $this->json('GET', '/api/workspaces/'.$this->workspace.'/devices'),
            static fn (mixed $card): bool => self::text((array) $card, 'device', 'id') !== $device,
        );
        $frame = $this->json('GET', '/api/devices/'.self::text(array_values($copies), 0, 'device', 'id').'/frame');
        $build = '';
        foreach ((array) $frame['spine'] as $tag) {
            $build = self::text((array) $tag, 'revision', 'letter') === 'P' ? self::text((array) $tag, 'revision', 'id') : $build;
        }
        $sheet = $this->json('GET', '/api/revisions/'.$build.'/try');
        self::assertSame('It cracks at 30 cm', self::text($sheet, 'trials', 0, 'plan', 'leftOut', 0, 'leftOut'));
        self::assertCount(9, (array) self::at($sheet, 'trials', 0, 'plan', 'slots'));
    }

    /** @return iterable<string, array{array<string, mixed>, string}> */
    public static function wrong(): iterable
    {
        $many = array_map(static fn (int $i): string => $i.' cm', range(1, 60));
        yield 'a million runs' => [
            ['kind' => 'sweep', 'repeats' => 100, 'levels' => [['name' => 'height', 'levels' => $many]]], 'layout.repeats',
        ];
        yield 'a level twice' => [['kind' => 'sweep', 'levels' => [['name' => 'height', 'levels' => ['20 cm', '0.2 m']]]], 'layout.levels'];
        yield 'what the method does not vary' => [
            ['kind' => 'sweep', 'levels' => [['name' => 'colour', 'levels' => ['red', 'blue']]]], 'layout.levels',
        ];
        yield 'no repeat' => [
            ['kind' => 'matrix', 'repeats' => 0, 'levels' => [['name' => 'height', 'levels' => ['20 cm', '40 cm']]]],
            'layout.repeats',
        ];
        yield 'left out without a reason' => [
            ['kind' => 'free', 'leftOut' => [['levels' => [], 'reason' => ' ']]], 'layout.leftOut[0].reason',
        ];
    }

    /** @param array<string, mixed> $layout */
    #[DataProvider('wrong')]
    public function testWhatCannotBeLaidOutIsSaidAtItsField(array $layout, string $path): void
    {
        $this->world();
        $about = ['revision' => $this->build, 'method' => $this->method, 'name' => 'Odd', 'layout' => $layout];
        $answer = $this->json('PUT', '/api/trials/'.Uuid::v7()->toRfc4122(), $about);

        self::assertSame([422, $path], [$this->answered(), self::text($answer, 'violations', 0, 'path')], json_encode($answer) ?: '');
        self::assertSame(422, (function () use ($layout): int {
            $this->look($layout);

            return $this->answered();
        })());
    }

    /** What the method no longer varies cannot be begun: the plan stays, and is laid out anew. */
    public function testAPlanWhoseMethodChangedStandsAside(): void
    {
        $this->world();
        $layout = ['kind' => 'ladder', 'levels' => [['name' => 'height', 'levels' => ['20 cm', '40 cm']]]];
        $this->put('trials', ['revision' => $this->build, 'method' => $this->method, 'name' => 'Ladder', 'layout' => $layout]);
        $sheet = $this->json('GET', '/api/methods/'.$this->method.'/sheet');
        $kept = $this->json('PUT', '/api/methods/'.$this->method, [
            'device' => self::text($sheet, 'method', 'device'), 'name' => 'Drop', 'safety' => ['abort' => 'When it slips.'], 'version' => 1,
        ]);
        self::assertSame(200, $this->answered(), json_encode($kept) ?: '');
        $row = (array) self::at($this->json('GET', '/api/revisions/'.$this->build.'/try'), 'trials', 0);

        self::assertNull($row['plan']);
        self::assertSame('ladder', self::at($row, 'trial', 'layout', 'kind'));
    }

    public function testWhatCanBeTriedNowPutsMustsFirstAndLeavesOutWhatWaits(): void
    {
        $this->world(['questions' => [['metric' => 'opens', 'text' => 'Opens']]]);
        $device = self::text($this->json('GET', '/api/revisions/'.$this->build.'/try'), 'revision', 'device');
        $this->put('requirements', [
            'device' => $device, 'statement' => 'It blows softly', 'metric' => 'blow', 'unit' => 'N', 'limit' => 40.0,
            'direction' => 'atMost', 'kind' => 'mean', 'must' => true,
        ]);
        $other = $this->put('methods', [
            'device' => $device, 'name' => 'Look', 'safety' => ['abort' => 'Never.'],
            'questions' => [['metric' => 'neat', 'text' => 'Neat']],
        ]);
        $names = ['Look' => [$other, 1], 'Long drop' => [$this->method, 6], 'Short drop' => [$this->method, 2]];
        $trials = [];
        foreach ($names as $name => [$method, $planned]) {
            $trials[$name] = $this->put('trials', [
                'revision' => $this->build, 'method' => $method, 'name' => $name, 'plannedRuns' => $planned,
            ]);
        }
        $waits = [
            'revision' => $this->build, 'method' => $this->method, 'name' => 'Wet drop', 'plannedRuns' => 1,
            'waitsFor' => ['rain', 'the permit'],
        ];
        $wet = $this->put('trials', $waits);
        $this->put('trials', ['revision' => $this->build, 'method' => $this->method, 'name' => 'Done', 'state' => 'done']);
        $try = $this->json('GET', '/api/revisions/'.$this->build.'/try');

        self::assertSame([
            'Short drop: 2 runs are left; a must rests on it.', 'Long drop: 6 runs are left; a must rests on it.',
            'Look: one run and it is done.',
        ], array_column((array) $try['now'], 'sentence'));
        $rows = array_column((array) $try['trials'], 'waits', null);
        self::assertContains('It waits for rain and the permit.', $rows);

        $this->json('PUT', '/api/trials/'.$wet, ['waitsFor' => [], 'version' => 1] + $waits);
        self::assertSame('Wet drop: one run and it is done; a must rests on it.', self::text(
            $this->json('GET', '/api/revisions/'.$this->build.'/try'), 'now', 0, 'sentence',
        ));
    }

    /** What failed with a method and is not closed is tried before what nobody waits for. */
    public function testAnOpenFailureIsTriedFirst(): void
    {
        $this->world();
        $device = self::text($this->json('GET', '/api/revisions/'.$this->build.'/try'), 'revision', 'device');
        $look = $this->put('methods', [
            'device' => $device, 'name' => 'Look', 'safety' => ['abort' => 'Never.'],
            'questions' => [['metric' => 'neat', 'text' => 'Neat']],
        ]);
        $this->put('trials', ['revision' => $this->build, 'method' => $look, 'name' => 'A look', 'plannedRuns' => 1]);
        $trial = $this->put('trials', ['revision' => $this->build, 'method' => $this->method, 'name' => 'Drops', 'plannedRuns' => 5]);
        $run = $this->put('runs', [
            'trial' => $trial, 'levels' => [['name' => 'height', 'text' => '40 cm']], 'outcome' => 'failed',
            'outcomeReason' => 'It cracked.',
        ]);
        $this->put('failures', ['revision' => $this->build, 'mode' => 'Cracked rim', 'run' => $run]);

        self::assertSame([
            'Drops: 4 runs are left; Cracked rim failed there and is not closed.', 'A look: one run and it is done.',
        ], array_column((array) $this->json('GET', '/api/revisions/'.$this->build.'/try')['now'], 'sentence'));
    }

    /** What a plan did not come to is the first plan of the next time. */
    public function testTheRestOfAPlanBecomesATrial(): void
    {
        $this->world();
        $layout = ['kind' => 'ladder', 'repeats' => 2, 'levels' => [['name' => 'height', 'levels' => ['20 cm', '40 cm', '60 cm']]]];
        $trial = $this->put('trials', [
            'revision' => $this->build, 'method' => $this->method, 'name' => 'Ladder', 'question' => 'How high?',
            'layout' => $layout,
        ]);
        foreach (['20 cm', '20 cm', '40 cm'] as $level) {
            $this->put('runs', ['trial' => $trial, 'levels' => [['name' => 'height', 'text' => $level]], 'outcome' => 'held']);
        }
        $next = Uuid::v7()->toRfc4122();
        $rest = $this->json('POST', '/api/trials/'.$trial.'/rest', ['trial' => $next]);
        self::assertSame([201, 'Ladder, the rest', 'How high?', 4], [
            $this->answered(), $rest['name'], $rest['question'], $rest['plannedRuns'],
        ]);
        self::assertEquals([['levels' => [['name' => 'height', 'text' => '20 cm']], 'arm' => '', 'reason' => 'done in Ladder']], array_map(
            static fn (mixed $cell): array => array_intersect_key((array) $cell, ['levels' => 1, 'arm' => 1, 'reason' => 1]),
            (array) self::at($rest, 'layout', 'leftOut'),
        ));

        $free = $this->put('trials', ['revision' => $this->build, 'method' => $this->method, 'name' => 'Free']);
        $said = $this->json('POST', '/api/trials/'.$free.'/rest', ['trial' => Uuid::v7()->toRfc4122()]);
        self::assertSame(
            [422, 'Its runs were not laid out, so there is no rest of a plan. Start a trial as any.'],
            [$this->answered(), $said['detail']],
        );
        foreach (['40 cm', '60 cm', '60 cm'] as $level) {
            $this->put('runs', ['trial' => $trial, 'levels' => [['name' => 'height', 'text' => $level]], 'outcome' => 'held']);
        }
        $said = $this->json('POST', '/api/trials/'.$trial.'/rest', ['trial' => Uuid::v7()->toRfc4122()]);
        self::assertSame([422, 'All of it was done. There is nothing left to plan.'], [$this->answered(), $said['detail']]);
    }

    public function testAFavouriteIsDeclaredBeforeTheFirstResult(): void
    {
        $this->world();
        $body = ['revision' => $this->build, 'method' => $this->method, 'name' => 'Drops', 'plannedRuns' => 3];
        $favourites = [['name' => 'Ines', 'text' => 'oval'], ['name' => 'Yusuf', 'text' => 'round']];
        $trial = $this->put('trials', $body + ['favourites' => $favourites]);
        $this->json('PUT', '/api/trials/'.$trial, ['favourites' => [['name' => 'Ines', 'text' => 'round']], 'version' => 1] + $body);
        self::assertSame(200, $this->answered(), 'Until there is a result anybody may think again.');
        $run = $this->put('runs', ['trial' => $trial, 'levels' => [['name' => 'height', 'text' => '40 cm']]]);
        $this->json('PUT', '/api/runs/'.$run, [
            'trial' => $trial, 'levels' => [['name' => 'height', 'text' => '40 cm']], 'outcome' => 'held', 'version' => 1,
        ]);

        $row = (array) self::at($this->json('GET', '/api/revisions/'.$this->build.'/try'), 'trials', 0);
        self::assertSame('Said before the first result: Ines favours round.', $row['favoured']);
        $version = self::at($row, 'trial', 'version');
        $said = $this->json('PUT', '/api/trials/'.$trial, ['favourites' => $favourites, 'version' => $version] + $body);
        self::assertSame([422, 'favourites'], [$this->answered(), self::text($said, 'violations', 0, 'path')]);
        $this->json(
            'PUT', '/api/trials/'.$trial,
            ['question' => 'Which?', 'favourites' => [['name' => 'Ines', 'text' => 'round']], 'version' => $version] + $body,
        );
        self::assertSame(200, $this->answered(), json_encode($this->json('GET', '/api/session')) ?: '');
    }

    /** Of variants that differ in two things nobody can tell which of them did it. */
    public function testWhatChangesTogetherOverTheVariantsIsNamedWithWhatWouldTellItApart(): void
    {
        $this->world();
        $device = self::text($this->json('GET', '/api/revisions/'.$this->build.'/try'), 'revision', 'device');
        $arm = static fn (string $name, string $wall, string $rib): array => [
            'name' => $name, 'planned' => 2, 'values' => [['name' => 'wall', 'text' => $wall], ['name' => 'rib', 'text' => $rib]],
        ];
        $this->build = $this->put('revisions', ['device' => $device, 'letter' => 'R', 'arms' => [
            $arm('thin', '2 mm', '4 mm'), $arm('thick', '3 mm', '8 mm'),
        ]]);
        $levels = [['name' => 'height', 'levels' => ['40 cm']]];
        $said = implode(' ', array_map(strval(...), array_filter(
            (array) $this->look(['kind' => 'pairs', 'levels' => $levels, 'arms' => ['thin', 'thick']])['costs'], is_string(...),
        )));
        self::assertStringContainsString('wall and rib change together over these variants', $said);
        self::assertMatchesRegularExpression('/One more variant would: (wall 3 mm with rib 4 mm|wall 2 mm with rib 8 mm)\./', $said);

        $this->build = $this->put('revisions', [
            'device' => $device, 'letter' => 'S',
            'arms' => [$arm('thin', '2 mm', '4 mm'), $arm('thick', '3 mm', '4 mm'), $arm('ribbed', '2 mm', '8 mm')],
        ]);
        $said = json_encode($this->look(['kind' => 'matrix', 'levels' => $levels, 'arms' => ['thin', 'thick', 'ribbed']]), \JSON_UNESCAPED_UNICODE) ?: '';
        self::assertStringNotContainsString('change together', $said, 'Each is held apart by one of them.');
    }

    public function testATimedPlanTakesItsTimeAndSaysWhenItIsOver(): void
    {
        $this->world();
        $layout = ['kind' => 'timed', 'minutes' => 60.0, 'repeats' => 2, 'levels' => [['name' => 'height', 'levels' => ['20 cm']]]];
        // 10 to set up, twice 60, and 2 to put back in between.
        self::assertSame('2 runs, about 2 h 12 min.', self::text($this->look($layout), 'sentence'));
        $trial = $this->put('trials', ['revision' => $this->build, 'method' => $this->method, 'name' => 'Endurance', 'layout' => $layout]);
        $run = $this->put('runs', ['trial' => $trial, 'levels' => [['name' => 'height', 'text' => '20 cm']]]);
        $console = (array) $this->json('GET', '/api/runs/'.$run)['console'];
        self::assertSame([['its planned time is over', [3600]]], array_map(
            static fn (mixed $look): array => [((array) $look)['what'], ((array) $look)['due']], (array) $console['looks'],
        ));
        $said = $this->look(['minutes' => 0.0] + $layout);
        self::assertSame([422, 'How long does each run last?'], [$this->answered(), $said['detail']]);
    }

    public function testACheckListAsksEveryQuestionOfEachArticle(): void
    {
        $this->world();
        $trial = $this->put('trials', [
            'revision' => $this->build, 'method' => $this->method, 'name' => 'Before it goes out',
            'layout' => ['kind' => 'checks', 'repeats' => 3],
        ]);
        $row = (array) self::at($this->json('GET', '/api/revisions/'.$this->build.'/try'), 'trials', 0);
        self::assertCount(3, (array) self::at($row, 'plan', 'slots'));
        self::assertSame(3, self::at($row, 'trial', 'plannedRuns'));
        self::assertNotSame('', $trial);

        $device = self::text($this->json('GET', '/api/revisions/'.$this->build.'/try'), 'revision', 'device');
        $silent = $this->put('methods', ['device' => $device, 'name' => 'Silent', 'safety' => ['abort' => 'Never.']]);
        $said = $this->json('PUT', '/api/trials/'.Uuid::v7()->toRfc4122(), [
            'revision' => $this->build, 'method' => $silent, 'name' => 'Nothing', 'layout' => ['kind' => 'checks', 'repeats' => 3],
        ]);
        self::assertSame([422, 'layout.kind'], [$this->answered(), self::text($said, 'violations', 0, 'path')]);
    }
}
