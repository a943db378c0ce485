<?php

declare(strict_types=1);

namespace Lustrum\Tests\Core;

use Lustrum\Core\Alike\AlikeRuns;
use Lustrum\Core\Alike\WithinVerdict;
use Lustrum\Core\Evidence\Kind;
use Lustrum\Core\Judging\BoundedSide;
use Lustrum\Core\Judging\ByCell;
use Lustrum\Core\Judging\ByOrder;
use Lustrum\Core\Judging\Look;
use Lustrum\Core\Judging\Terms;
use Lustrum\Core\Judging\Worded;
use Lustrum\Core\Outcome\Result;
use Lustrum\Core\Outcome\ResultKind;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Sides that have an order and no distances, and bounds that say how far they lie at the least. */
final class ByOrderTest extends TestCase
{
    /** @return iterable<string, array{list<array{list<float>, list<float>}>, float, WithinVerdict}> strata: theirs, mine; p; verdict */
    public static function strata(): iterable
    {
        yield 'one each' => [[[[1.0], [3.0]]], 1.0, WithinVerdict::Single];
        yield 'two each' => [[[[1.0, 1.0], [2.0, 3.0]]], 1 / 3, WithinVerdict::Indistinct];
        yield 'four each, all above' => [[[[1.0, 1.0, 1.0, 2.0], [3.0, 3.0, 3.0, 4.0]]], 2 / 70, WithinVerdict::Higher];
        yield 'and below' => [[[[3.0, 3.0, 3.0, 4.0], [1.0, 1.0, 1.0, 2.0]]], 2 / 70, WithinVerdict::Lower];
        yield 'four pairs are too few' => [array_fill(0, 4, [[1.0], [2.0]]), 0.125, WithinVerdict::Indistinct];
        yield 'six pairs' => [array_fill(0, 6, [[1.0], [2.0]]), 2 / 64, WithinVerdict::Higher];
        yield 'ties say nothing' => [array_fill(0, 6, [[2.0], [2.0]]), 1.0, WithinVerdict::Indistinct];
    }

    /** @param list<array{non-empty-list<float>, non-empty-list<float>}> $strata */
    #[DataProvider('strata')]
    public function testTheyAreComparedByOrderWithinWhatIsAlike(array $strata, float $p, WithinVerdict $verdict): void
    {
        $runs = [];
        foreach ($strata as $i => [$theirs, $mine]) {
            array_push($runs, new AlikeRuns('a', 'at '.$i, $theirs), new AlikeRuns('b', 'at '.$i, $mine));
        }
        $order = ByOrder::within($runs);
        self::assertNotNull($order);
        self::assertEqualsWithDelta($p, $order->p, 1e-9);
        self::assertSame($verdict, $order->verdict(new Terms(0.95)));
        self::assertContains($order->verdict(new Terms(0.95, new Look(2, 90, 1, true))), [WithinVerdict::Indistinct, WithinVerdict::Single]);
    }

    public function testTheWordInTheMiddleIsNoMean(): void
    {
        $words = ['faint', 'dim', 'bright'];
        self::assertSame([['dim'], 2.0], [Worded::of($words, [1.0, 2.0, 3.0, 3.0, 1.0])?->middle, Worded::of($words, [2.0])?->place]);
        self::assertSame(['faint', 'bright'], Worded::of($words, [1.0, 3.0])?->middle);
        self::assertNull(Worded::of([], [1.0]));
    }

    /** Six pairs of sides share the risk: what one pair alone would tell is not told of six. */
    public function testASideWithABoundIsToldApartAtTheRiskOfAllPairs(): void
    {
        $runs = [];
        foreach (['Ada' => 0.5, 'Bo' => 1.0, 'Cy' => 1.5, 'Di' => 1.0] as $rater => $more) {
            $runs[] = AlikeRuns::one('plain', 'x', 0.0, $rater);
            $runs[] = AlikeRuns::one('deep', 'x', $more, $rater, kind: $rater === 'Cy' ? ResultKind::AtLeast : ResultKind::Equal);
        }
        self::assertSame(['plain'], BoundedSide::of('deep', $runs, new Terms(0.95), 1, 0.0)->higher);
        self::assertSame(['plain'], BoundedSide::of('deep', $runs, new Terms(0.95), 6, 0.0)->open);
    }

    public function testABoundBeyondTheLimitIsNotCalledShortOfIt(): void
    {
        $rule = Judged::wanted(Kind::Mean, 80.0)->rule;
        $reached = static fn (float ...$values): ?float => ByCell::assess($rule, array_map(
            static fn (float $v): array => [Result::of(ResultKind::AtLeast, $v), 'cell', '', ''], array_values($values),
        ))->reached;
        self::assertSame([35.0, null, null], [$reached(30.0, 35.0), $reached(35.0, 90.0), $reached()]);
    }
}
