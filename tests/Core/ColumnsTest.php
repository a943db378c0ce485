<?php

declare(strict_types=1);

namespace Lustrum\Tests\Core;

use Lustrum\Core\Judging\Columns;
use Lustrum\Core\Judging\Gathered;
use Lustrum\Core\Outcome\Result;
use Lustrum\Core\Outcome\ResultKind;
use Lustrum\Core\Run\Alikeness;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What is kept in columns comes back as it was, to the last bit. */
final class ColumnsTest extends TestCase
{
    /** @return iterable<string, array{list<float|null>}> */
    public static function values(): iterable
    {
        yield 'nothing' => [[]];
        yield 'no value' => [[null]];
        yield 'what has no short decimal' => [[0.1 + 0.2, 1 / 3, -1e-300, 1.7976931348623157e308, 0.0]];
        yield 'values that are missing among others' => [[1.5, null, -2.25, null, 3.0]];
        yield 'many' => [array_map(static fn (int $i): float => sqrt($i), range(0, 5000))];
    }

    /** @param list<float|null> $values */
    #[DataProvider('values')]
    public function testNumbersComeBack(array $values): void
    {
        self::assertSame($values, Columns::floatsOf(Columns::floats($values)));
    }

    public function testPlacesComeBack(): void
    {
        foreach ([[], [0], [3, 0, 70_000, 4_294_967_295]] as $places) {
            self::assertSame($places, Columns::intsOf(Columns::ints($places)));
        }
    }

    public function testWhatWasGatheredComesBackWithEveryKind(): void
    {
        $gathered = new Gathered();
        $alike = Alikeness::of(Judged::run(1.0));
        foreach (ResultKind::cases() as $i => $kind) {
            $value = $kind->hasValue() ? 10.0 + $i / 3 : null;
            $gathered->take(Result::of($kind, $value, ['soil' => 'wet'], 'W-'.($i % 2)), $alike, '', $i % 2 === 0 ? 'A' : '', 0.1);
        }
        $kept = unserialize(serialize($gathered));
        self::assertInstanceOf(Gathered::class, $kept);
        self::assertEquals($gathered, $kept);
        self::assertSame(serialize($gathered->results()), serialize($kept->results()));
        self::assertCount(3, $kept->results('A'));
        self::assertEquals(new Gathered(), unserialize(serialize(new Gathered())));
    }
}
