<?php

declare(strict_types=1);

namespace Lustrum\Tests\Core;

use Lustrum\Core\Change\ChangeVerdict;
use Lustrum\Core\Change\JudgeChange;
use Lustrum\Core\Effect\Bundle;
use Lustrum\Core\Effect\Effect;
use Lustrum\Core\Evidence\Assess;
use Lustrum\Core\Evidence\Assessment;
use Lustrum\Core\Evidence\Carry;
use Lustrum\Core\Evidence\Direction;
use Lustrum\Core\Evidence\Kind;
use Lustrum\Core\Evidence\Measure;
use Lustrum\Core\Evidence\Requirement;
use Lustrum\Core\Evidence\State;
use Lustrum\Core\Evidence\Texture;
use Lustrum\Core\InvalidInput;
use Lustrum\Core\Outcome\Result;
use Lustrum\Core\Outcome\ResultKind;
use Lustrum\Core\Statistics\Compare;
use Lustrum\Core\Statistics\Distribution\ChiSquare;
use Lustrum\Core\Statistics\Distribution\StudentT;
use Lustrum\Core\Statistics\Interval;
use Lustrum\Core\Statistics\Natural;
use Lustrum\Core\Statistics\Proportion;
use Lustrum\Core\Statistics\Sample;
use Lustrum\Core\Statistics\Tolerance;
use PHPUnit\Framework\TestCase;

final class EvidenceTest extends TestCase
{
    /** @param list<float> $values */
    private static function mean(array $values, Direction $direction, float $limit, Kind $kind = Kind::Mean): Assessment
    {
        return Assess::results(
            Requirement::of($kind, $direction, $limit, 0.95),
            array_map(static fn (float $v): Result => Result::of(ResultKind::Equal, $v), $values),
        );
    }

    public function testNothingTriedSaysNothing(): void
    {
        $a = self::mean([], Direction::AtMost, 45);
        self::assertSame(State::None, $a->state);
        self::assertNull($a->estimate);
        self::assertNull($a->probabilityMet);
        self::assertSame(Texture::Outline, Texture::of($a));
    }

    public function testASingleGoodRunStaysThin(): void
    {
        $a = self::mean([20.0], Direction::AtMost, 45);
        self::assertSame(State::Thin, $a->state);
        self::assertNull($a->bound);
        self::assertNull($a->probabilityMet);
        self::assertSame(State::Thin, self::mean([20.0, 20.1], Direction::AtMost, 45)->state);
    }

    public function testTheOneSidedBoundDecides(): void
    {
        // Mean 43, sd 1, n = 5: bound 43 + 2.1318·1/√5 = 43.953.
        $values = [41.735088935932648, 42.367544467966324, 43.0, 43.632455532033676, 44.264911064067352];
        $a = self::mean($values, Direction::AtMost, 44);
        self::assertEqualsWithDelta(43.95339, (float) $a->bound, 1e-4);
        self::assertSame(State::Shown, $a->state);
        self::assertSame(0, $a->runsNeeded);
        self::assertSame(State::Leaning, self::mean($values, Direction::AtMost, 43.5)->state);
        self::assertSame(State::Doubtful, self::mean($values, Direction::AtMost, 42.5)->state);
        self::assertSame(State::Against, self::mean($values, Direction::AtMost, 41.5)->state);
        self::assertSame(Texture::Broken, Texture::of(self::mean($values, Direction::AtMost, 41.5)));
    }

    public function testRunsNeededWouldIndeedPass(): void
    {
        $a = self::mean([43.0, 44.0, 45.5, 42.5], Direction::AtMost, 45);
        self::assertSame(State::Leaning, $a->state);
        self::assertNotNull($a->runsNeeded);
        self::assertGreaterThan(0, $a->runsNeeded);
        self::assertNull(self::mean([46.0, 47.0, 46.5], Direction::AtMost, 45)->runsNeeded, 'No number of runs mends a wrong estimate.');
    }

    public function testEveryAsksMoreThanTheMean(): void
    {
        $loads = [430.0, 445.0, 452.0, 438.0, 447.0];
        self::assertSame(State::Shown, self::mean($loads, Direction::AtLeast, 430)->state);
        $every = self::mean($loads, Direction::AtLeast, 430, Kind::Every);
        self::assertSame(State::Leaning, $every->state);
        self::assertLessThan(430, $every->bound);
        self::assertNotNull($every->runsNeeded);
        // Mean 442.4, sd 8.6: a tenth of the articles is estimated to lie under 431.4, so 435 is not met although the mean is.
        self::assertSame(State::Doubtful, self::mean($loads, Direction::AtLeast, 435, Kind::Every)->state);
        self::assertSame(State::Against, self::mean($loads, Direction::AtLeast, 445, Kind::Every)->state);
    }

    public function testABoundIsNeverAveraged(): void
    {
        $requirement = Requirement::of(Kind::Every, Direction::AtLeast, 400, 0.95);
        $results = [
            ...array_map(static fn (float $v): Result => Result::of(ResultKind::Equal, $v), [440.0, 450.0, 460.0]),
            Result::of(ResultKind::AtLeast, 410.0), Result::of(ResultKind::AtLeast, 410.0),
        ];
        $a = Assess::results($requirement, $results);
        self::assertEqualsWithDelta(450.0, (float) $a->estimate, 1e-12);
        self::assertSame(3, $a->n);
        self::assertSame(2, $a->bounds);
        self::assertSame(State::Leaning, $a->state, 'Beside a bound it leans at best.');
        // Only bounds: one that reaches the limit makes it lean, but there is nothing to estimate.
        $only = Assess::results(
            $requirement,
            [
                Result::of(ResultKind::AtLeast, 410.0), Result::of(ResultKind::AtLeast, 405.0), Result::of(ResultKind::AtLeast, 390.0),
                Result::of(ResultKind::AtLeast, 420.0),
            ],
        );
        self::assertSame([State::Leaning, 0, null, 4], [$only->state, $only->n, $only->estimate, $only->bounds]);
        $short = Assess::results($requirement, array_fill(0, 4, Result::of(ResultKind::AtLeast, 390.0)));
        self::assertSame(State::None, $short->state, 'All stopped before the limit: that says nothing.');
    }

    public function testEachArticleStandsForItsWorstValue(): void
    {
        $of = static fn (string $article, float $value, ResultKind $kind = ResultKind::Equal): Result => Result::of(
            $kind, $value, [], $article,
        );
        $every = Requirement::of(Kind::Every, Direction::AtLeast, 400, 0.95, 0.8);
        $six = Assess::results($every, [
            $of('W-1', 440), $of('W-1', 452), $of('W-2', 441), $of('W-2', 455), $of('W-3', 439), $of('W-3', 460),
        ]);
        self::assertSame([3, 440.0], [$six->n, $six->estimate]);
        $worse = Assess::results($every, [$of('W-1', 440), $of('W-2', 441), $of('W-3', 439), $of('W-3', 300, ResultKind::AtLeast)]);
        self::assertSame([2, 1, null], [$worse->n, $worse->bounds, $worse->runsNeeded], 'Its worst value is not known.');
        // One that is sure to miss the limit is enough, however far it missed it.
        $missed = Assess::results($every, [
            $of('W-1', 440), $of('W-2', 441), $of('W-3', 442), $of('W-4', 390, ResultKind::AtMost),
        ]);
        self::assertSame([State::Against, null, 441.0], [$missed->state, $missed->bound, $missed->estimate]);
        $hidden = Assess::results($every, [$of('W-1', 440), $of('W-2', 441), $of('W-3', 442), $of('W-4', 410, ResultKind::AtMost)]);
        self::assertSame([State::Leaning, null], [$hidden->state, $hidden->bound]);
    }

    public function testABoundDecidesWhetherAnArticleHoldsOnlyWhereItReachesTheLimit(): void
    {
        $every = Requirement::of(Kind::Every, Direction::AtLeast, 400, 0.95, 0.8, nonParametric: true);
        $a = Assess::results($every, [
            Result::of(ResultKind::AtLeast, 410.0), Result::of(ResultKind::AtLeast, 390.0), Result::of(ResultKind::AtMost, 390.0),
            Result::of(ResultKind::AtMost, 410.0), Result::of(ResultKind::Equal, 405.0),
        ]);
        self::assertSame([3, 2 / 3], [$a->n, $a->estimate], 'One that stops short of it, or may lie on either side, decides nothing.');
    }

    public function testValuesAndBoundsTogetherCanShowAMean(): void
    {
        $mean = Requirement::of(Kind::Mean, Direction::AtLeast, 400, 0.95);
        $results = [
            ...array_map(static fn (float $v): Result => Result::of(ResultKind::Equal, $v), [440.0, 450.0, 460.0]),
            Result::of(ResultKind::AtLeast, 455.0),
        ];
        $a = Assess::results($mean, $results);
        self::assertSame([State::Shown, 0, 3], [$a->state, $a->runsNeeded, $a->n]);
        self::assertGreaterThan(400, $a->bound);
    }

    /** A run that was lost says nothing: its article counts by those that ended. */
    public function testAnArticleIsCountedByTheRunsThatWereNotLost(): void
    {
        $every = Requirement::of(Kind::Every, Direction::AtLeast, 400, 0.95, 0.8);
        $of = static fn (string $article, ResultKind $kind): Result => Result::of($kind, null, [], $article);
        $a = Assess::results($every, [
            $of('W-1', ResultKind::Held), $of('W-1', ResultKind::Lost), $of('W-2', ResultKind::Held), $of('W-3', ResultKind::Failed),
            $of('W-3', ResultKind::Lost), $of('W-4', ResultKind::Lost),
        ]);
        self::assertSame([3, 2 / 3, 3], [$a->n, $a->estimate, $a->lost]);
    }

    /** The search starts where the unrounded share passes; counting on from nothing must find the same. */
    public function testTheFewestFurtherTriesAreFound(): void
    {
        foreach ([[8, 2, 0.6], [18, 1, 0.9], [5, 0, 0.8], [7, 3, 0.65], [29, 2, 0.85], [2, 1, 0.5]] as [$held, $failed, $limit]) {
            $r = Requirement::of(Kind::Rate, Direction::AtLeast, $limit, 0.95);
            $results = [...array_fill(0, $held, Result::of(ResultKind::Held)), ...array_fill(0, $failed, Result::of(ResultKind::Failed))];
            for ($n = count($results); Proportion::of((int) floor($held * $n / count($results) + 1e-9), $n)->lower(0.95) < $limit; ++$n) {
            }
            self::assertSame($n - count($results), Assess::results($r, $results)->runsNeeded, sprintf('%d of %d', $held, $held + $failed));
        }
    }

    public function testRunsNeededIsNeverOneTooMany(): void
    {
        $sets = [[43.0, 44.0, 45.5, 42.5], [40.0, 44.9], [44.0, 44.2, 44.9, 43.0, 45.4]];
        foreach ($sets as $values) {
            foreach ([Kind::Mean, Kind::Every, Kind::Spread] as $kind) {
                $limit = $kind === Kind::Spread ? 9.0 : 46.0;
                $needed = self::mean($values, Direction::AtMost, $limit, $kind)->runsNeeded;
                $passes = static fn (int $n): bool => match ($kind) {
                    Kind::Mean => Sample::of($values)->mean + StudentT::quantile(0.95, $n - 1) * (float) Sample::of($values)->sd / sqrt($n),
                    Kind::Every => Sample::of($values)->mean + Tolerance::factor($n, 0.9, 0.95) * (float) Sample::of($values)->sd,
                    default => (float) Sample::of($values)->sd * sqrt(($n - 1) / ChiSquare::quantile(0.05, $n - 1)),
                } <= $limit;
                for ($n = max(3, count($values)); !$passes($n) && $n < 2000; ++$n) {
                }
                self::assertSame($n < 2000 ? $n - count($values) : null, $needed, $kind->value.' of '.count($values));
            }
        }
    }

    public function testALaterLookCostsConfidence(): void
    {
        $results = array_map(static fn (float $v): Result => Result::of(ResultKind::Equal, $v), [410.0, 412.0, 405.0, 409.0]);
        $r = Requirement::of(Kind::Mean, Direction::AtLeast, 403, 0.95);
        self::assertSame(State::Shown, Assess::results($r, $results)->state);
        self::assertSame(State::Leaning, Assess::results($r, $results, 4)->state);
    }

    public function testNothingGoesBeyondTheNaturalLimits(): void
    {
        $results = array_map(static fn (float $v): Result => Result::of(ResultKind::Equal, $v), [1.0, 9.0, 2.0]);
        $r = Requirement::of(Kind::Mean, Direction::AtLeast, 1, 0.95);
        $whole = Assess::results($r, $results);
        $cut = Assess::results($r, $results, 1, new Measure(Natural::between(0, null)));
        self::assertLessThan(0, $whole->bound);
        self::assertSame([0.0, ['bound'], $whole->state], [$cut->bound, $cut->cut, $cut->state]);
        self::assertSame([], $whole->cut);
    }

    public function testHeldOfTriedIsNotCertainty(): void
    {
        $held = static fn (int $n): array => array_fill(0, $n, Result::of(ResultKind::Held));
        $rate = Requirement::of(Kind::Rate, Direction::AtLeast, 0.8, 0.95);
        self::assertSame(State::Leaning, Assess::results($rate, $held(9))->state);
        self::assertSame(5, Assess::results($rate, $held(9))->runsNeeded, '0.8^14 is the first power under 5 %.');
        self::assertSame(State::Shown, Assess::results($rate, $held(14))->state);
        self::assertEqualsWithDelta(0.05 ** (1 / 9), (float) Assess::results($rate, $held(9))->bound, 1e-12);
        $most = Assess::results(
            Requirement::of(Kind::Rate, Direction::AtMost, 0.3, 0.95),
            [...array_fill(0, 20, Result::of(ResultKind::Failed)), Result::of(ResultKind::Held)],
        );
        self::assertSame(State::Shown, $most->state);
    }

    public function testLostInHandlingCountsAsMadeButSaysNothing(): void
    {
        $a = Assess::results(
            Requirement::of(Kind::Rate, Direction::AtLeast, 0.8, 0.95), [Result::of(ResultKind::Held), Result::of(ResultKind::Lost)],
        );
        self::assertSame(1, $a->n);
        self::assertSame(1, $a->lost);
    }

    public function testConditionsThatWereNotCovered(): void
    {
        $requirement = Requirement::of(Kind::Mean, Direction::AtMost, 45, 0.95, conditions: ['soil=dry', 'soil=moist']);
        $a = Assess::results(
            $requirement,
            array_map(static fn (float $v): Result => Result::of(ResultKind::Equal, $v, ['soil' => 'Dry']), [40.0, 40.5, 41.0, 40.2]),
        );
        self::assertSame(['soil=moist'], $a->missingConditions);
        self::assertSame([State::Leaning, Texture::Dense], [$a->state, Texture::of($a)], 'It would be shown, but not everywhere.');
    }

    public function testCarriedOverOnlyWhileNothingItDependsOnHasChanged(): void
    {
        self::assertTrue(Carry::over(['strength'], [['what' => 'Paint', 'class' => 'cosmetic']])->carried);
        $carry = Carry::over(
            ['strength', 'shape'], [['what' => 'Rivets', 'class' => 'process'], ['what' => 'Thinner arm', 'class' => 'strength']],
        );
        self::assertFalse($carry->carried);
        self::assertSame(['Thinner arm'], $carry->because);
        self::assertFalse(
            Carry::over([], [['what' => 'Firmware', 'class' => 'firmware']])->carried, 'Without a word, everything but the cosmetic bears.',
        );
    }

    public function testAChangeIsClosedByAVerdict(): void
    {
        $before = [10.0, 10.4, 9.8, 10.2];
        $seen = static fn (float ...$after): Interval => Compare::independent($before, array_values($after), 0.95)->difference;
        self::assertSame(ChangeVerdict::Fixed, JudgeChange::seen(-2, $seen(7.8, 8.0, 7.9, 8.1)));
        self::assertSame(ChangeVerdict::Partly, JudgeChange::seen(-4, $seen(7.8, 8.0, 7.9, 8.1)));
        self::assertSame(ChangeVerdict::NoEffect, JudgeChange::seen(-2, $seen(10.1, 9.9, 10.3, 10.0)));
        self::assertSame(ChangeVerdict::CannotTell, JudgeChange::seen(-2, $seen(13.0, 7.0, 9.0, 11.0)), 'It may be all or nothing.');
        self::assertSame(ChangeVerdict::CannotTell, JudgeChange::seen(-0.2, $seen(10.1, 9.9, 10.3, 10.0)), 'More than half may hide.');
        self::assertSame(ChangeVerdict::Better, JudgeChange::seen(-2, $seen(9.2, 7.0, 8.6, 7.4)), 'How much of it cannot be told.');
        self::assertSame(ChangeVerdict::Worse, JudgeChange::seen(-2, $seen(12.0, 12.2, 11.9, 12.3)));
        self::assertSame(ChangeVerdict::NobodyLooked, JudgeChange::seen(-2, null));
        self::assertSame(ChangeVerdict::CannotTell, JudgeChange::seen(-2, $seen(7.0)), 'One run closes nothing, but it was looked at.');
        self::assertSame(ChangeVerdict::Fixed, JudgeChange::seen(0, $seen(10.1, 9.9, 10.3, 10.0), 1.0), 'Unchanged, within the margin.');
        self::assertSame(ChangeVerdict::Worse, JudgeChange::seen(0, $seen(7.8, 8.0, 7.9, 8.1), 1.0), 'Whichever way it moved.');
        self::assertSame(ChangeVerdict::CannotTell, JudgeChange::seen(0, $seen(10.1, 9.9, 10.3, 10.0), 0.01));
        foreach ([[1, ChangeVerdict::Worse], [-1, ChangeVerdict::Better]] as [$sign, $verdict]) {
            self::assertSame($verdict, JudgeChange::towards($sign, $seen(7.8, 8.0, 7.9, 8.1)));
            self::assertSame(ChangeVerdict::CannotTell, JudgeChange::towards($sign, $seen(10.1, 9.9, 10.3, 10.0)));
            self::assertSame(ChangeVerdict::CannotTell, JudgeChange::towards($sign, $seen(7.0)));
            self::assertSame(ChangeVerdict::NobodyLooked, JudgeChange::towards($sign, null));
        }
        $this->expectException(InvalidInput::class);
        JudgeChange::seen(0, null);
    }

    public function testEffectsOnOneMetricRunTogether(): void
    {
        $bundles = Bundle::of(
            [new Effect('a', 'doubles', -3, -2, -1), new Effect('b', 'doubles', -1, -0.5, 0), new Effect('b', 'mass', 1, 2, 3)],
        );
        self::assertTrue($bundles[0]->entangled);
        self::assertSame([-4.0, -1.0], [$bundles[0]->low, $bundles[0]->high]);
        self::assertFalse($bundles[1]->entangled);
    }
}
