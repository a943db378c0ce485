<?php

declare(strict_types=1);

namespace Lustrum\Tests\Core;

use Lustrum\Core\Run\DeviationKind;
use Lustrum\Core\Said\ChangeLine;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What was changed between two runs, in one line. */
final class ChangeLineTest extends TestCase
{
    /** @return iterable<string, array{string, DeviationKind, string, string}> */
    public static function lines(): iterable
    {
        yield 'a parameter of the build' => ['brush gap 1.2 mm', DeviationKind::Parameter, 'brush gap', '1.2 mm'];
        yield 'however it is written' => ['The Brush Gap is now 1.2 mm.', DeviationKind::Parameter, 'brush gap', '1.2 mm'];
        yield 'from one value to another' => ['brush gap from 1.5 mm to 1.2 mm', DeviationKind::Parameter, 'brush gap', '1.2 mm'];
        yield 'with an arrow' => ['brush gap: 1.5 mm → 1.2 mm', DeviationKind::Parameter, 'brush gap', '1.2 mm'];
        yield 'the longer name first' => ['gap 2 mm', DeviationKind::Parameter, 'gap', '2 mm'];
        yield 'a part' => ['Hopper: old', DeviationKind::Part, 'Hopper', 'old'];
        yield 'a part in words' => ['hopper filed round', DeviationKind::Part, 'Hopper', 'filed round'];
        yield 'a new parameter' => ['Rim width is 3 mm', DeviationKind::Parameter, 'rim width', '3 mm'];
        yield 'how it was made' => ['filed the rim round', DeviationKind::Workmanship, 'filed the rim round', ''];
        yield 'no name of a part within a word' => ['Hoppers glued', DeviationKind::Workmanship, 'Hoppers glued', ''];
    }

    #[DataProvider('lines')]
    public function testALineIsRead(string $line, DeviationKind $kind, string $name, string $value): void
    {
        $read = ChangeLine::read($line, ['gap', 'brush gap'], ['Hopper', 'Frame']);
        self::assertNotNull($read);
        self::assertSame([$kind, $name, $value], [$read->kind, $read->name, $read->value]);
    }

    public function testALineThatSaysNothingIsNoChange(): void
    {
        self::assertNull(ChangeLine::read(' . ', ['gap'], []));
        self::assertSame(60, mb_strlen(ChangeLine::read(str_repeat('ö', 300), [], [])->name ?? ''));
    }
}
