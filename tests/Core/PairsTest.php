<?php

declare(strict_types=1);

namespace Lustrum\Tests\Core;

use Lustrum\Core\Evidence\Kind;
use Lustrum\Core\Footing\Footing;
use Lustrum\Core\Judging\Circumstances;
use Lustrum\Core\Judging\CompareBuilds;
use Lustrum\Core\Judging\CompareOutcomes;
use Lustrum\Core\Judging\OutcomeComparison;
use Lustrum\Core\Judging\Pair;
use Lustrum\Core\Judging\Seen;
use Lustrum\Core\Run\Configuration;
use Lustrum\Core\Run\Factor;
use Lustrum\Core\Run\FactorRole;
use Lustrum\Core\Run\RunFact;
use Lustrum\Core\Run\RunOutcome;
use Lustrum\Core\Wording\OutcomeWords;
use PHPUnit\Framework\TestCase;

/** What belongs together pair by pair, and the footing of what was only held or failed. */
final class PairsTest extends TestCase
{
    public function testEachPairIsListedWithItsPerCent(): void
    {
        $rated = static fn (string $build, string $rater, float $newton): RunFact => Judged::run(
            $newton, build: $build, levels: ['rater' => $rater],
            with: Judged::configuration($build, factors: [new Factor('rater', FactorRole::Block)]),
        );
        $c = (new CompareBuilds([Judged::wanted(Kind::Mean, 40.0)], ['force' => 'Force'], 0.95))->metric(
            'force', Judged::build('b', 'a'),
            Seen::ofRuns([$rated('b', 'Ada', 12.0), $rated('b', 'Bo', 30.0), $rated('b', 'Cy', 0.0), $rated('b', 'Di', 9.0)]),
            Judged::build('a'), Seen::ofRuns([$rated('a', 'Ada', 10.0), $rated('a', 'Bo', 20.0), $rated('a', 'Cy', 0.0)]),
        );
        self::assertSame(
            [['Ada', 10.0, 12.0, 20.0], ['Bo', 20.0, 30.0, 50.0], ['Cy', 0.0, 0.0, null]],
            array_map(static fn (Pair $p): array => [$p->text, $p->a, $p->b, $p->percent()], $c->matching->table ?? []),
        );
        self::assertSame(3, $c->matching?->pairs, 'Di has no counterpart.');
    }

    public function testOneStratumIsNoTable(): void
    {
        $c = (new CompareBuilds([], ['force' => 'Force'], 0.95))->metric(
            'force', Judged::build('b', 'a'), Seen::ofRuns(Judged::runs([1.0, 2.0], build: 'b')), Judged::build('a'),
            Seen::ofRuns(Judged::runs([2.0, 3.0])),
        );
        self::assertSame([], $c->matching?->table);
    }

    public function testTheFootingIsSaidForHeldAndFailedToo(): void
    {
        $level = self::outcomes(self::tries('a', 'B-1'), self::tries('b', 'B-1'));
        self::assertSame(Footing::Level, $level->footing?->footing);
        self::assertStringNotContainsString('lot of', OutcomeWords::sentence($level, 'strong'));
        $lots = self::outcomes(self::tries('a', 'B-1'), self::tries('b', 'B-2'));
        self::assertSame(Footing::Tilted, $lots->footing?->footing);
        self::assertStringContainsString('; another lot of board (B-1, then B-2).', OutcomeWords::sentence($lots, 'strong'));
    }

    public function testOnlyRunsAtLevelsThatBothHaveAreOfTheFooting(): void
    {
        $lower = static fn (string $build, string $lot): array => self::tries($build, $lot, '40 cm');
        $found = self::outcomes([...$lower('a', 'B-1'), ...self::tries('a', 'B-9', '90 cm')], $lower('b', 'B-1'));
        self::assertSame(Footing::Level, $found->footing?->footing, 'The other lot was at a level that only one side has.');
        $apart = self::outcomes(self::tries('a', 'B-1', '90 cm'), $lower('b', 'B-1'));
        self::assertSame([null, 'unmatched'], [$apart->footing, $apart->verdict]);
    }

    public function testCircumstancesOfSomeRunsAndOfOthersAreThoseOfAll(): void
    {
        $runs = [...self::tries('a', 'B-1'), ...self::tries('a', 'B-1', '40 cm')];
        $of = static function (array $some): Circumstances {
            $all = new Circumstances('k');
            foreach ($some as $run) {
                self::assertInstanceOf(RunFact::class, $run);
                $all->take($run);
            }

            return $all;
        };
        for ($n = 0; $n <= count($runs); ++$n) {
            $before = $of(array_slice($runs, 0, $n));
            self::assertEquals($of($runs), $before->and($of(array_slice($runs, $n))), $n.' and the rest');
            self::assertSame($n, $before->runs, 'It stays as it was.');
        }
    }

    /**
     * @param list<RunFact> $before
     * @param list<RunFact> $now
     */
    private static function outcomes(array $before, array $now): OutcomeComparison
    {
        return CompareOutcomes::all(Judged::build('b', 'a'), Seen::ofRuns($now), Judged::build('a'), Seen::ofRuns($before), 0.95)[0];
    }

    /** @return list<RunFact> */
    private static function tries(string $build, string $lot, string $position = ''): array
    {
        $run = static fn (RunOutcome $o): RunFact => Judged::run(null, $o, build: $build, outcomeMetric: 'strong', position: $position);
        $with = Configuration::fromRow(['lots' => ['board' => $lot]] + $run(RunOutcome::Held)->configuration->toRow());
        $made = static fn (RunOutcome $o): RunFact => Judged::run(null, $o, build: $build, position: $position, with: $with);

        return [$made(RunOutcome::Held), $made(RunOutcome::Held), $made(RunOutcome::Failed)];
    }
}
