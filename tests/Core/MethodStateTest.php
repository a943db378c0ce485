<?php

declare(strict_types=1);

namespace Lustrum\Tests\Core;

use Lustrum\Core\Formula\Variable;
use Lustrum\Core\InvalidInput;
use Lustrum\Core\Judging\HeldFirst;
use Lustrum\Core\Judging\HeldRun;
use Lustrum\Core\Plan\Minutes;
use Lustrum\Core\Run\Amount;
use Lustrum\Core\Run\Calibration;
use Lustrum\Core\Run\CalibrationPoint;
use Lustrum\Core\Run\Channel;
use Lustrum\Core\Run\Configuration;
use Lustrum\Core\Run\Constant;
use Lustrum\Core\Run\Derivation;
use Lustrum\Core\Run\Factor;
use Lustrum\Core\Run\FactorKind;
use Lustrum\Core\Run\Harder;
use Lustrum\Core\Run\HeldBefore;
use Lustrum\Core\Run\LookOut;
use Lustrum\Core\Run\MethodChange;
use Lustrum\Core\Run\MethodChanges;
use Lustrum\Core\Run\MethodState;
use Lustrum\Core\Run\Parameter;
use Lustrum\Core\Run\Question;
use Lustrum\Core\Run\SettingRule;
use Lustrum\Core\Wording\MethodSheetWords;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What results of a method rest on, what must have held before one of its runs, and how its instruments are put right. */
final class MethodStateTest extends TestCase
{
    /** A line through (0, 1), (10, 20), (20, 41): slope 2, offset 2/3, residuals 1/3, −2/3, 1/3 (by hand). */
    public function testALineIsLaidThroughCalibrationPoints(): void
    {
        $line = Calibration::of([new CalibrationPoint(0, 1), new CalibrationPoint(10, 20), new CalibrationPoint(20, 41)]);

        self::assertEqualsWithDelta(2.0, $line->slope, 1e-12);
        self::assertEqualsWithDelta(2 / 3, $line->offset, 1e-12);
        self::assertEqualsWithDelta(sqrt(2 / 3), $line->sd, 1e-12);
        self::assertEqualsWithDelta(2 / 3, $line->largestResidual(), 1e-12);
        self::assertEqualsWithDelta(10 + 2 / 3, $line->corrected(5.0), 1e-12);
        self::assertEqualsWithDelta(sqrt(0.36 + 2 / 3), $line->uncertainty(0.3), 1e-12);
        self::assertSame(
            'Calibrated at 3 points: really 2.000 × what it shows + 0.667 N; every point within 0.67 N of the line, scatter 0.82 N. Formulas take it so.',
            MethodSheetWords::calibration($line, 3, 'N'),
        );
    }

    public function testTwoPointsLeaveNoScatterAndOneIsNoLine(): void
    {
        $line = Calibration::of([new CalibrationPoint(0, 0), new CalibrationPoint(10, 9)]);
        self::assertNull($line->sd);
        self::assertEqualsWithDelta(0.9 * 0.5, $line->uncertainty(0.5), 1e-12);
        self::assertStringContainsString('two points leave no scatter to judge by', MethodSheetWords::calibration($line, 2, 'N'));
        $this->expectException(InvalidInput::class);
        Calibration::of([new CalibrationPoint(3, 0), new CalibrationPoint(3, 9)]);
    }

    /** Shown 100 N is really 2 · 100 + 2/3 N; through a lever of 4, less the hook of 11.5 N. */
    public function testFormulasTakeReadingsAsTheyReallyAreAndWhatTheFixtureHas(): void
    {
        $points = [new CalibrationPoint(0, 1), new CalibrationPoint(10, 20), new CalibrationPoint(20, 41)];
        $configuration = self::configuration('m', [
            new Channel('load', 'm-load', 'N', calibration: $points), new Channel('tip', 'm-tip', 'N', formula: 'ratio * load - hook'),
        ], constants: [new Constant('ratio', 'Lever', 4.0, '1', 0.02), new Constant('hook', 'Hook', 11.5, 'N', 0.3)]);

        $derived = Derivation::of(
            $configuration->channels, Derivation::onFixture(['load' => Variable::of(0.1, 'kN', 0.0)], $configuration),
        )[0];

        self::assertEqualsWithDelta(4 * (200 + 2 / 3) - 11.5, $derived->value, 1e-9);
        $u = sqrt((0.02 * (200 + 2 / 3)) ** 2 + 16 * 2 / 3 + 0.09);
        self::assertEqualsWithDelta($u, $derived->u, 1e-6);
        $again = Configuration::fromRow($configuration->toRow());
        self::assertEquals($configuration, $again);
    }

    /** @param list<array{string, string, bool}> $expected part, field, whether it breaks */
    #[DataProvider('changes')]
    public function testWhatANumberMeansBreaksWhatComesAfter(MethodState $is, array $expected): void
    {
        $changes = MethodChanges::between(self::state(), $is);

        self::assertSame($expected, array_map(static fn (MethodChange $c): array => [$c->what, $c->field, $c->breaks], $changes));
        self::assertSame(in_array(true, array_column($expected, 2), true), MethodChanges::breaks(self::state(), $is));
        foreach ($changes as $change) {
            self::assertMatchesRegularExpression('/^\p{Lu}.*\.$/u', MethodSheetWords::change($change));
        }
    }

    /** @return iterable<string, array{MethodState, list<array{string, string, bool}>}> */
    public static function changes(): iterable
    {
        yield 'nothing' => [self::state(), []];
        yield 'another rig is compared by itself' => [self::state(rig: 'New frame'), [['rig', '', false]]];
        yield 'held otherwise' => [self::state(heldWhen: 'Opens twice'), [['heldWhen', '', true]]];
        yield 'a formula' => [self::state(channels: [self::pull(), self::torque('pull * arm / 2')]), [['channel', 'formula', true]]];
        yield 'an instrument is compared by itself' => [
            self::state(channels: [self::pull('Spring scale'), self::torque()]), [['channel', 'instrument', false]],
        ];
        yield 'one channel more' => [
            self::state(channels: [self::pull(), self::torque(), new Channel('time', 'm', 's')]), [['channel', '', false]],
        ];
        yield 'the arm was measured anew' => [self::state(arm: 251.0), [['constant', 'value', true]]];
        yield 'surer of the arm' => [self::state(u: 0.1), [['constant', 'u', false]]];
        yield 'what a yes means' => [self::state(question: 'Latch opens and shuts'), [['question', 'text', true]]];
        yield 'a setting' => [self::state(settings: [new SettingRule('gap', 'mm', 2.0)]), [['setting', 'intended', false]]];
    }

    /** What nobody had said before is not what the runs before were made by. */
    public function testSayingItForTheFirstTimeBreaksNothing(): void
    {
        self::assertFalse(MethodChanges::breaks(self::state(heldWhen: ''), self::state()));
        $change = MethodChanges::between(self::state(heldWhen: ''), self::state())[0];
        self::assertSame('When it has held: now Opens.', MethodSheetWords::change($change));
        self::assertSame(
            'Pull, its instrument: was Load cell, is Spring scale.',
            MethodSheetWords::change(
                MethodChanges::between(self::state(), self::state(channels: [self::pull('Spring scale'), self::torque()]))[0],
            ),
        );
    }

    public function testALevelWaitsUntilTheOneBelowHasHeld(): void
    {
        $of = self::configuration('m-drop', factors: [self::height()]);
        $missing = static fn (string $level, string ...$held): array => array_map(
            static fn (HeldBefore $b): string => $b->levels['height'],
            HeldFirst::missing($of, [], ['height' => $level], array_values(array_map(
                static fn (string $l): HeldRun => new HeldRun(self::configuration('m-drop', factors: [self::height()]), ['height' => $l]),
                $held,
            ))),
        );

        self::assertSame([], $missing('20 cm'), 'The lowest waits for nothing.');
        self::assertSame(['20 cm'], $missing('40 cm'));
        self::assertSame(['40 cm'], $missing('60 cm', '20 cm'));
        self::assertSame([], $missing('60 cm', '400 mm'), 'In whichever unit.');
        self::assertSame([], $missing('40 cm', '60 cm'), 'Harder will do.');
        self::assertSame(['40 cm'], $missing('50 cm', '20 cm'), 'A level between waits for the listed one below.');
        self::assertSame(['20 cm'], $missing('40 cm', 'unknown'));
        self::assertSame([], $missing('unknown'), 'What nobody knows is asked elsewhere.');
    }

    public function testAnotherMethodMustHaveHeldOnTheSameConfiguration(): void
    {
        $of = self::configuration('m-ride', arm: 'long');
        $before = [new HeldBefore('Drop', ['height' => '40 cm'], 'unloaded before loaded')];
        $ran = static fn (string $level, float $thickness, string $arm): HeldRun => new HeldRun(
            self::configuration('m-drop', factors: [self::height()], thickness: $thickness, arm: $arm), ['height' => $level],
        );

        self::assertSame([], HeldFirst::missing($of, $before, [], [$ran('40 cm', 3.0, 'long')]));
        self::assertSame($before, HeldFirst::missing($of, $before, [], [$ran('20 cm', 3.0, 'long')]), 'Milder.');
        self::assertSame($before, HeldFirst::missing($of, $before, [], [$ran('40 cm', 2.5, 'long')]), 'A parameter was another.');
        self::assertSame($before, HeldFirst::missing($of, $before, [], [$ran('40 cm', 3.0, 'short')]), 'Another variant.');
        self::assertSame(
            'Drop at height 40 cm or harder must have held on the same configuration: unloaded before loaded. No run of this build has. '
            .'Try that first, or let a named person go ahead, with a reason.', MethodSheetWords::first($before),
        );
    }

    public function testLooksAreDueAtTheirTimes(): void
    {
        self::assertSame([4.0, 8.0, 12.0], (new LookOut('belt', every: 4.0))->due(12.0));
        self::assertSame([4.0, 6.0, 8.0], (new LookOut('belt', every: 4.0, after: 6.0))->due(8.0));
        self::assertSame([], (new LookOut('belt', after: 30.0))->due(20.0));
        self::assertSame([], (new LookOut('belt', at: 'when it is up'))->due(20.0));
        self::assertSame(
            'Belt: every 4 min and when it turns', MethodSheetWords::look(new LookOut('belt', every: 4.0, at: 'when it turns')),
        );
    }

    public function testTimesAreSaidAsPeopleSayThem(): void
    {
        self::assertSame(['30 s', '12 min', '1 h 5 min', '2 h'], array_map(MethodSheetWords::time(...), [0.5, 12.0, 65.0, 120.0]));
        self::assertSame(
            '20 min to set up, 12 min a run, 3 min to reset: 3 runs take 1 h 2 min.', MethodSheetWords::takes(new Minutes(20, 12, 3)),
        );
    }

    public function testAmountsGoByWhatTheyAreOf(): void
    {
        $named = Amount::named([new Amount('Mass', '78 kg'), new Amount('speed ', '18 km/h')]);

        self::assertSame(['mass', 'speed'], array_keys($named));
        self::assertEqualsWithDelta(5.0, $named['speed']->si(), 1e-12);
    }

    private static function height(): Factor
    {
        return new Factor(
            'height', kind: FactorKind::Number, unit: 'cm', levels: ['60 cm', '20 cm', '40 cm'], harder: Harder::More,
            climbs: true,
        );
    }

    private static function pull(string $instrument = 'Load cell'): Channel
    {
        return new Channel('pull', 'pull', 'N', $instrument);
    }

    private static function torque(string $formula = 'pull * arm'): Channel
    {
        return new Channel('torque', 'torque', 'N·m', formula: $formula);
    }

    /**
     * @param list<Channel>|null $channels
     * @param list<SettingRule>  $settings
     */
    private static function state(
        string $rig = 'Frame', string $heldWhen = 'Opens', ?array $channels = null, float $arm = 250.0, ?float $u = 0.5,
        string $question = 'Latch opens', array $settings = [new SettingRule('gap', 'mm', 1.5)],
    ): MethodState {
        return new MethodState(
            $rig, $heldWhen, 'Ten pulls', $channels ?? [self::pull(), self::torque()], [new Constant('arm', 'Arm', $arm, 'mm', $u)],
            [new Question('latch', 'opens', $question)], [], [], $settings,
        );
    }

    /**
     * @param list<Channel>  $channels
     * @param list<Factor>   $factors
     * @param list<Constant> $constants
     */
    private static function configuration(
        string $method, array $channels = [], array $factors = [], array $constants = [], float $thickness = 3.0, string $arm = '',
    ): Configuration {
        return new Configuration(
            revision: 'r', letter: 'B', firmware: '1', parameters: [Parameter::typed('thickness', $thickness.' mm')], parts: [],
            article: null,
            serial: '', articleState: '', deviations: '', lots: [], method: $method, methodName: $method === 'm-drop' ? 'Drop' : 'Ride',
            methodVersion: 1, rig: '', channels: $channels, conditions: [], settings: [], factors: $factors, arm: $arm,
            constants: $constants,
        );
    }
}
