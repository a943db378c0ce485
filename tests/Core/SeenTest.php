<?php

declare(strict_types=1);

namespace Lustrum\Tests\Core;

use Lustrum\Core\Evidence\Kind;
use Lustrum\Core\Judging\Answers;
use Lustrum\Core\Judging\Baseline;
use Lustrum\Core\Judging\Bunch;
use Lustrum\Core\Judging\ByName;
use Lustrum\Core\Judging\ChangesSeen;
use Lustrum\Core\Judging\CompareBuilds;
use Lustrum\Core\Judging\CompareOutcomes;
use Lustrum\Core\Judging\Contexts;
use Lustrum\Core\Judging\Measured;
use Lustrum\Core\Judging\Seen;
use Lustrum\Core\Judging\Sightings;
use Lustrum\Core\Outcome\ResultKind;
use Lustrum\Core\Run\Alikeness;
use Lustrum\Core\Run\Answer;
use Lustrum\Core\Run\Channel;
use Lustrum\Core\Run\Condition;
use Lustrum\Core\Run\Configuration;
use Lustrum\Core\Run\Factor;
use Lustrum\Core\Run\FactorKind;
use Lustrum\Core\Run\Question;
use Lustrum\Core\Run\ReadingFact;
use Lustrum\Core\Run\RunFact;
use Lustrum\Core\Run\RunOutcome;
use Lustrum\Core\Run\SettingRule;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What runs say is gathered in pieces and put together: no conclusion may depend on where the pieces were cut. */
final class SeenTest extends TestCase
{
    private const CONFIDENCE = 0.95;

    /** @return iterable<string, array{int, bool}> runs a piece, and whether pieces come in their order */
    public static function pieces(): iterable
    {
        foreach ([1, 2, 3, 5, 8] as $size) {
            yield 'of '.$size => [$size, true];
            yield 'of '.$size.', the last first' => [$size, false];
        }
    }

    #[DataProvider('pieces')]
    public function testComparisonsDoNotDependOnThePieces(int $size, bool $inOrder): void
    {
        [$a, $b] = [Judged::build('a'), Judged::build('b', 'a', [Judged::change('one', metric: 'force', expected: 5.0)])];
        $compare = new CompareBuilds([Judged::wanted(Kind::Mean, 40.0)], ['force' => 'Force', 'time' => 'Time'], self::CONFIDENCE);
        $conclude = static fn (Seen $here, Seen $there): array => [
            $compare->all($b, $here, $a, $there), CompareOutcomes::all($b, $here, $a, $there, self::CONFIDENCE),
            (new ChangesSeen($compare, self::CONFIDENCE))->of($b, $here, $there),
            Baseline::of($b, $here, [Judged::wanted(Kind::Mean, 40.0)]),
        ];
        [$here, $there] = [self::runs('b', 60.0), self::runs('a', 50.0)];
        $whole = $conclude(Seen::ofRuns($here), Seen::ofRuns($there));
        self::assertCount(2, $whole[0], 'Force and time.');
        self::assertSame(['strong'], array_column($whole[1], 'metric'));
        self::assertEqualsWithDelta(
            $whole, $conclude(self::inPieces($here, $size, $inOrder), self::inPieces($there, $size, $inOrder)), 1e-9,
        );
    }

    #[DataProvider('pieces')]
    public function testWhatIsAlikeStandsOnceHoweverManyPieces(int $size, bool $inOrder): void
    {
        $runs = self::runs('a', 50.0);
        $whole = Seen::ofRuns($runs)->read('force');
        $pieces = self::inPieces($runs, $size, $inOrder)->read('force');
        $of = static fn (array $bunches): array => array_map(static fn (Bunch $b): array => [
            $b->key(), $b->read, $b->values, $b->atLeast, $b->step, $b->circumstances->first, $b->circumstances->runs,
        ], $bunches);
        self::assertEquals($of($whole), $of($pieces));
    }

    #[DataProvider('pieces')]
    public function testPutTogetherOnceItSaysTheSame(int $size, bool $inOrder): void
    {
        $runs = self::runs('a', 50.0);
        $pieces = array_map(
            static fn (array $some): Sightings => Sightings::gather($some, static fn (Configuration $c): string => $c->hash()),
            array_chunk($runs, max(1, $size)),
        );
        $whole = unserialize(serialize(Sightings::together($inOrder ? $pieces : array_reverse($pieces))));
        self::assertInstanceOf(Sightings::class, $whole);
        $made = [];
        foreach ($runs as $run) {
            $made[$run->configuration->hash()] = $run->configuration;
        }
        [$one, $all] = [Seen::of([$whole], $made), Seen::ofRuns($runs)];
        self::assertEqualsCanonicalizing([$all->metrics(), $all->asked()], [$one->metrics(), $one->asked()]);
        self::assertEquals([$all->read('force'), $all->read('time')], [$one->read('force'), $one->read('time')]);
        self::assertEquals($all->answered('strong'), $one->answered('strong'));
    }

    public function testCircumstancesAreThoseOfTheRunsThatSaySomething(): void
    {
        $seen = Seen::ofRuns([...self::runs('a', 50.0), self::made(
            'a', 0, 1.0, RunOutcome::Void, 'Yusuf', with: self::configuration('a', 'W-3', 'lot 3'),
        )]);
        $measured = Measured::of($seen->read('force'));
        self::assertNotSame([], $measured->bunches);
        $context = Contexts::of($seen, $measured->bunches, 'Force');
        self::assertSame(8, $context->runs, 'A void run was made under no circumstances that matter.');
        self::assertSame(['Ines', 'Tobias'], $context->operators);
        self::assertSame(['W-1', 'W-2'], array_map(static fn ($u): string => $u->serial, $context->units));
        self::assertSame([3, 4], array_map(static fn ($u): int => $u->earlierRuns, $context->units), 'Before the first run of each.');
        self::assertSame(['foam' => ['lot 1', 'lot 2']], $context->lots);
        self::assertSame([1, ['2026-03-02T10:00:01.000000Z', '2026-03-02T10:00:08.000000Z']], [
            $context->stoppedEarly, [$context->from, $context->to],
        ]);
        $gap = $context->settings['gap'];
        self::assertSame([[1.5, 1.5, 1.5, 1.5, 2.0, 2.0, 2.0], 1], [$gap->numbers, $gap->unknown], 'One gap was not read off.');
        self::assertSame([array_fill(0, 8, 'dry'), 0], [self::eight($context->conditions['ground']->words), 0]);
        self::assertSame([['Force', 'Cell', 'N']], array_map(
            static fn ($i): array => [$i->channel, $i->name, $i->unit], $context->instruments,
        ));
    }

    /** However the runs were cut: what the coarser display can tell is all that is shown. */
    public function testTheCoarsestStepOfAllPiecesCounts(): void
    {
        $of = static function (int $number, float $step): RunFact {
            $run = self::made('a', $number, 50.0);
            $read = new ReadingFact('pull', 'force', 'N', 50.0 + $number, $step, ResultKind::Equal, 'Cell');

            /** @phpstan-ignore argument.type (the same properties, by their names) */
            return new RunFact(...['readings' => [$read]] + get_object_vars($run));
        };
        foreach ([[0.01, 1.0], [1.0, 0.01]] as [$first, $second]) {
            $key = static fn (Configuration $c): string => $c->hash();
            $pieces = [Sightings::gather([$of(1, $first)], $key), Sightings::gather([$of(2, $second)], $key)];
            self::assertSame(0, Measured::of(Seen::of($pieces, [])->read('force'), 'N')->decimals);
        }
    }

    public function testWhereTwoChannelsReadTheSameTheFirstCounts(): void
    {
        $run = self::made('a', 1, 50.0);
        $second = new ReadingFact('other', 'force', 'N', 90.0, 0.1, ResultKind::Equal, 'Spare cell');
        $twice = new RunFact(
            $run->id, $run->trial, $run->trialName, $run->method, $run->revision, $run->number, $run->outcome, '', $run->startedAt, '', [],
            [], [], $run->configuration, 0, 0, [...$run->readings, $second], false,
        );
        self::assertSame([[50.0]], array_map(static fn ($b): array => $b->values, Seen::ofRuns([$twice])->read('force')));
    }

    public function testAnswersAreCountedByRungInTheOrderTheyCame(): void
    {
        $of = static function (RunFact ...$runs): Answers {
            $answers = new Answers('strong');
            array_map(static fn (RunFact $r) => $answers->take($r, Alikeness::of($r), 'made'), $runs);

            return $answers;
        };
        $late = $of(self::made('a', 7, null, position: '60 cm'), self::made('a', 8, null, RunOutcome::Failed, position: '80 cm'));
        $early = $of(
            self::made('a', 1, null, position: '80 cm'), self::made('a', 2, null, RunOutcome::StoppedEarly, position: '100 cm'),
            self::made('a', 3, null, RunOutcome::Failed, position: '40 cm'),
        );
        $all = Answers::together('strong', [$late, $early]);
        self::assertSame([2, 4], [$all->held, $all->tried], 'One that was stopped answers nothing.');
        $levels = array_map(static fn (array $g): array => [$g['alike']->text, $g['held'], $g['tried']], array_values($all->groups));
        self::assertSame([['80 cm', 1, 2], ['40 cm', 0, 1], ['60 cm', 1, 1]], $levels);
        self::assertNull(Seen::ofRuns([self::made('a', 1, null, RunOutcome::StoppedEarly)])->answered('strong'));
        self::assertNull(Seen::ofRuns([])->answered('strong'));
    }

    public function testAnArmKeepsWhatIsItsOwnAndThatSomethingNearlyHappened(): void
    {
        $of = static fn (string $arm, int $number, Answer $answer): RunFact => self::made(
            'a', $number, 50.0 + $number, with: self::configuration('a', 'W-1', 'lot 1', $arm), answers: ['held' => $answer],
        );
        $seen = self::inPieces([
            $of('wave', 1, Answer::Held), $of('wave', 2, Answer::OnlyJust), $of('ridge', 3, Answer::OnlyJust),
            $of('ridge', 4, Answer::Failed),
        ], 1, true);
        $counts = static fn (Seen $s): array => [
            $s->answered('strong')?->held, $s->answered('strong')?->tried, array_sum(array_column($s->answered('strong')->groups ?? [], 'onlyJust')),
            count($s->read('force')),
        ];
        self::assertSame([[3, 4, 2, 2], [2, 2, 1, 1], [1, 2, 1, 1]], [
            $counts($seen), $counts($seen->ofArm('wave')), $counts($seen->ofArm('ridge')),
        ]);
        self::assertSame([['force', 'time'], []], [$seen->ofArm('wave')->metrics(), $seen->ofArm('cord')->metrics()]);
        self::assertNull($seen->ofArm('cord')->answered('strong'));
    }

    public function testWhatIsKeptByNameIsOpenedByName(): void
    {
        $kept = unserialize(serialize(new ByName(['force' => [1.5], 'time' => [2.5], 7 => ['a number for a name']])));
        self::assertInstanceOf(ByName::class, $kept);
        self::assertSame([1.5], $kept->get('force'));
        $again = unserialize(serialize($kept));
        self::assertInstanceOf(ByName::class, $again);
        self::assertSame([[1.5], [2.5], ['a number for a name'], null], array_map($again->get(...), ['force', 'time', '7', 'mass']));
        self::assertEqualsCanonicalizing(['force', 'time', '7'], $again->names());
    }

    public function testWhatWasMadeWithSomethingUnknownIsRefused(): void
    {
        $seen = Seen::of([Sightings::gather(self::runs('a', 50.0), static fn (): string => 'k')], []);
        $bunches = $seen->read('force');
        self::assertNotSame([], $bunches);
        $this->expectException(\LogicException::class);
        Contexts::of($seen, $bunches, 'Force');
    }

    /**
     * @param list<string> $words
     *
     * @return list<string> as many as there are runs, where they all say the same
     */
    private static function eight(array $words): array
    {
        return count(array_unique($words)) === 1 ? array_fill(0, 8, $words[0]) : $words;
    }

    /** @param list<RunFact> $runs */
    private static function inPieces(array $runs, int $size, bool $inOrder): Seen
    {
        $made = [];
        foreach ($runs as $run) {
            $made[$run->configuration->hash()] = $run->configuration;
        }
        $pieces = array_map(
            static fn (array $some): Sightings => Sightings::gather($some, static fn (Configuration $c): string => $c->hash()),
            array_chunk($runs, max(1, $size)),
        );
        /** @var list<Sightings> $kept as they are stored */
        $kept = unserialize(serialize($inOrder ? $pieces : array_reverse($pieces)));

        return Seen::of($kept, $made);
    }

    /**
     * Eight runs of two articles, by two people, one of them a bound, one without its gap, one failed.
     *
     * @return list<RunFact>
     */
    private static function runs(string $build, float $about): array
    {
        $with = [self::configuration($build, 'W-1', 'lot 1'), self::configuration($build, 'W-2', 'lot 2')];
        $out = [];
        for ($i = 1; $i <= 8; ++$i) {
            $out[] = self::made(
                $build, $i, $about + $i * 0.3, match ($i) {
                    3 => RunOutcome::StoppedEarly,
                    6 => RunOutcome::Failed,
                    default => RunOutcome::Held,
                },
                $i > 4 ? 'Tobias' : 'Ines', $i % 2 === 0 ? '40 cm' : '0.6 m', $with[$i % 2 === 0 ? 1 : 0],
                match (true) {
                    $i === 2 => [],
                    $i > 5 => ['gap' => '2 mm'],
                    default => ['gap' => '1.5 mm'],
                },
            );
        }

        return $out;
    }

    private static function configuration(string $build, string $serial, string $lot, string $arm = ''): Configuration
    {
        return new Configuration(
            $build, strtoupper($build), '1.0', [], [], null, $serial, '', '', ['foam' => $lot], 'drop', 'Drop', 2, 'tower',
            [new Channel('pull', 'force', 'N', 'Cell', 0.1), new Channel('clock', 'time', 's', 'Watch', 0.1)],
            [new Condition('ground')], [new SettingRule('gap', 'mm', 1.5, 0.2)],
            factors: [new Factor('height', kind: FactorKind::Number, unit: 'cm')], questions: [new Question('held', 'strong')],
            arm: $arm,
        );
    }

    /**
     * @param array<string, string> $settings
     * @param array<string, Answer> $answers
     */
    private static function made(
        string $build, int $number, ?float $newton, RunOutcome $outcome = RunOutcome::Held, string $operator = 'Ines',
        string $position = '', ?Configuration $with = null, array $settings = ['gap' => '1.5 mm'],
        array $answers = [],
    ): RunFact {
        $kind = $outcome === RunOutcome::StoppedEarly ? ResultKind::AtLeast : ResultKind::Equal;
        $readings = $newton === null ? [] : [
            new ReadingFact('pull', 'force', 'N', $newton, 0.1, $kind, 'Cell'),
            new ReadingFact('clock', 'time', 's', $newton / 10, 0.1, $kind, 'Watch'),
        ];

        return new RunFact(
            'run-'.$build.$number, 'trial', 'Dropping', 'drop', $build, $number, $outcome, '',
            sprintf('2026-03-02T10:00:%02d.000000Z', $number), $operator, $position === '' ? [] : ['height' => $position],
            ['ground' => 'Dry'], $settings,
            $with ?? self::configuration($build, 'W-1', 'lot 1'), 2 + $number, 0, $readings, false, $answers,
        );
    }
}
