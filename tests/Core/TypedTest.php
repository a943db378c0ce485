<?php

declare(strict_types=1);

namespace Lustrum\Tests\Core;

use Lustrum\Core\CoreException;
use Lustrum\Core\Quantity\Quantity;
use Lustrum\Core\Quantity\Typed;
use Lustrum\Core\Quantity\TypedKind;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Values as people have them, in the many ways in which they write them. */
final class TypedTest extends TestCase
{
    /** @return iterable<array{string, ?string, TypedKind, ?float, ?string, ?float, ?float, ?float}> text, dimension, kind, value, unit, u, ends */
    public static function read(): iterable
    {
        yield ['412 N ± 3', null, TypedKind::Equal, 412, 'N', 3, null, null];
        yield ['412 +/- 3 N', null, TypedKind::Equal, 412, 'N', 3, null, null];
        yield ['412±3N', null, TypedKind::Equal, 412, 'N', 3, null, null];
        yield ['20 °C ± 1.8 °F', null, TypedKind::Equal, 20, '°C', 1, null, null];
        yield ['40 % ± 5 %', null, TypedKind::Equal, 40, '%', 5, null, null];
        yield ['-12 N ± 5 %', null, TypedKind::Equal, -12, 'N', 0.6, null, null];
        yield ['412 ± 3', 'force', TypedKind::UnitUnknown, 412, null, 3, null, null];
        yield ['3 m/s - 4', null, TypedKind::Equal, 3.5, 'm/s', 1 / sqrt(12), 3, 4];
        yield ['3 — 4 m/s', null, TypedKind::Equal, 3.5, 'm/s', 1 / sqrt(12), 3, 4];
        yield ['-3 to -1 °C', null, TypedKind::Equal, -2, '°C', 2 / sqrt(12), -3, -1];
        yield ['-3 - -1 °C', null, TypedKind::Equal, -2, '°C', 2 / sqrt(12), -3, -1];
        yield ['5e-3 to 7e-3 m', null, TypedKind::Equal, 0.006, 'm', 0.002 / sqrt(12), 0.005, 0.007];
        yield ['3 ft 2 in to 3 ft 6 in', null, TypedKind::Equal, 40, 'in', 4 / sqrt(12), 38, 42];
        yield ['4-4 N', null, TypedKind::Equal, 4, 'N', 0, 4, 4];
        yield ['3-4', 'speed', TypedKind::UnitUnknown, 3.5, null, 1 / sqrt(12), 3, 4];
        yield ['About 60 N', null, TypedKind::Equal, 60, 'N', 6, null, null];
        yield ['ca. 60 N', null, TypedKind::Equal, 60, 'N', 6, null, null];
        yield ['CA 60 N', null, TypedKind::Equal, 60, 'N', 6, null, null];
        yield ['about 3-4 m/s', null, TypedKind::Equal, 3.5, 'm/s', 1 / sqrt(12), 3, 4];
        yield ['~ -60 N', null, TypedKind::Equal, -60, 'N', 6, null, null];
        yield ['about 0.8', 'ratio', TypedKind::Equal, 0.8, '1', 0.08, null, null];
        yield ['≤8 min', null, TypedKind::AtMost, 8, 'min', null, null, 8];
        yield ['<= 8 min', null, TypedKind::AtMost, 8, 'min', null, null, 8];
        yield ['Under 8 min', null, TypedKind::AtMost, 8, 'min', null, null, 8];
        yield ['at most 8 min', null, TypedKind::AtMost, 8, 'min', null, null, 8];
        yield ['OVER 30 N', null, TypedKind::AtLeast, 30, 'N', null, 30, null];
        yield ['≥ -3 °C', null, TypedKind::AtLeast, -3, '°C', null, -3, null];
        yield ['> 0.8', 'ratio', TypedKind::AtLeast, 0.8, '1', null, 0.8, null];
        yield ['< 3', 'count', TypedKind::AtMost, 3, 'count', null, null, 3];
        yield ['7', 'count', TypedKind::Equal, 7, 'count', null, null, null];
        yield [' Unknown ', 'force', TypedKind::Unknown, null, null, null, null, null];
        yield ['1,5', 'length', TypedKind::UnitUnknown, 1.5, null, null, null, null];
        yield ['7-1/8', 'length', TypedKind::UnitUnknown, 7.125, null, null, null, null];
        yield ['2:15', null, TypedKind::Equal, 135, 's', null, null, null];
        yield ['undefined', null, TypedKind::Equal, NAN, 'refused', null, null, null];
    }

    #[DataProvider('read')]
    public function testRead(
        string $text, ?string $dimension, TypedKind $kind, ?float $value, ?string $unit, ?float $u, ?float $low, ?float $high,
    ): void {
        if ($unit === 'refused') {
            $this->expectException(CoreException::class);
        }
        $typed = Typed::read($text, $dimension);
        self::assertSame([$kind, $unit], [$typed->kind, $typed->unit?->symbol]);
        self::assertEqualsWithDelta([$value, $u, $low, $high], [$typed->value, $typed->u, $typed->low, $typed->high], 1e-12);
    }

    /** @return iterable<array{string, ?string, string}> text, dimension, code */
    public static function refused(): iterable
    {
        yield ['', null, 'number.invalid'];
        yield ['about', null, 'number.invalid'];
        yield ['about many N', null, 'number.invalid'];
        yield ['< 3-4 m/s', null, 'number.invalid'];
        yield ['< about 8 min', null, 'number.invalid'];
        yield ['about < 8 min', null, 'number.invalid'];
        yield ['4 m/s to 3 m/s', null, 'number.invalid'];
        yield ['1 m to 30 cm', null, 'number.invalid'];
        yield ['412 ± 3 ± 2 N', null, 'number.invalid'];
        yield ['412 ± N', null, 'number.invalid'];
        yield ['412 N ± 3 m', null, 'unit.mismatch'];
        yield ['3 m to 4 N', null, 'unit.mismatch'];
        yield ['412 flurbs', null, 'unit.unknown'];
        yield ['3-4 flurbs', null, 'number.invalid'];
        yield ['> 30', null, 'unit.unknown'];
        yield ['3 kg', 'force', 'unit.mismatch'];
        yield ['3 N', 'taste', 'input.invalid'];
    }

    #[DataProvider('refused')]
    public function testRefused(string $text, ?string $dimension, string $code): void
    {
        try {
            Typed::read($text, $dimension);
            self::fail('It was read.');
        } catch (CoreException $e) {
            self::assertSame($code, $e->problem, $e->getMessage());
        }
    }

    /** What was read before reads as before, whatever else may be typed now. */
    public function testWhatIsOneNumberIsReadAsOne(): void
    {
        foreach (['12.50 N', '3 ft 2 1/2 in', '1/8 in', '−3 °C', '2h15m', '12,5 N', '1 234.5 mm', '1e-3 m', '7-1/8 in', '-4 lb 3 oz'] as $text) {
            [$typed, $plain] = [Typed::read($text), Quantity::typed($text)];
            self::assertSame([TypedKind::Equal, null, null, null], [$typed->kind, $typed->u, $typed->low, $typed->high], $text);
            self::assertSame(
                [$plain->value, $plain->unit->symbol, $plain->resolution],
                [$typed->value, $typed->unit?->symbol, $typed->resolution],
            );
            self::assertSame($plain->si(), $typed->si());
        }
    }
}
