<?php

declare(strict_types=1);

namespace Lustrum\Tests\Core;

use Lustrum\Core\CoreException;
use Lustrum\Core\Run\Followed;
use Lustrum\Core\Run\Parameter;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Parameters that are worked out from others of the build. */
final class FollowedTest extends TestCase
{
    /** @return list<Parameter> */
    private static function known(): array
    {
        return [
            Parameter::typed('wheel diameter', '300 mm'), Parameter::typed('wheel', '2 kg'), Parameter::typed('big pulley', '48'),
            Parameter::typed('small pulley', '16'), Parameter::typed('rod', '10.0 ± 0.1 mm'), Parameter::typed('grip', 'soft'),
        ];
    }

    /** @return iterable<string, array{string, string, string}> formula, unit, value as it is written */
    public static function worked(): iterable
    {
        yield 'a ratio of what was counted, which is exact' => ['big pulley / small pulley', '', '3'];
        yield 'a length round' => ['pi * wheel diameter', 'm', '0.94248 ± 0.00091 m'];
        yield 'the longer name first' => ['wheel diameter * 2', 'mm', '600.00 ± 0.58 mm'];
        yield 'whatever the capitals' => ['Wheel Diameter', 'cm', '30.000 ± 0.029 cm'];
        // u(A) = 2πr·u(r)/… of π/4·d²: 2·(0.1/10) of 78.54 mm² (JCGM 100:2008, 5.1.2)
        yield 'an area with its uncertainty' => ['pi / 4 * rod^2', 'mm^2', '78.5 ± 1.6 mm^2'];
    }

    #[DataProvider('worked')]
    public function testItIsWorkedOut(string $formula, string $unit, string $value): void
    {
        self::assertSame($value, Followed::value('x', $formula, $unit, self::known())->text());
    }

    /** @return iterable<string, array{string, string, string}> formula, unit, part of the sentence */
    public static function refused(): iterable
    {
        yield 'something that is not there' => ['wheel diameter / hub', '', 'hub'];
        yield 'words' => ['grip * 2', '', '“grip” is “soft”: it is no number.'];
        yield 'another kind of quantity' => ['wheel diameter * 2', 'kg', 'length'];
        yield 'sums of unlike things' => ['wheel + wheel diameter', '', ''];
        yield 'nothing' => ['wheel diameter *', '', ''];
    }

    #[DataProvider('refused')]
    public function testWhatCannotBeWorkedOutIsSaid(string $formula, string $unit, string $sentence): void
    {
        $this->expectException(CoreException::class);
        $this->expectExceptionMessageMatches('/'.preg_quote($sentence, '/').'/');
        Followed::value('x', $formula, $unit, self::known());
    }

    public function testEachComesAfterWhatItIsWorkedOutFrom(): void
    {
        $known = [...self::known(), Parameter::typed('twice', '1'), Parameter::typed('ratio', '1')];
        $all = Followed::all($known, [
            'twice' => ['formula' => 'ratio * 2', 'unit' => ''], 'ratio' => ['formula' => 'big pulley / small pulley', 'unit' => ''],
        ]);
        self::assertEqualsWithDelta(6.0, $all['twice']->value, 1e-12);
        self::assertEqualsWithDelta(3.0, $all['ratio']->value, 1e-12);
    }

    public function testWhatCannotBeWorkedOutAnyMoreKeepsWhatItWas(): void
    {
        $known = [...self::known(), Parameter::typed('gone by', '7'), Parameter::typed('ratio', '1')];
        $all = Followed::all($known, [
            'gone by' => ['formula' => 'hub * 2', 'unit' => ''], 'ratio' => ['formula' => 'big pulley / small pulley', 'unit' => ''],
        ]);
        self::assertSame(['ratio'], array_keys($all));
    }

    public function testNothingIsWorkedOutFromItself(): void
    {
        $known = [Parameter::typed('a', '1'), Parameter::typed('b', '1')];
        $this->expectExceptionMessage('“a” would be worked out from itself.');
        Followed::all($known, ['a' => ['formula' => 'b + 1', 'unit' => ''], 'b' => ['formula' => 'a + 1', 'unit' => '']]);
    }

    public function testAnUncertaintyThatWasTypedIsKept(): void
    {
        $rod = Parameter::typed('rod', '10.0 ± 0.1 mm');
        self::assertSame(['10.00 ± 0.10 mm', 0.1, 0.01], [$rod->text(), $rod->u, $rod->si]);
        self::assertTrue($rod->equals(Parameter::fromRow((array) $rod)));
        self::assertSame(0.1, Parameter::fromRow((array) $rod)->u);
    }
}
