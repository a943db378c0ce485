<?php

declare(strict_types=1);

namespace Lustrum\Tests\App;

use Lustrum\Core\Run\Row;
use PHPUnit\Framework\Attributes\DataProvider;
use Symfony\Component\Uid\Uuid;

/** Methods as instructions: editions, what must have held first, who must agree, instruments that fit or do not, use here. */
final class MethodTest extends ApiTestCase
{
    private const SAFE = ['safety' => ['abort' => 'When it slips.']];

    public function testOnlyWhatResultsRestOnMakesAnotherEdition(): void
    {
        $bench = $this->bench();
        $body = [
            'device' => $bench->device, 'name' => 'Twist', 'endPoint' => 'Ten turns',
            'constants' => [['key' => 'arm', 'value' => 250.0, 'unit' => 'mm']],
            'channels' => [
                ['key' => 'pull', 'metric' => 'pull', 'unit' => 'N'],
                ['key' => 'torque', 'metric' => 'torque', 'unit' => 'N·m', 'formula' => 'pull * arm'],
            ],
        ] + self::SAFE;
        $method = $this->put('methods', $body);
        $trial = $this->put('trials', ['revision' => $bench->a, 'method' => $method, 'name' => 'Twisting']);
        $run = $this->put('runs', ['trial' => $trial]);
        $this->put('readings', ['run' => $run, 'channel' => 'pull', 'text' => '20.0 N']);
        self::assertStringContainsString('5.00', self::text($this->json('GET', '/api/runs/'.$run), 'derived', 0, 'text'));

        $this->change('methods', $method, ['purpose' => 'How stiff is it?'] + $body, 1);
        self::assertSame([2, 1], $this->counts($method), 'A purpose is no edition.');
        $this->change(
            'methods', $method,
            ['purpose' => 'How stiff is it?', 'constants' => [['key' => 'arm', 'value' => 300.0, 'unit' => 'mm']]] + $body, 2,
        );
        self::assertSame([3, 2], $this->counts($method));

        $later = $this->put('runs', ['trial' => $trial]);
        $this->put('readings', ['run' => $later, 'channel' => 'pull', 'text' => '20.0 N']);
        self::assertStringContainsString('6.00', self::text($this->json('GET', '/api/runs/'.$later), 'derived', 0, 'text'));
        $first = $this->json('GET', '/api/runs/'.$run);
        self::assertStringContainsString(
            '5.00', self::text($first, 'derived', 0, 'text'), 'Results keep the edition that they were made with.',
        );
        self::assertSame('1', self::text($first, 'asked', 'version'));
        $sheet = $this->json('GET', '/api/methods/'.$method.'/sheet');
        self::assertSame('Arm: was 250, is 300.', self::text($sheet, 'editions', 0, 'changes', 0));
        $tie = self::text($sheet, 'editions', 0, 'tie');
        self::assertStringContainsString('edition 1 (1 run) and of edition 2 (1 run) are not simply alike', $tie);
        self::assertStringContainsString('3 runs under each', $tie);
        self::assertStringStartsWith('Twist: 2 runs, edition 2.', self::text($sheet, 'sentence'));
    }

    public function testWhatMustHaveHeldIsAnOrderThatIsKept(): void
    {
        $bench = $this->bench();
        $height = [
            'name' => 'height', 'kind' => 'number', 'unit' => 'cm', 'levels' => ['20 cm', '40 cm'], 'harder' => 'more',
            'climbs' => true,
        ];
        $drop = $this->put('methods', ['device' => $bench->device, 'name' => 'Drop', 'factors' => [$height]] + self::SAFE);
        $ride = $this->put('methods', [
            'device' => $bench->device, 'name' => 'Ride',
            'before' => [['method' => 'Drop', 'levels' => ['height: 20 cm'], 'why' => 'first without a person']],
        ] + self::SAFE);
        $dropping = $this->put('trials', ['revision' => $bench->a, 'method' => $drop, 'name' => 'Dropping']);
        $riding = $this->put('trials', ['revision' => $bench->a, 'method' => $ride, 'name' => 'Riding']);
        $begin = function (string $trial, array $more = []): array {
            $answer = $this->json('PUT', '/api/runs/'.Uuid::v7()->toRfc4122(), ['trial' => $trial] + $more);

            return [$this->answered(), self::text($answer, 'violations', 0, 'path'), self::text($answer, 'violations', 0, 'message')];
        };

        [$status, $path, $words] = $begin($riding);
        self::assertSame([422, 'ahead'], [$status, $path]);
        self::assertStringStartsWith(
            'Drop at height 20 cm or harder must have held on the same configuration: first without a person.', $words,
        );
        self::assertSame([422, 'ahead'], array_slice($begin($dropping, ['levels' => [['name' => 'height', 'text' => '40 cm']]]), 0, 2));

        $ahead = ['ahead' => ['by' => 'Maren', 'note' => 'The rig is new, the drop is not']];
        $run = $this->put('runs', ['trial' => $riding] + $ahead);
        self::assertContains(
            'Maren went ahead although something that must have held before had not: The rig is new, the drop is not.',
            (array) $this->json('GET', '/api/runs/'.$run)['noticed'],
        );

        $first = $this->put('runs', ['trial' => $dropping, 'levels' => [['name' => 'height', 'text' => '20 cm']]]);
        self::assertSame(422, $begin($riding)[0], 'It has not ended.');
        $this->change(
            'runs', $first, ['trial' => $dropping, 'levels' => [['name' => 'height', 'text' => '20 cm']], 'outcome' => 'held'], 1,
        );
        self::assertSame(201, $begin($riding)[0]);
        self::assertSame(201, $begin($dropping, ['levels' => [['name' => 'height', 'text' => '40 cm']]])[0]);
        $this->put('parts', ['revision' => $bench->a, 'name' => 'Thinner arm']);
        self::assertSame([422, 'ahead'], array_slice($begin($riding), 0, 2), 'It is another configuration now.');
    }

    public function testWhoMustAgreeDoesSoInOrder(): void
    {
        $bench = $this->bench();
        $method = $this->put('methods', [
            'device' => $bench->device, 'name' => 'Fly',
            'safety' => ['abort' => 'In gusts.', 'agreedBy' => ['the landowner', 'the safety officer']],
        ]);
        $about = ['revision' => $bench->a, 'method' => $method, 'name' => 'Flying'];
        $officer = ['by' => 'Bram', 'as' => 'the safety officer'];
        $owner = ['by' => 'Odile', 'as' => 'The landowner', 'note' => 'Far field only'];
        $early = $this->json('PUT', '/api/trials/'.Uuid::v7()->toRfc4122(), ['signOffs' => [$officer]] + $about);
        self::assertSame(
            'In this order: the landowner agrees before the safety officer does.', self::text($early, 'violations', 0, 'message'),
        );
        $trial = $this->put('trials', $about);
        $begin = function () use ($trial): string {
            $answer = $this->json('PUT', '/api/runs/'.Uuid::v7()->toRfc4122(), ['trial' => $trial]);

            return $this->answered() === 201 ? 'begun' : self::text($answer, 'violations', 0, 'message');
        };
        $next = fn (): mixed => self::at($this->json('GET', '/api/revisions/'.$bench->a.'/try'), 'trials', 0, 'agreesNext');

        self::assertStringStartsWith('The landowner must agree before the first run.', $begin());
        $this->change('trials', $trial, ['signOffs' => [$owner]] + $about, 1);
        self::assertSame('the safety officer', $next());
        self::assertStringStartsWith('The safety officer must agree', $begin());
        $this->change('trials', $trial, ['signOffs' => [$owner, $officer]] + $about, 2);
        self::assertNull($next());
        self::assertSame('begun', $begin());
        // The method asks for somebody before them now: who agreed goes on having agreed, and the trial can still be edited.
        $this->json('PUT', '/api/methods/'.$method, [
            'device' => $bench->device, 'name' => 'Fly', 'version' => 1,
            'safety' => ['abort' => 'In gusts.', 'agreedBy' => ['the pilot', 'the landowner', 'the safety officer']],
        ]);
        $stand = array_filter(
            (array) self::at($this->json('GET', '/api/revisions/'.$bench->a.'/try'), 'trials', 0, 'trial', 'signOffs'),
            is_array(...),
        );
        $this->change('trials', $trial, ['name' => 'Flying again', 'signOffs' => $stand] + $about, (int) self::text(
            $this->json('GET', '/api/revisions/'.$bench->a.'/try'), 'trials', 0, 'trial', 'version',
        ));
        self::assertStringStartsWith('The pilot must agree', $begin());
    }

    /** Before there were editions, runs were made with the version of the record. */
    public function testAFileOfBeforeEditionsKeepsCounting(): void
    {
        $bench = $this->bench();
        $this->client->request('GET', '/api/devices/'.$bench->device.'/export.json');
        $file = (array) json_decode($this->client->getInternalResponse()->getContent(), true, 64, JSON_THROW_ON_ERROR);
        $method = (array) self::at($file, 'methods', 0);
        unset($method['edition']);
        $file['methods'] = [['origin' => ['version' => 3] + (array) $method['origin']] + $method];
        $made = $this->json('POST', '/api/workspaces/'.$this->workspace.'/import', $file);
        self::assertSame(201, $this->answered(), json_encode($made) ?: '');
        $device = self::text($made, 'device');
        $id = self::text($this->json('GET', '/api/devices/'.$device.'/methods'), 'methods', 0, 'id');

        self::assertSame([3, 3], $this->counts($id));
    }

    public function testAnInstrumentFitsOrSaysWhyNot(): void
    {
        $bench = $this->bench();
        $cell = [
            'workspace' => $this->workspace, 'name' => 'Load cell', 'unit' => 'N', 'resolution' => 1.0, 'lag' => '200 ms',
            'rate' => '10 Hz',
        ];
        $instrument = $this->put('instruments', $cell + ['checkedOn' => '2020-02-20', 'checkMonths' => 12]);
        $channel = [
            'key' => 'peak', 'metric' => 'peak', 'unit' => 'kN', 'instrument' => 'load cell', 'lasts' => '0.3 s',
            'difference' => 0.02,
        ];
        $method = $this->put('methods', ['device' => $bench->device, 'name' => 'Hit', 'channels' => [$channel]] + self::SAFE);
        $notes = fn (): string => implode(' ', array_filter(
            (array) self::at($this->json('GET', '/api/methods/'.$method.'/sheet'), 'sections', 0, 'lines', 0, 'notes'), is_string(...),
        ));

        self::assertSame(
            'Load cell does not fit. It reaches 78 % of a step within the event; 95 % are needed: it shows less than there is. '
            .'3 samples within the event; 10 are needed: it may miss the peak.', $notes(),
        );
        $library = $this->json('GET', '/api/devices/'.$bench->device.'/methods');
        self::assertStringContainsString(
            '1 reads with an instrument that does not fit; 1 instrument is due for its check', self::text($library, 'sentence'),
        );
        self::assertStringContainsString('due since Sat 20 Feb 2021', self::text($library, 'instruments', 0, 'checked'));
        self::assertStringEndsWith(': Hit', self::text($library, 'instruments', 0, 'readBy', 0));

        $this->change('instruments', $instrument, ['name' => 'Quick cell', 'lag' => '20 ms', 'rate' => 50.0] + $cell, 1);
        self::assertSame('', $notes(), 'Renamed, it is still the one that the method means.');
        $this->change('instruments', $instrument, ['name' => 'Quick cell', 'unit' => 'kg'] + $cell, 2);
        self::assertSame('Quick cell shows kg, which is no kN.', $notes());
        $twin = $this->json('PUT', '/api/instruments/'.Uuid::v7()->toRfc4122(), ['name' => 'QUICK CELL'] + $cell);
        self::assertSame('name', self::text($twin, 'violations', 0, 'path'));
    }

    public function testARehearsalIsHeldAgainstItsUse(): void
    {
        $bench = $this->bench();
        $use = $this->put('uses', ['device' => $bench->device, 'name' => 'Beds', 'loads' => [['what' => 'Mass', 'text' => '20 kg'], [
            'what' => 'speed', 'text' => '4 km/h',
        ]]]);
        $method = $this->put('methods', ['device' => $bench->device, 'name' => 'Tow', 'use' => $use, 'carries' => [['what' => 'mass', 'text' => '5000 g']]] + self::SAFE);

        self::assertSame(
            'It carries 25 % of the mass (15.0 kg short), and nothing of the speed.',
            self::text($this->json('GET', '/api/methods/'.$method.'/sheet'), 'carries'),
        );
    }

    public function testWhatARehearsalShowsIsSaidToBeAPart(): void
    {
        $bench = $this->bench();
        $use = $this->put('uses', ['device' => $bench->device, 'name' => 'Beds', 'loads' => [['what' => 'mass', 'text' => '20 kg']]]);
        $tow = ['device' => $bench->device, 'name' => 'Tow', 'use' => $use, 'questions' => [['metric' => 'rolls', 'text' => 'It rolls']]] + self::SAFE;
        $method = $this->put('methods', ['carries' => [['what' => 'mass', 'text' => '5 kg']]] + $tow);
        $trial = $this->put('trials', ['revision' => $bench->b, 'method' => $method, 'name' => 'Towing']);
        $weigh = fn (): array => (array) $this->json('GET', '/api/revisions/'.$bench->b.'/weigh')['rehearsed'];
        $run = $this->put('runs', ['trial' => $trial, 'article' => $bench->unitB]);
        $noticed = fn (): string => implode(' ', array_map(Row::text(...), (array) $this->json('GET', '/api/runs/'.$run)['noticed']));
        self::assertSame([], $weigh(), 'Nothing has ended.');
        self::assertStringNotContainsString('Beds', $noticed());

        $this->change('runs', $run, ['trial' => $trial, 'article' => $bench->unitB, 'outcome' => 'held'], 1);
        self::assertStringContainsString('Of “Beds”, it carries 25 % of the mass (15.0 kg short).', $noticed());
        self::assertSame([[
            'use' => $use, 'sentence' => 'Trials on B carry at most 25 % of the mass (15.0 kg short).',
            'methods' => [['method' => $method, 'name' => 'Tow', 'sentence' => 'It carries 25 % of the mass (15.0 kg short).']],
        ]], $weigh());

        $this->change('methods', $method, ['carries' => [['what' => 'mass', 'text' => '20 kg']]] + $tow, 1);
        self::assertSame([], $weigh(), 'All of it is carried.');
        self::assertStringNotContainsString('Beds', $noticed());
    }

    public function testAMethodOfAnotherDeviceIsUsedHere(): void
    {
        $bench = $this->bench();
        $here = $this->put('devices', ['workspace' => $this->workspace, 'name' => 'Cart']);
        $use = $this->put('uses', ['device' => $bench->device, 'name' => 'Beds']);
        $from = $this->put('methods', [
            'device' => $bench->device, 'name' => 'Tow', 'use' => $use, 'channels' => [['key' => 'pull', 'metric' => 'pull', 'unit' => 'N', 'calibration' => [
                ['shown' => 0.0, 'really' => 1.0], ['shown' => 10.0, 'really' => 11.5],
            ]]], 'ready' => [['what' => 'cooled', 'minutes' => 20.0]],
        ] + self::SAFE);
        $id = Uuid::v7()->toRfc4122();
        foreach ([1, 2] as $ignored) {
            $this->json('POST', '/api/devices/'.$here.'/methods', ['id' => $id, 'method' => $from]);
            self::assertSame(200, $this->answered(), 'Sent twice, it is one.');
        }
        $copy = $this->json('GET', '/api/methods/'.$id.'/sheet');
        self::assertSame([$here, 'cooled'], [self::text($copy, 'method', 'device'), self::text($copy, 'method', 'ready', 0, 'what')]);
        self::assertNull(self::at($copy, 'method', 'use'), 'A use of the other device stays there.');
        self::assertSame(11.5, self::at($copy, 'method', 'channels', 0, 'calibration', 1, 'really'));
        $this->change('methods', $id, ['device' => $here, 'name' => 'Pull'] + self::SAFE, 1);
        self::assertSame('Tow', self::text($this->json('GET', '/api/methods/'.$from.'/sheet'), 'method', 'name'), 'Each goes its own way.');
        self::assertCount(1, (array) $this->json('GET', '/api/devices/'.$here.'/methods')['methods']);
        self::assertCount(2, (array) $this->json('GET', '/api/devices/'.$here.'/methods')['elsewhere']);
        $this->json('POST', '/api/devices/'.$bench->device.'/methods', ['id' => Uuid::v7()->toRfc4122(), 'method' => $from]);
        self::assertSame(422, $this->answered(), 'It is here already.');
    }

    /** 12 V through 30 Ω is 0.40 A; the third run says 4.0 A, as somebody read the wrong line of the display. */
    public function testReadingsThatDoNotAgreeAreSaidWithTheOneThatIsDoubted(): void
    {
        $bench = $this->bench();
        $channel = static fn (string $key, string $unit, string $measures): array => [
            'key' => $key, 'metric' => $key, 'unit' => $unit, 'measures' => $measures,
        ];
        $method = $this->put('methods', ['device' => $bench->device, 'name' => 'Heat', 'channels' => [
            $channel('volts', 'V', 'voltage'), $channel('amps', 'A', 'current'), $channel('ohms', 'Ω', 'resistance'),
        ]] + self::SAFE);
        $trial = $this->put('trials', ['revision' => $bench->a, 'method' => $method, 'name' => 'Heating']);
        $noticed = function (string ...$texts) use ($trial): string {
            $run = $this->put('runs', ['trial' => $trial]);
            foreach ($texts as $channel => $text) {
                $this->put('readings', ['run' => $run, 'channel' => $channel, 'text' => $text, 'confirmed' => 'as read']);
            }
            $said = implode(' ', array_filter((array) $this->json('GET', '/api/runs/'.$run)['noticed'], is_string(...)));
            $this->json('PUT', '/api/runs/'.$run, ['trial' => $trial, 'outcome' => 'held', 'version' => 1]);
            self::assertSame(200, $this->answered());

            return $said;
        };

        $first = $noticed(volts: '12.0 V', amps: '4.00 A', ohms: '30.0 Ω');
        self::assertStringContainsString('Voltage, current and resistance do not agree', $first);
        self::assertStringContainsString('voltage and resistance imply a current of 0.400 A', $first);
        self::assertStringContainsString('One of them is wrong, or was read at another moment.', $first);
        foreach ([1, 2] as $ignored) {
            self::assertStringNotContainsString('do not agree', $noticed(volts: '12.1 V', amps: '0.40 A', ohms: '30.1 Ω'));
        }
    }

    /** @return iterable<string, array{array<string, mixed>, string}> */
    public static function wrong(): iterable
    {
        $channel = ['key' => 'pull', 'metric' => 'pull', 'unit' => 'N'];
        yield 'a calibration of one point' => [
            ['channels' => [['calibration' => [['shown' => 1.0, 'really' => 2.0]]] + $channel]], 'channels[0].calibration',
        ];
        yield 'a constant called as a channel' => [
            ['channels' => [$channel], 'constants' => [['key' => 'pull', 'value' => 2.0]]], 'constants[0].key',
        ];
        yield 'another kind of quantity' => [['channels' => [['measures' => 'voltage'] + $channel]], 'channels[0].measures'];
        yield 'the same quantity twice' => [
            ['channels' => [['measures' => 'massLost', 'unit' => 'g'] + $channel, [
                'key' => 'b', 'metric' => 'b', 'measures' => 'massLost', 'unit' => 'g',
            ]]],
            'channels[1].measures',
        ];
        yield 'a quantity that no relation knows' => [['channels' => [['measures' => 'torsion'] + $channel]], 'channels[0].measures'];
        yield 'an event of no time' => [['channels' => [['lasts' => '0 s'] + $channel]], 'channels[0].lasts'];
        yield 'an event in newtons' => [['channels' => [['lasts' => '3 N'] + $channel]], 'channels[0].lasts'];
        yield 'a level twice' => [
            ['factors' => [['name' => 'height', 'kind' => 'number', 'unit' => 'cm', 'levels' => ['20 cm', '200 mm']]]],
            'factors[0].levels',
        ];
        yield 'levels that wait, but not written down' => [
            ['factors' => [['name' => 'height', 'kind' => 'number', 'unit' => 'cm', 'harder' => 'more', 'climbs' => true]]],
            'factors[0].levels',
        ];
        yield 'a range that runs backwards' => [
            ['settings' => [['name' => 'gap', 'unit' => 'mm', 'low' => 3.0, 'high' => 1.0]]], 'settings[0].high',
        ];
        yield 'so much of nothing' => [['carries' => [['what' => 'mass', 'text' => 'a lot']]], 'carries[0].text'];
        yield 'the same thing twice' => [
            ['carries' => [['what' => 'mass', 'text' => '2 kg'], ['what' => 'Mass', 'text' => '3 kg']]], 'carries[1].what',
        ];
    }

    /** @param array<string, mixed> $wrong */
    #[DataProvider('wrong')]
    public function testWhatIsWrongIsSaidAtItsField(array $wrong, string $path): void
    {
        $bench = $this->bench();
        $answer = $this->json(
            'PUT', '/api/methods/'.Uuid::v7()->toRfc4122(), ['device' => $bench->device, 'name' => 'Odd'] + $wrong + self::SAFE,
        );

        self::assertSame([422, $path], [$this->answered(), self::text($answer, 'violations', 0, 'path')], json_encode($answer) ?: '');
    }

    /** @param array<string, mixed> $body */
    private function change(string $kind, string $id, array $body, int $version): void
    {
        $answer = $this->json('PUT', '/api/'.$kind.'/'.$id, $body + ['version' => $version]);
        self::assertSame(200, $this->answered(), json_encode($answer) ?: '');
    }

    /** @return array{mixed, mixed} version of the record, and edition */
    private function counts(string $method): array
    {
        $sheet = $this->json('GET', '/api/methods/'.$method.'/sheet');

        return [self::at($sheet, 'method', 'version'), self::at($sheet, 'method', 'edition')];
    }

    public function testIdeasAndComplaintsStandOnItsSheetUntilTheyAreSettled(): void
    {
        $bench = $this->bench();
        $about = ['revision' => $bench->a, 'method' => $bench->method, 'text' => 'The hook slips off at 40 N'];
        $remark = $this->put('observations', $about);
        $this->put('observations', [
            'revision' => $bench->a, 'method' => $bench->method, 'text' => 'Tape on the rail', 'explained' => 'Edition 2 has it',
        ]);
        $sheet = $this->json('GET', '/api/methods/'.$bench->method.'/sheet');
        self::assertSame(
            ['The hook slips off at 40 N', 'Tape on the rail'], array_column((array) $sheet['remarks'], 'text'),
            'What is not settled comes first.',
        );
        self::assertNotNull($sheet['build']);
        $this->json('PUT', '/api/observations/'.$remark, ['explained' => 'A longer hook', 'version' => 1] + $about);
        self::assertSame('A longer hook', self::text(
            $this->json('GET', '/api/methods/'.$bench->method.'/sheet'), 'remarks', 1, 'explained',
        ));
        $other = $this->put('devices', ['workspace' => $this->workspace, 'name' => 'Another']);
        $build = $this->put('revisions', ['device' => $other, 'letter' => 'A']);
        $wrong = $this->json('PUT', '/api/observations/'.Uuid::v7()->toRfc4122(), ['revision' => $build] + $about);
        self::assertSame([422, 'method'], [$this->answered(), self::text($wrong, 'violations', 0, 'path')]);
    }

    /** What is looked for says how many runs tie two editions; without it, or without scatter, three pairs are the least. */
    public function testEditionsAreTiedByAsManyRunsAsTheDifferenceTakes(): void
    {
        $bench = $this->bench();
        $channel = ['key' => 'blow', 'metric' => 'blow', 'unit' => 'N', 'difference' => 2.0];
        $about = [
            'device' => $bench->device, 'name' => 'Blow', 'safety' => ['abort' => 'When it slips.'],
            'channels' => [$channel, ['key' => 'torque', 'metric' => 'torque', 'unit' => 'N·m', 'formula' => 'blow * arm']],
        ];
        $arm = static fn (float $value): array => ['constants' => [['key' => 'arm', 'value' => $value, 'unit' => 'mm']]];
        $method = $this->put('methods', $arm(250.0) + $about);
        $trial = $this->put('trials', ['revision' => $bench->a, 'method' => $method, 'name' => 'Blows', 'plannedRuns' => 4]);
        foreach (['40.0 N', '42.0 N', '41.0 N', '39.0 N'] as $read) {
            $run = $this->put('runs', ['trial' => $trial, 'article' => $bench->unitA]);
            $this->put('readings', ['run' => $run, 'channel' => 'blow', 'text' => $read, 'confirmed' => 'as read']);
            $this->json('PUT', '/api/runs/'.$run, ['trial' => $trial, 'article' => $bench->unitA, 'outcome' => 'held', 'version' => 1]);
        }
        $this->json('PUT', '/api/methods/'.$method, $arm(300.0) + ['version' => 1] + $about);
        self::assertSame(200, $this->answered());
        // sd 1.29 N, of pairs 1.83 N; 2 N with power 0.8 at 95 % takes nine pairs (Cohen 1988, d = 1.1, paired).
        $tie = self::text($this->json('GET', '/api/methods/'.$method.'/sheet'), 'editions', 0, 'tie');
        self::assertStringContainsString(
            '9 runs under each, on the same articles, are the least that would tie them: fewer would often miss a shift of 2 N',
            $tie,
        );
    }
}
