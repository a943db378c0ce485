<?php

declare(strict_types=1);

namespace Lustrum\Tests\Core;

use Lustrum\Core\InvalidInput;
use Lustrum\Core\Plan\Layout;
use Lustrum\Core\Plan\LeftOut;
use Lustrum\Core\Plan\Made;
use Lustrum\Core\Plan\Minutes;
use Lustrum\Core\Plan\Order;
use Lustrum\Core\Plan\PlanKind;
use Lustrum\Core\Plan\Progress;
use Lustrum\Core\Plan\Slot;
use Lustrum\Core\Plan\SlotSeen;
use Lustrum\Core\Run\Factor;
use Lustrum\Core\Run\FactorKind;
use Lustrum\Core\Run\FactorRole;
use Lustrum\Core\Run\Harder;
use Lustrum\Core\Run\RunOutcome;
use Lustrum\Core\Wording\PlanWords;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** How runs are laid out, and how far they filled their plan. */
final class LayoutTest extends TestCase
{
    public function testALadderBeginsAtItsMildEndWhicheverThatIs(): void
    {
        $layout = new Layout(PlanKind::Ladder, ['height' => ['60 cm', '200 mm', '40 cm']], repeats: 2);

        self::assertSame(['200 mm', '200 mm', '40 cm', '40 cm', '60 cm', '60 cm'], self::texts($layout, [self::height()]));
        self::assertSame(
            ['60 cm', '60 cm', '40 cm', '40 cm', '200 mm', '200 mm'], self::texts($layout, [self::height(Harder::Less)]), 'Less is harder.',
        );
    }

    public function testAMatrixHoldsEveryCellAndLeavesOutOnlyWhatSomebodySays(): void
    {
        $layout = new Layout(PlanKind::Matrix, ['height' => ['20 cm', '40 cm'], 'seed' => ['small', 'large']], ['round', 'oval'], 2, leftOut: [
            new LeftOut(['height' => '40 cm', 'seed' => 'large'], 'oval', 'It wedges'),
        ]);
        $texts = self::texts($layout, [self::height(), self::seed()]);

        self::assertCount(14, $texts);
        self::assertSame('20 cm · small · round', $texts[0]);
        self::assertNotContains('40 cm · large · oval', $texts);
        self::assertSame('It wedges', $layout->why(['height' => '40 cm', 'seed' => 'large'], 'oval'));
        self::assertNull($layout->why(['height' => '40 cm', 'seed' => 'large'], 'round'));
        self::assertEquals($layout, Layout::fromRow((array) json_decode((string) json_encode($layout), true)));
    }

    public function testPairsLieSideBySideHoweverChanceFalls(): void
    {
        $orders = [];
        foreach (range(1, 12) as $seed) {
            $layout = new Layout(PlanKind::Pairs, [], ['round', 'oval'], 4, Order::Random, $seed);
            $texts = self::texts($layout, []);
            foreach (array_chunk($texts, 2) as $pair) {
                sort($pair);
                self::assertSame(['oval', 'round'], $pair);
            }
            $orders[] = implode(' ', $texts);
            self::assertSame($texts, self::texts($layout, []), 'The same seed, the same order.');
        }
        self::assertGreaterThan(3, count(array_unique($orders)));
    }

    public function testBlocksHoldEveryLevelOnceAndChanceOverAllNeedNot(): void
    {
        $levels = ['seed' => ['small', 'large', 'pelleted']];
        $blocks = self::texts(new Layout(PlanKind::Sweep, $levels, [], 5, Order::Blocks, 3), [self::seed()]);
        foreach (array_chunk($blocks, 3) as $block) {
            self::assertCount(3, array_unique($block));
        }
        $random = self::texts(new Layout(PlanKind::Sweep, $levels, [], 5, Order::Random, 3), [self::seed()]);
        self::assertSame(['large' => 5, 'pelleted' => 5, 'small' => 5], self::counted($random));
        self::assertNotSame($blocks, $random);
    }

    /** @return iterable<string, array{Layout, string}> */
    public static function wrong(): iterable
    {
        yield 'a million runs' => [
            new Layout(PlanKind::Matrix, ['height' => self::many(40), 'seed' => self::many(40)], self::many(40)), 'levels',
        ];
        yield 'too many repeats of many cells' => [
            new Layout(PlanKind::Matrix, ['seed' => ['a', 'b', 'c', 'd', 'e', 'f']], [], 100), 'repeats',
        ];
        yield 'a level twice' => [new Layout(PlanKind::Sweep, ['height' => ['20 cm', '200 mm']]), 'levels'];
        yield 'no level of it' => [new Layout(PlanKind::Sweep, ['height' => ['20 cm', 'three kilos']]), 'levels'];
        yield 'a factor that is none' => [new Layout(PlanKind::Sweep, ['colour' => ['red', 'blue']]), 'levels'];
        yield 'a block is no factor' => [new Layout(PlanKind::Sweep, ['grower' => ['Odile', 'Bram']]), 'levels'];
        yield 'a ladder of one rung' => [new Layout(PlanKind::Ladder, ['height' => ['20 cm']]), 'levels'];
        yield 'a ladder of two factors' => [
            new Layout(PlanKind::Ladder, ['height' => ['20 cm', '40 cm'], 'seed' => ['small', 'large']]), 'levels',
        ];
        yield 'a pair of three' => [new Layout(PlanKind::Pairs, [], ['round', 'oval', 'slot']), 'levels'];
        yield 'no repeat' => [new Layout(PlanKind::Free, repeats: 0), 'repeats'];
    }

    #[DataProvider('wrong')]
    public function testWhatCannotBePlannedIsSaid(Layout $layout, string $path): void
    {
        try {
            $layout->slots([self::height(), self::seed(), new Factor('grower', FactorRole::Block)]);
            self::fail('Nothing was refused.');
        } catch (InvalidInput $e) {
            self::assertSame($path, $e->path);
        }
    }

    /** Of eight planned: two tried, one of them after a loss; a void run fills nothing; one run was beside the plan. */
    public function testWhatWasLostIsCountedAndLeavesItsPlaceOpen(): void
    {
        $layout = new Layout(PlanKind::Matrix, ['height' => ['20 cm', '40 cm'], 'seed' => ['small', 'large']], [], 2, leftOut: [
            new LeftOut(['height' => '40 cm', 'seed' => 'large'], '', 'Known to break'),
        ]);
        $made = [
            self::made(1, '20 cm', 'small', RunOutcome::Lost), self::made(2, '200 mm', 'Small', RunOutcome::Held),
            self::made(3, '20 cm', 'large', RunOutcome::Void), self::made(4, '40 cm', 'large', RunOutcome::Failed),
            self::made(5, '40 cm', 'small', null),
        ];
        $progress = Progress::of($layout, [self::height(), self::seed()], $made);

        self::assertSame([2, 6, 1, 1], [$progress->tried(), count($progress->slots), $progress->lost(), count($progress->beside)]);
        self::assertSame(['20 cm · large', 2], [$progress->next()?->text(), $progress->next()?->number]);
        self::assertSame([1, 2, null], [$progress->slots[0]->lost, $progress->slots[0]->made?->number, $progress->slots[1]->made?->number]);
        self::assertSame(4, count($progress->left()));
        self::assertSame(
            '2 of 6 runs tried, 1 lost in handling, 1 cell left out before it was tried, 1 run beside the plan; 59 min to go.',
            PlanWords::progress($progress, new Minutes(10, 10, 2, 1)),
        );
    }

    public function testAPlanThatIsDoneHasNoNext(): void
    {
        $layout = new Layout(PlanKind::Pairs, [], ['round', 'oval'], 1);
        $made = static fn (int $n, string $arm): Made => new Made('r'.$n, $n, [], $arm, RunOutcome::Held);
        $progress = Progress::of($layout, [], [$made(1, 'Oval'), $made(2, 'round'), $made(3, 'slot')]);

        self::assertNull($progress->next());
        self::assertSame([1, 0], [count($progress->beside), $progress->lost()]);
        self::assertSame('2 of 2 runs tried, 1 run beside the plan: it is done.', PlanWords::progress($progress, new Minutes()));
        self::assertSame(
            [2, 1], array_map(static fn (SlotSeen $s): ?int => $s->made?->number, $progress->slots), 'Each fills its own place.',
        );
    }

    public function testWhichSchoolItFollowsIsSaidWithWhatThatCosts(): void
    {
        $said = static fn (Layout $l, bool $wears = true): string => implode(' ', PlanWords::costs($l, $wears, 7));

        self::assertStringContainsString('One shot a cell', $said(new Layout(PlanKind::Sweep, ['seed' => ['a', 'b']])));
        self::assertStringContainsString('warmth, wear and hands run along', $said(new Layout(PlanKind::Sweep, [], [], 2)));
        self::assertStringContainsString('costs 7 changes of level', $said(new Layout(PlanKind::Matrix, [], [], 2, Order::Random)));
        self::assertStringContainsString('damage adds up', $said(new Layout(PlanKind::Ladder, [], [], 2)));
        self::assertSame('', $said(new Layout(PlanKind::Ladder, [], [], 2), false));
        self::assertSame('', $said(new Layout()));
        self::assertSame(
            'There is one article of oval and slot: what the article is and what the variant is cannot be told apart. A second article of each would.',
            PlanWords::together(['oval', 'slot']),
        );
    }

    /** @return list<string> */
    private static function many(int $n): array
    {
        return array_map(static fn (int $i): string => $i.' cm', range(1, $n));
    }

    /**
     * @param list<string> $texts
     *
     * @return array<string, int>
     */
    private static function counted(array $texts): array
    {
        $counts = array_count_values($texts);
        ksort($counts);

        return $counts;
    }

    /**
     * @param list<Factor> $factors
     *
     * @return list<string>
     */
    private static function texts(Layout $layout, array $factors): array
    {
        return array_map(static fn (Slot $s): string => $s->text(), $layout->slots($factors));
    }

    private static function height(Harder $harder = Harder::More): Factor
    {
        return new Factor('height', kind: FactorKind::Number, unit: 'cm', harder: $harder);
    }

    private static function seed(): Factor
    {
        return new Factor('seed');
    }

    private static function made(int $number, string $height, string $seed, ?RunOutcome $outcome): Made
    {
        return new Made('r'.$number, $number, ['height' => $height, 'seed' => $seed], '', $outcome);
    }
}
