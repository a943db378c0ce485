<?php

declare(strict_types=1);

namespace Lustrum\Tests\Core;

use Lustrum\Core\Alike\Scale;
use Lustrum\Core\Alike\WithinVerdict;
use Lustrum\Core\Change\ChangeVerdict;
use Lustrum\Core\Evidence\Kind;
use Lustrum\Core\Evidence\State;
use Lustrum\Core\Judging\ChangesSeen;
use Lustrum\Core\Judging\CompareBuilds;
use Lustrum\Core\Judging\CompareOutcomes;
use Lustrum\Core\Judging\Evidence;
use Lustrum\Core\Judging\FirstStage;
use Lustrum\Core\Judging\Headline;
use Lustrum\Core\Judging\Look;
use Lustrum\Core\Judging\MetricComparison;
use Lustrum\Core\Judging\Seen;
use Lustrum\Core\Judging\SidesWithin;
use Lustrum\Core\Judging\Terms;
use Lustrum\Core\Judging\TrialPlan;
use Lustrum\Core\Judging\Wanted;
use Lustrum\Core\Outcome\ResultKind;
use Lustrum\Core\Run\RunFact;
use Lustrum\Core\Run\RunOutcome;
use Lustrum\Core\Wording\ChangeWords;
use Lustrum\Core\Wording\ComparisonWords;
use Lustrum\Core\Wording\EvidenceWords;
use Lustrum\Core\Wording\OutcomeWords;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Nothing is told before the planned number of runs; whoever looks again pays for it; nothing lies beyond what there can be. */
final class LookTest extends TestCase
{
    /** @return iterable<string, array{list<array{int, int, bool, int}>, array{int, int, int, bool}}> trials: ended, planned, reached, looks */
    public static function trials(): iterable
    {
        yield 'none' => [[], [0, 0, 1, false]];
        yield 'one at its end, never looked at' => [[[6, 6, true, 0]], [0, 0, 1, false]];
        yield 'one before its end' => [[[4, 6, false, 0]], [4, 6, 1, true]];
        yield 'one that nobody began is no part of the answer' => [[[0, 6, false, 0], [6, 6, true, 1]], [0, 0, 1, false]];
        yield 'of several the most looked at counts' => [[[6, 6, true, 1], [9, 6, true, 3]], [0, 0, 3, false]];
        yield 'of several those before their end are counted' => [[[6, 6, true, 2], [1, 6, false, 0], [2, 3, false, 0]], [3, 9, 2, true]];
        yield 'a thousand looks cost no more' => [[[2000, 6, true, 1500]], [0, 0, 1000, false]];
        yield 'one without a planned number' => [[[4, 0, false, 0]], [4, 0, 1, true]];
    }

    /**
     * @param list<array{int, int, bool, int}> $trials
     * @param array{int, int, int, bool}       $expected
     */
    #[DataProvider('trials')]
    public function testHowFarTrialsHaveCome(array $trials, array $expected): void
    {
        $look = Look::of(array_map(static fn (array $t): TrialPlan => new TrialPlan('t', ['force'], ...$t), $trials));
        self::assertSame($expected, [$look->ended, $look->planned, $look->looks, $look->isSoFar]);
    }

    /** @return iterable<string, array{list<int|bool>, bool}> */
    public static function ends(): iterable
    {
        yield 'before its planned number' => [[5, 5, 6, false, false], false];
        yield 'at it' => [[6, 0, 6, false, false], true];
        yield 'without one it goes on' => [[40, 9, 0, false, false], false];
        yield 'until somebody closes it' => [[2, 0, 0, true, false], true];
        yield 'closed before its planned number' => [[2, 0, 6, true, false], true];
        yield 'repeated until it holds, and it has not' => [[3, 0, 6, false, true], false];
        yield 'repeated until it held' => [[3, 1, 6, false, true], true];
    }

    /** @param array{int, int, int, bool, bool} $came */
    #[DataProvider('ends')]
    public function testATrialIsAtItsEnd(array $came, bool $isAtEnd): void
    {
        self::assertSame($isAtEnd, TrialPlan::isAtEnd(...$came));
    }

    /** @return iterable<string, array{list<RunFact>, float, int, ?int}> runs, half-width, first stage, total */
    public static function firstStages(): iterable
    {
        $at = static fn (string $height, float ...$values): array => array_values(array_map(
            static fn (float $v): RunFact => Judged::run($v, levels: ['height' => $height]), $values,
        ));
        // s = 0.152753, t(0.975, 2) = 4.302653: (0.657243/0.2)² = 10.799, (0.657243/0.5)² = 1.728.
        yield 'more than the first stage' => [Judged::runs([39.9, 40.2, 40.0]), 0.2, 3, 11];
        yield 'the first stage is enough' => [Judged::runs([39.9, 40.2, 40.0]), 0.5, 3, 3];
        yield 'what came after the first stage says nothing of its length' => [Judged::runs([39.9, 40.2, 40.0, 55.0, 21.0]), 0.2, 3, 11];
        yield 'before the first stage has ended' => [Judged::runs([39.9, 40.2]), 0.2, 3, null];
        yield 'each level takes its own number' => [
            [...$at('40 cm', 39.9, 40.2, 40.0), ...$at('60 cm', 30.0, 30.1, 30.2)], 0.2, 6, 11 + 5,
        ];
        yield 'a level with two values tells nothing' => [[...$at('40 cm', 39.9, 40.2, 40.0), ...$at('60 cm', 30.0, 30.1)], 0.2, 5, null];
        yield 'a run that was lost is none' => [[...Judged::runs([39.9, 40.2]), Judged::run(40.0, RunOutcome::Lost)], 0.2, 3, null];
        yield 'nor is a bound a value' => [
            [...Judged::runs([39.9, 40.2]), Judged::run(40.0, RunOutcome::StoppedEarly, ResultKind::AtLeast)], 0.2, 3, null,
        ];
    }

    /** @param list<RunFact> $runs */
    #[DataProvider('firstStages')]
    public function testTheFirstStageTellsHowManyRunsItTakes(array $runs, float $halfWidth, int $first, ?int $total): void
    {
        self::assertSame($total, FirstStage::total($runs, $runs[0]->readings[0]->channel, $halfWidth, $first, 0.95));
    }

    public function testNoIntervalOfATimeOrAMassBeginsBelowNought(): void
    {
        $of = static fn (string $unit): array => [(new Terms(0.95))->natural($unit)->cuts(-1.0), (new Terms(0.95))->natural($unit)->ofDifference()->cuts(-1.0)];
        self::assertSame([[true, false], [true, false], [false, false]], [$of('min'), $of('g'), $of('mm')], 'A length can be on the other side.');
    }

    public function testBeforeThePlannedNumberARequirementLeansAtBest(): void
    {
        $wanted = Judged::wanted(Kind::Mean, 40.0);
        $runs = Judged::runs([50.0, 51.0, 49.5, 50.5]);
        self::assertSame(State::Shown, self::state($wanted, $runs, new Terms(0.95)));
        $soFar = new Terms(0.95, new Look(4, 6, 1, true));
        self::assertSame(State::Leaning, self::state($wanted, $runs, $soFar));
        $build = Judged::build('a');
        $own = static fn (): array => [$wanted->id => Evidence::judge($wanted, $build, [Evidence::gather($wanted, $build, $runs)], $soFar)];
        $said = EvidenceWords::cell(Evidence::cell($wanted, $build, Judged::line($build), $own), 'force');
        self::assertStringContainsString('So far 4 of 6 runs that were planned', $said);
        $check = Judged::wanted(Kind::Check, 1.0);
        self::assertSame(State::Shown, self::state($check, Judged::tries(1, 0, 'a', 'force'), new Terms(0.95)));
        self::assertSame(State::Leaning, self::state($check, Judged::tries(1, 0, 'a', 'force'), $soFar), 'No check either.');
    }

    public function testALaterLookCostsConfidence(): void
    {
        $wanted = Judged::wanted(Kind::Mean, 40.0);
        $runs = Judged::runs([41.0, 44.0, 43.0, 42.0]);
        self::assertSame(State::Shown, self::state($wanted, $runs, new Terms(0.95, new Look(looks: 1))));
        self::assertSame(State::Leaning, self::state($wanted, $runs, new Terms(0.95, new Look(looks: 4))));
        self::assertEqualsWithDelta(1 - 0.05 / 12, (new Terms(0.95, new Look(looks: 4)))->confidence(), 1e-12);
    }

    public function testNoVerdictBeforeThePlannedNumber(): void
    {
        $c = self::compare([50.0, 51.0, 50.5, 50.2], [60.0, 61.0, 60.5, 60.2], new Terms(0.95, new Look(4, 6, 1, true)));
        self::assertSame([WithinVerdict::Indistinct, ''], [$c->verdict, $c->judged]);
        self::assertNull(Headline::of([$c], [], [Judged::wanted(Kind::Mean, 40.0)], 0.95)->first);
        $said = ComparisonWords::sentence($c, 'force', 'A');
        self::assertStringStartsWith('So far 4 of 6: Force on B', $said);
        self::assertStringContainsString('; it is set against A once', $said);
        self::assertSame(
            WithinVerdict::Higher, self::compare([50.0, 51.0, 50.5, 50.2], [60.0, 61.0, 60.5, 60.2], new Terms(0.95))->verdict,
        );
        $open = ComparisonWords::sentence(
            self::compare([50.0, 51.0], [60.0, 61.0], new Terms(0.95, new Look(2, 0, 1, true))), 'force', 'A',
        );
        self::assertStringStartsWith('So far, 2 runs: ', $open);
    }

    public function testAChangeCannotBeToldBeforeThePlannedNumber(): void
    {
        $build = Judged::build('b', 'a', changes: [Judged::change('Thicker', metric: 'force', expected: 10.0)]);
        $seen = static fn (Terms $terms) => (new ChangesSeen(
            new CompareBuilds([Judged::wanted(Kind::Mean, 40.0)], ['force' => 'Force'], 0.95), 0.95, static fn (): Terms => $terms,
        ))->of($build, Seen::ofRuns(Judged::runs([60.0, 61.0, 60.5], build: 'b')), Seen::ofRuns(Judged::runs([50.0, 51.0, 50.5])))[0];
        self::assertSame(ChangeVerdict::Fixed, $seen(new Terms(0.95))->verdict);
        $soFar = $seen(new Terms(0.95, new Look(3, 6, 1, true)));
        self::assertSame(ChangeVerdict::CannotTell, $soFar->verdict);
        self::assertStringStartsWith('So far 3 of 6: ', ChangeWords::sentence($soFar, 'force', false));
    }

    public function testSharesAreNotToldApartBeforeThePlannedNumber(): void
    {
        [$a, $b] = [Judged::build('a'), Judged::build('b', 'a')];
        [$good, $bad] = [Seen::ofRuns(Judged::tries(12, 0, 'b')), Seen::ofRuns(Judged::tries(1, 11))];
        $of = static fn (Terms $terms) => CompareOutcomes::metric('strong', $b, $good, $a, $bad, $terms) ?? self::fail('Nothing compared.');
        self::assertSame('more', $of(new Terms(0.95))->verdict);
        $soFar = $of(new Terms(0.95, new Look(12, 20, 1, true)));
        self::assertSame('indistinct', $soFar->verdict);
        self::assertStringStartsWith('So far 12 of 20: ', OutcomeWords::sentence($soFar, 'strong'));
        self::assertStringContainsString('it is set against A (1 of 12) once', OutcomeWords::sentence($soFar, 'strong'));
    }

    public function testNoIntervalGoesBeyondWhatThereCanBe(): void
    {
        $terms = new Terms(0.95, low: 0.0);
        $c = self::compare([3.0, 9.0, 20.0], [1.0, 2.0, 9.0], $terms);
        self::assertSame([0.0, ['low']], [$c->here->figure?->low, $c->here->figure?->cut]);
        self::assertStringContainsString('[0.0|, ', ComparisonWords::sentence($c, 'force', 'A'));
        $free = self::compare([3.0, 9.0, 20.0], [1.0, 2.0, 9.0], new Terms(0.95));
        self::assertLessThan(0.0, $free->here->figure?->low);
        self::assertSame($free->verdict, $c->verdict, 'The verdict was taken before.');
        self::assertGreaterThanOrEqual(-100.0, $c->change->low ?? 0.0, 'Nothing falls by more than all of it.');
    }

    public function testAMetricSaysWhetherEffectsAddOrMultiply(): void
    {
        $of = static fn (?Scale $scale) => self::compare([10.0, 11.0, 12.0], [20.0, 22.0, 24.0], new Terms(0.95, scale: $scale))->change;
        self::assertEqualsWithDelta(100.0, $of(Scale::Ratio)->value ?? 0.0, 1e-6);
        self::assertNotEqualsWithDelta($of(Scale::Ratio)->low ?? 0.0, $of(Scale::Add)->low ?? 0.0, 1e-3);
        $c = self::compare([-1.0, 2.0, 3.0], [4.0, 5.0, 6.0], new Terms(0.95, scale: Scale::Ratio));
        self::assertNotNull($c->difference, 'What is below nought does not multiply.');
    }

    public function testWhatWasCalculatedTellsNothing(): void
    {
        $terms = new Terms(0.95, isComputed: true);
        $c = self::compare([50.0, 51.0, 50.5], [60.0, 61.0, 60.5], $terms);
        self::assertSame(WithinVerdict::Indistinct, $c->verdict);
        self::assertStringEndsWith('By calculation: it stands beside results, and is no run.', ComparisonWords::sentence($c, 'force', 'A'));
        self::assertSame(State::Leaning, self::state(Judged::wanted(Kind::Mean, 40.0), Judged::runs([50.0, 51.0, 49.5, 50.5]), $terms));
    }

    public function testNoSideIsToldApartBeforeThePlannedNumber(): void
    {
        $runs = [];
        foreach (['A-1' => 10.0, 'A-2' => 20.0] as $serial => $newton) {
            foreach ([0.0, 0.1, 0.2] as $more) {
                $runs[] = Judged::run($newton + $more, serial: $serial);
            }
        }
        self::assertSame(1, SidesWithin::of(Seen::ofRuns($runs), 'force', 'N', new Terms(0.95))[0]->found->told);
        $soFar = SidesWithin::of(Seen::ofRuns($runs), 'force', 'N', new Terms(0.95, new Look(6, 8, 1, true)))[0];
        self::assertSame([0, 1], [$soFar->found->told, count($soFar->found->groups)]);
    }

    /**
     * @param list<float> $before
     * @param list<float> $now
     */
    private static function compare(array $before, array $now, Terms $terms): MetricComparison
    {
        return (new CompareBuilds([Judged::wanted(Kind::Mean, 40.0)], ['force' => 'Force'], 0.95))->metric(
            'force', Judged::build('b', 'a'), Seen::ofRuns(Judged::runs($now, build: 'b')), Judged::build('a'),
            Seen::ofRuns(Judged::runs($before)), $terms,
        );
    }

    /** @param list<RunFact> $runs */
    private static function state(Wanted $wanted, array $runs, Terms $terms): State
    {
        $build = Judged::build('a');

        return Evidence::judge($wanted, $build, [Evidence::gather($wanted, $build, $runs)], $terms)->by->state();
    }
}
