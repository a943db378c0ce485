<?php

declare(strict_types=1);

namespace Lustrum\Tests\Core;

use Lustrum\Core\Calc\Catalogue;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** A plan holds every run that it should once, in an order that chance decided only where it was asked, and says what it takes. */
final class PlanTest extends TestCase
{
    private const LEVELS = [30.0, 10.0, 20.0];

    public function testALadderGoesUpAndRepeatsBeforeItGoesOn(): void
    {
        $plan = self::answer('plan.ladder', ['levels' => self::LEVELS, 'repeats' => 2]);
        self::assertSame([10.0, 10.0, 20.0, 20.0, 30.0, 30.0], self::column($plan, 'level'));
        self::assertSame([1, 2, 1, 2, 1, 2], array_column(self::runs($plan), 'repeat'));
        self::assertSame(range(1, 6), array_column(self::runs($plan), 'number'));
        self::assertNull($plan['smallestDifference'], 'A ladder looks for no difference.');
    }

    /** @return iterable<string, array{string}> */
    public static function orders(): iterable
    {
        yield 'as given' => ['asGiven'];
        yield 'by chance' => ['random'];
        yield 'in blocks' => ['blocks'];
    }

    #[DataProvider('orders')]
    public function testEachLevelIsRunAsOftenAsItIsRepeated(string $order): void
    {
        for ($seed = 1; $seed <= 20; ++$seed) {
            $plan = self::answer('plan.sweep', ['levels' => self::LEVELS, 'repeats' => 4, 'order' => $order, 'seed' => $seed]);
            $levels = self::column($plan, 'level');
            self::assertCount(12, $levels);
            foreach (array_count_values(array_map(strval(...), $levels)) as $times) {
                self::assertSame(4, $times);
            }
            self::assertSame(range(1, 12), array_column(self::runs($plan), 'number'));
            foreach ($order === 'random' ? [] : array_chunk($levels, 3) as $block) {
                self::assertEqualsCanonicalizing(self::LEVELS, $block, 'A repeat holds every level once.');
            }
            if ($order === 'asGiven') {
                self::assertSame(self::LEVELS, array_slice($levels, 0, 3));
            }
        }
    }

    public function testChanceReachesEveryOrder(): void
    {
        $first = [];
        for ($seed = 1; $seed <= 60; ++$seed) {
            $plan = self::answer('plan.sweep', ['levels' => self::LEVELS, 'order' => 'blocks', 'seed' => $seed]);
            $first[implode(' ', array_map(strval(...), self::column($plan, 'level')))] = true;
        }
        self::assertCount(6, $first, 'All orders of three levels come up.');
    }

    #[DataProvider('orders')]
    public function testTheSameSeedIsTheSamePlan(string $order): void
    {
        $of = static fn (int $seed): array => self::answer(
            'plan.matrix', [
                'factors' => ['plate' => ['a', 'b'], 'seed' => ['x', 'y', 'z']], 'repeats' => 3, 'order' => $order, 'seed' => $seed,
            ],
        );
        self::assertSame($of(7), $of(7));
        self::assertSame($order === 'asGiven', $of(7)['runs'] === $of(8)['runs']);
    }

    public function testAMatrixHoldsEveryCombination(): void
    {
        $plan = self::answer('plan.matrix', ['factors' => ['plate' => ['a', 'b'], 'seed' => ['x', 'y', 'z'], 'belt' => ['new', 'worn']]]);
        $cells = array_map(
            static fn (array $r): string => implode('', array_map(self::text(...), (array) $r['setting'])), self::runs($plan),
        );
        self::assertCount(12, array_unique($cells));
        self::assertSame(['axnew', 'axworn', 'aynew'], array_slice($cells, 0, 3));
    }

    public function testAPairHasBothArmsSideBySide(): void
    {
        $leads = [];
        for ($seed = 1; $seed <= 12; ++$seed) {
            foreach (['blocks', 'random'] as $order) {
                $plan = self::answer('plan.pairs', ['arms' => ['old', 'new'], 'repeats' => 5, 'order' => $order, 'seed' => $seed]);
                foreach (array_chunk(self::runs($plan), 2) as $i => $pair) {
                    self::assertEqualsCanonicalizing(
                        ['old', 'new'], array_map(static fn (array $r): string => self::text(((array) $r['setting'])['arm']), $pair),
                    );
                    self::assertSame([$i + 1, $i + 1], array_column($pair, 'repeat'));
                    $leads[self::text(((array) $pair[0]['setting'])['arm'])] = true;
                }
            }
        }
        self::assertCount(2, $leads, 'Either may come first.');
    }

    /** @return iterable<string, array{string, array<string, mixed>, float}> operation, input, minutes */
    public static function minutes(): iterable
    {
        $each = ['setUp' => 10.0, 'run' => 5.0, 'reset' => 1.0, 'change' => 2.0];
        yield 'one run: set up and run' => ['plan.ladder', ['levels' => [1.0], 'minutes' => $each], 15.0];
        yield 'a repeat is reset, not changed' => [
            'plan.ladder', ['levels' => [1.0], 'repeats' => 3, 'minutes' => $each], 10.0 + 15.0 + 2.0,
        ];
        yield 'each rung is a change' => ['plan.ladder', ['levels' => [1.0, 2.0, 3.0], 'minutes' => $each], 10.0 + 15.0 + 2.0 + 4.0];
        yield 'rungs and repeats' => ['plan.ladder', ['levels' => [1.0, 2.0], 'repeats' => 2, 'minutes' => $each], 10.0 + 20.0 + 3.0 + 2.0];
        yield 'a sweep as given changes every time' => [
            'plan.sweep', ['levels' => [1.0, 2.0], 'repeats' => 2, 'minutes' => $each], 10.0 + 20.0 + 3.0 + 6.0,
        ];
        yield 'nothing is said of how long' => ['plan.sweep', ['levels' => [1.0, 2.0]], 0.0];
    }

    /** @param array<string, mixed> $input */
    #[DataProvider('minutes')]
    public function testWhatItTakes(string $op, array $input, float $minutes): void
    {
        self::assertSame($minutes, self::answer($op, $input)['minutes']);
    }

    public function testMoreRepeatsFindLess(): void
    {
        $found = static fn (string $op, int $repeats): mixed => self::answer(
            $op, ($op === 'plan.pairs' ? ['arms' => ['old', 'new']] : ['levels' => [1.0, 2.0]]) + ['repeats' => $repeats, 'sd' => 1.5],
        )['smallestDifference'];
        foreach (['plan.sweep', 'plan.pairs'] as $op) {
            self::assertNull($found($op, 1), 'One of each finds nothing.');
            $before = INF;
            foreach ([2, 3, 5, 10, 30] as $repeats) {
                $now = $found($op, $repeats);
                self::assertIsFloat($now);
                self::assertLessThan($before, $now);
                $before = $now;
            }
        }
        self::assertNull(
            self::answer('plan.sweep', ['levels' => [1.0, 2.0], 'repeats' => 5])['smallestDifference'], 'Nobody said how it scatters.',
        );
    }

    /** @return iterable<string, array{string, array<string, mixed>, string}> operation, input, where it is wrong */
    public static function refused(): iterable
    {
        yield 'no level' => ['plan.ladder', ['levels' => []], 'levels'];
        yield 'no repeat' => ['plan.sweep', ['levels' => [1.0], 'repeats' => 0], 'repeats'];
        yield 'too many runs' => ['plan.sweep', ['levels' => range(1.0, 30.0), 'repeats' => 20], 'repeats'];
        yield 'a level without end' => ['plan.ladder', ['levels' => [1.0, INF]], 'levels/1'];
        yield 'an order that is none' => ['plan.sweep', ['levels' => [1.0], 'order' => 'backwards'], 'order'];
        yield 'one arm' => ['plan.pairs', ['arms' => ['old']], 'arms'];
        yield 'three arms' => ['plan.pairs', ['arms' => ['old', 'new', 'other']], 'arms'];
        yield 'no factor' => ['plan.matrix', ['factors' => []], 'factors'];
        yield 'a factor without levels' => ['plan.matrix', ['factors' => ['plate' => []]], 'levels'];
        yield 'one item' => ['plan.panel', ['items' => ['a'], 'raters' => 4], 'items'];
        yield 'no rater' => ['plan.panel', ['items' => ['a', 'b'], 'raters' => 0], 'raters'];
        yield 'an item twice' => ['plan.panel', ['items' => ['a', 'a'], 'raters' => 4], 'items'];
    }

    /** @param array<string, mixed> $input */
    #[DataProvider('refused')]
    public function testWhatCannotBePlanned(string $op, array $input, string $path): void
    {
        $answer = Catalogue::answer(['op' => $op, 'input' => $input]);
        self::assertFalse($answer['ok'], json_encode($answer, JSON_PARTIAL_OUTPUT_ON_ERROR) ?: '');
        self::assertTrue(str_starts_with($answer['error']['path'] ?? '', $path), json_encode($answer['error'] ?? null) ?: '');
        self::assertNotSame('', $answer['error']['message'] ?? '');
    }

    public function testAPanelTastesEverythingUnderCodes(): void
    {
        for ($raters = 1; $raters <= 9; $raters += 2) {
            $items = ['p', 'q', 'r', 's', 't'];
            $plan = self::answer('plan.panel', ['items' => $items, 'raters' => $raters, 'seed' => $raters]);
            self::assertCount($raters, (array) $plan['raters']);
            $codes = array_map(self::text(...), (array) $plan['codes']);
            self::assertSame($items, array_map(strval(...), array_keys($codes)));
            self::assertCount(5, array_unique($codes));
            foreach ($codes as $code) {
                self::assertMatchesRegularExpression('/^\d{3}$/', $code, 'A code says nothing of its item.');
            }
            foreach ((array) $plan['raters'] as $rater) {
                self::assertIsArray($rater);
                self::assertEqualsCanonicalizing($items, (array) $rater['order']);
                self::assertSame(
                    array_map(static fn (mixed $i): string => $codes[self::text($i)], (array) $rater['order']),
                    array_map(self::text(...), (array) $rater['codes']),
                );
            }
        }
    }

    public function testNoItemFollowsAnotherMoreOftenWhereThereAreEnoughRaters(): void
    {
        foreach ([2 => 2, 3 => 6, 4 => 4, 5 => 10, 6 => 6] as $items => $raters) {
            $names = array_map(static fn (int $i): string => 'item '.$i, range(1, $items));
            $plan = self::answer('plan.panel', ['items' => $names, 'raters' => $raters, 'seed' => 11]);
            $places = $after = [];
            foreach ((array) $plan['raters'] as $rater) {
                self::assertIsArray($rater);
                $order = array_map(self::text(...), (array) $rater['order']);
                foreach ($order as $place => $item) {
                    $places[$place.$item] = ($places[$place.$item] ?? 0) + 1;
                    if ($place > 0) {
                        $after[$order[$place - 1].$item] = ($after[$order[$place - 1].$item] ?? 0) + 1;
                    }
                }
            }
            self::assertCount($items * $items, $places);
            self::assertCount(1, array_unique($places), 'Each is as often first, second, …');
            self::assertCount($items * ($items - 1), $after);
            self::assertCount(1, array_unique($after), 'Each comes after each other as often.');
        }
    }

    /**
     * @param array<string, mixed> $input
     *
     * @return array<string, mixed>
     */
    private static function answer(string $op, array $input): array
    {
        $answer = Catalogue::answer(['op' => $op, 'input' => $input]);
        self::assertTrue($answer['ok'], $op.': '.json_encode($answer));
        /** @var array<string, mixed> $plain as it goes out */
        $plain = json_decode(json_encode($answer['output'] ?? [], JSON_THROW_ON_ERROR | JSON_PRESERVE_ZERO_FRACTION), true);

        return $plain;
    }

    /**
     * @param array<string, mixed> $plan
     *
     * @return list<array<array-key, mixed>>
     */
    private static function runs(array $plan): array
    {
        return array_map(static fn (mixed $run): array => (array) $run, array_values((array) $plan['runs']));
    }

    /**
     * @param array<string, mixed> $plan
     *
     * @return list<float> what each run is set to
     */
    private static function column(array $plan, string $name): array
    {
        return array_map(static function (array $run) use ($name): float {
            $value = ((array) $run['setting'])[$name] ?? null;
            self::assertIsNumeric($value);

            return (float) $value;
        }, self::runs($plan));
    }

    private static function text(mixed $value): string
    {
        self::assertIsScalar($value);

        return (string) $value;
    }
}
