<?php

declare(strict_types=1);

namespace Lustrum\Tests\Core;

use Lustrum\Core\Failure\Standing;
use Lustrum\Core\Judging\Build;
use Lustrum\Core\Judging\FailureFact;
use Lustrum\Core\Judging\Failures;
use Lustrum\Core\Judging\Tries;
use Lustrum\Core\Run\Answer;
use Lustrum\Core\Run\Configuration;
use Lustrum\Core\Run\Factor;
use Lustrum\Core\Run\FactorKind;
use Lustrum\Core\Run\Harder;
use Lustrum\Core\Run\Hardness;
use Lustrum\Core\Run\Parameter;
use Lustrum\Core\Run\Question;
use Lustrum\Core\Run\RunFact;
use Lustrum\Core\Run\RunOutcome;
use Lustrum\Core\Run\Severity;
use Lustrum\Core\Wording\FailureWords;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** How hard a run was is a partial order, and a failure is closed only as hard as it happened, with the fix. */
final class SeverityTest extends TestCase
{
    /** @return iterable<string, array{array<string, string>, string, array<string, string>, string, Hardness}> */
    public static function pairs(): iterable
    {
        $at = static fn (string $height, string $load = 'full', string $ground = 'dry'): array => [
            'height' => $height, 'load' => $load, 'ground' => $ground,
        ];
        yield 'the same' => [$at('60 cm'), 'finished', $at('0.6 m'), 'finished', Hardness::AtLeast];
        yield 'higher' => [$at('80 cm'), 'finished', $at('60 cm'), 'finished', Hardness::AtLeast];
        yield 'lower' => [$at('40 cm'), 'finished', $at('60 cm'), 'finished', Hardness::Milder];
        yield 'higher, and less loaded' => [$at('80 cm', 'half full'), 'finished', $at('60 cm'), 'finished', Hardness::Milder];
        yield 'on other ground, which is not harder' => [
            $at('80 cm', 'full', 'moist'), 'finished', $at('60 cm'), 'finished', Hardness::Apart,
        ];
        yield 'nobody knows how high' => [$at(''), 'finished', $at('60 cm'), 'finished', Hardness::Apart];
        yield 'nobody knows how high it failed' => [$at('60 cm'), 'finished', $at('unknown'), 'finished', Hardness::Apart];
        yield 'with payload aboard' => [$at('60 cm'), 'payload', $at('60 cm'), 'finished', Hardness::AtLeast];
        yield 'finished, where it failed with payload' => [$at('60 cm'), 'finished', $at('60 cm'), 'payload', Hardness::Milder];
        yield 'a mock-up is never as hard' => [$at('90 cm'), 'mockup', $at('60 cm'), 'finished', Hardness::Milder];
        yield 'a loose part is the real thing' => [$at('60 cm'), '', $at('60 cm'), 'finished', Hardness::AtLeast];
    }

    /**
     * @param array<string, string> $here
     * @param array<string, string> $other
     */
    #[DataProvider('pairs')]
    public function testHowHardItWas(array $here, string $state, array $other, string $otherState, Hardness $hardness): void
    {
        $factors = [
            new Factor('height', kind: FactorKind::Number, unit: 'cm', harder: Harder::More),
            new Factor('load', kind: FactorKind::Ordered, levels: ['empty', 'half full', 'full'], harder: Harder::More),
            new Factor('ground', levels: ['dry', 'moist']),
        ];
        $of = static fn (array $levels, string $state, string $method = 'drop', string ...$as): Severity => Severity::typed(
            $method, ucfirst($method), array_values($as), $factors, $levels, $state,
        );
        self::assertSame($hardness, $of($here, $state)->beside($of($other, $otherState)));
        self::assertSame(Hardness::Apart, $of($here, $state, 'swing')->beside($of($other, $otherState)), 'Another method.');
        self::assertSame($hardness, $of($here, $state, 'swing', 'Drop')->beside($of($other, $otherState)), 'One that represents it.');
    }

    /** @return iterable<string, array{list<array{string, string, int}>, list<array{string, string, int}>, Standing, string}> holds and returns: build, height, at which place in time */
    public static function stories(): iterable
    {
        $often = static fn (string $build, string $height, int $from, int $n = 5): array => array_map(
            static fn (int $i): array => [$build, $height, $from + $i], range(0, $n - 1),
        );
        yield 'nobody tried it' => [[], [], Standing::FixUntried, 'B carries a fix (“Fix”) that nobody has tried where it failed.'];
        yield 'only something milder' => [
            $often('b', '40 cm', 10), [], Standing::FixUntried, 'Held only at something milder (40 cm, not 60 cm).',
        ];
        yield 'twice as hard' => [
            [['b', '60 cm', 10], ['b', '60 cm', 11]], [], Standing::Holding, 'Holds so far (2 of 5) at 60 cm or harder',
        ];
        yield 'five times as hard' => [
            $often('b', '60 cm', 10), [], Standing::Closed, 'Closed by B, with “Fix”: held 5 times at 60 cm or harder.',
        ];
        yield 'harder, on a build that came from it' => [$often('c', '80 cm', 10), [], Standing::Closed, 'Closed by C'];
        yield 'it came back at the same' => [
            $often('b', '60 cm', 10), [['c', '60 cm', 20]], Standing::CameBack,
            // 2 of 7 failed: five had held before.
            'Came back on C at 60 cm. It takes 8 holds at 60 cm or harder.',
        ];
        yield 'it came back at something milder' => [
            $often('b', '60 cm', 10), [['c', '40 cm', 20]], Standing::CameBack, 'worse than before, at something milder',
        ];
        yield 'it came back only harder, and that is what it needs now' => [
            [...$often('b', '60 cm', 10), ...$often('c', '60 cm', 30)], [['c', '80 cm', 20]], Standing::CameBack,
            'Came back on C at 80 cm: at something harder than before. It takes 3 holds at 80 cm or harder.',
        ];
        yield 'it came back, and holds again' => [
            [...$often('b', '60 cm', 10), ...$often('c', '60 cm', 30, 8)], [['c', '60 cm', 20]], Standing::Closed, 'Closed by C',
        ];
        yield 'it came back where the fix is not' => [$often('b', '60 cm', 10), [['d', '60 cm', 20]], Standing::Closed, 'Closed by B'];
        yield 'what holds without the fix closes nothing' => [$often('d', '90 cm', 10), [], Standing::FixUntried, 'B carries a fix'];
    }

    /**
     * @param list<array{string, string, int}> $holds
     * @param list<array{string, string, int}> $returns
     */
    #[DataProvider('stories')]
    public function testWhereAFailureStands(array $holds, array $returns, Standing $standing, string $words): void
    {
        $runs = ['a' => [self::drop('a', '60 cm', 1, RunOutcome::Failed)], 'b' => [], 'c' => [], 'd' => []];
        $failures = [self::failure('f0', $runs['a'][0])];
        foreach ($returns as $i => [$build, $height, $at]) {
            $runs[$build][] = $failed = self::drop($build, $height, $at, RunOutcome::Failed);
            $failures[] = self::failure('f'.($i + 1), $failed);
        }
        foreach ($holds as [$build, $height, $at]) {
            $runs[$build][] = self::drop($build, $height, $at);
        }
        $status = self::all($failures, $runs)->status($failures[0]);
        self::assertSame($standing, $status->standing);
        self::assertStringContainsString($words, FailureWords::standing($status));
    }

    public function testThreeAreNotEnoughForWhatFailedSeldom(): void
    {
        // Once in ten: an unmended design passes three of three more often than not.
        $runs = ['a' => array_map(static fn (int $i): RunFact => self::drop('a', '60 cm', $i), range(1, 9))];
        $runs['a'][] = $failed = self::drop('a', '60 cm', 10, RunOutcome::Failed);
        $runs['b'] = array_map(static fn (int $i): RunFact => self::drop('b', '60 cm', 20 + $i), range(1, 3));
        $failure = self::failure('f0', $failed);
        $status = self::all([$failure], $runs)->status($failure);
        self::assertSame([Standing::Holding, 3, 21], [$status->standing, $status->held, $status->needed]);
        self::assertEqualsWithDelta((1 - 1.5 / 11) ** 3, $status->chance, 1e-12);
    }

    public function testAFixIsCarriedByItsValueNotByItsLetter(): void
    {
        $arm = static fn (float $mm): Parameter => new Parameter('arm', $mm, 'mm', null, $mm / 1000);
        $failed = self::drop('a', '60 cm', 1, RunOutcome::Failed);
        $old = array_map(static fn (int $i): RunFact => self::drop('b', '60 cm', $i, with: [$arm(3.0)]), [10, 11, 12]);
        $new = array_map(static fn (int $i): RunFact => self::drop('b', '60 cm', $i, with: [$arm(4.0)]), range(20, 24));
        $failure = self::failure('f0', $failed);
        $stands = static fn (array $runs): Standing => self::all(
            [$failure], ['a' => [$failed], 'b' => array_values($runs)], ['parameter:arm'], [$arm(4.0)],
        )->status($failure)->standing;
        self::assertSame(Standing::FixUntried, $stands($old), 'It still had the thin arm.');
        self::assertSame(Standing::Closed, $stands($new));
        self::assertSame(Standing::Holding, $stands([...$old, ...$new]), 'The thin arm held there three times as well: five tell little.');
    }

    public function testTheFixThatIsCreditedIsOneThatTheFailingOneLacked(): void
    {
        $runs = [
            'a' => [self::drop('a', '60 cm', 1, RunOutcome::Failed)], 'c' => [self::drop('c', '60 cm', 10, RunOutcome::Failed)],
            'e' => array_map(static fn (int $i): RunFact => self::drop('e', '60 cm', $i), range(20, 24)),
        ];
        $failures = [self::failure('f0', $runs['a'][0]), self::failure('f1', $runs['c'][0])];
        $second = Judged::change('second', against: 'f1');
        $before = self::all($failures, ['e' => []] + $runs, more: [Judged::build('e', 'c', [$second])]);
        self::assertSame(
            [Standing::CameBack, Standing::FixUntried, ['Second']],
            [$before->status($failures[0])->standing, $before->status($failures[1])->standing, $before->status($failures[1])->fixes],
        );
        $without = self::all($failures, ['e' => []] + $runs);
        self::assertSame(Standing::Open, $without->status($failures[1])->standing, 'C had the only fix, and failed.');
        $after = self::all($failures, $runs, more: [Judged::build('e', 'c', [$second])]);
        self::assertSame(
            [Standing::Closed, Standing::Closed, ['Second']],
            [$after->status($failures[0])->standing, $after->status($failures[1])->standing, $after->status($failures[1])->fixes],
        );
    }

    public function testWhatHeldBeforeItFailedClosesNothing(): void
    {
        // B was made meanwhile, and A, which goes on, failed after B had held.
        $runs = [
            'a' => [self::drop('a', '60 cm', 30, RunOutcome::Failed)],
            'b' => array_map(static fn (int $i): RunFact => self::drop('b', '60 cm', $i), range(10, 16)),
        ];
        $failure = self::failure('f0', $runs['a'][0]);
        self::assertSame(Standing::FixUntried, self::all([$failure], $runs)->status($failure)->standing);
        $runs['b'][] = self::drop('b', '60 cm', 40);
        $status = self::all([$failure], $runs)->status($failure);
        self::assertSame([Standing::Holding, 1], [$status->standing, $status->held]);
    }

    public function testOnlyTheSameQuestionCloses(): void
    {
        $failed = self::drop('a', '60 cm', 1, RunOutcome::Failed, answers: ['latch' => Answer::Failed]);
        $failure = self::failure('f0', $failed, 'latch');
        $holds = static fn (array $answers): array => array_map(
            static fn (int $i): RunFact => self::drop('b', '60 cm', $i, RunOutcome::Held, $answers), range(10, 14),
        );
        $stands = static fn (array $answers): Standing => self::all([$failure], ['a' => [$failed], 'b' => $holds($answers)])->status($failure)->standing;
        self::assertSame(Standing::FixUntried, $stands(['latch' => Answer::NotLooked]), 'Nobody looked at the latch.');
        self::assertSame(Standing::Closed, $stands(['latch' => Answer::OnlyJust]));
    }

    public function testWithoutItsPlaceNothingClosesIt(): void
    {
        $failure = new FailureFact('f0', 'a', 'Arm broke', 'arm', '1');
        $held = ['b' => array_map(static fn (int $i): RunFact => self::drop('b', '90 cm', $i), range(10, 40))];
        $status = self::all([$failure], $held)->status($failure);
        self::assertSame(Standing::Unplaced, $status->standing);
        self::assertStringContainsString('Say with which method and at which level it happened', FailureWords::standing($status));
    }

    public function testWhatIsSetAsideClosesOnItsOwnBuild(): void
    {
        $failed = self::drop('a', '60 cm', 1, RunOutcome::Failed);
        $failure = self::failure('f0', $failed, aside: 'Gap at 2.2 mm, not 1.5');
        $stands = static fn (RunFact ...$after): Standing => self::all(
            [$failure], ['a' => [$failed, ...array_values($after)]],
        )->status($failure)->standing;
        self::assertSame(Standing::SetAside, $stands());
        self::assertSame(Standing::SetAside, $stands(self::drop('a', '40 cm', 5)), 'Milder.');
        self::assertSame(Standing::PutRight, $stands(self::drop('a', '60 cm', 5)));
        self::assertSame([], self::all([$failure], ['a' => [$failed]])->modes(), 'It counts for no mode of the design.');
    }

    public function testAModeIsTriedWhereItCouldShow(): void
    {
        $runs = [
            'a' => [self::drop('a', '60 cm', 1, RunOutcome::Failed)],
            'b' => [self::drop('b', '40 cm', 10), self::drop('b', '60 cm', 11), self::drop('b', '80 cm', 12)],
        ];
        $first = self::failure('f0', $runs['a'][0]);
        $follows = new FailureFact('f1', 'a', 'Seed spilt', 'hopper', $first->order, $first->severity, isConsequence: true);
        $feared = new FailureFact('f2', 'a', 'Hand caught', 'plate', '0', isFeared: true);
        $all = self::all([$first, $follows, $feared], $runs);
        self::assertCount(1, $all->modes(), 'What follows from it, or is only feared, is no mode of its own.');
        self::assertSame([1, 2, 0], array_map($all->modes()[0]->tried(...), ['a', 'b', 'c']));
        self::assertSame(Standing::Feared, $all->status($feared)->standing);
    }

    /**
     * @param list<FailureFact>               $failures
     * @param array<string, list<RunFact>>    $runs     by build
     * @param list<string>                    $alters
     * @param list<Parameter>                 $parameters of the build with the fix
     * @param list<Build>                     $more
     */
    private static function all(array $failures, array $runs, array $alters = [], array $parameters = [], array $more = []): Failures
    {
        $made = $tried = [];
        foreach ($runs as $build => $of) {
            $tried[$build] = Tries::gather($of, static function (Configuration $c) use (&$made): string {
                $made[$c->hash()] = $c;

                return $c->hash();
            })->groups;
        }
        /** @var array<string, Configuration> $made */
        $fix = Judged::change('fix', against: 'f0', alters: $alters);
        $builds = [
            Judged::build('a'), Judged::build('b', 'a', [$fix], $parameters), Judged::build('c', 'b', [], $parameters),
            Judged::build('d', 'a'), ...$more,
        ];

        return new Failures(Judged::line(...$builds), $failures, $tried, $made, 0.95);
    }

    private static function failure(string $id, RunFact $run, string $question = '', string $aside = ''): FailureFact
    {
        return new FailureFact(
            $id, $run->revision, 'Arm broke', 'arm', $run->order(), Severity::ofRun($run), $question, $run->configuration->hash(),
            aside: $aside,
        );
    }

    /**
     * @param array<string, Answer> $answers
     * @param list<Parameter>       $with
     */
    private static function drop(
        string $build, string $height, int $at, RunOutcome $outcome = RunOutcome::Held, array $answers = [], array $with = [],
    ): RunFact {
        $configuration = new Configuration(
            $build, strtoupper($build), '', $with, [], null, '', '', '', [], 'drop', 'Drop', 1, '', [], [], [],
            factors: [new Factor('height', kind: FactorKind::Number, unit: 'cm', harder: Harder::More)],
            questions: [new Question('latch', 'latch opens')],
        );

        return new RunFact(
            'run-'.$build.$at, 'trial', 'Dropping', 'drop', $build, $at, $outcome, '',
            sprintf('2026-03-02T10:00:%02d.000000Z', $at), 'Ines',
            ['height' => $height], [], [], $configuration, 0, 0, [], false, $answers,
        );
    }
}
