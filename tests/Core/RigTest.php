<?php

declare(strict_types=1);

namespace Lustrum\Tests\Core;

use Lustrum\Core\Judging\Surprise;
use Lustrum\Core\Judging\TrialPlan;
use Lustrum\Core\Outcome\ResultKind;
use Lustrum\Core\Plan\Layout;
use Lustrum\Core\Plan\Made;
use Lustrum\Core\Plan\PlanKind;
use Lustrum\Core\Plan\Progress;
use Lustrum\Core\Rig\Happening;
use Lustrum\Core\Rig\HappeningKind;
use Lustrum\Core\Rig\RigCheck;
use Lustrum\Core\Rig\RigState;
use Lustrum\Core\Rig\Verified;
use Lustrum\Core\Run\Channel;
use Lustrum\Core\Run\Factor;
use Lustrum\Core\Run\FactorKind;
use Lustrum\Core\Run\Harder;
use Lustrum\Core\Run\Purpose;
use Lustrum\Core\Run\RunFact;
use Lustrum\Core\Run\RunOutcome;
use Lustrum\Core\Run\SettingRule;
use Lustrum\Core\Wording\PlanWords;
use Lustrum\Core\Wording\RigWords;
use Lustrum\Core\Wording\TrialWords;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Settings lapse by events and never by dates; after a surprise what does not fit comes before anything of the design. */
final class RigTest extends TestCase
{
    private static function rule(): SettingRule
    {
        return new SettingRule('gap', 'mm', 1.5, 0.2);
    }

    /** @return iterable<string, array{string, list<Verified>, list<Happening>, RigState}> */
    public static function standings(): iterable
    {
        $found = static fn (string $text, string $at): Verified => new Verified('Gap', $text, 4, 'Drop', $at);
        $dropped = static fn (string $at): Happening => new Happening(HappeningKind::Dropped, $at, '1 m');
        yield 'nobody ever looked' => ['', [], [$dropped('2026-03-02')], RigState::Never];
        yield 'it stands, however long ago' => ['', [$found('1.5 mm', '2020-01-01')], [$dropped('2019-12-31')], RigState::Stands];
        yield 'dropped since' => ['', [$found('1.5 mm', '2026-03-02T10')], [$dropped('2026-03-02T11')], RigState::Lapsed];
        yield 'the later look counts' => [
            '', [$found('1.5 mm', '2026-03-02T12'), $found('1.9 mm', '2026-03-02T10')], [$dropped('2026-03-02T11')], RigState::Stands,
        ];
        yield 'whichever comes first' => [
            '', [$found('1.9 mm', '2026-03-02T10'), $found('1.5 mm', '2026-03-02T12')], [$dropped('2026-03-02T11')], RigState::Stands,
        ];
        yield 'left where it should not be' => ['', [$found('1.8 mm', '2026-03-02')], [], RigState::StandsOff];
        yield 'a lapsed one is not known to be off' => [
            '', [$found('1.8 mm', '2026-03-02T10')], [$dropped('2026-03-02T11')], RigState::Lapsed,
        ];
        yield 'found on this run, at the edge of the tolerance' => ['1.7 mm', [], [], RigState::AsMeant];
        yield 'found on this run in another unit' => ['0.15 cm', [], [], RigState::AsMeant];
        yield 'found off' => ['1.71 mm', [], [$dropped('2026-03-02')], RigState::Off];
        yield 'looked, and could not say' => ['Unknown', [$found('1.5 mm', '2026-03-02')], [], RigState::NotKnown];
    }

    /**
     * @param list<Verified>  $verified
     * @param list<Happening> $happenings
     */
    #[DataProvider('standings')]
    public function testASettingStandsUntilSomethingHappens(string $found, array $verified, array $happenings, RigState $expected): void
    {
        $check = RigCheck::of([self::rule()], ['gap' => $found], $verified, $happenings);

        self::assertSame($expected, $check->lines[0]->state);
        self::assertSame($expected->asks(), $check->asked() !== []);
        self::assertSame($expected === RigState::Stands, $check->standing() !== []);
    }

    public function testTheCheckSaysWhatToLookAtAndWhy(): void
    {
        $check = RigCheck::of(
            [self::rule(), new SettingRule('handle', 'cm', 90.0, 1.0), new SettingRule('lever')], [],
            [new Verified('gap', '1.5 mm', 4, 'Drop', '2026-03-02T10'), new Verified('handle', '90 cm', 5, 'Drop', '2026-03-02T12')],
            [new Happening(HappeningKind::Swapped, '2026-03-02T11', 'seed plate')],
        );

        self::assertSame('Before you start, look at gap and lever; one other setting stands as it was found.', RigWords::sentence($check));
        self::assertSame([
            'Gap was 1.5 mm on run 4. Since then W-03 was given another part (seed plate): look again.',
            'Handle: 90 cm, as found on run 5; nothing has happened to W-03 since.',
            'Lever: nobody has looked at it on W-03 yet.',
        ], array_map(static fn ($line): string => RigWords::line($line, 'W-03'), $check->lines));
        self::assertSame('Nothing is adjusted in this method.', RigWords::sentence(RigCheck::of([], [], [], [])));
        self::assertSame('All 2 settings stand as they should.', RigWords::sentence(RigCheck::of(
            [self::rule(), new SettingRule('lever')], ['gap' => '1.5', 'lever' => 'in'], [], [],
        )));
    }

    public function testWhatIsOffOrUnknownIsNeverSaidToStand(): void
    {
        $of = static fn (string $gap, string $lever): string => RigWords::sentence(RigCheck::of(
            [self::rule(), new SettingRule('lever')], ['gap' => $gap, 'lever' => $lever], [], [],
        ));

        self::assertSame('Gap is not as it should be: put it right, or this run stands beside the others.', $of('1.8', 'in'));
        self::assertSame('Nobody can tell how gap and lever stand.', $of('unknown', 'unknown'));
        self::assertSame(
            'What is adjusted stands as it should.', RigWords::sentence(RigCheck::of([self::rule()], ['gap' => '1.5'], [], [])),
        );
        $lever = RigCheck::of([new SettingRule('lever')], ['lever' => 'in'], [], [])->lines[0];
        self::assertSame('Lever: in.', RigWords::line($lever, ''), 'Nobody said how it should be.');
    }

    public function testWhatIsSetToNoughtIsNamedOnce(): void
    {
        $channels = [new Channel('a', 'push', 'N', tared: true), new Channel('b', 'mass', 'g'), new Channel('c', 'push', 'N', tared: true)];

        self::assertSame('Set push force to nought first.', RigWords::tare($channels, ['push' => 'Push force', 'mass' => 'Mass']));
        self::assertSame('', RigWords::tare([$channels[1]], []));
    }

    /** @return iterable<string, array{float, string, bool}> */
    public static function forecasts(): iterable
    {
        yield 'nothing was said' => [60.0, '', false];
        yield 'within the range' => [60.0, '55-70', false];
        yield 'below the range, by less than half a step' => [54.96, '55-70', false];
        yield 'below the range' => [54.9, '55-70', true];
        yield 'a number alone is meant as about' => [66.0, '60', false];
        yield 'more than a tenth off' => [66.1, '60 N', true];
        yield 'twice the uncertainty' => [66.0, '60 ± 3', false];
        yield 'more than twice the uncertainty' => [66.2, '60 ± 3', true];
        yield 'over is open above' => [600.0, 'over 60', false];
        yield 'not over' => [59.0, 'over 60', true];
        yield 'at most, in another unit' => [61.0, 'at most 0.06 kN', true];
        yield 'unknown forecasts nothing' => [61.0, 'unknown', false];
    }

    #[DataProvider('forecasts')]
    public function testAResultOutsideItsForecastIsASurprise(float $read, string $forecast, bool $expected): void
    {
        self::assertSame($expected, Surprise::of(Judged::run($read), ['pull' => $forecast], []) !== null);
    }

    public function testABoundSurprisesNobody(): void
    {
        self::assertNull(Surprise::of(Judged::run(20.0, RunOutcome::StoppedEarly, ResultKind::AtLeast), ['pull' => '55-70'], []));
    }

    public function testAFailureSurprisesWhereThreeHeldAsHard(): void
    {
        $at = static fn (string $height, RunOutcome $outcome = RunOutcome::Held): RunFact => Judged::run(null, $outcome, with: Judged::configuration(
            factors: [new Factor('height', kind: FactorKind::Number, unit: 'cm', harder: Harder::More)],
        ), levels: ['height' => $height]);
        $failed = $at('40 cm', RunOutcome::Failed);
        $three = [$at('40 cm'), $at('60 cm'), $at('40 cm')];

        self::assertSame(3, Surprise::of($failed, [], $three)?->held);
        self::assertSame(3, Surprise::of($failed, [], [$at('20 cm'), ...$three])?->held, 'What was milder says nothing of it.');
        self::assertNull(
            Surprise::of($failed, [], [$three[0], $at('40 cm', RunOutcome::Failed), $three[1], $three[2]]),
            'It failed just before.',
        );
        self::assertNull(Surprise::of($failed, [], [$at('20 cm'), $three[0], $three[1]]), 'Two are not three.');
        self::assertNull(Surprise::of($at('40 cm'), [], $three), 'It held.');
    }

    public function testAfterASurpriseWhatDoesNotFitComesFirst(): void
    {
        $surprise = Surprise::of(Judged::run(90.0), ['pull' => '55-70'], []);
        self::assertNotNull($surprise);
        $check = RigCheck::of([self::rule()], ['gap' => '1.8 mm'], [], []);

        self::assertSame([
            'A surprise: pull is 90.0 N, and 55-70 was forecast.',
            'Look at this before you blame the design: Gap was found at 1.8 mm; it should be 1.5 mm.',
        ], RigWords::surprise($surprise, 'Pull', '90.0 N', $check, 'W-03'));
        self::assertSame(
            'The rig check shows nothing out of place, so a cause in the design is next to look for.',
            RigWords::surprise($surprise, 'Pull', '90.0 N', RigCheck::of([self::rule()], ['gap' => '1.5'], [], []), '')[1],
        );
    }

    public function testARunKnowsItsPlaceInThePlan(): void
    {
        $height = new Factor('height', kind: FactorKind::Number, unit: 'cm', levels: ['20 cm', '40 cm']);
        $layout = Layout::fromRow([
            'kind' => PlanKind::Ladder->value, 'repeats' => 2, 'levels' => ['height' => ['20 cm', '40 cm']],
        ]);
        $made = [];
        foreach (['20 cm', '20 cm', '40 cm', '40 cm'] as $i => $level) {
            $made[] = new Made('run-'.$i, $i + 1, ['height' => $level], '', RunOutcome::Held);
        }
        $progress = Progress::of($layout, [$height], $made);

        self::assertSame('20 cm, 2 of 2 there · 2 of 4 planned runs', PlanWords::position($progress, 'run-1'));
        self::assertSame('40 cm, 1 of 2 there · 3 of 4 planned runs', PlanWords::position($progress, 'run-2'));
        self::assertSame('', PlanWords::position($progress, 'a run beside the plan'));
    }

    public function testEnoughIsSaidWhenThePlannedNumberIsReached(): void
    {
        $plan = static fn (int $ended, bool $reached): TrialPlan => new TrialPlan('t', [], $ended, 6, $reached, 0);

        self::assertSame('4 of 6 planned runs have ended.', TrialWords::enough($plan(4, false), true));
        self::assertSame('5 of 6 planned runs have ended; with this one it is enough.', TrialWords::enough($plan(5, false), true));
        self::assertSame('Enough: all 6 planned runs have ended.', TrialWords::enough($plan(6, true), false));
    }

    public function testRunsForAnotherPurposeAreNoSurpriseToFail(): void
    {
        $practice = static fn (): RunFact => new RunFact(
            'p', 't', 'T', 'pull', 'a', 1, RunOutcome::Held, '', '2026', '', [], [], [], Judged::configuration(), 0, 0, [], false,
            purpose: Purpose::Practise,
        );

        self::assertNull(Surprise::of(Judged::run(null, RunOutcome::Failed), [], [$practice(), $practice(), $practice()]));
    }
}
