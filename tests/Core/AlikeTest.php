<?php

declare(strict_types=1);

namespace Lustrum\Tests\Core;

use Lustrum\Core\Alike\AlikeRuns;
use Lustrum\Core\Alike\CompareProportionsWithin;
use Lustrum\Core\Alike\CompareSides;
use Lustrum\Core\Alike\CompareWithin;
use Lustrum\Core\Alike\Looks;
use Lustrum\Core\Alike\Per;
use Lustrum\Core\Alike\Scale;
use Lustrum\Core\Alike\SidePair;
use Lustrum\Core\Alike\WithinVerdict;
use Lustrum\Core\CoreException;
use Lustrum\Core\Outcome\ResultKind;
use Lustrum\Core\Statistics\Censored;
use Lustrum\Core\Statistics\Compare;
use Lustrum\Core\Statistics\Sample;
use Lustrum\Core\Statistics\Tail;
use Lustrum\Core\Statistics\Verdict;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Runs are opposed only to runs that are like them; what that comes to must not hang on how it is written down. */
final class AlikeTest extends TestCase
{
    private const CONFIDENCE = 0.95;
    private const CLOSE = 1e-9;

    /** @return iterable<string, array{list<AlikeRuns>}> */
    public static function tables(): iterable
    {
        $row = static fn (string $side, string $cell, float $value, ?string $block = null, ?string $article = null): AlikeRuns => AlikeRuns::one(
            $side, $cell, $value, $block, $article,
        );
        $cells = [
            $row('a', 'low', 5.1), $row('a', 'low', 5.3), $row('a', 'high', 9.0), $row('a', 'high', 9.4), $row('b', 'low', 4.7),
            $row('b', 'low', 4.9), $row('b', 'high', 8.1), $row('b', 'high', 8.6), $row('b', 'top', 20.0),
        ];
        yield 'cells' => [$cells];
        yield 'one cell' => [array_values(array_filter($cells, static fn (AlikeRuns $r): bool => $r->cell === 'low'))];
        yield 'blocks' => [[
            $row('a', 'x', 61, 'r1'), $row('a', 'y', 55, 'r1'), $row('a', 'x', 70, 'r2'), $row('a', 'x', 48, 'r3'),
            $row('b', 'x', 66, 'r1'), $row('b', 'y', 61, 'r1'), $row('b', 'x', 73, 'r2'), $row('b', 'x', 55, 'r3'), $row('b', 'x', 9, 'r4'),
        ]];
        yield 'articles in one cell' => [[
            $row('a', 'x', 50, null, '1'), $row('a', 'x', 52, null, '1'), $row('a', 'x', 60, null, '2'), $row('b', 'x', 55, null, '3'),
            $row('b', 'x', 57, null, '3'), $row('b', 'x', 66, null, '4'), $row('b', 'x', 61, null, '5'),
        ]];
        yield 'articles in several cells' => [[
            $row('a', 'dry', 50, null, '1'), $row('a', 'dry', 52, null, '1'), $row('a', 'wet', 44, null, '1'),
            $row('a', 'dry', 61, null, '2'),
            $row('a', 'wet', 53, null, '2'), $row('b', 'dry', 58, null, '3'), $row('b', 'wet', 49, null, '3'),
            $row('b', 'dry', 70, null, '4'),
            $row('b', 'wet', 64, null, '4'), $row('b', 'wet', 60, null, '5'),
        ]];
        yield 'effects that multiply' => [[
            $row('a', 'felt', 10), $row('a', 'cork', 20), $row('a', 'oak', 40), $row('a', 'ash', 81), $row('b', 'felt', 14),
            $row('b', 'cork', 27), $row('b', 'oak', 50), $row('b', 'ash', 120),
        ]];
    }

    /** @param list<AlikeRuns> $runs */
    #[DataProvider('tables')]
    public function testTheOrderOfRunsAndTheNamesOfLevelsAreNoPartOfIt(array $runs): void
    {
        $found = CompareWithin::of($runs, self::CONFIDENCE);
        $other = CompareWithin::of(array_map(static fn (AlikeRuns $r): AlikeRuns => AlikeRuns::one(
            $r->side, 'level '.strrev($r->cell), $r->values[0], $r->block === null ? null : 'by '.$r->block,
            $r->article === null ? null : 'W-'.$r->article,
        ), array_reverse($runs)), self::CONFIDENCE);
        self::assertEqualsWithDelta($found->difference, $other->difference, self::CLOSE);
        self::assertEqualsWithDelta($found->change, $other->change, self::CLOSE);
        self::assertSame(
            [$found->verdict, $found->per, $found->pairs, $found->n], [$other->verdict, $other->per, $other->pairs, $other->n],
        );
        self::assertEqualsWithDelta($found->p, $other->p, self::CLOSE);
    }

    /** @param list<AlikeRuns> $runs */
    #[DataProvider('tables')]
    public function testRunsHandedOnTogetherAreTheSameRuns(array $runs): void
    {
        $by = [];
        foreach ($runs as $one) {
            $by[implode('|', [$one->side, $one->stratum, $one->article])][] = $one;
        }
        $together = array_values(array_map(
            static fn (array $of): AlikeRuns => $of[0]->as(array_map(static fn (AlikeRuns $r): float => $r->values[0], $of)), $by,
        ));
        self::assertEqualsWithDelta(
            CompareWithin::of($runs, self::CONFIDENCE), CompareWithin::of($together, self::CONFIDENCE), self::CLOSE,
        );
        self::assertEqualsWithDelta(CompareSides::of($runs, self::CONFIDENCE), CompareSides::of($together, self::CONFIDENCE), self::CLOSE);
        self::assertSame(
            [count($runs), AlikeRuns::count($runs, 'a')], [AlikeRuns::count($together), AlikeRuns::count($together, 'a')],
        );
    }

    /** @param list<AlikeRuns> $runs */
    #[DataProvider('tables')]
    public function testTurnedRoundItIsTheSameTheOtherWay(array $runs): void
    {
        $found = CompareWithin::of($runs, self::CONFIDENCE);
        $turned = CompareWithin::of(array_map(static fn (AlikeRuns $r): AlikeRuns => AlikeRuns::one(
            $r->side === 'a' ? 'b' : 'a', $r->cell, $r->values[0], $r->block, $r->article,
        ), $runs), self::CONFIDENCE);
        self::assertEqualsWithDelta(
            [-$found->difference->estimate, -(float) $found->difference->high, -(float) $found->difference->low],
            [$turned->difference->estimate, $turned->difference->low, $turned->difference->high], self::CLOSE,
        );
        self::assertEqualsWithDelta($found->p, $turned->p, self::CLOSE);
        self::assertSame(
            ['higher' => 'lower', 'lower' => 'higher'][$found->verdict->value] ?? $found->verdict->value, $turned->verdict->value,
        );
        self::assertEquals([$found->onlyA, $found->onlyB], [$turned->onlyB, $turned->onlyA]);
    }

    /** @param list<AlikeRuns> $runs */
    #[DataProvider('tables')]
    public function testInAnotherUnitItIsTheSameConclusion(array $runs): void
    {
        $found = CompareWithin::of($runs, self::CONFIDENCE);
        $in = CompareWithin::of(array_map(static fn (AlikeRuns $r): AlikeRuns => AlikeRuns::one(
            $r->side, $r->cell, 1000 * $r->values[0], $r->block, $r->article,
        ), $runs), self::CONFIDENCE);
        self::assertEqualsWithDelta(1000 * $found->difference->estimate, $in->difference->estimate, 1e-6);
        self::assertSame([$found->verdict, $found->scale, $found->opposed], [$in->verdict, $in->scale, $in->opposed]);
        self::assertEqualsWithDelta([$found->p, $found->change->percent], [$in->p, $in->change->percent], self::CLOSE);
    }

    public function testWithinOneCellItIsWelch(): void
    {
        [$a, $b] = [[5.1, 5.3, 4.8], [6.0, 6.9, 6.1, 7.7]];
        $runs = [
            ...array_map(static fn (float $v): AlikeRuns => AlikeRuns::one('a', 'x', $v), $a),
            ...array_map(static fn (float $v): AlikeRuns => AlikeRuns::one('b', 'x', $v), $b),
        ];
        [$within, $plain] = [CompareWithin::of($runs, 0.9), Compare::independent($a, $b, 0.9)];
        self::assertEqualsWithDelta($plain->difference, $within->difference, self::CLOSE);
        self::assertEqualsWithDelta([$plain->p, $plain->df], [$within->p, $within->df], self::CLOSE);
        self::assertSame('fieller', $within->change->method);
    }

    public function testOneOfEachAPairIsThePairedT(): void
    {
        [$a, $b] = [[51.0, 60.0, 44.0, 71.0], [55.0, 63.0, 50.0, 74.0]];
        $runs = [];
        foreach ($a as $i => $value) {
            array_push($runs, AlikeRuns::one('a', 'm'.$i, $value), AlikeRuns::one('b', 'm'.$i, $b[$i]));
        }
        $paired = Compare::paired($a, $b, self::CONFIDENCE);
        $within = CompareWithin::of($runs, self::CONFIDENCE);
        self::assertEqualsWithDelta($paired->difference, $within->difference, self::CLOSE);
        self::assertSame([WithinVerdict::Higher, Per::Run], [$within->verdict, $within->per]);
        // Put together without their pairs, the same runs say nothing: what pairing is for.
        self::assertSame(Verdict::Indistinct, Compare::independent($a, $b, self::CONFIDENCE)->verdict);
    }

    public function testAFreshArticleAtEachLevelLeavesThePairedT(): void
    {
        [$a, $b] = [[51.0, 60.0, 44.0, 71.0], [55.0, 63.0, 50.0, 74.0]];
        $runs = static function (callable $article) use ($a, $b): array {
            $runs = [];
            foreach ($a as $i => $value) {
                $runs[] = AlikeRuns::one('a', 'm'.$i, $value, null, 'a'.$article($i));
                $runs[] = AlikeRuns::one('b', 'm'.$i, $b[$i], null, 'b'.$article($i));
            }

            return $runs;
        };
        $paired = Compare::paired($a, $b, self::CONFIDENCE);
        $fresh = CompareWithin::of($runs(static fn (int $i): int => $i), self::CONFIDENCE);
        self::assertEqualsWithDelta([$paired->difference, $paired->p, 3.0], [$fresh->difference, $fresh->p, $fresh->df], self::CLOSE);
        self::assertSame(Per::Article, $fresh->per);
        // Two articles a side, each at two of the four levels: it goes over articles, and hardly anything is known of them.
        $again = CompareWithin::of($runs(static fn (int $i): int => $i % 2), self::CONFIDENCE);
        self::assertEqualsWithDelta(1.0, (float) $again->df, self::CLOSE);
    }

    public function testWhatOneSideAloneHasIsListedAndUsedForNothing(): void
    {
        $common = [
            AlikeRuns::one('a', '40 cm', 3.0), AlikeRuns::one('a', '40 cm', 3.4), AlikeRuns::one('b', '40 cm', 2.2),
            AlikeRuns::one('b', '40 cm', 2.6),
        ];
        $with = CompareWithin::of(
            [...$common, AlikeRuns::one('b', '80 cm', 900.0), AlikeRuns::one('a', '60 cm', -900.0)], self::CONFIDENCE,
        );
        self::assertEquals(CompareWithin::of($common, self::CONFIDENCE)->difference, $with->difference);
        self::assertSame('[[{"cell":"60 cm"}],[{"cell":"80 cm"}]]', json_encode([$with->onlyA, $with->onlyB]));
    }

    public function testRepeatsOfOneArticleAreNoMoreArticles(): void
    {
        $runs = static fn (int $times): array => array_merge(...array_map(
            static fn (array $of): array => array_fill(0, $times, AlikeRuns::one($of[0], 'x', $of[1], null, $of[2])),
            [['a', 50.0, '1'], ['a', 58.0, '2'], ['b', 60.0, '3'], ['b', 66.0, '4']],
        ));
        [$once, $often] = [CompareWithin::of($runs(1), self::CONFIDENCE), CompareWithin::of($runs(20), self::CONFIDENCE)];
        self::assertEqualsWithDelta($once->difference, $often->difference, self::CLOSE);
        self::assertSame([Per::Article, ['a' => 2, 'b' => 2]], [$often->per, $often->n]);
    }

    public function testWhereTheDifferenceHasNotEvenOneSignThereIsNoSingleNumber(): void
    {
        $runs = [];
        foreach ([['left', 10.0, 13.0], ['right', 10.2, 8.2]] as [$cell, $a, $b]) {
            foreach ([-0.1, 0.1] as $off) {
                array_push($runs, AlikeRuns::one('a', $cell, $a + $off), AlikeRuns::one('b', $cell, $b + $off));
            }
        }
        $found = CompareWithin::of($runs, self::CONFIDENCE);
        self::assertSame(WithinVerdict::ByCell, $found->verdict);
        self::assertSame(['right'], $found->opposed);
    }

    /** @return iterable<string, array{string, ResultKind, WithinVerdict}> */
    public static function bounds(): iterable
    {
        yield 'more can only be more' => ['b', ResultKind::AtLeast, WithinVerdict::Higher];
        yield 'what may be less proves nothing' => ['b', ResultKind::AtMost, WithinVerdict::Indistinct];
        yield 'nor what the other side may have more of' => ['a', ResultKind::AtLeast, WithinVerdict::Indistinct];
        yield 'less on the other side helps' => ['a', ResultKind::AtMost, WithinVerdict::Higher];
    }

    #[DataProvider('bounds')]
    public function testBoundsPullOnlyOneWay(string $side, ResultKind $kind, WithinVerdict $verdict): void
    {
        $runs = [];
        foreach ([31.0, 34.0, 33.0] as $i => $value) {
            $runs[] = AlikeRuns::one('a', 'x', $value, null, null, $i === 0 && $side === 'a' ? $kind : ResultKind::Equal);
            $runs[] = AlikeRuns::one('b', 'x', $value + 10, null, null, $i === 0 && $side === 'b' ? $kind : ResultKind::Equal);
        }
        $found = CompareWithin::of($runs, self::CONFIDENCE);
        self::assertSame($verdict, $found->verdict);
        self::assertSame([true, false], [
            $found->difference->low === null xor $found->difference->high === null, $found->change->percent !== null,
        ]);
    }

    public function testLookingAgainCostsConfidence(): void
    {
        self::assertSame(0.95, Looks::confidence(0.95, 1));
        $spent = 0.0;
        for ($k = 2; $k < 200; ++$k) {
            $spent += 1 - Looks::confidence(0.95, $k);
        }
        self::assertEqualsWithDelta(0.05, $spent, 0.05 / 150, 'All later looks together: once more.');
        self::assertLessThanOrEqual(0.05, $spent);
        $this->expectException(CoreException::class);
        Looks::confidence(0.95, 0);
    }

    public function testSharesAreOpposedLevelByLevel(): void
    {
        $of = static fn (string $side, string $cell, int $held, int $failed): array => [
            ...array_fill(0, $held, AlikeRuns::one($side, $cell, 1.0)), ...array_fill(0, $failed, AlikeRuns::one($side, $cell, 0.0)),
        ];
        // At each height b holds more often, but b was mostly tried high: put together it would look worse.
        $runs = [...$of('a', 'low', 18, 2), ...$of('a', 'high', 0, 10), ...$of('b', 'low', 6, 0), ...$of('b', 'high', 14, 16)];
        $found = CompareProportionsWithin::of($runs, self::CONFIDENCE);
        self::assertSame(Verdict::Higher, $found->verdict);
        self::assertGreaterThan(20 / 36, 18 / 30, 'As it would look.');
        self::assertSame(['low', 'high'], array_column($found->cells, 'cell'));
        $mirrored = CompareProportionsWithin::of(
            array_map(static fn (AlikeRuns $r): AlikeRuns => AlikeRuns::one($r->side, $r->cell, 1 - $r->values[0]), $runs),
            self::CONFIDENCE,
        );
        self::assertEqualsWithDelta(-$found->difference->estimate, $mirrored->difference->estimate, self::CLOSE);
        self::assertEqualsWithDelta($found->p, $mirrored->p, self::CLOSE, 'Held or failed: the same question.');
    }

    public function testNothingIsMoreOftenUnlessTheExactTestAgrees(): void
    {
        for ($held = 0; $held <= 6; ++$held) {
            $runs = [
                ...array_fill(0, 6 - $held, AlikeRuns::one('a', 'x', 0.0)), ...array_fill(0, $held, AlikeRuns::one('a', 'x', 1.0)),
                ...array_fill(0, 3, AlikeRuns::one('b', 'x', 1.0)),
            ];
            $found = CompareProportionsWithin::of($runs, self::CONFIDENCE);
            $isTold = $found->verdict !== Verdict::Indistinct;
            self::assertSame($isTold, $found->p < 0.05);
            self::assertSame($isTold, $found->difference->low > 0 || $found->difference->high < 0);
        }
    }

    public function testGroupsAreAllTheLargestSetsThatNothingTellsApart(): void
    {
        mt_srand(7);
        for ($round = 0; $round < 12; ++$round) {
            $runs = [];
            foreach (range(0, 5) as $side) {
                foreach (range(1, 3) as $cell) {
                    $runs[] = AlikeRuns::one('s'.$side, 'c'.$cell, 10 * $cell + $side * 0.8 + mt_rand(0, 100) / 70);
                }
            }
            $found = CompareSides::of($runs, self::CONFIDENCE);
            $told = [];
            foreach ($found->pairs as $pair) {
                $told[$pair->a.$pair->b] = $told[$pair->b.$pair->a] = $pair->told;
            }
            $names = array_column($found->sides, 'side');
            self::assertEqualsCanonicalizing(self::largest($names, $told), $found->groups, 'Round '.$round);
            self::assertEqualsWithDelta(0.0, array_sum(array_column($found->sides, 'effect')), self::CLOSE);
        }
    }

    public function testManySidesThatNothingTellsApartAreOneGroup(): void
    {
        $runs = [];
        foreach (range(1, 40) as $side) {
            foreach ([0.0, 1.0, 5.0] as $i => $off) {
                $runs[] = AlikeRuns::one('side '.$side, 'x', 50 + (($side * 7 + $i * 13) % 11) + $off);
            }
        }
        $found = CompareSides::of($runs, self::CONFIDENCE);
        self::assertCount(780, $found->pairs);
        self::assertSame([], array_filter($found->pairs, static fn (SidePair $p): bool => $p->told));
        self::assertCount(1, $found->groups);
    }

    public function testWithoutBoundsCensoredIsTheTInterval(): void
    {
        $values = [31.2, 28.7, 30.4, 33.1, 29.6];
        foreach ([0.8, 0.95, 0.99] as $confidence) {
            self::assertEqualsWithDelta(
                Sample::of($values)->interval($confidence), Censored::of($values, [], [])->interval($confidence), 1e-7,
            );
        }
    }

    public function testABoundThatSaysNothingChangesLittleAndOneFarAwayMuch(): void
    {
        $values = [24.0, 23.5, 24.6, 25.1];
        $plain = Censored::of($values, [], [])->mean();
        self::assertEqualsWithDelta($plain, Censored::of($values, [1.0], [])->mean(), 0.02, 'It was known to be more than that.');
        self::assertGreaterThan($plain + 1, Censored::of($values, [40.0], [])->mean());
        self::assertLessThan($plain - 1, Censored::of($values, [], [10.0])->mean());
        $mirrored = Censored::of(array_map(static fn (float $v): float => -$v, $values), [], [-40.0]);
        self::assertEqualsWithDelta(-Censored::of($values, [40.0], [])->mean(), $mirrored->mean(), 1e-9);
    }

    public function testTheTailHoldsWhereItIsNoughtItself(): void
    {
        foreach ([29.999, 30.001] as $w) {
            self::assertEqualsWithDelta(-0.5 * $w * $w - log($w) - 0.918938533204673, Tail::log($w), 2e-3);
        }
        self::assertEqualsWithDelta(Tail::hazard(29.9999999), Tail::hazard(30.0000001), 1e-6);
        self::assertTrue(is_finite(Tail::log(1e6)));
        self::assertEqualsWithDelta(log(0.5), Tail::log(0.0), 1e-12);
    }

    public function testEffectsThatMultiplyNeedValuesAboveNought(): void
    {
        $this->expectException(CoreException::class);
        CompareWithin::of([AlikeRuns::one('a', 'x', -1.0), AlikeRuns::one('b', 'x', 2.0)], self::CONFIDENCE, Scale::Ratio);
    }

    /**
     * By trying every set.
     *
     * @param list<string>        $names
     * @param array<string, bool> $told
     *
     * @return list<list<string>>
     */
    private static function largest(array $names, array $told): array
    {
        $sets = [];
        for ($mask = 1; $mask < 2 ** count($names); ++$mask) {
            $set = array_values(array_filter($names, static fn (int $i): bool => ($mask >> $i & 1) === 1, \ARRAY_FILTER_USE_KEY));
            $isOne = true;
            foreach ($set as $i => $a) {
                foreach (array_slice($set, $i + 1) as $b) {
                    $isOne = $isOne && !($told[$a.$b] ?? false);
                }
            }
            if ($isOne) {
                $sets[] = $set;
            }
        }

        return array_values(array_filter($sets, static fn (array $set): bool => array_filter(
            $sets, static fn (array $other): bool => count($other) > count($set) && array_diff($set, $other) === [],
        ) === []));
    }
}
