<?php

declare(strict_types=1);

namespace Lustrum\Tests\Core;

use Lustrum\Core\CoreException;
use Lustrum\Core\Formula\Formula;
use Lustrum\Core\Formula\Variable;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class FormulaTest extends TestCase
{
    /** @return iterable<array{string, array<string, array{float, string, float}>, ?string, float, float}> expression, variables, unit, value, u */
    public static function workedOut(): iterable
    {
        yield ['a + b', ['a' => [3, 'm', 0.3], 'b' => [40, 'cm', 40]], 'm', 3.4, 0.5];
        yield ['m·g0', ['m' => [2, 'kg', 0.1]], 'N', 19.6133, 0.980665];
        yield ['a ** 2', ['a' => [3, 'm', 0.1]], 'm^2', 9, 0.6];
        yield ['a − a', ['a' => [3, 'm', 0.1]], 'm', 0, 0];
        yield ['sqrt(F / k)', ['F' => [9, 'N', 0.9], 'k' => [1, 'N/m^2', 0]], 'm', 3, 0.15];
        // rpm is an angular speed, Hz a frequency: a turn is 2π radians.
        yield ['w * r', ['w' => [600, 'rpm', 0], 'r' => [1, 'm', 0]], 'm/s', 62.83185307179586, 0];
        yield ['n * r', ['r' => [0.5, 'm', 0], 'n' => [60, 'rpm', 6]], 'm/s', M_PI, 0.1 * M_PI];
        yield ['2 * pi * r * n', ['r' => [0.5, 'm', 0], 'n' => [1, 'Hz', 0]], 'm/s', M_PI, 0];
        yield ['v / r', ['v' => [M_PI, 'm/s', 0], 'r' => [0.5, 'm', 0]], 'rpm', 60, 0];
        yield ['2 * pi * n', ['n' => [1, 'Hz', 0.1]], 'rpm', 60, 6];
        yield ['w / (2 * pi)', ['w' => [2 * M_PI, 'rad/s', 0]], 'Hz', 1, 0];
        yield ['2 * n', ['n' => [30, 'rpm', 0]], 'rpm', 60, 0];
        yield ['n + w', ['n' => [60, 'rpm', 0], 'w' => [1, 'rad/s', 0]], 'rad/s', 2 * M_PI + 1, 0];
        yield ['k * t', ['k' => [0.5, '1/s', 0], 't' => [4, 's', 0]], null, 2, 0];
        yield ['sin(a)', ['a' => [30, 'deg', 0]], null, 0.5, 0];
        yield ['atan2(y, x)', ['y' => [1, 'm', 0], 'x' => [1, 'm', 0]], 'deg', 45, 0];
        yield ['max(a, b, 2)', ['a' => [1, '1', 0.1], 'b' => [5, '1', 0.2]], null, 5, 0.2];
        yield ['mean(a, b)', ['a' => [1, 'N', 0.6], 'b' => [3, 'N', 0.8]], 'N', 2, 0.5];
        yield ['(a > b) * 7', ['a' => [3, 'm', 0], 'b' => [20, 'cm', 0]], null, 7, 0];
        yield ['exp(ln(x)) + log10(x)', ['x' => [10, '1', 0]], null, 11, 0];
        yield ['+a - -b', ['a' => [3, 'm', 0.3], 'b' => [1, 'm', 0.4]], 'm', 4, 0.5];
        yield ['abs(a)', ['a' => [-3, 'm', 0.3]], 'm', 3, 0.3];
        yield ['cos(a) + tan(b)', ['a' => [60, 'deg', 0], 'b' => [45, 'deg', 0]], null, 1.5, 0];
        yield ['asin(x) + acos(x) - 2 * atan(y)', ['x' => [0.3, '1', 0.1], 'y' => [1, '1', 0]], null, 0, 0];
        yield ['x ** y', ['x' => [2, '1', 0.1], 'y' => [3, '1', 0]], null, 8, 1.2];
        yield ['2 ** y', ['y' => [3, '1', 0.1]], null, 8, 0.1 * 8 * M_LN2];
        yield ['min(a, b) + max(a, b)', ['a' => [1, 'N', 0.3], 'b' => [5, 'N', 0.4]], 'N', 6, 0.5];
        yield ['last(a, b) - first(a, b)', ['a' => [1, 'N', 0.3], 'b' => [5, 'N', 0.4]], 'N', 4, 0.5];
        yield ['sd(a, b)', ['a' => [1, 'N', 0.1], 'b' => [3, 'N', 0.1]], 'N', M_SQRT2, 0.1];
        yield ['peak(a, b)', ['a' => [-7, 'N', 0.3], 'b' => [5, 'N', 0]], 'N', -7, 0.3];
        // As many of a kind as are asked of it: comparisons are nought or one.
        yield ['(a < b) + (a <= b) + (a >= a) + (a == a) + (a != b)', ['a' => [3, 'm', 0], 'b' => [400, 'cm', 0]], null, 5, 0];
        yield ['(a > b) + (a == b) + (a != a)', ['a' => [3, 'm', 0], 'b' => [400, 'cm', 0]], null, 0, 0];
        yield ['atan2(y, x)', ['y' => [0, 'm', 0], 'x' => [0, 'm', 0]], 'deg', 0, 0];
        // A temperature counts from absolute zero as soon as something is multiplied with it.
        yield ['T * 2', ['T' => [0, '°C', 0]], 'K', 546.3, 0];
    }

    /** @param array<string, array{float, string, float}> $variables */
    #[DataProvider('workedOut')]
    public function testValueAndUncertainty(string $expression, array $variables, ?string $unit, float $value, float $u): void
    {
        $result = Formula::read($expression, array_keys($variables))->evaluate(
            array_map(static fn (array $v): Variable => Variable::of($v[0], $v[1], $v[2]), $variables), $unit,
        );
        self::assertEqualsWithDelta($value, $result->value, 1e-9 * max(1, abs($value)));
        self::assertEqualsWithDelta($u, $result->u, 1e-9);
    }

    public function testAReadingsOwnUncertaintyIsThatOfItsLastDigit(): void
    {
        $result = Formula::read('F', ['F'])->evaluate(['F' => Variable::of(12.5, 'lbf', null, 0.1)], 'lbf');
        self::assertEqualsWithDelta(0.1 / sqrt(12), $result->u, 1e-12);
    }

    public function testSeries(): void
    {
        $y = Variable::series([1.0, 3.0, -8.0, 4.0], 'N', 0.2);
        $of = static fn (string $f): float => Formula::read($f.'(y)', ['y'])->evaluate(['y' => $y], 'N')->value;
        self::assertSame([0.0, 1.0, 4.0, -8.0, -8.0], [$of('mean'), $of('first'), $of('last'), $of('peak'), $of('min')]);
        self::assertEqualsWithDelta(0.1, Formula::read('mean(y)', ['y'])->evaluate(['y' => $y], 'N')->u, 1e-12);
    }

    /** @return iterable<array{string, array<string, string>, string, string}> expression, units, unit of the result, words */
    public static function mixed(): iterable
    {
        yield ['2 * pi * n * r', ['n' => 'rpm', 'r' => 'm'], 'm/s', 'rpm carries 2π already: write n*r, or give n in Hz.'];
        yield ['pi * d * n', ['n' => 'rpm', 'd' => 'm'], 'm/s', 'rpm carries 2π already'];
        yield ['n * 2 * pi', ['n' => 'rpm'], 'rad/s', 'rpm carries 2π already'];
        yield ['n + w', ['n' => 'Hz', 'w' => 'rad/s'], 'rad/s', 'one is an angular speed and one a frequency'];
        yield ['max(n, w)', ['n' => 'rpm', 'w' => '1/min'], 'rpm', 'one is an angular speed and one a frequency'];
        yield ['n', ['n' => 'Hz'], 'rad/s', 'this is a frequency, and rad/s is an angular speed'];
        yield ['2 * w', ['w' => 'rad/s'], 'Hz', 'this is an angular speed, and Hz is a frequency'];
        yield ['n', ['n' => 'Hz'], 'rpm', 'Write the 2*pi between them.'];
    }

    /** @param array<string, string> $units */
    #[DataProvider('mixed')]
    public function testRadiansAndCyclesAreNotMixedWithoutSayingSo(string $expression, array $units, string $unit, string $words): void
    {
        $formula = Formula::read($expression, array_keys($units));
        foreach ([
            static fn () => $formula->mustGive($units, $unit),
            static fn () => $formula->evaluate(array_map(static fn (string $u): Variable => Variable::of(3.0, $u), $units), $unit),
        ] as $ask) {
            try {
                $ask();
                self::fail($expression.' was taken.');
            } catch (CoreException $e) {
                self::assertSame('unit.mismatch', $e->problem);
                self::assertStringContainsString($words, $e->getMessage());
            }
        }
    }

    public function testASeriesOfTurnsIsAnAngularSpeedToo(): void
    {
        $n = Variable::series([590.0, 610.0], 'rpm', 6.0);
        $result = Formula::read('mean(n) * r', ['n', 'r'])->evaluate(['n' => $n, 'r' => Variable::of(1.0, 'm')], 'm/s');
        self::assertEqualsWithDelta(62.83185307179586, $result->value, 1e-9);
        self::assertEqualsWithDelta(6 / sqrt(2) * 2 * M_PI / 60, $result->u, 1e-9);
    }

    public function testASeriesIsNoValue(): void
    {
        $this->expectException(CoreException::class);
        $this->expectExceptionMessage('this is a series');
        Formula::read('2 * y', ['y'])->evaluate(['y' => Variable::series([1.0, 2.0], 'N', 0.0)]);
    }

    public function testADivisionThatWouldBeUndefinedHasAUnitAllTheSame(): void
    {
        $dimension = Formula::read('F / (l - l)', ['F', 'l'])->dimension(['F' => 'N', 'l' => 'm']);
        self::assertSame('N/m', $dimension->siUnit());
    }

    /** @return iterable<array{string, string, string}> expression, code, part of the sentence */
    public static function refused(): iterable
    {
        yield ['F + l', 'unit.mismatch', 'force and length'];
        yield ['F * (l + 1)', 'unit.mismatch', '(l + 1)'];
        yield ['sin(F)', 'unit.mismatch', 'not force'];
        yield ['sqrt(F)', 'unit.mismatch', 'root of force'];
        yield ['F ** l', 'unit.mismatch', 'not length'];
        yield ['F ** 0.3', 'unit.mismatch', 'no unit'];
        yield ['F *', 'formula.invalid', 'cannot be read'];
        yield ['', 'formula.invalid', 'empty'];
        yield ['F * q', 'variable.unknown', '“q”'];
        yield ['constant("PHP_VERSION")', 'formula.invalid', 'constant()'];
        yield ['system("id")', 'formula.invalid', 'cannot be read'];
        yield ['F.unit', 'formula.invalid', ''];
        yield ['[F, l]', 'formula.invalid', ''];
        yield ['F ? l : 1', 'formula.invalid', ''];
        yield ['F ~ l', 'formula.invalid', ''];
        yield ['"text"', 'formula.invalid', ''];
        yield ['1..5', 'formula.invalid', ''];
        yield [str_repeat('(', 60).'F'.str_repeat(')', 60).str_repeat('+F', 60), 'formula.invalid', 'deep'];
        yield [str_repeat('F+', 300).'F', 'formula.invalid', 'longer'];
        yield ['atan2(F)', 'formula.invalid', 'two values'];
        yield ['mean()', 'formula.invalid', ''];
        yield ['abs(F, l)', 'formula.invalid', 'one value'];
        yield ['min(F, l)', 'unit.mismatch', 'force and length'];
        yield ['atan2(F, l)', 'unit.mismatch', 'force and length'];
        yield ['F < l', 'unit.mismatch', 'force and length'];
        yield ['l ** (F / F)', 'unit.mismatch', 'plain number'];
        yield ['not F', 'formula.invalid', ''];
        yield ['F % l', 'formula.invalid', ''];
        yield ['l ** 0.5', 'unit.mismatch', 'length'];
        yield ['random(F)', 'formula.invalid', ''];
    }

    #[DataProvider('refused')]
    public function testRefused(string $expression, string $code, string $words): void
    {
        try {
            Formula::read($expression, ['F', 'l'])->dimension(['F' => 'N', 'l' => 'm']);
            self::fail('It was taken.');
        } catch (CoreException $e) {
            self::assertSame($code, $e->problem, $e->getMessage());
            self::assertStringContainsString($words, $e->getMessage());
        }
    }

    public function testWhatHasNoValueSaysSo(): void
    {
        foreach (['F / (l - l)', 'ln(l / l - 1)', 'asin(2 * l / l)', 'sqrt(0 - l / l)'] as $expression) {
            try {
                Formula::read($expression, ['F', 'l'])->evaluate(['F' => Variable::of(1, 'N'), 'l' => Variable::of(2, 'm')]);
                self::fail($expression.' was worked out.');
            } catch (CoreException $e) {
                self::assertSame('formula.undefined', $e->problem, $expression);
            }
        }
    }
}
