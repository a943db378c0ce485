<?php

declare(strict_types=1);

namespace Lustrum\Tests\Core;

use Lustrum\Core\CoreException;
use Lustrum\Core\Statistics\Compare;
use Lustrum\Core\Statistics\Proportion;
use Lustrum\Core\Statistics\Sample;
use Lustrum\Core\Statistics\Verdict;
use PHPUnit\Framework\TestCase;

final class StatisticsTest extends TestCase
{
    public function testClopperPearsonOfThePublishedExample(): void
    {
        // Clopper and Pearson (1934): none of 30 gives an upper bound of 1 − 0.025^(1/30).
        $interval = Proportion::of(0, 30)->interval(0.95);
        self::assertSame(0.0, $interval->low);
        self::assertEqualsWithDelta(1 - 0.025 ** (1 / 30), (float) $interval->high, 1e-12);
        // The rule of three, more exactly: 59 of 59 show 95 % at 95 % confidence.
        self::assertGreaterThanOrEqual(0.95, Proportion::of(59, 59)->lower(0.95));
        self::assertLessThan(0.95, Proportion::of(58, 58)->lower(0.95));
    }

    public function testOrderOfMagnitudeDoesNotMatter(): void
    {
        foreach ([1e-12, 1.0, 1e12] as $scale) {
            $c = Compare::independent(
                array_map(static fn (float $v): float => $v * $scale, [10.0, 11.0, 12.0]),
                array_map(static fn (float $v): float => $v * $scale, [13.0, 14.5, 15.0]), 0.95,
            );
            self::assertSame(Verdict::Higher, $c->verdict);
            self::assertEqualsWithDelta(28.787878787878785, (float) $c->change?->estimate, 1e-9);
        }
    }

    public function testASmallSpreadOnALargeValueIsKept(): void
    {
        self::assertEqualsWithDelta(1.0, (float) Sample::of([1e12 + 1, 1e12 + 2, 1e12 + 3])->sd, 1e-9);
    }

    public function testEqualValuesGetNoMadeUpInterval(): void
    {
        $c = Compare::independent([5.0, 5.0, 5.0], [6.0, 6.0, 6.0], 0.95);
        self::assertNull($c->difference->low);
        self::assertSame('none', $c->method);
        self::assertNotNull($c->note);
    }

    public function testAPercentageOfNoughtHasNoMeaning(): void
    {
        $c = Compare::independent([-1.0, 0.0, 1.0], [2.0, 3.0, 4.0], 0.95);
        self::assertNull($c->change);
        $unsure = Compare::independent([-5.0, 1.0, 6.0], [2.0, 3.0, 4.0], 0.95);
        self::assertSame('none', $unsure->method);
        self::assertNull($unsure->change?->low);
    }

    public function testNegativeBaselinesKeepTheOrderOfTheBounds(): void
    {
        $c = Compare::independent([-10.0, -11.0, -10.5], [-8.0, -8.4, -8.1], 0.95);
        self::assertLessThan($c->change?->high, $c->change?->low);
    }

    public function testPairsNeedAsManyOnBothSides(): void
    {
        $this->expectException(CoreException::class);
        Compare::paired([1.0, 2.0], [1.0], 0.95);
    }
}
