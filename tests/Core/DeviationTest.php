<?php

declare(strict_types=1);

namespace Lustrum\Tests\Core;

use Lustrum\Core\Change\ChangeClass;
use Lustrum\Core\Judging\Build;
use Lustrum\Core\Judging\ChangeFact;
use Lustrum\Core\Judging\Difference;
use Lustrum\Core\Judging\Differences;
use Lustrum\Core\Judging\Fixes;
use Lustrum\Core\Judging\OwnParts;
use Lustrum\Core\Run\Configuration;
use Lustrum\Core\Run\Deviation;
use Lustrum\Core\Run\DeviationKind;
use Lustrum\Core\Run\Parameter;
use Lustrum\Core\Run\Part;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** An article that is otherwise than its build: whether it carries a fix, and what is asked about it. */
final class DeviationTest extends TestCase
{
    /** @return iterable<string, array{DeviationKind, string, string, bool, bool}> kind, name, value; carries it the fix, is it asked about */
    public static function deviations(): iterable
    {
        $part = DeviationKind::Part;
        yield 'said to be old' => [$part, 'Bracket', 'old', false, false];
        yield 'the parent’s material' => [$part, 'Bracket', 'Birch ply', false, false];
        yield 'in another spelling' => [$part, ' bracket ', '  BIRCH   ply', false, false];
        yield 'the new one' => [$part, 'Bracket', 'steel', true, false];
        yield 'a third' => [$part, 'Bracket', 'brass', false, true];
        yield 'in free words' => [$part, 'Bracket', 'filed round', false, true];
        yield 'without any' => [$part, 'Bracket', '', false, true];
        yield 'of another part' => [$part, 'Hopper', 'filed round', true, false];
        $parameter = DeviationKind::Parameter;
        yield 'the parent’s value' => [$parameter, 'gap', '0.15 cm', false, false];
        yield 'a value that nobody said' => [$parameter, 'Gap', '', false, true];
        yield 'how it was made' => [DeviationKind::Workmanship, 'Bracket', 'crooked', true, false];
    }

    #[DataProvider('deviations')]
    public function testWhatKeepsTheParentsCarriesNoFix(DeviationKind $kind, string $name, string $value, bool $carries, bool $asked): void
    {
        [$a, $b] = self::builds();
        $deviation = new Deviation($kind, $name, $value);
        $gap = $kind === DeviationKind::Parameter && $value !== '' ? $value : '1.2 mm';
        $made = self::made($b, [$deviation], $gap);
        $fixes = Fixes::of(Judged::line($a, $b), ['f' => true]);
        self::assertSame($carries, $fixes->carried($b, $made) !== []);
        self::assertSame($asked ? [$deviation] : [], OwnParts::unclear($b, $a, [$deviation]));
    }

    public function testAPartOfItsOwnIsADifferenceAndTypedFirmwareMakesNothingOlder(): void
    {
        [, $b] = self::builds();
        $names = static fn (Configuration $c): array => array_map(static fn (Difference $d): string => $d->name(), Differences::of($c, $b));
        self::assertSame([], $names(self::made($b, [])));
        self::assertSame(['part:Bracket'], $names(self::made($b, [new Deviation(DeviationKind::Part, 'Bracket', 'old')])));
        self::assertSame([], $names(self::made($b, [new Deviation(DeviationKind::Part, 'Bracket', 'Steel')])), 'It says what the build says.');
        $firmware = static fn (bool $own): Configuration => Configuration::fromRow(
            ['firmware' => '1.4', 'ownFirmware' => $own] + self::made($b, [])->toRow(),
        );
        self::assertSame([['firmware'], []], [$names($firmware(false)), $names($firmware(true))]);
        self::assertNotSame($firmware(false)->hash(), $firmware(true)->hash());
    }

    /** @return array{Build, Build} A, and B that changed it */
    private static function builds(): array
    {
        $change = Judged::change('both', ChangeClass::Material, against: 'f', alters: ['part:Bracket', 'parameter:gap']);

        return [self::build('a', null, '1.5 mm', 'birch ply'), self::build('b', 'a', '1.2 mm', 'Steel', $change)];
    }

    private static function build(string $id, ?string $parent, string $gap, string $material, ChangeFact ...$changes): Build
    {
        return new Build(
            $id, strtoupper($id), $parent, '', '', '2026-03-0'.($parent === null ? 1 : 2).'T00:00:00Z', [Parameter::typed('gap', $gap)],
            [new Part('Bracket', $material, 1.0), new Part('Hopper', 'tin', 1.0)], array_values($changes),
        );
    }

    /** @param list<Deviation> $deviants */
    private static function made(Build $b, array $deviants, string $gap = '1.2 mm'): Configuration
    {
        return new Configuration(
            $b->id, $b->letter, '', [Parameter::typed('gap', $gap)], $b->parts, 'u', 'U-3', '', '', [], 'm', 'M', 1, '', [], [], [],
            deviants: $deviants,
        );
    }
}
