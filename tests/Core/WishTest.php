<?php

declare(strict_types=1);

namespace Lustrum\Tests\Core;

use Lustrum\Core\Evidence\Direction;
use Lustrum\Core\Evidence\Kind;
use Lustrum\Core\Said\Wish;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** A requirement as somebody says it, read into what can be shown; what cannot be read is not made up. */
final class WishTest extends TestCase
{
    private const METRICS = ['spacing error' => '%', 'bracket load' => 'N', 'run time' => 'h', 'mass' => 'kg'];
    private const PLACES = ['soil=dry', 'soil=moist', 'pace=walking pace', 'ground=slope'];
    private const SIZES = ['drop height' => 'm', 'speed' => 'km/h'];

    /** @return iterable<string, array{string, array{string, ?string, ?float, string, string, list<string>}}> */
    public static function wishes(): iterable
    {
        yield 'a load on every one' => ['holds 400 N on every one', ['bracket load', 'atLeast', 400.0, 'N', 'every', []]];
        yield 'a share at a pace, on two soils' => [
            'spacing error at most 12 % at walking pace, on dry and moist soil',
            ['spacing error', 'atMost', 12.0, '%', 'mean', ['soil=dry', 'soil=moist', 'pace=walking pace']],
        ];
        yield 'at most 12 % names nothing but fits one' => ['at most 12 %', ['spacing error', 'atMost', 12.0, '%', 'mean', []]];
        yield 'a verb says which way is good' => ['It weighs 4,5 kg', ['mass', 'atMost', 4.5, 'kg', 'mean', []]];
        yield 'the sign does' => ['run time >= 6 h', ['run time', 'atLeast', 6.0, 'h', 'mean', []]];
        yield 'or more does' => ['run time 6 h or more', ['run time', 'atLeast', 6.0, 'h', 'mean', []]];
        yield 'nothing does' => ['run time 6 h', ['run time', null, 6.0, 'h', 'mean', []]];
        yield 'nine of ten' => ['survives the drop in 9 of 10 tries', ['survives the drop', 'atLeast', 90.0, '%', 'rate', []]];
        yield 'a share of tries' => ['at least 95 % of drops held', ['held', 'atLeast', 95.0, '%', 'rate', []]];
        yield 'from a height on' => [
            'holds in 8 of 10 drops from 0.75 m', ['holds', 'atLeast', 80.0, '%', 'rate', ['drop height>=0.75 m']],
        ];
        yield 'at a height or harder, by its name' => [
            'no crack at a drop height 60 cm or harder', ['no crack', 'atLeast', 1.0, '', 'check', ['drop height>=60 cm']],
        ];
        yield 'a constraint is a check' => ['nothing is drilled into the bench', [
            'nothing is drilled into the bench', 'atLeast', 1.0, '', 'check', [],
        ]];
        yield 'how far it spreads' => ['bracket load varies by at most 15 N', ['bracket load', 'atMost', 15.0, 'N', 'spread', []]];
        yield 'a rating' => ['handling rated at least 70 %', ['handling', 'atLeast', 70.0, '%', 'rating', []]];
        yield 'a new metric is called as it is said' => ['Noise under 60 dB', ['noise', 'atMost', 60.0, 'dB', 'mean', []]];
        yield 'a plain number' => ['fewer than 3 misses', ['misses', 'atMost', 3.0, '', 'mean', []]];
    }

    /** @param array{string, ?string, ?float, string, string, list<string>} $read */
    #[DataProvider('wishes')]
    public function testASentenceIsRead(string $sentence, array $read): void
    {
        $wish = Wish::read($sentence, self::METRICS, self::PLACES, self::SIZES);
        self::assertNotNull($wish);
        self::assertSame($read, [
            $wish->metric, $wish->direction?->value, $wish->limit, $wish->unit, $wish->kind->value, $wish->conditions,
        ]);
    }

    public function testASentenceThatSaysNothingIsNotMadeIntoSomething(): void
    {
        foreach (['', '  ', '...', 'nice', "\xff\xfe", 'light and handy'] as $sentence) {
            self::assertNull(Wish::read($sentence, self::METRICS), $sentence);
        }
    }

    public function testWithoutAnythingKnownTheWordsName(): void
    {
        $wish = Wish::read('Push force at most 45 N');
        self::assertSame(['push force', Direction::AtMost, Kind::Mean], [$wish?->metric, $wish?->direction, $wish?->kind]);
    }
}
