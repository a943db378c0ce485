<?php

declare(strict_types=1);

namespace Lustrum\Tests\Core;

use Lustrum\Core\Curve\Exponential;
use Lustrum\Core\Curve\Samples;
use Lustrum\Core\Failure\Closing;
use Lustrum\Core\Failure\ClosingEvent;
use Lustrum\Core\Failure\ClosingState;
use Lustrum\Core\Failure\Standing;
use Lustrum\Core\Footing\BreakEven;
use Lustrum\Core\Footing\Control;
use Lustrum\Core\Footing\Effect;
use Lustrum\Core\Footing\RowSpace;
use Lustrum\Core\InvalidInput;
use Lustrum\Core\Outcome\Merged;
use Lustrum\Core\Outcome\Result;
use Lustrum\Core\Outcome\ResultKind;
use Lustrum\Core\Run\Severity;
use Lustrum\Core\Wording\FailureWords;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** A failure closes where it happened or not at all; what brings results together neither averages bounds nor loses any. */
final class ClosingTest extends TestCase
{
    private static int $number = 0;

    /** @return iterable<string, array{list<ClosingEvent>, ClosingState, int, int, int}> events, state, held, milder, needed; it failed at 60 */
    public static function events(): iterable
    {
        yield 'nobody tried' => [[], ClosingState::Open, 0, 0, 5];
        yield 'milder holds close nothing, however many' => [self::held(40, 30), ClosingState::Open, 0, 30, 5];
        yield 'four at the same height' => [self::held(60, 4), ClosingState::Holding, 4, 0, 5];
        yield 'five' => [self::held(60, 5), ClosingState::Closed, 5, 0, 5];
        yield 'harder counts as well' => [[...self::held(60, 1), ...self::held(100, 4)], ClosingState::Closed, 5, 0, 5];
        yield 'it came back at once: two of two' => [[self::back(60)], ClosingState::Open, 0, 0, 3];
        yield 'and held three times then' => [[self::back(60), ...self::held(60, 3)], ClosingState::Closed, 3, 0, 3];
        yield 'three of three ask for two' => [[self::back(60), self::back(60), ...self::held(60, 2)], ClosingState::Closed, 2, 0, 2];
        // 2 of 4: f is a half.
        yield 'what held before it came back is counted as tried' => [
            [...self::held(60, 2), self::back(60)], ClosingState::Open, 0, 0, 5,
        ];
        // 2 of 7: f = 2.5/8.
        yield 'it came back once closed, at something milder even' => [
            [...self::held(60, 5), self::back(40)], ClosingState::Reopened, 0, 0, 8,
        ];
        yield 'it came back harder: what held below that is no try of it' => [
            [...self::held(60, 5), self::back(80), ...self::held(60, 5)], ClosingState::Reopened, 0, 5, 3,
        ];
        yield 'and then there' => [[...self::held(60, 5), self::back(80), ...self::held(80, 3)], ClosingState::Closed, 3, 0, 3];
    }

    /** @param list<ClosingEvent> $events */
    #[DataProvider('events')]
    public function testAFailureIsClosedAsHardAsItHappened(array $events, ClosingState $state, int $held, int $milder, int $needed): void
    {
        $closing = self::closing($events);
        self::assertSame(
            [$state, $held, $milder, $needed], [$closing->state(), $closing->holds(), $closing->milder(), $closing->holdsNeeded()],
        );
        self::assertStringEndsWith('.', FailureWords::closing($closing));
        self::assertSame($state === ClosingState::Closed, str_starts_with(FailureWords::closing($closing), 'Closed'));
        $status = $closing->status(null, []);
        self::assertSame($state === ClosingState::Closed, $status->standing === Standing::Closed, 'The application says the same.');
        self::assertSame($state === ClosingState::Holding, $status->standing === Standing::Holding);
    }

    public function testHoldsInARowAreTakenTogetherOrOneByOne(): void
    {
        $one = new ClosingEvent('1', true, Severity::number(60), 'B', ['Thicker'], 4);
        self::assertSame(ClosingState::Holding, self::closing([$one])->state());
        self::assertSame(ClosingState::Closed, self::closing([$one, ...self::held(60, 1)])->state());
        self::assertSame(9, self::closing([$one, ...self::held(60, 5)])->holds());
    }

    public function testReturnsAreNamedByTheBuildThatMadeThem(): void
    {
        $closing = self::closing([self::back(60, 'B'), self::back(60, 'B'), self::back(60, 'C')]);
        $status = $closing->status(null, []);
        self::assertSame([3, ['B' => 2, 'C' => 1], 'C'], [$status->times, $status->on, $status->letter]);
        self::assertStringContainsString('3 times: twice on B and once on C', FailureWords::standing($status));
    }

    public function testWhatSeldomFailedTakesMoreHolds(): void
    {
        $needed = static fn (int $failed, int $tried): int => (new Closing(Severity::number(1), $failed, $tried, 0.95))->holdsNeeded();
        self::assertSame([5, 3, 2, 2, 7, 12], [$needed(1, 1), $needed(2, 2), $needed(3, 3), $needed(4, 4), $needed(1, 3), $needed(2, 10)]);
        $before = 0;
        for ($tried = 2; $tried < 60; ++$tried) {
            self::assertGreaterThanOrEqual($before, $needed(1, $tried));
            $before = $needed(1, $tried);
            // So many holds, and not one fewer, leave an unfixed design at most one chance in twenty.
            $chance = 1 - 1.5 / ($tried + 1);
            self::assertLessThanOrEqual(0.05 + 1e-9, $chance ** $before);
            self::assertGreaterThan(0.05, $chance ** ($before - 1));
        }
        $this->expectException(InvalidInput::class);
        $needed(3, 2);
    }

    public function testABoundIsNeverAveragedAndNothingIsLost(): void
    {
        $results = [
            Result::of(ResultKind::Equal, 412.0), Result::of(ResultKind::AtLeast, 450.0), Result::of(ResultKind::Lost),
            Result::of(ResultKind::Equal, 398.0), Result::of(ResultKind::Held),
        ];
        foreach ([$results, array_reverse($results)] as $some) {
            $merged = Merged::of($some, ResultKind::AtLeast);
            self::assertSame([5, 1, 4, 2, 1, 1, null], [
                $merged->made, $merged->lost, $merged->tried, $merged->n, $merged->bounds, $merged->held, $merged->mean,
            ]);
            self::assertSame([450.0, 398.0], [$merged->best?->value, $merged->bound]);
            self::assertNull(Merged::of($some, ResultKind::AtMost)->bound, 'What may be more bounds nothing from above.');
        }
        $tie = Merged::of([Result::of(ResultKind::Equal, 5.0), Result::of(ResultKind::AtLeast, 5.0)], ResultKind::AtLeast);
        self::assertSame(ResultKind::AtLeast, $tie->best?->kind, 'It may be better still.');
        self::assertNull(Merged::of([Result::of(ResultKind::Equal, 5.0), Result::of(ResultKind::Failed)], ResultKind::AtLeast)->bound);
    }

    public function testAtTheTurnBothSidesAreEqual(): void
    {
        foreach ([-2.5, 0.8] as $slope) {
            $turn = BreakEven::slope([402.0, 410.0, 398.0], null, [421.0, 429.0], 18.0, $slope);
            $moved = Effect::slope($slope)->moved(403.0 + 1 / 3, $turn->at, 18.0);
            self::assertEqualsWithDelta(425.0, $moved, 1e-9);
            // A little below, b stands to a as it says.
            $below = 425.0 - Effect::slope($slope)->moved(403.0 + 1 / 3, $turn->at - 1, 18.0);
            self::assertSame($below > 0 ? 'higher' : 'lower', $turn->below);
            self::assertNotSame($turn->below, $turn->above);
            self::assertLessThan($turn->at, $turn->low);
            self::assertGreaterThan($turn->at, $turn->high);
        }
    }

    public function testAtTheTurnOfCoursesBothHaveOneRate(): void
    {
        $cooling = static fn (float $k, float $ambient): Samples => Samples::of(
            [0.0, 100.0, 250.0, 500.0],
            array_map(static fn (float $t): float => $ambient + (95 - $ambient) * exp(-$k * $t), [0, 100, 250, 500]),
        );
        [$a, $b] = [$cooling(0.003, 21.0), $cooling(0.003, 9.0)];
        $turn = BreakEven::course($a, null, $b, 9.0);
        self::assertEqualsWithDelta(21.0, $turn->at, 1e-3, 'Two courses of one rate: the surroundings come out.');
        self::assertEqualsWithDelta(Exponential::fit($b, 9.0)->k, Exponential::fit($a, $turn->at)->k, 1e-9);
        self::assertSame('higher', $turn->below, 'In colder surroundings it would have cooled as fast at a lower rate.');
    }

    public function testFurtherRunsTellWhatWasChangedTogetherAndNotOneMore(): void
    {
        mt_srand(11);
        for ($round = 0; $round < 40; ++$round) {
            $names = array_map(static fn (int $i): string => 'f'.$i, range(1, mt_rand(1, 4)));
            $costs = $runs = [];
            foreach ($names as $name) {
                $costs[$name] = ['a' => (float) mt_rand(0, 3), 'b' => (float) mt_rand(0, 5)];
            }
            for ($i = mt_rand(1, 4); $i > 0; --$i) {
                $runs[] = array_combine($names, array_map(static fn (): string => mt_rand(0, 1) === 1 ? 'b' : 'a', $names));
            }
            $found = Control::of($costs, $runs, 1.0);
            $again = Control::of($costs, [...$runs, ...array_column($found->runs, 'levels')], 1.0);
            self::assertSame([[], 0, $names], [$again->entangled, $again->needed, $again->told]);
            if ($found->needed > 0) {
                $fewer = Control::of($costs, [...$runs, ...array_slice(array_column($found->runs, 'levels'), 1)], 1.0);
                self::assertSame(1, $fewer->needed, 'Each of them is needed.');
            }
        }
    }

    public function testARowSpaceHoldsWhatItsRowsMake(): void
    {
        $space = new RowSpace(3);
        self::assertTrue($space->add([1.0, 1.0, 0.0]));
        self::assertTrue($space->add([1.0, 0.0, 1.0]));
        self::assertFalse($space->add([2.0, 1.0, 1.0]));
        self::assertTrue($space->holds([0.0, 1.0, -1.0]));
        self::assertFalse($space->holds([0.0, 1.0, 0.0]));
    }

    /** @return list<ClosingEvent> */
    private static function held(float $severity, int $times): array
    {
        return array_map(
            static fn (): ClosingEvent => new ClosingEvent((string) ++self::$number, true, Severity::number($severity), 'B', ['Thicker']), range(1, $times),
        );
    }

    private static function back(float $severity, string $where = 'B'): ClosingEvent
    {
        return new ClosingEvent((string) ++self::$number, false, Severity::number($severity), $where, ['Thicker']);
    }

    /** @param list<ClosingEvent> $events */
    private static function closing(array $events): Closing
    {
        $closing = new Closing(Severity::number(60), 1, 1, 0.95);
        array_walk($events, static fn (ClosingEvent $e) => $closing->take($e));

        return $closing;
    }
}
