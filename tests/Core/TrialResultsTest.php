<?php

declare(strict_types=1);

namespace Lustrum\Tests\Core;

use Lustrum\Core\Judging\Seen;
use Lustrum\Core\Judging\Sightings;
use Lustrum\Core\Judging\TrialPiece;
use Lustrum\Core\Judging\TrialResults;
use Lustrum\Core\Run\Configuration;
use Lustrum\Core\Run\Parameter;
use Lustrum\Core\Run\RunFact;
use Lustrum\Core\Run\RunOutcome;
use Lustrum\Core\Wording\MethodWords;
use Lustrum\Core\Wording\TrialWords;
use PHPUnit\Framework\TestCase;

/** What a trial came to is said level by level, and without what says nothing of the design. */
final class TrialResultsTest extends TestCase
{
    public function testHeldAndFailedAreCountedLevelByLevel(): void
    {
        $results = TrialResults::ofRuns([
            ...array_map(static fn (): RunFact => self::drop('50'), range(1, 3)),
            self::drop('100'), self::drop('100', RunOutcome::Failed),
        ], [], 0.95);
        self::assertSame([
            'held 3 of 3 at 50 cm; it may still fail in 0 to 71 % of tries',
            'held 1 of 2 at 100 cm; it may still fail in 1 to 99 % of tries',
        ], TrialWords::results($results, []));
    }

    public function testWhatIsSetAsideIsNamedAndCountsForNothing(): void
    {
        $results = TrialResults::ofRuns([
            ...Judged::tries(3, 0), self::drop('', RunOutcome::Failed, 'Gap found at 2.2 mm, not 1.5.'),
        ], [], 0.95);
        self::assertSame([[3, 0]], array_map(static fn (array $s): array => [$s['held'], $s['failed']], $results->shares));
        self::assertSame('1 run set aside: gap found at 2.2 mm, not 1.5', TrialWords::results($results, [])[1]);
    }

    public function testALostRunAndAVoidOneSayNothingOfHowOftenItHolds(): void
    {
        $results = TrialResults::ofRuns(
            [...Judged::tries(2, 0), self::drop('', RunOutcome::Lost), self::drop('', RunOutcome::Void)], [], 0.95,
        );
        self::assertSame(2, $results->shares[0]['held'] + $results->shares[0]['failed']);
        self::assertCount(1, $results->shares);
    }

    public function testItIsTheSameWhereverTheRunsAreCut(): void
    {
        $runs = [
            self::drop('100'), self::drop('50'), self::drop('50', RunOutcome::Failed), ...Judged::tries(2, 1),
            ...Judged::runs([3.1, 2.9, 3.4]),
            self::drop('', RunOutcome::Failed, 'Gap found at 2.2 mm.'), self::drop('100', RunOutcome::Failed),
            self::drop('', RunOutcome::Lost),
        ];
        usort($runs, static fn (RunFact $a, RunFact $b): int => $a->order() <=> $b->order());
        $whole = TrialResults::ofRuns($runs, [], 0.95);
        // Those that are asked something else are no share of the same.
        self::assertCount(4, $whole->shares);
        self::assertSame(1, $whole->aside);
        for ($at = 1; $at < count($runs); ++$at) {
            $parts = [array_slice($runs, $at), array_slice($runs, 0, $at)];
            $seen = Seen::of(array_map(static fn (array $some): Sightings => Sightings::gather(
                $some, static fn (Configuration $c): string => $c->hash(),
            ), $parts), []);
            self::assertEquals(
                $whole, TrialResults::of(TrialPiece::together(array_map(TrialPiece::of(...), $parts)), $seen, [], 0.95), "Cut at $at.",
            );
        }
    }

    /** A gate filed between any two runs: seven states, not one of seven. */
    public function testWhatWasChangedBetweenTwoRunsIsNoRepeat(): void
    {
        $at = static fn (string $gate, RunOutcome $o): RunFact => Judged::run(null, $o, with: Judged::configuration(
            outcomeMetric: 'closed', parameters: [Parameter::typed('gate', $gate), Parameter::typed('rim', '9 mm')],
        ));
        $gates = ['1.0 mm', '1.2 mm', '1.4 mm', '1.6 mm', '1.8 mm', '2.0 mm', '2.2 mm'];
        $runs = array_map(static fn (string $g): RunFact => $at($g, $g === '2.2 mm' ? RunOutcome::Held : RunOutcome::Failed), $gates);
        self::assertSame(
            ['7 states, 6 failed and 1 held; the last held 1 of 1 at gate 2.2 mm; it may still fail in 0 to 98 % of tries'],
            TrialWords::results(TrialResults::ofRuns($runs, [], 0.95), []),
        );
        self::assertSame([
            'held 0 of 1 at gate 1.0 mm; it may still fail in 3 to 100 % of tries',
            'held 1 of 2 at gate 2.2 mm; it may still fail in 1 to 99 % of tries',
        ], TrialWords::results(TrialResults::ofRuns([
            $at('1.0 mm', RunOutcome::Failed), $at('2.2 mm', RunOutcome::Held), $at('0.22 cm', RunOutcome::Failed),
        ], [], 0.95), []), 'The same in another unit is the same.');
    }

    public function testVariantsAndMeasuresOfTwoStatesAreNoMean(): void
    {
        $of = static fn (float $n, string $gate, string $arm): RunFact => Judged::run($n, with: Configuration::fromRow(
            ['arm' => $arm] + Judged::configuration(parameters: [Parameter::typed('gate', $gate)])->toRow(),
        ));
        $runs = [$of(40, '1 mm', ''), $of(42, '1 mm', ''), $of(60, '2 mm', ''), $of(62, '2 mm', ''), $of(10, '1 mm', 'wave'), $of(12, '1 mm', 'wave')];
        $results = TrialResults::ofRuns($runs, [], 0.95);
        self::assertSame([['gate 1 mm', 41.0], ['gate 2 mm', 61.0], ['wave', 11.0]], array_map(
            static fn (array $m): array => [$m['level'], $m['figure']?->value], $results->metrics,
        ));
        $soFar = static fn (int $i): ?float => TrialResults::soFar(
            $runs[$i]->configuration->channels, Seen::ofRuns($runs), $runs[$i], 0.95,
        )['force']->value ?? null;
        self::assertSame([41.0, 61.0, 11.0], [$soFar(0), $soFar(2), $soFar(4)]);
    }

    public function testCautionsReadAsSentences(): void
    {
        self::assertSame(
            'Moving belt, moving plate. Sleeves tied back. Stop when it jams. Local rules and licensed practice come first.',
            MethodWords::mind(['moving belt', 'moving plate'], ['sleeves tied back.'], 'Stop when it jams.', false),
        );
        self::assertStringStartsWith('No hazards written down. It does not say when to stop.', MethodWords::mind([], [''], '', false));
    }

    private static function drop(string $height, RunOutcome $outcome = RunOutcome::Held, string $aside = ''): RunFact
    {
        return Judged::run(null, $outcome, outcomeMetric: 'survives', position: $height === '' ? '' : $height.' cm', aside: $aside);
    }
}
