<?php

declare(strict_types=1);

namespace Lustrum\Tests\Core;

use Lustrum\Core\Alike\Scale;
use Lustrum\Core\Judging\Build;
use Lustrum\Core\Judging\Seen;
use Lustrum\Core\Judging\SidesWithin;
use Lustrum\Core\Judging\Terms;
use Lustrum\Core\Outcome\ResultKind;
use Lustrum\Core\Run\Configuration;
use Lustrum\Core\Run\Factor;
use Lustrum\Core\Run\FactorKind;
use Lustrum\Core\Run\FactorRole;
use Lustrum\Core\Run\Parameter;
use Lustrum\Core\Run\RunFact;
use Lustrum\Core\Run\RunOutcome;
use Lustrum\Core\Wording\SidesWords;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Arms, articles, lots and raters of one build against each other, where they were run alike. */
final class SidesWithinTest extends TestCase
{
    private const RATERS = ['Ada' => 20.0, 'Bo' => 60.0, 'Cy' => 40.0, 'Di' => 90.0];

    public function testRatersAreTakenOutOfTheArms(): void
    {
        $runs = [];
        $n = 0;
        foreach (self::RATERS as $rater => $base) {
            foreach (['wide' => 4.0, 'slim' => 0.0, 'round' => 0.3] as $arm => $more) {
                $runs[] = self::one($base + $more + 0.2 * (++$n % 4), $arm, 'A-'.$arm, $rater);
            }
        }
        $all = self::of($runs);
        self::assertSame(['arm'], array_column($all, 'kind'), 'One article for each arm: these are not told again; and raters are no contestants.');
        $arms = $all[0];
        self::assertSame('wide', $arms->found->sides[0]->side);
        self::assertSame(
            [2, 3], [$arms->found->told, $arms->found->pairs],
            'The raters differ by 70, and the arms are told apart all the same.',
        );
        self::assertSame([['round', 'slim']], array_map(static function (array $g): array {
            sort($g);

            return $g;
        }, array_values(array_filter($arms->found->groups, static fn (array $g): bool => count($g) > 1))));
        self::assertTrue($arms->ofArticles);
        self::assertSame(
            'Force by variant: wide leads, and is told apart from all others; 2 of 3 pairs told.'
            .' One article stands for a side: what is told is of the articles.', SidesWords::sentence($arms, 'force', true),
        );
    }

    public function testVariantsThatNobodyTriedAreCountedAllTheSame(): void
    {
        $runs = [];
        $n = 0;
        foreach (self::RATERS as $rater => $base) {
            foreach (['wide' => 4.0, 'slim' => 0.0, 'round' => 0.3] as $arm => $more) {
                $runs[] = self::one($base + $more + 0.2 * (++$n % 4), $arm, 'A-'.$arm, $rater);
            }
        }
        $build = new Build(
            'a', 'A', null, '', '', '2026-03-01T00:00:00Z', out: ['keyhole'],
            arms: array_fill_keys(['wide', 'slim', 'round', 'deep', 'broad', 'keyhole'], []),
        );
        // One that was lost and tried again is tried.
        foreach (['broad', 'slim'] as $arm) {
            $runs[] = Judged::run(null, RunOutcome::Lost, with: Configuration::fromRow(['arm' => $arm] + Judged::configuration()->toRow()));
        }
        $arms = SidesWithin::of(Seen::ofRuns($runs), 'force', 'N', new Terms(0.95), $build)[0];
        self::assertStringStartsWith(
            'Force by variant: wide leads, the best of 3 tried, of 6 planned, 1 lost, 1 taken out, 1 not tried, and is told apart from all'
            .' others;',
            SidesWords::sentence($arms, 'force', true),
        );
        self::assertSame(5, $build->variants());
    }

    public function testALossLeavesTheOthersAsTheyAre(): void
    {
        $runs = [];
        foreach (self::RATERS as $rater => $base) {
            $runs[] = self::one($base + 4.0, 'wide', 'A-1', $rater);
            $runs[] = self::one($base + 0.1, 'slim', 'A-2', $rater);
            if ($base > 50) {
                $runs[] = self::one($base + 0.4, 'round', 'A-3', $rater);
            }
        }
        $arms = self::of($runs)[0];
        $effects = array_column(
            array_map(static fn ($s): array => ['side' => $s->side, 'effect' => $s->effect], $arms->found->sides), 'effect',
            'side',
        );
        // Round was with the two who give the most: a plain mean would put it far ahead of both.
        self::assertEqualsWithDelta(0.3, (float) $effects['round'] - (float) $effects['slim'], 0.05);
        self::assertLessThan((float) $effects['wide'], (float) $effects['round']);
    }

    public function testRatersWhomNobodyNamedAreNotTheSameOne(): void
    {
        $runs = [];
        foreach (self::RATERS as $rater => $base) {
            array_push($runs, self::one($base + 4.0, 'wide', 'A-1', $rater), self::one($base + 0.1, 'slim', 'A-2', $rater));
        }
        $more = [...$runs, self::one(99.0, 'wide', 'A-1', ''), self::one(12.0, 'slim', 'A-2', '')];
        self::assertEquals(self::effects($runs), self::effects($more), 'Who gave 99 may be another than who gave 12: nothing pairs them.');
    }

    public function testWhereEffectsMultiplyALevelOfALargeValueDoesNotDecide(): void
    {
        // A fifth more at each height; in newtons that is 1 at one and 20 at the other.
        $runs = [];
        foreach (['20 cm' => 5.0, '60 cm' => 100.0] as $height => $base) {
            foreach (['wide' => 1.2, 'slim' => 1.0, 'round' => 1.01] as $arm => $times) {
                foreach ([0.98, 1.0, 1.02] as $i => $more) {
                    $with = Judged::configuration(serial: 'A-'.$arm.$i, factors: [new Factor('height', kind: FactorKind::Number, unit: 'cm')]);
                    $runs[] = Judged::run($base * $times * $more, levels: ['height' => $height], with: Configuration::fromRow(
                        ['arm' => $arm] + $with->toRow(),
                    ));
                }
            }
        }
        $on = static fn (?Scale $scale): SidesWithin => SidesWithin::of(
            Seen::ofRuns($runs), 'force', 'N', new Terms(0.95, scale: $scale),
        )[0];
        foreach ([null, Scale::Ratio] as $scale) {
            $arms = $on($scale);
            self::assertTrue($arms->found->multiply, 'The levels lie twenty times apart.');
            self::assertSame([2, '+13 %'], [$arms->found->told, SidesWords::effect($arms, 'wide', $arms->found->sides[0]->effect)]);
            self::assertStringContainsString('Effects on it multiply', SidesWords::sentence($arms, 'force', true));
        }
        $plain = $on(Scale::Add);
        self::assertSame([false, 'N'], [$plain->found->multiply, SidesWords::unit($plain)]);
    }

    /**
     * @param list<RunFact> $runs
     *
     * @return array<string, float|null> by side
     */
    private static function effects(array $runs): array
    {
        $out = [];
        foreach (self::of($runs)[0]->found->sides as $side) {
            $out[$side->side] = $side->effect;
        }

        return $out;
    }

    public function testOneArmAloneIsNoComparison(): void
    {
        self::assertSame([], self::of([self::one(3.0, 'wide', 'A-1', 'Ada'), self::one(4.0, 'wide', 'A-1', 'Ada')]));
    }

    public function testBoundsAreNotPutIntoAFit(): void
    {
        $runs = [
            self::one(3.0, 'wide', 'A-1', 'Ada'), self::one(4.0, 'slim', 'A-2', 'Ada'),
            self::one(9.0, 'slim', 'A-2', 'Ada', ResultKind::AtLeast),
        ];
        $arms = self::of($runs)[0];
        self::assertSame([['slim'], 0], [array_column($arms->bounded, 'side'), $arms->found->pairs]);
        self::assertSame([null, null], array_map(static fn ($s): ?float => $s->effect, $arms->found->sides));
        self::assertSame(
            'Force by variant: 2 sides, and too few without a bound among their runs to put into one fit.'
            .' Slim stands apart, a bound among its 2 runs: not told apart from wide.', SidesWords::sentence($arms, 'force', true),
        );
    }

    /** @return iterable<string, array{ResultKind, float, string}> kind of the bound, where it stands, what is told of its side */
    public static function bounds(): iterable
    {
        yield 'it may only be higher still' => [ResultKind::AtLeast, 60.0, 'above wide, slim and round'];
        yield 'it may be anything above the least' => [ResultKind::AtLeast, -60.0, 'not told apart from wide, slim and round'];
        yield 'it may only be lower still' => [ResultKind::AtMost, -60.0, 'below wide, slim and round'];
    }

    #[DataProvider('bounds')]
    public function testASideWithABoundStandsApartAndTheOthersKeepTheirFit(ResultKind $kind, float $more, string $told): void
    {
        $runs = $whole = [];
        $n = 0;
        foreach (self::RATERS as $rater => $base) {
            foreach (['wide' => 4.0, 'slim' => 0.0, 'round' => 0.3] as $arm => $m) {
                $runs[] = $whole[] = self::one($base + $m + 0.2 * (++$n % 4), $arm, 'A-'.$arm, $rater);
            }
            $runs[] = self::one($base + $more + 0.1 * ($n % 3), 'deep', 'A-deep', $rater, $rater === 'Bo' ? $kind : ResultKind::Equal);
        }
        [$arms, $without] = [self::of($runs)[0], self::of($whole)[0]];
        self::assertSame([$without->found->groups, 3], [$arms->found->groups, $arms->found->pairs]);
        $apart = $arms->found->sides[3];
        self::assertSame(['deep', null, 4], [$apart->side, $apart->effect, $apart->n]);
        self::assertSame(
            'Force by variant: wide leads those without a bound, and is told apart from all of these; 2 of 3 pairs told. One article stands'
            .' for a side: what is told is of the articles. Deep stands apart, a bound among its 4 runs: '.$told.'.',
            SidesWords::sentence($arms, 'force', true),
        );
        self::assertSame('stands apart, with bounds', SidesWords::effect($arms, 'deep', null));
    }

    public function testOnePairTooFewRunsToTell(): void
    {
        $runs = [];
        foreach (['Ada' => 1.0, 'Bo' => -1.0] as $rater => $more) {
            $runs[] = self::one(30.0 + $more, 'wide', 'A-1', $rater);
            $runs[] = self::one(30.0, 'slim', 'A-2', $rater);
        }
        self::assertStringContainsString('cannot be told apart', SidesWords::sentence(self::of($runs)[0], 'force', true));
    }

    /** @return iterable<string, array{array<string, float>, non-empty-string, non-empty-string}> force by shape and coating; what is said */
    public static function grids(): iterable
    {
        yield 'waxed is more on every shape' => [
            ['round wax' => 14.0, 'round bare' => 10.0, 'flat wax' => 34.0, 'flat bare' => 30.0],
            'Force by coating: wax leads, and is told apart from all others; 1 of 1 pair told',
            'Force by shape: flat leads, and is told apart from all others; 1 of 1 pair told',
        ];
        yield 'on one shape it is less' => [
            ['round wax' => 14.0, 'round bare' => 10.0, 'flat wax' => 30.0, 'flat bare' => 34.0],
            'Force by coating: which is more hangs on the level, in both directions, so no single number is given.',
            'Force by shape: flat leads, and is told apart from all others; 1 of 1 pair told',
        ];
        // A mean over all runs would put wax far ahead, since flat is mostly waxed.
        yield 'one was left out' => [
            ['round wax' => 10.0, 'round bare' => 14.0, 'flat wax' => 34.0],
            'Force by coating: bare leads, and is told apart from all others; 1 of 1 pair told',
            'Force by shape: flat leads, and is told apart from all others; 1 of 1 pair told',
        ];
    }

    /**
     * @param array<string, float> $means
     * @param non-empty-string     $coating
     * @param non-empty-string     $shape
     */
    #[DataProvider('grids')]
    public function testEachParameterIsComparedOverTheLevelsOfTheOthers(array $means, string $coating, string $shape): void
    {
        $runs = $arms = [];
        foreach ($means as $arm => $mean) {
            [$form, $coat] = explode(' ', $arm);
            $arms[$arm] = [Parameter::typed('shape', $form), Parameter::typed('coating', $coat)];
            foreach ([-0.2, 0.0, 0.2] as $i => $more) {
                $runs[] = Judged::run($mean + $more, with: Configuration::fromRow([
                    'arm' => $arm, 'serial' => $arm.$i, 'parameters' => array_map(get_object_vars(...), $arms[$arm]),
                ] + Judged::configuration()->toRow()));
            }
        }
        $build = new Build('a', 'A', null, '', '', '2026-03-01T00:00:00Z', arms: $arms);
        $all = array_column(SidesWithin::of(Seen::ofRuns($runs), 'force', 'N', new Terms(0.95), $build), null, 'name');
        self::assertStringStartsWith($coating, SidesWords::sentence($all['coating'], 'force', true));
        self::assertStringStartsWith($shape, SidesWords::sentence($all['shape'], 'force', true));
        $turns = str_contains($coating, 'hangs');
        self::assertSame($turns, array_filter(array_column($all['coating']->found->sides, 'effect')) === []);
        $said = SidesWords::sentence($all['coating'], 'force', true);
        self::assertSame($turns, str_contains($said, 'Wax and bare stand the other way round at shape'));
    }

    private static function one(float $newton, string $arm, string $serial, string $rater, ResultKind $kind = ResultKind::Equal): RunFact
    {
        $with = Judged::configuration(serial: $serial, factors: [new Factor('rater', FactorRole::Block)]);

        return Judged::run($newton, kind: $kind, levels: ['rater' => $rater], with: Configuration::fromRow(
            ['arm' => $arm, 'parameters' => [(array) new Parameter('grip', 0.0, '1', null, 0.0, $arm)]] + $with->toRow(),
        ));
    }

    /**
     * @param list<RunFact> $runs
     *
     * @return list<SidesWithin>
     */
    private static function of(array $runs): array
    {
        return SidesWithin::of(Seen::ofRuns($runs), 'force', 'N', new Terms(0.95));
    }
}
