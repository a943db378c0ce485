<?php

declare(strict_types=1);

namespace Lustrum\Tests\Core;

use Lustrum\Core\Change\ChangeClass;
use Lustrum\Core\Change\ChangeVerdict;
use Lustrum\Core\Change\Expectation;
use Lustrum\Core\Change\ExpectedAs;
use Lustrum\Core\Evidence\Direction;
use Lustrum\Core\Evidence\Kind;
use Lustrum\Core\Evidence\State;
use Lustrum\Core\Evidence\Texture;
use Lustrum\Core\Footing\Footing;
use Lustrum\Core\Judging\Answers;
use Lustrum\Core\Judging\Baseline;
use Lustrum\Core\Judging\Build;
use Lustrum\Core\Judging\ChangesSeen;
use Lustrum\Core\Judging\CompareBuilds;
use Lustrum\Core\Judging\CompareOutcomes;
use Lustrum\Core\Judging\Device;
use Lustrum\Core\Judging\Evidence;
use Lustrum\Core\Judging\Figure;
use Lustrum\Core\Judging\Forecasts;
use Lustrum\Core\Judging\Headline;
use Lustrum\Core\Judging\Measured;
use Lustrum\Core\Judging\Meets;
use Lustrum\Core\Judging\MetricComparison;
use Lustrum\Core\Judging\NextLetter;
use Lustrum\Core\Judging\OutcomeComparison;
use Lustrum\Core\Judging\OutcomeSide;
use Lustrum\Core\Judging\Proposal;
use Lustrum\Core\Judging\Seen;
use Lustrum\Core\Judging\TrialResults;
use Lustrum\Core\Judging\Wanted;
use Lustrum\Core\Outcome\ResultKind;
use Lustrum\Core\Run\Alikeness;
use Lustrum\Core\Run\Factor;
use Lustrum\Core\Run\FactorKind;
use Lustrum\Core\Run\FactorRole;
use Lustrum\Core\Run\Parameter;
use Lustrum\Core\Run\RunFact;
use Lustrum\Core\Run\RunOutcome;
use Lustrum\Core\Wording\ChangeWords;
use Lustrum\Core\Wording\ComparisonWords;
use Lustrum\Core\Wording\OutcomeWords;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Tables of judgement: these runs, this conclusion. */
final class RuleTest extends TestCase
{
    private const CONFIDENCE = 0.95;

    /** @return iterable<string, array{Wanted, list<RunFact>, State, Texture}> */
    public static function evidence(): iterable
    {
        $mean = Judged::wanted(Kind::Mean, 40.0);
        yield 'nothing tried' => [$mean, [], State::None, Texture::Outline];
        yield 'one good run' => [$mean, Judged::runs([60.0]), State::Thin, Texture::Sparse];
        yield 'two good runs' => [$mean, Judged::runs([60.0, 61.0]), State::Thin, Texture::Sparse];
        yield 'three alike, far above' => [$mean, Judged::runs([60.0, 61.0, 60.5]), State::Shown, Texture::Solid];
        yield 'three on the right side, wide apart' => [$mean, Judged::runs([41.0, 55.0, 44.0]), State::Leaning, Texture::Dense];
        yield 'three on the wrong side, wide apart' => [$mean, Judged::runs([25.0, 39.0, 50.0]), State::Doubtful, Texture::DenseBroken];
        yield 'three far below' => [$mean, Judged::runs([20.0, 21.0, 20.5]), State::Against, Texture::Broken];
        yield 'exactly at the limit' => [$mean, Judged::runs([40.0, 40.0, 40.0]), State::Shown, Texture::Solid];
        yield 'an upper limit kept' => [
            Judged::wanted(Kind::Mean, 40.0, Direction::AtMost), Judged::runs([20.0, 21.0, 20.5]), State::Shown, Texture::Solid,
        ];
        yield 'a void run counts for nothing' => [
            $mean, [...Judged::runs([60.0, 61.0]), Judged::run(10.0, RunOutcome::Void)], State::Thin, Texture::Sparse,
        ];
        yield 'an unreadable unit counts for nothing' => [
            $mean, [...Judged::runs([60.0, 61.0]), Judged::run(60.5, unit: 'kg')], State::Thin, Texture::Sparse,
        ];
        yield 'a lost article counts for nothing' => [
            $mean, [...Judged::runs([60.0, 61.0]), Judged::run(1.0, RunOutcome::Lost)], State::Thin, Texture::Sparse,
        ];
        $bound = Judged::run(60.5, RunOutcome::StoppedEarly, ResultKind::AtLeast);
        yield 'two values and a bound lean' => [$mean, [...Judged::runs([60.0, 61.0]), $bound], State::Leaning, Texture::Dense];
        $every = Judged::wanted(Kind::Every, 40.0);
        yield 'every one: three alike do not speak of nine in ten' => [
            $every, Judged::runs([45.0, 47.0, 46.0]), State::Leaning, Texture::Dense,
        ];
        yield 'every one: ten alike, far above' => [
            $every, Judged::runs([60.0, 60.1, 60.2, 60.3, 60.1, 60.0, 60.2, 60.1, 60.3, 60.2]), State::Shown, Texture::Solid,
        ];
        $rate = Judged::wanted(Kind::Rate, 0.9, metric: 'strong');
        yield 'two tries of two' => [$rate, Judged::tries(2, 0), State::Thin, Texture::Sparse];
        yield 'ten of ten do not show nine in ten' => [$rate, Judged::tries(10, 0), State::Leaning, Texture::Dense];
        yield 'forty of forty do' => [$rate, Judged::tries(40, 0), State::Shown, Texture::Solid];
        yield 'five of ten' => [$rate, Judged::tries(5, 5), State::Against, Texture::Broken];
        yield 'eight of ten are on the wrong side, and not sure' => [$rate, Judged::tries(8, 2), State::Doubtful, Texture::DenseBroken];
        yield 'stopped early answers no rate' => [
            $rate, [...Judged::tries(2, 0), Judged::run(null, RunOutcome::StoppedEarly, outcomeMetric: 'strong')], State::Thin,
            Texture::Sparse,
        ];
        $check = Judged::wanted(Kind::Check, 1.0, metric: 'strong');
        yield 'a check held once' => [$check, Judged::tries(1, 0), State::Shown, Texture::Solid];
        yield 'a check failed once of five' => [$check, Judged::tries(4, 1), State::Against, Texture::Broken];
        yield 'runs of another question' => [$check, Judged::tries(3, 0, metric: 'tight'), State::None, Texture::Outline];
    }

    /** @param list<RunFact> $runs */
    #[DataProvider('evidence')]
    public function testWhatIsShown(Wanted $wanted, array $runs, State $state, Texture $texture): void
    {
        $build = Judged::build('a');
        $own = Evidence::own($wanted, $build, $runs);
        $cell = Evidence::cell($wanted, $build, Judged::line($build), static fn (): array => [$wanted->id => $own]);
        self::assertSame([$state, $texture], [$cell->state, $cell->texture]);
        // The order in which runs were made is no part of the conclusion.
        self::assertEquals($own->by->worst->state, Evidence::own($wanted, $build, array_reverse($runs))->by->worst->state);
        // Nor are the pieces in which they are gathered.
        for ($size = 1; $size <= 4; ++$size) {
            $pieces = array_map(static fn (array $some): array => Evidence::gather($wanted, $build, $some), array_chunk($runs, $size));
            self::assertEquals($own, Evidence::judge($wanted, $build, $pieces), 'In pieces of '.$size);
            self::assertEquals($own, Evidence::judge($wanted, $build, self::stored($pieces)), 'In pieces of '.$size.', as they are kept');
        }
    }

    /**
     * @template T
     *
     * @param T $value
     *
     * @return T
     */
    private static function stored(mixed $value): mixed
    {
        /** @var T $again */
        $again = unserialize(serialize($value));

        return $again;
    }

    public function testRunsOfABuildAsItWasThenCountOnlyWhereTheDifferenceDoesNotMatter(): void
    {
        $arm = static fn (float $mm): Parameter => new Parameter('arm', $mm, 'mm', null, $mm / 1000);
        $before = Judged::configuration(parameters: [$arm(3.0)], firmware: '1.0');
        $build = Judged::build('a', parameters: [$arm(3.0)], firmware: '1.1');
        $runs = array_map(static fn (float $n): RunFact => Judged::run($n, with: $before), [60.0, 61.0, 60.5]);
        foreach ([[[], State::None, Texture::Outline], [['shape'], State::Shown, Texture::Solid]] as [$dependsOn, $state, $texture]) {
            $wanted = Judged::wanted(Kind::Mean, 40.0, dependsOn: $dependsOn);
            $own = Evidence::own($wanted, $build, $runs);
            $cell = Evidence::cell($wanted, $build, Judged::line($build), static fn (): array => [$wanted->id => $own]);
            self::assertSame([$state, $texture], [$cell->state, $cell->texture], implode(',', $dependsOn));
            self::assertSame($dependsOn === [] ? ['firmware'] : [], array_column($cell->differs, 'name'));
            self::assertSame([$dependsOn === [], false], [$cell->isOlder(), $cell->isUntried()], 'What was tried before is not untried.');
        }
        // A parameter that nobody explained matters to everything.
        $thicker = Judged::build('a', parameters: [$arm(4.0)], firmware: '1.0');
        $own = Evidence::own(Judged::wanted(Kind::Mean, 40.0, dependsOn: ['shape']), $thicker, $runs);
        self::assertSame([0, 3, ['arm']], [$own->runs, $own->olderRuns, array_column($own->differs, 'name')]);
    }

    /** @return iterable<string, array{ChangeClass, list<string>, Texture}> */
    public static function carried(): iterable
    {
        yield 'paint' => [ChangeClass::Cosmetic, [], Texture::Dotted];
        yield 'a new shape' => [ChangeClass::Shape, [], Texture::Outline];
        yield 'a new shape, where only firmware matters' => [ChangeClass::Shape, ['firmware'], Texture::Dotted];
        yield 'firmware, where it matters' => [ChangeClass::Firmware, ['firmware', 'setting'], Texture::Outline];
    }

    /** @param list<string> $dependsOn */
    #[DataProvider('carried')]
    public function testEvidenceIsCarriedOver(ChangeClass $class, array $dependsOn, Texture $texture): void
    {
        $wanted = Judged::wanted(Kind::Mean, 40.0, dependsOn: $dependsOn);
        [$a, $b, $c] = [Judged::build('a'), Judged::build('b', 'a'), Judged::build('c', 'b', [Judged::change('one', $class)])];
        $runs = ['a' => Judged::runs([60.0, 61.0, 60.5]), 'b' => [], 'c' => []];
        $own = static fn (Build $x): array => [$wanted->id => Evidence::own($wanted, $x, $runs[$x->id] ?? [])];
        $cell = Evidence::cell($wanted, $c, Judged::line($a, $b, $c), $own);
        self::assertSame([$texture, 'a'], [$cell->texture, $cell->source->id]);
        self::assertSame($texture === Texture::Outline ? State::None : State::Shown, $cell->state);
    }

    /** @return iterable<string, array{list<float>, list<float>, Direction, string}> this build, the other, judged */
    public static function values(): iterable
    {
        yield 'higher, and higher is better' => [[60.0, 61.0, 60.5], [50.0, 51.0, 50.5], Direction::AtLeast, 'better'];
        yield 'higher, and lower is better' => [[60.0, 61.0, 60.5], [50.0, 51.0, 50.5], Direction::AtMost, 'worse'];
        yield 'lower, and higher is better' => [[50.0, 51.0, 50.5], [60.0, 61.0, 60.5], Direction::AtLeast, 'worse'];
        yield 'not to be told apart' => [[50.0, 55.0, 60.0], [51.0, 54.0, 61.0], Direction::AtLeast, ''];
        yield 'single runs' => [[60.0], [50.0], Direction::AtLeast, ''];
    }

    /**
     * @param list<float> $here
     * @param list<float> $there
     */
    #[DataProvider('values')]
    public function testBetterAndWorse(array $here, array $there, Direction $direction, string $judged): void
    {
        $compare = new CompareBuilds([Judged::wanted(Kind::Mean, 40.0, $direction)], ['force' => 'Force'], self::CONFIDENCE);
        $found = $compare->metric(
            'force', Judged::build('b', 'a'), Seen::ofRuns(Judged::runs($here, build: 'b')), Judged::build('a'),
            Seen::ofRuns(Judged::runs($there)),
        );
        self::assertSame($judged, $found->judged);
        self::assertEqualsWithDelta(
            array_sum($here) / count($here) - array_sum($there) / count($there), $found->difference->value ?? null, 1e-9,
        );
    }

    /** Raters lie 40 apart, and agree within 1 on what differs: the interval of a mean that stands beside it is that within them. */
    public function testIntervalsBesideAVerdictAreThoseWithinItsBlocks(): void
    {
        $with = Judged::configuration(factors: [new Factor('rater', FactorRole::Block)]);
        $of = static function (string $build, float $more) use ($with): Seen {
            $runs = [];
            foreach (['Ada' => 20.0, 'Bo' => 60.0, 'Cy' => 40.0, 'Di' => 81.0] as $rater => $base) {
                $runs[] = Judged::run($base + $more * ($rater === 'Bo' ? 1.2 : 1.0), build: $build, levels: ['rater' => $rater], with: $with);
            }

            return Seen::ofRuns($runs);
        };
        $c = (new CompareBuilds([Judged::wanted(Kind::Mean, 40.0)], ['force' => 'Force'], self::CONFIDENCE))->metric(
            'force', Judged::build('b', 'a'), $of('b', 5.0), Judged::build('a'), $of('a', 0.0),
        );
        $width = static fn (?Figure $f): float => (float) $f?->high - (float) $f?->low;
        self::assertSame('better', $c->judged);
        self::assertEqualsWithDelta($width($c->difference) / M_SQRT2, $width($c->here->figure), 1e-9);
        self::assertEqualsWithDelta($width($c->here->figure), $width($c->other?->figure), 1e-9);
        self::assertEqualsWithDelta(55.5, $c->here->figure?->value, 1e-9);
        $plain = (new CompareBuilds([], ['force' => 'Force'], self::CONFIDENCE))->metric(
            'force', Judged::build('b', 'a'), Seen::ofRuns(Judged::runs([60.0, 61.0, 66.0], build: 'b')), Judged::build('a'),
            Seen::ofRuns(Judged::runs([50.0, 51.0, 51.5])),
        );
        self::assertGreaterThan(2 * $width($plain->other?->figure), $width($plain->here->figure), 'Each by its own spread.');
    }

    public function testWhatMovedAndNobodyAskedForIsSaidAllTheSame(): void
    {
        $told = (new CompareBuilds([], ['force' => 'Force'], self::CONFIDENCE))->metric(
            'force', Judged::build('b', 'a'), Seen::ofRuns(Judged::runs([60.0, 61.0, 62.0], build: 'b')), Judged::build('a'),
            Seen::ofRuns(Judged::runs([50.0, 51.0, 52.0])),
        );
        self::assertSame(['', $told], [$told->judged, Headline::of([$told], [], [], self::CONFIDENCE)->first]);
    }

    public function testOnlyRunsOfTheMethodThatBothShareAreCompared(): void
    {
        $here = [...Judged::runs([60.0, 61.0], build: 'b'), ...Judged::runs([5.0, 6.0, 7.0], build: 'b', method: 'drop')];
        $there = [...Judged::runs([50.0, 51.0]), ...Judged::runs([1.0, 2.0, 3.0], method: 'swing')];
        $compare = new CompareBuilds([Judged::wanted(Kind::Mean, 40.0)], ['force' => 'Force'], self::CONFIDENCE);
        $of = static fn (Seen $here, Seen $there): MetricComparison => $compare->metric(
            'force', Judged::build('b', 'a'), $here, Judged::build('a'), $there,
        );
        $found = $of(Seen::ofRuns($here), Seen::ofRuns($there));
        self::assertEqualsWithDelta(10.0, $found->difference?->value, 1e-9);
        self::assertSame([60.5, 50.5], [$found->here->figure?->value, $found->other?->figure?->value], 'Of the same pairs as the difference.');
        self::assertSame([2, 1, 2], [$found->footing?->footing === Footing::Broken ? 0 : 2, $found->here->levels, $found->here->n]);
        $apart = $of(
            Seen::ofRuns(Judged::runs([1.0], build: 'b', method: 'drop')), Seen::ofRuns(Judged::runs([2.0], method: 'swing')),
        );
        self::assertSame([null, null, null], [$apart->difference, $apart->verdict, $apart->footing]);
        self::assertStringContainsString(
            'neither says anything of the other', ComparisonWords::sentence($apart, 'force', 'A'), 'No method is shared.',
        );
    }

    /** @return iterable<string, array{array{int, int}, array{int, int}, string}> held and failed here, there, verdict */
    public static function shares(): iterable
    {
        yield 'all held on both' => [[5, 0], [8, 0], 'bothPass'];
        yield 'all held here, and not there, in a few' => [[3, 0], [2, 1], 'indistinct'];
        yield 'many more' => [[30, 0], [10, 20], 'more'];
        yield 'many fewer' => [[10, 20], [30, 0], 'less'];
        yield 'a little more of many' => [[16, 4], [14, 6], 'indistinct'];
        yield 'all of two against none of two: the exact test has the last word' => [[2, 0], [0, 2], 'indistinct'];
    }

    /**
     * @param array{int, int} $here
     * @param array{int, int} $there
     */
    #[DataProvider('shares')]
    public function testHowOftenItHolds(array $here, array $there, string $verdict): void
    {
        [$a, $b] = [Judged::build('a'), Judged::build('b', 'a')];
        $found = CompareOutcomes::all(
            $b, self::tries($here, 'b'), $a, self::tries($there, 'a'), self::CONFIDENCE,
        );
        self::assertCount(1, $found);
        self::assertSame($verdict, $found[0]->verdict);
        $turned = CompareOutcomes::all(
            $a, self::tries($there, 'a'), $b, self::tries($here, 'b'), self::CONFIDENCE,
        );
        self::assertSame(['more' => 'less', 'less' => 'more'][$verdict] ?? $verdict, $turned[0]->verdict);
    }

    public function testTwoStatesAreNoLadder(): void
    {
        $side = static function (string ...$levels): OutcomeSide {
            $answers = new Answers('strong');
            foreach ($levels as $level) {
                $run = Judged::run(null, levels: ['lamp' => $level], with: Judged::configuration(
                    outcomeMetric: 'strong', factors: [new Factor('lamp', levels: array_values($levels), kind: FactorKind::Ordered)],
                ));
                $answers->take($run, Alikeness::of($run), 'made');
            }

            return OutcomeSide::of(Judged::build('a'), $answers, 0.95);
        };
        self::assertSame([null, 'bright'], [$side('off', 'on')->highestHeld, $side('off', 'dim', 'bright')->highestHeld]);
    }

    public function testChangesThatActOnOneMetricAreNamedTogetherBesideTheirComparison(): void
    {
        $changes = [
            Judged::change('gusset', metric: 'force', expected: 5.0), Judged::change('rib', metric: 'force', expected: 3.0),
            Judged::change('paint', metric: 'shine', expected: 1.0),
        ];
        self::assertSame(['Gusset', 'Rib'], ChangesSeen::acting($changes, 'force'));
        self::assertSame([], ChangesSeen::acting($changes, 'shine'));
        self::assertSame(
            '“Gusset” and “Rib” act on it together and cannot be told apart; a run on an article with “Gusset” and without the other would part them.',
            ComparisonWords::together(ChangesSeen::acting($changes, 'force')),
        );
    }

    public function testHeldAndFailedAreOpposedLevelByLevel(): void
    {
        $of = static fn (string $build, string $position, int $held, int $failed): array => array_map(
            static fn (int $i): RunFact => Judged::run(
                null, $i < $held ? RunOutcome::Held : RunOutcome::Failed, build: $build, outcomeMetric: 'strong', position: $position,
            ), range(0, $held + $failed - 1),
        );
        [$a, $b] = [Judged::build('a'), Judged::build('b', 'a', [Judged::change('one', metric: 'strong')])];
        $there = Seen::ofRuns([...$of('a', '40 cm', 18, 2), ...$of('a', '0.8 m', 0, 10)]);
        // Higher, where it is hard, far more often than the other; put together it would look no better.
        $here = Seen::ofRuns([...$of('b', '0.4 m', 6, 0), ...$of('b', '80 cm', 14, 16)]);
        $compare = static fn (Seen $here, Seen $there): OutcomeComparison => CompareOutcomes::all($b, $here, $a, $there, self::CONFIDENCE)[0];
        self::assertSame('more', $compare($here, $there)->verdict, '40 cm and 0.4 m are one level.');
        $unmatched = $compare(Seen::ofRuns($of('b', '1 m', 5, 0)), $there);
        self::assertSame(['unmatched', null, null], [$unmatched->verdict, $unmatched->difference, $unmatched->p]);
        self::assertStringContainsString('neither says anything of the other', OutcomeWords::sentence($unmatched, 'strong'));
        $seen = (new ChangesSeen(new CompareBuilds([], ['strong' => 'Strong'], self::CONFIDENCE), self::CONFIDENCE));
        self::assertSame(ChangeVerdict::Better, $seen->of($b, $here, $there)[0]->verdict);
        $apart = $seen->of($b, Seen::ofRuns($of('b', '1 m', 5, 0)), $there)[0];
        self::assertSame(ChangeVerdict::CannotTell, $apart->verdict);
        self::assertStringContainsString('no level was run on both', ChangeWords::sentence($apart, 'strong', false));
    }

    public function testWhereAllHeldItIsSaidHowMuchCouldHide(): void
    {
        [$a, $b] = [Judged::build('a'), Judged::build('b', 'a')];
        $said = static fn (int $here, int $there): string => OutcomeWords::sentence(CompareOutcomes::all(
            $b, Seen::ofRuns(Judged::tries($here, 0, 'b')), $a, Seen::ofRuns(Judged::tries($there, 0)), self::CONFIDENCE,
        )[0], 'strong');
        self::assertStringContainsString('up to 43 points could hide', $said(5, 5));
        self::assertStringContainsString('does not tell them apart.', $said(2, 9), 'Of two runs nobody expected more.');
    }

    /** @param array{int, int} $of held and failed */
    private static function tries(array $of, string $build): Seen
    {
        return Seen::ofRuns(Judged::tries($of[0], $of[1], $build));
    }

    /** @return iterable<string, array{?float, list<float>, list<float>, ChangeVerdict}> expected, this build, parent */
    public static function changes(): iterable
    {
        yield 'as expected' => [5.0, [60.0, 61.0, 60.5], [50.0, 51.0, 50.5], ChangeVerdict::Fixed];
        yield 'less than expected' => [20.0, [60.0, 61.0, 60.5], [50.0, 51.0, 50.5], ChangeVerdict::Partly];
        yield 'the other way' => [5.0, [40.0, 41.0, 40.5], [50.0, 51.0, 50.5], ChangeVerdict::Worse];
        yield 'not to be told' => [5.0, [50.0, 55.0, 60.0], [51.0, 54.0, 61.0], ChangeVerdict::CannotTell];
        yield 'less than half of it' => [40.0, [51.0, 52.0, 51.5], [50.6, 51.6, 51.1], ChangeVerdict::NoEffect];
        yield 'nothing expected in numbers' => [null, [60.0, 61.0, 60.5], [50.0, 51.0, 50.5], ChangeVerdict::Better];
        yield 'nothing was to change, and it got worse' => [0.0, [40.0, 41.0, 40.5], [50.0, 51.0, 50.5], ChangeVerdict::Worse];
        yield 'nothing was to change, and nothing is shown' => [0.0, [50.0, 51.5, 50.5], [50.0, 51.0, 50.5], ChangeVerdict::CannotTell];
        yield 'nobody tried it here' => [5.0, [], [50.0, 51.0, 50.5], ChangeVerdict::NobodyLooked];
        yield 'nobody tried it there' => [5.0, [60.0, 61.0, 60.5], [], ChangeVerdict::NobodyLooked];
        yield 'one run each' => [5.0, [60.0], [50.0], ChangeVerdict::CannotTell];
    }

    /**
     * @param list<float> $here
     * @param list<float> $there
     */
    #[DataProvider('changes')]
    public function testWhatBecameOfAChange(?float $expected, array $here, array $there, ChangeVerdict $verdict): void
    {
        $seen = new ChangesSeen(
            new CompareBuilds([Judged::wanted(Kind::Mean, 40.0)], ['force' => 'Force'], self::CONFIDENCE), self::CONFIDENCE,
        );
        $build = Judged::build('b', 'a', [Judged::change('one', metric: 'force', expected: $expected)]);
        self::assertSame($verdict, $seen->of(
            $build, Seen::ofRuns(Judged::runs($here, build: 'b')), Seen::ofRuns(Judged::runs($there)),
        )[0]->verdict);
    }

    public function testADifferenceIsNotJudgedWhereNothingSaysWhichWayIsGood(): void
    {
        $seen = new ChangesSeen(new CompareBuilds([], ['force' => 'Force'], self::CONFIDENCE), self::CONFIDENCE);
        $build = Judged::build('b', 'a', [Judged::change('one', metric: 'force'), Judged::change('two', metric: 'force', expected: -5.0)]);
        $found = $seen->of($build, Seen::ofRuns(Judged::runs([40.0, 41.0, 40.5], build: 'b')), Seen::ofRuns(Judged::runs([50.0, 51.0, 50.5])));
        self::assertSame([ChangeVerdict::CannotTell, ChangeVerdict::Fixed], [$found[0]->verdict, $found[1]->verdict]);
        self::assertEqualsWithDelta(-10.0, $found[0]->seen?->value, 1e-9, 'It is shown all the same.');
    }

    /** @return iterable<string, array{array{int, int}, array{int, int}, ChangeVerdict}> */
    public static function sharesOfChanges(): iterable
    {
        yield 'it ended it' => [[30, 0], [10, 20], ChangeVerdict::Better];
        yield 'it made it worse' => [[10, 20], [30, 0], ChangeVerdict::Worse];
        yield 'a little of few' => [[3, 1], [2, 2], ChangeVerdict::CannotTell];
        yield 'all of two against none of two' => [[2, 0], [0, 2], ChangeVerdict::CannotTell];
        yield 'all held before as well' => [[6, 0], [5, 0], ChangeVerdict::CannotTell];
    }

    /**
     * @param array{int, int} $here
     * @param array{int, int} $there
     */
    #[DataProvider('sharesOfChanges')]
    public function testWhatBecameOfAChangeByHowOftenItHolds(array $here, array $there, ChangeVerdict $verdict): void
    {
        $seen = new ChangesSeen(new CompareBuilds([], ['strong' => 'Strong'], self::CONFIDENCE), self::CONFIDENCE);
        $build = Judged::build(
            'b', 'a', [Judged::change('one', metric: 'strong'), Judged::change('two', metric: 'strong'), Judged::change('three')],
        );
        $all = $seen->of($build, self::tries($here, 'b'), self::tries($there, 'a'));
        self::assertSame([$verdict, ['Two']], [$all[0]->verdict, $all[0]->together]);
        self::assertSame(ChangeVerdict::NobodyLooked, $all[2]->verdict, 'Nobody said what it should move.');
    }

    /** @return iterable<string, array{Device, list<string>, list<float>, array{bool, bool, bool}}> limits, costs, hours, what is passed */
    public static function limits(): iterable
    {
        $device = static fn (?string $cost, ?float $hours, ?int $changes): Device => new Device(
            'd', 'Wagtail', 0.95, 'EUR', $cost, $hours, $changes,
        );
        yield 'no limits' => [$device(null, null, null), ['1000', '1000'], [99.0, 99.0], [false, false, false]];
        yield 'all exactly reached' => [$device('30.00', 4.0, 2), ['10.10', '19.90'], [1.5, 2.5], [false, false, false]];
        yield 'a cent over' => [$device('30.00', 4.0, 2), ['10.10', '19.91'], [1.5, 2.5], [true, false, false]];
        yield 'an hour over' => [$device('30.00', 4.0, 2), ['10', '10'], [1.5, 3.5], [false, true, false]];
        yield 'one too many' => [$device('30.00', 4.0, 1), ['10', '10'], [1.0, 1.0], [false, false, true]];
    }

    /**
     * @param list<string>               $costs
     * @param list<float>                $hours
     * @param array{bool, bool, bool}    $over
     */
    #[DataProvider('limits')]
    public function testLimitsOfANextBuild(Device $device, array $costs, array $hours, array $over): void
    {
        $chosen = array_map(static fn (string $cost, float $h): Proposal => new Proposal('One', $cost, $h, []), $costs, $hours);
        $all = Forecasts::together($chosen, $device, [], []);
        self::assertSame($over, [$all->overCost !== null, $all->overHours, $all->overChanges]);
        self::assertSame(count(array_filter($over)), $all->over());
    }

    /** @return iterable<string, array{float, float, Meets}> least and greatest effect on a mean of 50, limit 45 at most */
    public static function forecasts(): iterable
    {
        yield 'even the least does' => [-12.0, -6.0, Meets::Would];
        yield 'only the greatest does' => [-12.0, -2.0, Meets::Could];
        yield 'not even the greatest does' => [-4.0, -2.0, Meets::WouldNot];
        yield 'exactly to the limit' => [-5.0, -5.0, Meets::Would];
    }

    #[DataProvider('forecasts')]
    public function testWhatAForecastWouldMeet(float $low, float $high, Meets $meets): void
    {
        $wanted = [Judged::wanted(Kind::Mean, 45.0, Direction::AtMost)];
        $proposal = new Proposal(
            'Wider', '0', 0.0, [new Expectation('force', ExpectedAs::Add, 'N', $low, ($low + $high) / 2, $high)],
        );
        $baselines = Baseline::of(Judged::build('a'), Seen::ofRuns(Judged::runs([49.0, 50.0, 51.0])), $wanted);
        $found = Forecasts::together([$proposal], new Device('d', 'Wagtail', 0.95, 'EUR'), $wanted, $baselines);
        self::assertSame($meets, $found->forecasts[0]->meets);
        $unknown = Forecasts::together([$proposal], new Device('d', 'Wagtail', 0.95, 'EUR'), $wanted, []);
        self::assertSame(Meets::Unknown, $unknown->forecasts[0]->meets, 'What was never measured can meet nothing.');
    }

    public function testAForecastStartsFromRunsThatWereMadeWithTheBuildAsItIs(): void
    {
        $build = Judged::build('a', firmware: '1.1');
        $before = Judged::configuration(firmware: '1.0');
        $now = Judged::configuration(firmware: '1.1');
        $runs = [Judged::run(10.0, with: $before), Judged::run(50.0, with: $now), Judged::run(52.0, with: $now)];
        $of = static fn (string ...$dependsOn): ?Baseline => Baseline::of(
            $build, Seen::ofRuns($runs), [Judged::wanted(Kind::Mean, 40.0, dependsOn: array_values($dependsOn))],
        )['force'] ?? null;
        self::assertSame([51.0, 2], [$of()?->mean, $of()?->n]);
        self::assertSame(3, $of('shape')?->n, 'Firmware is of no matter to it.');
        self::assertSame([], Baseline::of($build, Seen::ofRuns([$runs[0]]), []), 'Nothing is left to start from.');
    }

    /** @return iterable<string, array{list<array{float, string, ResultKind}>, float|null}> runs of 'at most 10', and the mean to start from */
    public static function starts(): iterable
    {
        $equal = ResultKind::Equal;
        yield 'the level that is farthest on the wrong side' => [[[8.0, '20 cm', $equal], [14.0, '60 cm', $equal]], 14.0];
        yield 'one that had not ended at 40 where 10 is asked' => [[[8.0, '20 cm', $equal], [40.0, '60 cm', ResultKind::AtLeast]], null];
        yield 'one that stops short of the limit says nothing' => [[[8.0, '20 cm', $equal], [5.0, '60 cm', ResultKind::AtLeast]], 8.0];
        yield 'one that is under it, nobody knows how far' => [[[8.0, '20 cm', $equal], [4.0, '60 cm', ResultKind::AtMost]], 8.0];
    }

    /** @param list<array{float, string, ResultKind}> $of */
    #[DataProvider('starts')]
    public function testAForecastStartsWhereTheRequirementStands(array $of, ?float $mean): void
    {
        $runs = array_map(static fn (array $r): RunFact => Judged::run($r[0], kind: $r[2], position: $r[1]), $of);
        $found = Baseline::of(Judged::build('a'), Seen::ofRuns($runs), [Judged::wanted(Kind::Mean, 10.0, Direction::AtMost)]);
        self::assertSame($mean, ($found['force'] ?? null)?->mean);
    }

    public function testValuesBoundsAndLostOnesAreKeptApart(): void
    {
        $seen = Seen::ofRuns([
            ...Judged::runs([10.0, 20.0]), Judged::run(30.0, RunOutcome::StoppedEarly, ResultKind::AtLeast),
            Judged::run(35.0, kind: ResultKind::AtMost), Judged::run(40.0, RunOutcome::Lost), Judged::run(50.0, RunOutcome::Void),
            Judged::run(60.0, unit: 'kg'), Judged::run(null),
        ]);
        $m = Measured::of($seen->read('force'), 'N');
        self::assertSame([[10.0, 20.0], [30.0], 2, 'N', 1], [$m->values, $m->atLeast, $m->bounds(), $m->unit, $m->decimals]);
        self::assertSame([6, 4], [$seen->read('force')[0]->read, $seen->read('force')[0]->circumstances->runs], 'Those in newtons.');
        self::assertSame([], Measured::of($seen->read('speed'), 'm/s')->values);
    }

    public function testAMeanOfWholeNumbersKeepsADecimal(): void
    {
        $decimals = static fn (string $unit, float $step, float ...$values): int => Measured::decimals($step, array_values($values), $unit);
        self::assertSame([1, 1, 0], [$decimals('count', 1.0, 3, 4), $decimals('1', 1.0, 7, 7), $decimals('1', 1.0, 7)]);
        self::assertSame([0, 2], [$decimals('N', 1.0, 412, 413), $decimals('1', 0.01, 0.25, 0.5)]);
    }

    public function testWhatATrialCameTo(): void
    {
        $results = TrialResults::ofRuns([...Judged::runs([10.0, 12.0]), Judged::run(11.0, RunOutcome::Failed)], [], self::CONFIDENCE);
        self::assertSame([[2, 1]], array_map(static fn (array $s): array => [$s['held'], $s['failed']], $results->shares));
        self::assertSame(3, $results->metrics[0]['figure']?->n);
        // Runs that all ended well, of a question that nobody asked, say nothing of how often it would fail.
        self::assertSame([], TrialResults::ofRuns(Judged::runs([10.0, 12.0]), [], self::CONFIDENCE)->shares);
        self::assertCount(1, TrialResults::ofRuns(Judged::tries(3, 0), [], self::CONFIDENCE)->shares);
    }

    public function testTheOrderOfBuildsIsThatOfDescentAndTime(): void
    {
        $late = new Build('z', 'A', null, '', '', '2026-01-01T00:00:00Z');
        $child = new Build('a', 'B', 'z', 'side', '', '2025-12-01T00:00:00Z');
        $grandchild = new Build('m', 'C', 'a', 'side', '', '2026-02-01T00:00:00Z');
        $line = Judged::line($grandchild, $child, $late);
        self::assertSame(['z', 'a', 'm'], array_keys($line->builds), 'None before its parent, whatever its date.');
        self::assertSame(['a', 'z'], array_column($line->ancestors($grandchild), 'id'));
        self::assertSame([0, 1, 1], array_map($line->depth(...), [$late, $child, $grandchild]));
        foreach ([[[], 'A'], [['A', 'B'], 'C'], [['A', 'Z'], 'AA'], [['A', 'D′', 'B'], 'C'], [['ZZ'], 'AAA']] as [$letters, $next]) {
            self::assertSame($next, NextLetter::after($letters));
        }
    }

    public function testACircleOfBuildsEndsTheWalk(): void
    {
        $line = Judged::line(new Build('a', 'A', 'b', '', '', '1'), new Build('b', 'B', 'a', '', '', '2'));
        self::assertLessThanOrEqual(2, count($line->ancestors($line->builds['a'])));
    }

    public function testAnOwnIsTheSameHoweverItsRunsAreSplitUp(): void
    {
        $wanted = Judged::wanted(Kind::Mean, 40.0);
        $build = Judged::build('a');
        $runs = [
            ...Judged::runs([60.0, 61.0, 59.0, 62.0]), Judged::run(44.0, position: 'low'), Judged::run(45.0, position: 'low'),
            Judged::run(43.0, position: 'low'),
            Judged::run(70.0, RunOutcome::StoppedEarly, ResultKind::AtLeast), Judged::run(50.0, RunOutcome::Lost), Judged::run(41.0, position: 'low'),
        ];
        $own = Evidence::own($wanted, $build, $runs);
        self::assertSame([10, 1], [$own->runs, $own->decimals]);
        foreach ([1, 2, 3, 5, 10] as $parts) {
            foreach ([true, false] as $inARow) {
                $some = array_fill(0, $parts, []);
                foreach ($runs as $i => $run) {
                    $some[$inARow ? intdiv($i * $parts, count($runs)) : $i % $parts][] = $run;
                }
                $gathered = array_map(static fn (array $of): array => Evidence::gather($wanted, $build, $of), $some);
                $found = Evidence::judge($wanted, $build, $gathered);
                self::assertSame([$own->runs, $own->decimals, $own->by->cell], [$found->runs, $found->decimals, $found->by->cell]);
                self::assertEqualsWithDelta((array) $own->by->worst, (array) $found->by->worst, 1e-9, $parts.' parts');
                self::assertEqualsCanonicalizing($own->by->states, $found->by->states);
                self::assertEquals($own->notes, $found->notes);
            }
        }
    }
}
