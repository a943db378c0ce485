<?php

declare(strict_types=1);

namespace Lustrum\Tests\Core;

use Lustrum\Core\CoreException;
use Lustrum\Core\Quantity\Digits;
use Lustrum\Core\Quantity\Quantity;
use Lustrum\Core\Quantity\SameTexts;
use Lustrum\Core\Quantity\SlipCheck;
use Lustrum\Core\Quantity\Units;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class QuantityTest extends TestCase
{
    /** @return iterable<string, array{string, string, list<string>}> text, unit beside the field, what means the same */
    public static function same(): iterable
    {
        yield 'a number' => ['6', 'km/h', ['6', '6 km/h', '6km/h']];
        yield 'with its unit' => ['6 km/h', 'km/h', ['6 km/h', '6', '6km/h']];
        yield 'in another one' => ['25 mm', 'cm', ['25 mm', '2.5', '2.5 cm', '2.5cm', '2,5', '2,5 cm', '2,5cm']];
        yield 'words' => [' Full ', '', ['full']];
        yield 'words where a number is asked' => ['Fast', 'km/h', ['fast']];
    }

    /** @param list<string> $same */
    #[DataProvider('same')]
    public function testWhatMeansTheSame(string $text, string $unit, array $same): void
    {
        self::assertSame($same, SameTexts::of($text, $unit));
    }

    /** @return iterable<array{string, float, string}> one of the unit, its SI value and unit: NIST SP 811 (2008), appendix B.8 */
    public static function factors(): iterable
    {
        yield ['1 lbf', 4.4482216152605, 'N'];
        yield ['1 ozf', 0.27801385095378125, 'N'];
        yield ['1 lb', 0.45359237, 'kg'];
        yield ['1 mile', 1609.344, 'm'];
        yield ['1 thou', 2.54e-5, 'm'];
        yield ['1 psi', 6894.757293168361, 'Pa'];
        yield ['1 hp', 745.6998715822702, 'W'];
        yield ['1 ft·lbf', 1.3558179483314004, 'J'];
        yield ['1 kn', 0.5144444444444445, 'm/s'];
        yield ['1 gal', 3.785411784e-3, 'm^3'];
        yield ['1 gal(imp)', 4.54609e-3, 'm^3'];
        yield ['1 N/mm', 1000.0, 'N/m'];
        yield ['1 g/cm³', 1000.0, 'kg/m^3'];
        yield ['1 mAh', 3.6, 'C'];
        yield ['1 kΩ', 1000.0, 'Ω'];
        yield ['1 W/(mm·K)', 1000.0, 'kg·m·s^-3·K^-1'];
        yield ['1 g·cm⁻³', 1000.0, 'kg/m^3'];
        yield ['1 km·h⁻¹', 1 / 3.6, 'm/s'];
        yield ['1 µF', 1e-6, 'F'];
        yield ['68 °F', 293.15, 'K'];
        yield ['50 %', 0.5, 'ratio'];
    }

    #[DataProvider('factors')]
    public function testFactors(string $text, float $si, string $unit): void
    {
        $quantity = Quantity::typed($text);
        self::assertEqualsWithDelta($si, $quantity->si(), 1e-12 * abs($si));
        self::assertTrue($quantity->unit->dimension->equals(Units::parse($unit === 'ratio' ? '1' : $unit)->dimension));
    }

    /** @return iterable<array{string, float, string, float}> text, value, unit, resolution */
    public static function typed(): iterable
    {
        yield ['−3.5 °C', -3.5, '°C', 0.1];
        yield ['1 1/2 in', 1.5, 'in', 0.5];
        yield ['6\' 2"', 74.0, '"', 1.0];
        yield ['2:15 min', 135.0, 's', 1.0];
        yield ['5h30', 19800.0, 's', 60.0];
        yield ['1:02:03', 3723.0, 's', 1.0];
        yield ['1.2e3 Pa', 1200.0, 'Pa', 100.0];
        yield ['1,234.5 N', 1234.5, 'N', 0.1];
        yield ['1.234,5 N', 1234.5, 'N', 0.1];
        yield ['12 345 N', 12345.0, 'N', 1.0];
        yield ['0,125 mm', 0.125, 'mm', 0.001];
        yield ['½ in', 0.5, 'in', 0.5];
        yield ['80 deg C', 80.0, 'deg C', 1.0];
        yield ['5 kmh', 5.0, 'kmh', 1.0];
        yield ['.5 A', 0.5, 'A', 0.1];
    }

    #[DataProvider('typed')]
    public function testWhatPeopleType(string $text, float $value, string $unit, float $resolution): void
    {
        $quantity = Quantity::typed($text);
        self::assertEqualsWithDelta($value, $quantity->value, 1e-12 * abs($value));
        self::assertSame($unit, $quantity->unit->symbol);
        self::assertEqualsWithDelta($resolution, (float) $quantity->resolution, 1e-12);
    }

    /** @return iterable<array{string, string}> */
    public static function refused(): iterable
    {
        yield ['', 'number.invalid'];
        yield ['N', 'number.invalid'];
        yield ['1,234 N', 'number.ambiguous'];
        yield ['12', 'unit.unknown'];
        yield ['5 5 N', 'number.invalid'];
        yield ['5h75', 'unit.unknown'];
        yield ['1/0 in', 'number.invalid'];
        yield ['1e999 N', 'number.invalid'];
        yield ['1.2.3 N', 'number.invalid'];
        yield [str_repeat('9', 200).' N', 'number.invalid'];
        yield ["\xff\xfe N", 'number.invalid'];
        yield ['3 '.str_repeat('m·', 40).'m', 'unit.unknown'];
    }

    #[DataProvider('refused')]
    public function testRefused(string $text, string $code): void
    {
        try {
            Quantity::typed($text);
            self::fail('It was taken.');
        } catch (CoreException $e) {
            self::assertSame($code, $e->problem);
            self::assertStringEndsWith('.', $e->getMessage());
        }
    }

    public function testAMassIsNoForceButMayBeReadAsOne(): void
    {
        $this->expectExceptionMessage('write kgf');
        Quantity::typed('12 kg', 'force');
    }

    public function testADifferenceOfTemperaturesHasNoOffset(): void
    {
        self::assertEqualsWithDelta(18.0, Quantity::of(10, '°C')->differenceTo('°F'), 1e-12);
        self::assertEqualsWithDelta(50.0, Quantity::of(10, '°C')->to('°F')->value, 1e-9);
    }

    public function testDigitsSurviveAConversion(): void
    {
        $force = Quantity::typed('12.50 lbf')->to('N');
        self::assertSame(4, $force->significantDigits());
        self::assertSame('55.60', Digits::plain($force->value, $force->significantDigits()));
    }

    public function testCyclesAndRadians(): void
    {
        self::assertEqualsWithDelta(10.471975511965978, Quantity::of(100, 'rpm')->to('rad/s')->value, 1e-12);
    }

    public function testUcumCodes(): void
    {
        self::assertSame('[lbf_av].[ft_i]', Units::ucum('lbf·ft'));
        self::assertSame('kg/m3', Units::ucum('kg/m^3'));
        foreach (['°C' => 'Cel', 'gal (US)' => '[gal_us]', 'kWh' => 'kW.h', 'mAh' => 'mA.h', 'Nm' => 'N.m', 'Newton' => 'N', 'cc' => 'cm3', 'kohm' => 'kOhm', 'µm' => 'um', 'km/h' => 'km/h', 'rpm' => '/min', '12' => '12'] as $symbol => $code) {
            self::assertSame($code, Units::ucum((string) $symbol));
        }
    }

    public function testSlipNeedsThreeReadingsAndAKnownFactor(): void
    {
        self::assertFalse(SlipCheck::check(Quantity::of(4.1, 'N'), [40, 41])->suspect);
        $slip = SlipCheck::check(Quantity::of(4.1, 'N'), [40, 41, 39.5]);
        self::assertTrue($slip->suspect);
        self::assertSame('kgf', $slip->looksLike);
        self::assertFalse(SlipCheck::check(Quantity::of(7.0, 'N'), [40, 41, 39.5])->suspect, 'No known slip explains 7.');
        self::assertFalse(SlipCheck::check(Quantity::of(-4.1, 'N'), [40, 41, 39.5])->suspect);
        self::assertFalse(SlipCheck::check(Quantity::of(45, 'N'), [30, 42, 61, 38])->suspect, 'Scattered readings forgive.');
    }
}
