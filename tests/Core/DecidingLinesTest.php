<?php

declare(strict_types=1);

namespace Lustrum\Tests\Core;

use Lustrum\Core\Change\ChangeVerdict;
use Lustrum\Core\Change\Expectation;
use Lustrum\Core\Change\ExpectedAs;
use Lustrum\Core\Change\JudgeChange;
use Lustrum\Core\Evidence\Assess;
use Lustrum\Core\Evidence\Direction;
use Lustrum\Core\Evidence\Kind;
use Lustrum\Core\Evidence\Measure;
use Lustrum\Core\Evidence\Requirement;
use Lustrum\Core\Evidence\State;
use Lustrum\Core\Failure\Closing;
use Lustrum\Core\Failure\ClosingEvent;
use Lustrum\Core\Footing\Context;
use Lustrum\Core\Footing\Difference;
use Lustrum\Core\Footing\Footing;
use Lustrum\Core\Footing\FootingCheck;
use Lustrum\Core\Footing\Reason;
use Lustrum\Core\Footing\UnitPast;
use Lustrum\Core\Judging\ByCell;
use Lustrum\Core\Outcome\Result;
use Lustrum\Core\Outcome\ResultKind;
use Lustrum\Core\Run\Factor;
use Lustrum\Core\Run\FactorKind;
use Lustrum\Core\Run\Harder;
use Lustrum\Core\Run\Severity;
use Lustrum\Core\Statistics\Interval;
use Lustrum\Core\Statistics\Natural;
use PHPUnit\Framework\TestCase;

/** Lines that decide something by themselves, each where it could be turned round. */
final class DecidingLinesTest extends TestCase
{
    public function testWhatIsLikelyOfARangeIsItsMiddleAndOfOneEndThatEnd(): void
    {
        $likely = static fn (?float $low, ?float $high): ?float => (new Expectation('m', ExpectedAs::Add, 'N', $low, null, $high))->likely();
        self::assertSame([3.0, 2.0, 4.0, null], [$likely(2.0, 4.0), $likely(2.0, null), $likely(null, 4.0), $likely(null, null)]);
    }

    public function testADifferenceWithOneOpenEndIsJudgedByTheOther(): void
    {
        self::assertSame(ChangeVerdict::Fixed, JudgeChange::seen(2.0, new Interval(5.0, 1.5, null)));
        self::assertSame(ChangeVerdict::Worse, JudgeChange::seen(2.0, new Interval(-5.0, null, -1.0)));
        self::assertSame(ChangeVerdict::CannotTell, JudgeChange::seen(2.0, new Interval(5.0, null, null)));
    }

    public function testAShareIsNotCutAtWhatTheValuesCanBe(): void
    {
        $every = Requirement::of(Kind::Every, Direction::AtLeast, 400, 0.95, 0.8, nonParametric: true);
        $results = array_map(static fn (float $v): Result => Result::of(ResultKind::Equal, $v), [410.0, 420.0, 430.0]);
        $a = Assess::results($every, $results, 1, new Measure(Natural::between(5, null)));
        self::assertLessThan(1, $a->bound);
        self::assertSame([], $a->cut);
    }

    public function testValuesAndBoundsFarFromTheLimitStandAgainstIt(): void
    {
        $mean = Requirement::of(Kind::Mean, Direction::AtLeast, 100, 0.95);
        $of = static fn (float ...$values): array => array_map(static fn (float $v): Result => Result::of(ResultKind::Equal, $v), array_values($values));
        $bound = Result::of(ResultKind::AtLeast, 11.0);
        self::assertSame(State::Against, Assess::results($mean, [...$of(10.0, 12.0, 11.0, 10.5, 11.5), $bound])->state);
        self::assertSame(State::Doubtful, Assess::results($mean, [...$of(60.0, 99.0, 130.0), Result::of(ResultKind::AtLeast, 70.0)])->state);
    }

    public function testOfMilderHoldsTheHardestIsNamed(): void
    {
        $from = static fn (string $height): Severity => Severity::typed(
            'drop', 'Drop', [], [new Factor('height', kind: FactorKind::Number, unit: 'cm', harder: Harder::More)], ['height' => $height], '',
        );
        $closing = new Closing($from('60 cm'), 1, 1, 0.95);
        foreach (['20 cm', '40 cm', '30 cm'] as $i => $height) {
            $closing->take(new ClosingEvent((string) $i, true, $from($height), 'B', []));
        }
        self::assertSame([3, '40 cm'], [$closing->milder(), $closing->status(['B', ['Fix']], [])->mildest]);
    }

    public function testMoreDifferencesTiltALevelFootingAndMendNoBrokenOne(): void
    {
        $more = [new Difference('choice', '', '', Footing::Tilted, Reason::Choice)];
        $level = FootingCheck::between(new Context('Push', runs: 4), new Context('Push', runs: 4));
        $broken = FootingCheck::between(new Context('Push', runs: 4), new Context('Pull', runs: 4));
        self::assertSame([Footing::Level, Footing::Tilted, Footing::Level], [$level->footing, $level->and($more)->footing, $level->and([])->footing]);
        self::assertSame([Footing::Broken, Footing::Broken], [$broken->footing, $broken->and($more)->footing]);
    }

    public function testAMockUpAgainstTheRealThingIsBrokenAndAgainstAnotherTilted(): void
    {
        $of = static fn (string $state): Context => new Context('Push', units: [new UnitPast('', 0, 0, $state)], runs: 4);
        self::assertSame([Footing::Broken, Footing::Tilted], [
            FootingCheck::between($of(''), $of('mockup'))->footing, FootingCheck::between($of('mockup'), $of('model'))->footing,
        ]);
    }

    public function testEachRaterCountsOnce(): void
    {
        $rule = Requirement::of(Kind::Rating, Direction::AtLeast, 50, 0.95);
        $rated = static fn (string $rater, float $value, ResultKind $kind = ResultKind::Equal): array => [
            Result::of($kind, $value), 'cell', '', $rater,
        ];
        $by = ByCell::assess($rule, [$rated('Ada', 60.0), $rated('Ada', 70.0), $rated('Bo', 55.0), $rated('Cy', 52.0), $rated('', 58.0)]);
        self::assertSame([4, (65.0 + 55.0 + 52.0 + 58.0) / 4], [$by->worst->n, $by->worst->estimate]);
    }
}
