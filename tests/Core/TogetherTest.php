<?php

declare(strict_types=1);

namespace Lustrum\Tests\Core;

use Lustrum\Core\Plan\Together;
use Lustrum\Core\Wording\PlanWords;
use PHPUnit\Framework\TestCase;

/** What goes together over the variants of a plan. */
final class TogetherTest extends TestCase
{
    public function testTwoThatDifferInTwoThings(): void
    {
        $together = Together::of([
            ['wall' => '2 mm', 'rib' => '4 mm', 'glue' => 'hide'], ['wall' => '3 mm', 'rib' => '8 mm', 'glue' => 'hide'],
        ]);
        self::assertSame(['wall', 'rib'], $together->names, 'What all have alike is told by nobody and asked by nobody.');
        self::assertCount(1, $together->further);
        self::assertContains($together->further[0], [['wall' => '3 mm', 'rib' => '4 mm'], ['wall' => '2 mm', 'rib' => '8 mm']]);
        self::assertStringStartsWith('wall and rib change together over these variants', PlanWords::entangled($together));
    }

    public function testEachByItselfIsToldApart(): void
    {
        $together = Together::of([
            ['wall' => '2 mm', 'rib' => '4 mm'], ['wall' => '3 mm', 'rib' => '4 mm'], ['wall' => '2 mm', 'rib' => '8 mm'],
        ]);
        self::assertSame([[], []], [$together->names, $together->further]);
        self::assertSame('', PlanWords::entangled($together));
    }

    public function testThreeValuesOfOneAreLeftToTheComparison(): void
    {
        self::assertSame([], Together::of([['wall' => '2 mm'], ['wall' => '3 mm'], ['wall' => '4 mm']])->names);
        self::assertSame([], Together::of([])->names);
    }

    public function testMoreThanCanBeHeldApartSaysNothing(): void
    {
        $of = static fn (string $value): array => array_fill_keys(array_map(static fn (int $i): string => 'p'.$i, range(1, 11)), $value);
        self::assertSame([], Together::of([$of('a'), $of('b')])->names);
    }
}
