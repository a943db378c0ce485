<?php

declare(strict_types=1);

namespace Lustrum\Tests\Core;

use Lustrum\Core\Alike\CellDifference;
use Lustrum\Core\Change\ChangeVerdict;
use Lustrum\Core\Evidence\Kind;
use Lustrum\Core\Evidence\State;
use Lustrum\Core\Footing\Context;
use Lustrum\Core\Footing\Footing;
use Lustrum\Core\Footing\FootingCheck;
use Lustrum\Core\Footing\UnitPast;
use Lustrum\Core\Judging\Baseline;
use Lustrum\Core\Judging\Build;
use Lustrum\Core\Judging\ChangeSeen;
use Lustrum\Core\Judging\ChangesSeen;
use Lustrum\Core\Judging\CompareBuilds;
use Lustrum\Core\Judging\Differences;
use Lustrum\Core\Judging\DrawnIn;
use Lustrum\Core\Judging\Evidence;
use Lustrum\Core\Judging\Look;
use Lustrum\Core\Judging\Seen;
use Lustrum\Core\Judging\Terms;
use Lustrum\Core\Judging\Wanted;
use Lustrum\Core\Run\Configuration;
use Lustrum\Core\Run\Factor;
use Lustrum\Core\Run\FactorRole;
use Lustrum\Core\Run\Parameter;
use Lustrum\Core\Run\RunFact;
use Lustrum\Core\Run\RunOutcome;
use Lustrum\Core\Statistics\Verdict;
use Lustrum\Core\Wording\ChangeWords;
use Lustrum\Core\Wording\ComparisonWords;
use Lustrum\Core\Wording\EvidenceWords;
use Lustrum\Core\Wording\FootingWords;
use Lustrum\Core\Wording\TrialWords;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What an article is, how far its runs spread, and that what was chosen by its runs looks better than it is. */
final class StateTest extends TestCase
{
    /** @return iterable<string, array{list<string>, list<string>, Footing}> states before, states now */
    public static function states(): iterable
    {
        yield 'the same' => [['finished', ''], ['finished'], Footing::Level];
        yield 'a mock-up against the real thing' => [['mockup'], ['finished'], Footing::Broken];
        yield 'a model against the real thing' => [['finished'], ['model'], Footing::Broken];
        yield 'a mock-up against another' => [['mockup'], ['mockup'], Footing::Level];
        yield 'bare against finished' => [['bare'], ['finished'], Footing::Tilted];
        yield 'payload aboard against none' => [['payload'], ['finished'], Footing::Tilted];
    }

    /**
     * @param list<string> $before
     * @param list<string> $now
     */
    #[DataProvider('states')]
    public function testArticlesInAnotherStateDoNotStandOnTheSameFooting(array $before, array $now, Footing $expected): void
    {
        $of = static fn (array $states): Context => new Context(
            method: 'Pull', methodVersion: 1, rig: '', instruments: [], operators: [],
            units: array_map(static fn (mixed $s): UnitPast => new UnitPast('A-1', 0, 0, is_string($s) ? $s : ''), array_values($states)),
            lots: [], firmware: [], settings: [], conditions: [], from: null, to: null, runs: 3,
        );
        $check = FootingCheck::between($of($before), $of($now));
        self::assertSame($expected, $check->footing);
        if ($expected !== Footing::Level) {
            self::assertStringStartsWith('Tried in another state (', FootingWords::why($check->differences[0]));
        }
    }

    public function testAResultFromAMockUpSaysSoWhereverItStands(): void
    {
        $plain = Judged::wanted(Kind::Mean, 40.0);
        $wanted = new Wanted('w', 'Fits', 'force', 'N', 40.0, $plain->rule, [], true, enough: ['mockup', 'finished']);
        $card = Configuration::fromRow(['articleState' => 'mockup'] + Judged::configuration()->toRow());
        $runs = [Judged::run(50.0, with: $card), Judged::run(51.0, with: $card), Judged::run(50.5, with: $card)];
        $said = static function (array $runs) use ($wanted): string {
            $build = Judged::build('a');
            /** @var list<RunFact> $runs */
            $own = static fn (): array => ['w' => Evidence::own($wanted, $build, $runs)];

            return EvidenceWords::cell(Evidence::cell($wanted, $build, Judged::line($build), $own), 'force');
        };
        self::assertStringEndsWith('On a mock-up or a model only.', $said($runs));
        self::assertStringEndsWith('3 of these runs were on a mock-up or a model.', $said([...$runs, Judged::run(50.2)]));
        self::assertStringNotContainsString('mock-up', $said(Judged::runs([50.0, 51.0, 50.5])));
        self::assertStringContainsString('with C-1, a mock-up: held', TrialWords::run(
            1, 'Fitting', 'A', 'C-1', RunOutcome::Held, '', false, 'mockup',
        ));
    }

    public function testTwoBuildsAreComparedBySpreadAsWell(): void
    {
        $of = static fn (array $now, Terms $terms) => (new CompareBuilds([Judged::wanted(Kind::Mean, 40.0)], ['force' => 'Force'], 0.95))->metric(
            'force', Judged::build('b', 'a'),
            Seen::ofRuns(Judged::runs(array_values(array_filter($now, is_float(...))), build: 'b')), Judged::build('a'),
            Seen::ofRuns(Judged::runs([50.0, 51.0, 49.0, 50.5, 49.5])), $terms,
        );
        $far = [40.0, 60.0, 45.0, 55.0, 50.0];
        $spread = $of($far, new Terms(0.95))->spread;
        self::assertNotNull($spread);
        self::assertSame(Verdict::Higher, $spread->verdict);
        self::assertEqualsWithDelta(10.0, $spread->estimate, 1e-9);
        self::assertStringStartsWith('Its runs spread 10 times as far as those of A [', ComparisonWords::spread($spread, 'B', 'A', true));
        self::assertStringContainsString('cannot be told from as far', ComparisonWords::spread($spread, 'B', 'A', false));
        self::assertNull($of([50.0, 51.0, 52.0], new Terms(0.95, new Look()))->spread, 'Three values say nothing of how they spread.');
    }

    public function testWhatWasChosenByItsRunsIsDrawnInTowardsAllOfThem(): void
    {
        $runs = [];
        foreach (['wide' => 34.0, 'round' => 32.0, 'slim' => 30.0, 'long' => 28.0] as $arm => $mean) {
            foreach ([-1.0, 0.0, 1.0] as $more) {
                $runs[] = Judged::run($mean + $more, with: Configuration::fromRow(['arm' => $arm] + Judged::configuration()->toRow()));
            }
        }
        $arms = ['wide' => [], 'round' => [], 'slim' => [], 'long' => []];
        $build = new Build('a', 'A', null, '', '', '2026-03-01T00:00:00Z', [], [], [], $arms, 'wide');
        $all = Seen::ofRuns($runs);
        $found = Baseline::of($build, $all->ofArm('wide'), [Judged::wanted(Kind::Mean, 40.0)], $all)['force'];
        // s² = 1, r = 3, variance of the means 20/3: B = 1 − 1/20.
        self::assertEqualsWithDelta(31.0 + 0.95 * 3.0, $found->mean, 1e-9);
        self::assertSame(34.0, $found->drawnFrom);
        self::assertNull(Baseline::of($build, $all->ofArm('wide'), [Judged::wanted(Kind::Mean, 40.0)])['force']->drawnFrom);
    }

    /** Most runs of A are of the strong variant, most of B of the weak one: a mean over both would say the reverse. */
    public function testBuildsAreComparedVariantByVariant(): void
    {
        $seen = static function (string $build, array $values): Seen {
            $runs = [];
            foreach ($values as $arm => $of) {
                foreach ($of as $newton) {
                    $runs[] = Judged::run($newton, build: $build, with: Configuration::fromRow(['arm' => $arm] + Judged::configuration()->toRow()));
                }
            }

            return Seen::ofRuns($runs)->byVariant();
        };
        $here = $seen('b', ['wave' => [13.0, 14.0, 15.0, 13.5, 14.5], 'plain' => [33.0, 34.0, 35.0]]);
        $there = $seen('a', ['wave' => [10.0, 11.0, 12.0], 'plain' => [30.0, 31.0, 32.0, 30.5, 31.5], 'saw' => [90.0]]);
        $compare = new CompareBuilds([Judged::wanted(Kind::Mean, 40.0)], ['force' => 'Force'], 0.95);
        $build = Judged::build('b', 'a', [Judged::change('one', metric: 'force', expected: 3.0)]);
        $c = $compare->metric('force', $build, $here, Judged::build('a'), $there);
        self::assertSame([null, null], [$c->here->figure, $c->other?->figure], 'No number of several variants.');
        self::assertEqualsWithDelta(3.0, $c->difference?->value, 1e-9);
        self::assertSame(['wave', 'plain'], array_map(static fn (CellDifference $d): string => $d->cell, $c->matching->cells ?? []));
        self::assertSame(['saw'], $c->matching->onlyOther ?? []);
        $change = (new ChangesSeen($compare, 0.95))->of($build, $here, $there)[0];
        self::assertEqualsWithDelta(3.0, $change->seen?->value, 1e-9);
        self::assertSame(ChangeVerdict::Fixed, $change->verdict);
    }

    /** @return iterable<string, array{string, string, bool}> variant chosen of the parent, of the build, and is there a difference? */
    public static function choices(): iterable
    {
        yield 'what was chosen became the build' => ['wave', '', false];
        yield 'another was chosen' => ['plain', '', true];
        yield 'nothing was chosen' => ['', '', true];
        yield 'the same of both' => ['wave', 'wave', false];
    }

    #[DataProvider('choices')]
    public function testAChosenVariantIsTheBuild(string $there, string $here, bool $isDifferent): void
    {
        $edge = static fn (string $words): Parameter => new Parameter('edge', 0.0, '1', null, 0.0, $words);
        $arms = ['wave' => [$edge('wave')], 'plain' => [$edge('plain')]];
        $of = static fn (string $id, string $chosen, string $words): Build => new Build(
            $id, $id, null, '', '', '2026-03-01T00:00:00Z', [$edge($words)], arms: $arms, chosenArm: $chosen,
        );
        $differences = Differences::between($of('a', $there, 'straight'), $of('b', $here, 'wave'));
        self::assertSame($isDifferent, $differences !== []);
        self::assertSame($isDifferent, array_filter($differences, $of('b', $here, 'wave')->variesIn(...)) !== [], 'It was said by making them.');
        self::assertNotSame([], Differences::between($of('a', '', 'wave'), $of('b', 'plain', 'wave')), 'It is what was chosen, and no more what was written down.');
    }

    public function testRatersAreTakenOutBeforeAVariantIsDrawnIn(): void
    {
        $shift = static function (float $apart): ?float {
            $with = Judged::configuration(factors: [new Factor('rater', FactorRole::Block)])->toRow();
            $variants = [];
            foreach (['wide' => 34.0, 'round' => 32.0, 'slim' => 30.0] as $arm => $mean) {
                $runs = [];
                foreach (['Ada', 'Bo', 'Cy'] as $i => $rater) {
                    $runs[] = Judged::run(
                        $mean + $apart * $i + ((count($variants) + $i) % 3), levels: ['rater' => $rater],
                        with: Configuration::fromRow(['arm' => $arm] + $with),
                    );
                }
                $variants[$arm] = Seen::ofRuns($runs)->read('force');
            }

            return DrawnIn::shift('wide', $variants, 'N');
        };
        // s² = 6/4, r = 3, variance of the means 4.
        self::assertEqualsWithDelta(-2.0 * 1.5 / (3 * 4.0), $shift(0.0), 1e-9);
        self::assertEqualsWithDelta($shift(0.0), $shift(25.0), 1e-9, 'However far people lie apart.');
    }

    public function testAChangeIsJudgedAgainstWhatWasDrawnIn(): void
    {
        $with = static fn (string $arm): Configuration => Configuration::fromRow(['arm' => $arm] + Judged::configuration()->toRow());
        $runs = [];
        foreach (['wide' => 34.0, 'round' => 32.0, 'slim' => 30.0, 'long' => 28.0] as $arm => $mean) {
            foreach ([-2.0, 0.0, 2.0] as $more) {
                $runs[] = Judged::run($mean + $more, with: $with($arm));
            }
        }
        $arms = ['wide' => [], 'round' => [], 'slim' => [], 'long' => []];
        $parent = new Build('a', 'A', null, '', '', '2026-03-01T00:00:00Z', [], [], [], $arms, 'wide');
        $build = Judged::build('b', 'a', [Judged::change('one', metric: 'force', expected: 5.0)]);
        $all = Seen::ofRuns($runs);
        $compare = new CompareBuilds([Judged::wanted(Kind::Mean, 40.0)], ['force' => 'Force'], 0.95);
        $seen = Seen::ofRuns(Judged::runs([40.0, 41.0, 39.0], build: 'b'));
        $of = static fn (?Seen $whole): ChangeSeen => (new ChangesSeen($compare, 0.95))->of($build, $seen, $all->ofArm('wide'), $parent, $whole)[0];
        // s² = 4, r = 3, variance of the means 20/3: B = 1 − 1/5, so that 34 is drawn in to 33.4.
        self::assertSame([false, 6.0], [$of(null)->drawnIn, $of(null)->seen?->value]);
        self::assertTrue($of($all)->drawnIn);
        self::assertEqualsWithDelta(6.6, $of($all)->seen?->value, 1e-9);
        self::assertStringContainsString(
            'the earlier mean is drawn in, since its runs chose the variant', ChangeWords::sentence($of($all), 'force', false),
        );
        $footing = $compare->metric('force', $build, $seen, $parent, $all->ofArm('wide'))->footing;
        self::assertContains(
            'The runs of A chose its variant among 4: the best of many measures better than it is.',
            array_map(FootingWords::why(...), $footing->differences ?? []),
        );
    }

    public function testRunsThatAreNeededAreTheFewestThereCanBe(): void
    {
        $wanted = Judged::wanted(Kind::Mean, 40.0);
        $build = Judged::build('a');
        $own = static fn (): array => [$wanted->id => Evidence::own($wanted, $build, Judged::runs([41.0, 44.0, 47.0]))];
        $cell = Evidence::cell($wanted, $build, Judged::line($build), $own);
        self::assertSame(State::Leaning, $cell->state);
        self::assertMatchesRegularExpression(
            '/At the earliest \d+ more would show it, if mean and spread stay\./', EvidenceWords::cell($cell, 'force'),
        );
    }
}
