<?php

declare(strict_types=1);

namespace Lustrum\Tests\Core;

use Lustrum\Core\Evidence\Direction;
use Lustrum\Core\Evidence\Kind;
use Lustrum\Core\Evidence\Requirement;
use Lustrum\Core\Evidence\State;
use Lustrum\Core\Judging\Cell;
use Lustrum\Core\Judging\Evidence;
use Lustrum\Core\Judging\Notes;
use Lustrum\Core\Judging\Wanted;
use Lustrum\Core\Outcome\ResultKind;
use Lustrum\Core\Run\Answer;
use Lustrum\Core\Run\Configuration;
use Lustrum\Core\Run\RunFact;
use Lustrum\Core\Run\RunOutcome;
use Lustrum\Core\Wording\EvidenceWords;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What stands beside a number: bounds that say nothing yet, runs that are not enough, and how those that count came about. */
final class NotesTest extends TestCase
{
    /** @return iterable<string, array{Wanted, list<RunFact>, State, non-empty-string}> what is asked, runs, the state, and how it begins */
    public static function cells(): iterable
    {
        $least = Judged::wanted(Kind::Mean, 80.0);
        $most = Judged::wanted(Kind::Mean, 10.0, Direction::AtMost);
        $bound = static fn (float $n): RunFact => Judged::run($n, RunOutcome::StoppedEarly, ResultKind::AtLeast);
        yield 'not broken at 35, 80 asked' => [
            $least, [$bound(35), $bound(30)], State::None, 'Held to 35 N in 2 runs; nothing can be said of more yet.',
        ];
        yield 'not open after 8 s, at most 10 asked' => [
            $most, [$bound(8)], State::None, 'Had not come by 8 N in 1 run; nothing can be said of longer yet.',
        ];
        yield 'not open after 40 s, at most 10 asked' => [$most, [$bound(40), $bound(40), $bound(40)], State::Doubtful, 'Not shown: 3 runs ended'];
        $as = static fn (string $state): RunFact => Judged::run(90, with: Configuration::fromRow(['articleState' => $state] + Judged::configuration()->toRow()));
        yield 'a mock-up' => [$least, [$as('mockup'), $as('mockup')], State::None, 'Looked at on a mock-up, which is not enough (2 runs).'];
        yield 'a model' => [$least, [$as('model')], State::None, 'Looked at on a model, which is not enough (1 run).'];
        yield 'a unit that nobody knows' => [$least, [self::waiting()], State::None, 'A value waits for its unit (1 run).'];
        yield 'another method' => [
            new Wanted('w', 'Strong', 'force', 'N', 80.0, $least->rule, [], true, methods: ['Drop']), [Judged::run(90)], State::None,
            'Looked at by a method that does not count for it (1 run).',
        ];
        yield 'beside what counts' => [$least, [$as('mockup'), Judged::run(90)], State::Thin, 'Thin: 90.0 N over 1 run. Looked at on a mock-up'];
        $held = static fn (Answer $answer): RunFact => self::with(Judged::run(null, outcomeMetric: 'force'), ['answers' => ['held' => $answer]]);
        yield 'only just' => [
            Judged::wanted(Kind::Check, 1.0), [$held(Answer::Held), $held(Answer::OnlyJust)], State::Shown, 'Shown: held 2 of 2. 1 only just.',
        ];
        yield 'by feel' => [$least, [self::with(Judged::run(90), ['isFelt' => true])], State::Thin, 'Thin: 90.0 N over 1 run. 1 was stopped by feel.'];
    }

    /**
     * @param list<RunFact>    $runs
     * @param non-empty-string $said
     */
    #[DataProvider('cells')]
    public function testItIsSaid(Wanted $wanted, array $runs, State $state, string $said): void
    {
        $cell = self::cell($wanted, $runs);
        self::assertSame($state, $cell->state);
        self::assertStringStartsWith($said, EvidenceWords::cell($cell, 'Force'));
        self::assertSame($state === State::None, EvidenceWords::beside($cell) !== '', 'It is not called not tried.');
    }

    /** @return iterable<string, array{Wanted, list<RunFact>, string}> what is asked, runs, and the headline */
    public static function headlines(): iterable
    {
        yield 'at least is reached' => [Judged::wanted(Kind::Mean, 80.0), Judged::runs([90]), 'Force 90.0 N, reaches 80 N, once'];
        yield 'or not' => [Judged::wanted(Kind::Mean, 80.0), Judged::runs([70, 71]), 'Force 70.5 N, does not reach 80 N, twice'];
        yield 'at most is inside' => [Judged::wanted(Kind::Mean, 80.0, Direction::AtMost), Judged::runs([70]), 'Force 70.0 N, inside 80 N, once'];
        yield 'not while a run lies outside' => [
            Judged::wanted(Kind::Mean, 80.0, Direction::AtMost), Judged::runs([70, 82]), 'Force 76.0 N, not inside 80 N, twice',
        ];
        $gloves = new Wanted('w', 'Quick', 'force', 'N', 80.0, Requirement::of(
            Kind::Mean, Direction::AtMost, 80.0, 0.95, 0.9, ['hands=gloves'],
        ), [], true);
        yield 'not before it was tried as asked' => [
            $gloves, [Judged::run(70)], 'Force 70.0 N, not yet with hands gloves, once',
        ];
    }

    /** @param list<RunFact> $runs */
    #[DataProvider('headlines')]
    public function testAHeadlineSaysNoMoreThanIsKnown(Wanted $wanted, array $runs, string $said): void
    {
        self::assertStringContainsString($said, EvidenceWords::table('A', [self::cell($wanted, $runs)], '', ['Force']));
    }

    public function testDoubtfulIsNotAgainstAndTriedOtherwiseIsNotUntried(): void
    {
        $wanted = Judged::wanted(Kind::Mean, 80.0);
        $cells = [
            self::cell($wanted, Judged::runs([79, 85, 72])), self::cell($wanted, [self::waiting()]), self::cell($wanted, []),
            self::cell($wanted, Judged::runs([20, 21, 20.5])),
        ];
        self::assertSame(
            'Build A shows 0 of 4 requirements, 1 stands against it, 1 doubtful, 1 tried, but not as asked, 1 not tried.',
            EvidenceWords::table('A', $cells, '', ['Force', 'Force', 'Force', 'Force']),
        );
    }

    public function testARunThatDidNotLookIsNotCalledTooLittle(): void
    {
        $notes = new Notes();
        $as = static fn (?float $n): RunFact => Judged::run(
            $n, with: Configuration::fromRow(['articleState' => 'mockup'] + Judged::configuration()->toRow()),
        );
        $notes->pass(Judged::wanted(Kind::Mean, 80.0), $as(null));
        self::assertSame([], $notes->otherwise);
        $notes->pass(Judged::wanted(Kind::Mean, 80.0), $as(90.0));
        self::assertSame(['mockup' => 1], $notes->otherwise);
    }

    private static function waiting(): RunFact
    {
        return self::with(Judged::run(null), ['waits' => ['force']]);
    }

    /** @param array<string, mixed> $otherwise */
    private static function with(RunFact $run, array $otherwise): RunFact
    {
        /** @phpstan-ignore argument.type (the same properties, by their names) */
        return new RunFact(...$otherwise + get_object_vars($run));
    }

    /** @param list<RunFact> $runs */
    private static function cell(Wanted $wanted, array $runs): Cell
    {
        $build = Judged::build('a');

        return Evidence::cell($wanted, $build, Judged::line($build), static fn (): array => [
            $wanted->id => $runs === [] ? Evidence::own($wanted, $build, []) : Evidence::judge($wanted, $build, [Evidence::gather($wanted, $build, $runs)]),
        ]);
    }
}
