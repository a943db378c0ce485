<?php

declare(strict_types=1);

namespace Lustrum\Tests\Core;

use Lustrum\Core\Evidence\Kind;
use Lustrum\Core\Judging\Baseline;
use Lustrum\Core\Judging\Cell;
use Lustrum\Core\Judging\ChangesSeen;
use Lustrum\Core\Judging\CompareBuilds;
use Lustrum\Core\Judging\CompareOutcomes;
use Lustrum\Core\Judging\Evidence;
use Lustrum\Core\Judging\FailureFact;
use Lustrum\Core\Judging\Failures;
use Lustrum\Core\Judging\MetricComparison;
use Lustrum\Core\Judging\OutcomeSide;
use Lustrum\Core\Judging\Seen;
use Lustrum\Core\Judging\SidesWithin;
use Lustrum\Core\Judging\Terms;
use Lustrum\Core\Judging\Tries;
use Lustrum\Core\Run\Configuration;
use Lustrum\Core\Run\RunFact;
use Lustrum\Core\Run\RunOutcome;
use Lustrum\Core\Run\Severity;
use Lustrum\Core\Wording\ComparisonWords;
use Lustrum\Core\Wording\EvidenceWords;
use Lustrum\Core\Wording\OutcomeWords;
use Lustrum\Core\Wording\SidesWords;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What was changed on an article between two runs begins another state of it, which stands for itself. */
final class AsBuiltTest extends TestCase
{
    private const PLAIN = [10.0, 11.0, 12.0];
    private const TIGHT = [30.0, 31.0, 32.0];

    /** @return iterable<string, array{list<list<string>>, list<float>, list<string>}> what each three runs had otherwise; counted, left out */
    public static function states(): iterable
    {
        yield 'nothing was changed' => [[[], []], [...self::PLAIN, ...self::TIGHT], []];
        yield 'changed after three runs' => [[[], ['belt tight']], self::PLAIN, ['belt tight']];
        yield 'made otherwise, then as its build has it' => [[['belt tight'], []], self::TIGHT, ['belt tight']];
        yield 'made otherwise, and something else later' => [
            [['belt tight'], ['belt tight', 'lid off']], self::PLAIN, ['lid off'],
        ];
        yield 'made otherwise, and nothing since' => [[['belt tight'], ['belt tight']], [...self::PLAIN, ...self::TIGHT], []];
    }

    /**
     * @param list<list<string>>   $states
     * @param list<float>          $counted
     * @param list<string>       $left
     */
    #[DataProvider('states')]
    public function testAComparisonIsOfOneState(array $states, array $counted, array $left): void
    {
        $runs = [...self::runs(self::PLAIN, $states[0]), ...self::runs(self::TIGHT, $states[1])];
        $c = self::against($runs);
        self::assertSame([count($counted), $counted], [$c->here->n, $c->here->marks]);
        self::assertSame([$left === [] ? 0 : 3, $left], [$c->changed['B']->runs, $c->changed['B']->what]);
        $baseline = Baseline::of(Judged::build('b'), Seen::ofRuns($runs), [])['force'] ?? null;
        self::assertSame($states[0] === ['belt tight'] && $states[1] !== [] ? null : count($counted), $baseline?->n);
        $change = (new ChangesSeen(new CompareBuilds([], [], 0.95), 0.95))->of(
            Judged::build('b', 'a', [Judged::change('one', metric: 'force', expected: 3.0)]), Seen::ofRuns($runs), self::parent(),
        )[0];
        self::assertSame(count($counted), $change->n);
    }

    /** Another article on which nothing was changed stays what it is, and so does one that was made otherwise from the start. */
    public function testEachArticleHasItsOwnState(): void
    {
        $c = self::against([
            ...self::runs(self::PLAIN, []), ...self::runs(self::TIGHT, ['belt tight']), ...self::runs([20.0, 21.0], ['old lid'], 'B-2'),
        ]);
        self::assertSame([10.0, 11.0, 12.0, 20.0, 21.0], $c->here->marks);
        self::assertStringEndsWith(
            '3 runs of B are not in it: something was changed on an article between two runs (“belt tight”).',
            ComparisonWords::sentence($c, 'force', 'A'),
        );
    }

    public function testTheStatesOfAnArticleAreSides(): void
    {
        $two = [...self::runs(self::PLAIN, []), ...self::runs(self::TIGHT, ['lid old'], 'B-2')];
        self::assertSame([], self::sides($two), 'Two articles.');
        $sides = self::sides([
            ...self::runs(self::PLAIN, []), ...self::runs(self::TIGHT, ['belt tight']), ...self::runs([90.0, 91.0], [], 'B-2'),
        ])[0];
        self::assertSame([['belt tight', 3], [SidesWithin::AS_BUILT, 3]], array_map(
            static fn ($s): array => [$s->side, $s->n], $sides->found->sides,
        ));
        self::assertSame(
            'Force by what was changed between runs: belt tight leads, and is told apart from all others; 1 of 1 pair told.',
            SidesWords::sentence($sides, 'force', true),
        );
        self::assertSame('as its build has it', SidesWords::side(SidesWithin::AS_BUILT));
        // One article far above the other: within each the change adds one, which nothing else would show.
        $pairs = self::sides([
            ...self::runs([10.0, 11.1], []), ...self::runs([11.1, 12.0], ['belt tight']),
            ...self::runs([90.0, 91.1], [], 'B-2'), ...self::runs([91.0, 92.2], ['belt tight'], 'B-2'),
        ])[0];
        self::assertEqualsWithDelta(1.025, ($pairs->found->sides[0]->effect ?? 0.0) - ($pairs->found->sides[1]->effect ?? 0.0), 1e-9);
    }

    public function testSharesAreOfOneState(): void
    {
        $c = CompareOutcomes::metric(
            'strong', Judged::build('b'), Seen::ofRuns([...self::tries(1, 4), ...self::tries(6, 0, 'belt tight')]), Judged::build('a'),
            Seen::ofRuns(Judged::tries(2, 3)), new Terms(0.95),
        );
        self::assertSame([1, 5, 2, 5], [$c?->alike?->heldHere, $c?->alike?->triedHere, $c?->alike?->heldThere, $c?->alike?->triedThere]);
        self::assertCount(2, $c->here->rungs ?? [], 'The ladder still has both.');
        $two = Seen::ofRuns([...self::tries(2, 0, 'ribbon'), ...self::tries(0, 1)])->answered('strong');
        self::assertSame(['ribbon', 'without ribbon'], $two === null ? [] : array_map(
            static fn ($rung): string => $rung->text, OutcomeSide::of(Judged::build('b'), $two, 0.95)->rungs,
        ), 'What is there without a value is there.');
        self::assertStringEndsWith(
            '6 runs of B are not in it: something was changed on an article between two runs (“belt tight”).',
            $c === null ? '' : OutcomeWords::sentence($c, 'strong'),
        );
    }

    public function testHowOftenAModeShowsIsOfOneState(): void
    {
        $runs = array_map(static fn (RunOutcome $o, array $own): RunFact => Judged::run(null, $o, with: self::made($own, 'B-1')), [
            RunOutcome::Failed, RunOutcome::Failed, RunOutcome::Held, RunOutcome::Held, RunOutcome::Failed,
        ], [[], [], ['belt tight'], ['belt tight'], ['belt tight']]);
        $made = [];
        $tried = Tries::gather($runs, static function (Configuration $c) use (&$made): string {
            $made[$c->hash()] = $c;

            return $c->hash();
        })->groups;
        $failures = array_map(static fn (RunFact $r): FailureFact => new FailureFact(
            'f'.$r->id, 'b', 'Broke', '', $r->order(), Severity::ofRun($r), 'held', $r->configuration->hash(),
        ), [$runs[0], $runs[1], $runs[4]]);
        $mode = (new Failures(Judged::line(Judged::build('b')), $failures, ['b' => $tried], $made, 0.95))->modes()[0];
        self::assertSame([[2, 2], [1, 3]], array_map(
            static fn (array $c): array => [$c['failed'], $c['tried']], array_values($mode->cells['b'] ?? []),
        ));
        self::assertSame(5, $mode->tried('b'), 'How often it was tried is said of all.');
    }

    /** Of several states that are none of the build, the last stands for what was tried: they have no mean. */
    public function testEvidenceOfSeveralEarlierStatesIsThatOfTheLast(): void
    {
        $own = Evidence::own(Judged::wanted(Kind::Mean, 20.0), Judged::build('b'), [
            ...self::runs(self::PLAIN, ['gate 1']), ...self::runs(self::TIGHT, ['gate 2']), ...self::runs([50.0], ['gate 3']),
        ]);
        self::assertSame([0, 1, 50.0], [$own->runs, $own->olderRuns, $own->older?->worst->estimate]);
        self::assertSame(['3'], array_values(array_map(static fn ($d): string => $d->was, $own->differs)));
    }

    /** Firmware that was typed on a run makes it no older; nor is it put together with the build's. */
    public function testEvidenceIsOfOneFirmware(): void
    {
        $with = static fn (string $firmware): Configuration => Configuration::fromRow([
            'firmware' => $firmware, 'ownFirmware' => $firmware !== '1.0', 'serial' => 'B-1',
        ] + Judged::configuration('b')->toRow());
        $on = static fn (string $firmware): array => array_map(
            static fn (float $n): RunFact => Judged::run($n, with: $with($firmware)), self::PLAIN,
        );
        $build = Judged::build('b', firmware: '1.0');
        $cell = static function (RunFact ...$runs) use ($build): Cell {
            $wanted = Judged::wanted(Kind::Mean, 5.0);

            return Evidence::cell($wanted, $build, Judged::line($build), static fn (): array => [
                $wanted->id => Evidence::own($wanted, $build, array_values($runs)),
            ]);
        };
        self::assertSame(3, $cell(...$on('1.1'))->runs, 'Nothing else was tried.');
        $both = $cell(...$on('1.1'), ...$on('1.0'));
        self::assertSame(3, $both->runs);
        self::assertStringContainsString(
            '3 runs are not in it: something was otherwise on the article or the build.', EvidenceWords::cell($both, 'force'),
        );
        $depends = Judged::wanted(Kind::Mean, 5.0, dependsOn: ['shape']);
        self::assertSame(6, Evidence::own($depends, $build, [...$on('1.1'), ...$on('1.0')])->runs, 'It does not hang on the firmware.');
    }

    /** @param list<RunFact> $runs */
    private static function against(array $runs): MetricComparison
    {
        return (new CompareBuilds([], ['force' => 'Force'], 0.95))->metric(
            'force', Judged::build('b', 'a'), Seen::ofRuns($runs), Judged::build('a'), self::parent(),
        );
    }

    /**
     * @param list<RunFact> $runs
     *
     * @return list<SidesWithin> those of states
     */
    private static function sides(array $runs): array
    {
        return array_values(array_filter(
            SidesWithin::of(Seen::ofRuns($runs), 'force', 'N', new Terms(0.95)), static fn (SidesWithin $s): bool => $s->kind === 'state',
        ));
    }

    /** @return list<RunFact> */
    private static function tries(int $held, int $failed, string ...$own): array
    {
        return array_map(
            static fn (RunOutcome $o): RunFact => Judged::run(null, $o, with: self::made(array_values($own), 'B-1')),
            [...array_fill(0, $held, RunOutcome::Held), ...array_fill(0, $failed, RunOutcome::Failed)],
        );
    }

    private static function parent(): Seen
    {
        return Seen::ofRuns(Judged::runs([9.0, 10.0, 11.0]));
    }

    /**
     * @param list<float>  $newtons
     * @param list<string> $own     'belt tight': the part, and what it is
     *
     * @return list<RunFact>
     */
    private static function runs(array $newtons, array $own, string $serial = 'B-1'): array
    {
        return array_map(static fn (float $n): RunFact => Judged::run($n, build: 'b', with: self::made($own, $serial)), $newtons);
    }

    /** @param list<string> $own */
    private static function made(array $own, string $serial): Configuration
    {
        return Configuration::fromRow(['deviants' => array_map(static fn (string $text): array => [
            'kind' => 'part', 'name' => explode(' ', $text)[0], 'value' => explode(' ', $text)[1] ?? '',
        ], $own)] + Judged::configuration('b', outcomeMetric: 'strong', serial: $serial)->toRow());
    }
}
