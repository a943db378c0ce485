<?php

declare(strict_types=1);

namespace Lustrum\Tests\Core;

use Lustrum\Core\Change\ChangeVerdict;
use Lustrum\Core\Change\Expectation;
use Lustrum\Core\Change\ExpectedAs;
use Lustrum\Core\Change\JudgeChange;
use Lustrum\Core\Evidence\Assess;
use Lustrum\Core\Evidence\Kind;
use Lustrum\Core\Footing\Context;
use Lustrum\Core\Footing\Control;
use Lustrum\Core\Footing\Footing;
use Lustrum\Core\Footing\FootingCheck;
use Lustrum\Core\Footing\UnitPast;
use Lustrum\Core\Judging\Build;
use Lustrum\Core\Judging\ChangeFact;
use Lustrum\Core\Judging\ChangeSeen;
use Lustrum\Core\Judging\ChangesSeen;
use Lustrum\Core\Judging\CompareBuilds;
use Lustrum\Core\Judging\Headline;
use Lustrum\Core\Judging\MetricComparison;
use Lustrum\Core\Judging\Seen;
use Lustrum\Core\Judging\SidesWithin;
use Lustrum\Core\Judging\Terms;
use Lustrum\Core\Outcome\Result;
use Lustrum\Core\Outcome\ResultKind;
use Lustrum\Core\Run\Configuration;
use Lustrum\Core\Run\Design;
use Lustrum\Core\Run\Ended;
use Lustrum\Core\Run\Factor;
use Lustrum\Core\Run\FactorKind;
use Lustrum\Core\Run\Question;
use Lustrum\Core\Run\RunFact;
use Lustrum\Core\Statistics\Interval;
use Lustrum\Core\Wording\ComparisonWords;
use PHPUnit\Framework\TestCase;

/** Lines that decide, each seen from both sides. */
final class BothSidesTest extends TestCase
{
    public function testAnEndLeftOpenIsInfinitelyFar(): void
    {
        self::assertSame(ChangeVerdict::Fixed, JudgeChange::range(2.0, 3.0, new Interval(10.0, 8.0, null)));
        self::assertSame(ChangeVerdict::Worse, JudgeChange::range(2.0, 3.0, new Interval(-10.0, null, -8.0)));
        self::assertSame(ChangeVerdict::CannotTell, JudgeChange::range(2.0, 3.0, new Interval(10.0, null, null)));
        self::assertSame(ChangeVerdict::NobodyLooked, JudgeChange::range(2.0, 3.0, null));
    }

    public function testHowSureEveryOneIsHangsOnTheSpread(): void
    {
        $of = static fn (float ...$values): ?float => Assess::results(Judged::wanted(Kind::Every, 40.0)->rule, array_map(
            static fn (float $v): Result => Result::of(ResultKind::Equal, $v), array_values($values),
        ))->probabilityMet;
        self::assertNull($of(45.0, 45.0, 45.0, 45.0), 'Without any spread nothing is said.');
        self::assertGreaterThan($of(41.0, 42.0, 43.0, 44.0) ?? 2.0, $of(45.0, 46.0, 47.0, 48.0));
    }

    public function testAFactorThatVariesByItselfIsTold(): void
    {
        $costs = ['bench' => ['a' => 1.0, 'b' => 1.0], 'wax' => ['a' => 1.0, 'b' => 1.0], 'gap' => ['a' => 1.0, 'b' => 1.0]];
        $row = static fn (string $bench, string $wax, string $gap): array => ['bench' => $bench, 'wax' => $wax, 'gap' => $gap];
        $found = Control::of($costs, [$row('a', 'a', 'a'), $row('b', 'b', 'a'), $row('a', 'a', 'b')], 1.0);
        self::assertSame([['gap'], ['bench', 'wax']], [$found->told, $found->entangled]);
        $two = array_slice($costs, 0, 2);
        $alone = Control::of($two, [['bench' => 'a', 'wax' => 'a'], ['bench' => 'b', 'wax' => 'a']], 1.0);
        self::assertSame(['bench'], $alone->told, 'The wax was never another.');
    }

    public function testTheGravestDifferenceStandsFirst(): void
    {
        $found = FootingCheck::between(
            new Context('Push', rig: 'one', operators: ['Ada'], firmware: ['1'], runs: 5),
            new Context('Pull', rig: 'two', operators: ['Bo'], firmware: ['2'], runs: 5),
        );
        self::assertSame([Footing::Broken, Footing::Broken, Footing::Tilted], [
            $found->footing, $found->differences[0]->weight, $found->differences[1]->weight,
        ]);
        // What stands for the real thing is looked at after who ran it.
        $card = FootingCheck::between(
            new Context('Push', operators: ['Ada'], units: [new UnitPast('A-1', 0, 0, 'mockup')], runs: 5),
            new Context('Push', operators: ['Bo'], units: [new UnitPast('A-2', 0, 0, 'finished')], runs: 5),
        );
        self::assertSame([Footing::Broken, Footing::Broken], [$card->footing, $card->differences[0]->weight]);
        self::assertSame(Footing::Tilted, $card->differences[1]->weight);
    }

    public function testAnExpectationIsReadInItsOwnUnit(): void
    {
        [$before, $after] = [Judged::runs([10.0, 11.0, 12.0]), Judged::runs([13.0, 14.0, 15.0], build: 'b')];
        $seen = self::changed($before, $after, Expectation::of('force', 0.003, 'kN'));
        self::assertSame(['kN', ChangeVerdict::Better], [$seen->seen?->unit, $seen->verdict]);
        $percent = self::changed($before, $after, new Expectation('force', ExpectedAs::Percent, 'kN', null, 30.0, null));
        self::assertSame('N', $percent->seen?->unit, 'Of a per cent there is none.');
    }

    public function testWhyAChangeCannotBeTold(): void
    {
        $at = static fn (string $height, string $build, float ...$newtons): array => array_map(
            static fn (float $n): RunFact => Judged::run($n, build: $build, position: $height), array_values($newtons),
        );
        $unlike = self::changed($at('10 cm', 'a', 1.0, 2.0), $at('20 cm', 'b', 3.0, 4.0), Expectation::of('force', 3.0, 'N'));
        self::assertSame([ChangeVerdict::CannotTell, 'unmatched'], [$unlike->verdict, $unlike->why]);
        $turning = self::changed(
            [...$at('10 cm', 'a', 10.0, 10.1, 10.2), ...$at('20 cm', 'a', 20.0, 20.1, 20.2)],
            [...$at('10 cm', 'b', 15.0, 15.1, 15.2), ...$at('20 cm', 'b', 14.0, 14.1, 14.2)], Expectation::of('force', 3.0, 'N'),
        );
        self::assertSame([ChangeVerdict::CannotTell, 'byLevel'], [$turning->verdict, $turning->why]);
    }

    /** Only what stays within the last digit on both ends has not moved. */
    public function testWhatMayHaveMovedIsNotSaidToBeStill(): void
    {
        $more = new Expectation('force', ExpectedAs::More, 'N');
        $of = static fn (float ...$after): ChangeVerdict => self::changed(
            Judged::runs([10.0, 10.0, 10.0, 10.1]), Judged::runs(array_values($after), build: 'b'), $more,
        )->verdict;
        self::assertSame(ChangeVerdict::CannotTell, $of(9.0, 12.0, 7.0, 12.0));
        self::assertSame(ChangeVerdict::Better, $of(15.0, 15.0, 15.0, 15.1));
        self::assertSame(ChangeVerdict::Worse, $of(5.0, 5.0, 5.0, 5.1));
        self::assertSame(ChangeVerdict::CannotTell, $of(10.0), 'A single run has no ends.');
    }

    public function testOnlyRatingsAreComparedByOrder(): void
    {
        $of = static fn (Kind $kind): bool => (new CompareBuilds([Judged::wanted($kind, 4.0)], [], 0.95))->metric(
            'force', Judged::build('b', 'a'), Seen::ofRuns(Judged::runs([13.0, 14.0, 15.0], build: 'b')), Judged::build('a'),
            Seen::ofRuns(Judged::runs([10.0, 11.0, 12.0])),
        )->byOrder !== null;
        self::assertSame([true, false], [$of(Kind::Rating), $of(Kind::Mean)]);
    }

    /** Of two that nobody must have, the one that got worse is said first, in whatever order they stand. */
    public function testWhatGotWorseIsSaidBeforeWhatGotBetter(): void
    {
        $may = static fn (float $more): MetricComparison => (new CompareBuilds([Judged::wanted(Kind::Mean, 5.0)], [], 0.95))->metric(
            'force', Judged::build('b', 'a'), Seen::ofRuns(Judged::runs([50.0 + $more, 50.5 + $more, 51.0 + $more], build: 'b')),
            Judged::build('a'), Seen::ofRuns(Judged::runs([50.0, 50.5, 51.0])),
        );
        [$worse, $better] = [$may(-20.0), $may(20.0)];
        self::assertSame(['worse', 'better'], [$worse->judged, $better->judged]);
        foreach ([[$worse, $better], [$better, $worse]] as $both) {
            self::assertSame('worse', Headline::of($both, [], [], 0.95)->first?->judged);
        }
        self::assertSame('better', Headline::of([$better], [], [], 0.95)->first?->judged);
    }

    /** One of ten musts that are alike looks worse by chance: it is named, and stands first only where it is told among all. */
    public function testAMustThatIsWorseByChanceIsNamedAndDoesNotStandFirst(): void
    {
        $must = Judged::wanted(Kind::Mean, 5.0);
        $of = static fn (float $more): MetricComparison => (new CompareBuilds([$must], [], 0.95))->metric(
            'force', Judged::build('b', 'a'), Seen::ofRuns(Judged::runs([50.0 + $more, 50.5 + $more, 51.0 + $more], build: 'b')),
            Judged::build('a'), Seen::ofRuns(Judged::runs([50.0, 50.5, 51.0])),
        );
        $worse = $of(-1.3);
        self::assertSame('worse', $worse->judged);
        $ten = Headline::of([...array_fill(0, 9, $of(0.1)), $worse], [], [$must], 0.95);
        self::assertSame([null, $worse, 10], [$ten->first, $ten->maybe, $ten->musts]);
        self::assertSame('Force may be worse, one of 10 musts looked at.', ComparisonWords::maybeWorse('force', $ten->musts));
        $one = Headline::of([$worse], [], [$must], 0.95);
        self::assertSame([$worse, null], [$one->first, $one->maybe]);
    }

    public function testWhichSidesAreSaidToTurn(): void
    {
        $plain = Judged::configuration(factors: [new Factor('height', kind: FactorKind::Number, unit: 'cm')])->toRow();
        $runs = ['wide' => [], 'slim' => [], 'round' => []];
        foreach (['wide' => [10.0, 20.0], 'slim' => [15.0, 12.0], 'round' => [11.0, 13.0]] as $arm => [$low, $high]) {
            foreach ([0.0, 0.1, 0.2] as $more) {
                foreach (['10 cm' => $low, '20 cm' => $high] as $height => $mean) {
                    $runs[$arm][] = Judged::run($mean + $more, position: $height, with: Configuration::fromRow(['arm' => $arm] + $plain));
                }
            }
        }
        $two = [...$runs['wide'], ...$runs['slim']];
        $of = static fn (Terms $terms, RunFact ...$some): int => count(
            SidesWithin::of(Seen::ofRuns(array_values($some)), 'force', 'N', $terms)[0]->turning,
        );
        self::assertSame(0, $of(new Terms(0.95), ...$two, ...$runs['round']), 'Of three arms pairs are not looked at one by one.');
        self::assertSame(1, $of(new Terms(0.95), ...$two));
        self::assertSame(0, $of(new Terms(0.95, words: ['faint', 'dim', 'bright']), ...$two), 'Words have no differences.');
    }

    public function testWhatWasStoredBeforeMethodsHadQuestions(): void
    {
        $row = array_diff_key(Judged::configuration()->toRow(), ['questions' => 0]);
        self::assertSame([], Configuration::fromRow($row)->questions);
        self::assertEquals([new Question('held', 'strong', 'It holds.')], Configuration::fromRow(
            ['outcomeMetric' => 'strong', 'heldWhen' => 'It holds.'] + $row,
        )->questions);
    }

    public function testAPartWithoutAMaterialIsThere(): void
    {
        $plain = Judged::configuration()->toRow();
        $pitch = static fn (float $mm, bool $follows): Design => Design::of(Configuration::fromRow(['parameters' => [
            ['name' => 'pitch', 'value' => $mm, 'unit' => 'mm', 'si' => $mm / 1000, 'follows' => $follows],
        ]] + $plain));
        self::assertSame($pitch(20.0, true)->key, $pitch(25.0, true)->key, 'What is worked out from others is no state of its own.');
        self::assertNotSame($pitch(20.0, false)->key, $pitch(25.0, false)->key);
        $with = static fn (array $parts): Design => Design::of(Configuration::fromRow(['parts' => $parts] + $plain));
        $both = [['name' => 'lid'], ['name' => 'hub', 'material' => 'oak']];
        self::assertSame(['lid there', 'hub oak'], $with($both)->said(['lid', 'hub']));
        self::assertSame(['without lid'], $with([])->said(['lid']));
    }

    public function testHowARunEndedSaysWhetherItLeavesABound(): void
    {
        self::assertSame([false, true, true, false], array_map(
            static fn (Ended $e): bool => $e->leavesBound(), [Ended::Event, Ended::EndPoint, Ended::Stopped, Ended::Felt],
        ));
    }

    public function testALevelIsReadInTheUnitOfItsFactor(): void
    {
        $read = static fn (string $unit, string $typed): string => (new Factor(
            'height', kind: FactorKind::Number, unit: $unit, step: 5.0,
        ))->read($typed)->text;
        self::assertSame(
            ['50 cm', '50 cm', '10', '10', '10 count'],
            [$read('cm', '51 cm'), $read('cm', '0.5 m'), $read('', '12'), $read('1', '12'), $read('count', '12')],
        );
    }

    /**
     * @param list<RunFact> $before
     * @param list<RunFact> $after
     */
    private static function changed(array $before, array $after, Expectation $expected): ChangeSeen
    {
        $build = new Build('b', 'B', 'a', '', '', '2026-03-02T00:00:00Z', [], [], [
            new ChangeFact('c', 'Change', Judged::change('c')->class, [$expected], [], []),
        ]);

        return (new ChangesSeen(new CompareBuilds([Judged::wanted(Kind::Mean, 5.0)], [], 0.95), 0.95))->of(
            $build, Seen::ofRuns($after), Seen::ofRuns($before),
        )[0];
    }
}
