<?php

declare(strict_types=1);

namespace Lustrum\Tests\Core;

use Lustrum\Core\InvalidInput;
use Lustrum\Core\Pasted\PartLine;
use Lustrum\Core\Pasted\PartsTable;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** A parts list out of a spreadsheet. */
final class PastedTest extends TestCase
{
    public function testHeadsMayStandInAnyOrder(): void
    {
        $table = PartsTable::read("Qty\tPart\tWeight [kg]\tUnit price\tMade of\n2\tBracket\t0.12\t€ 3,50\taluminium\n");
        self::assertEquals([new PartLine(2, 'Bracket', 'aluminium', 2.0, 3.5, 120.0)], $table->lines);
        self::assertSame([], $table->problems);
    }

    public function testWithoutHeadsTheOrderIsTheUsualOne(): void
    {
        $table = PartsTable::read("Bracket\tsteel\t1\t4.20\t80 g\tfrom the shelf\nScrew\tsteel\t8\t0.05\t\t");
        self::assertEquals([
            new PartLine(1, 'Bracket', 'steel', 1.0, 4.2, 80.0, 'from the shelf'), new PartLine(2, 'Screw', 'steel', 8.0, 0.05, null, ''),
        ], $table->lines);
    }

    /** @return iterable<string, array{string, float}> cell, number */
    public static function money(): iterable
    {
        yield 'a point' => ['1234.50', 1234.5];
        yield 'a comma' => ['1234,50', 1234.5];
        yield 'thousands with points' => ['1.234,50 €', 1234.5];
        yield 'thousands with commas' => ['$1,234.50', 1234.5];
        yield 'thousands alone' => ['1,234', 1234.0];
        yield 'a comma before three digits of less than one' => ['0,125', 0.125];
        yield 'a code' => ['12.00 EUR', 12.0];
        yield 'a space between' => ['1 234,50', 1234.5];
        yield 'an apostrophe between' => ["1'234.50", 1234.5];
    }

    #[DataProvider('money')]
    public function testMoneyIsReadHoweverItIsWritten(string $cell, float $cost): void
    {
        self::assertSame($cost, PartsTable::read("part\tcost\nBracket\t".$cell)->lines[0]->cost ?? null);
    }

    /** @return iterable<string, array{string, string}> row, why it is left out */
    public static function left(): iterable
    {
        yield 'a merged cell' => [
            "\tsteel\t2\t1", 'Row 3 has no name: perhaps a merged cell, of which only the first is filled. Left out.',
        ];
        yield 'a sum' => ["Total\t\t\t12.00", 'Row 3, “Total”, is a sum. Left out; sums are worked out here.'];
        yield 'a price that is none' => ["Spring\tsteel\t2\tcheap", 'Row 3, “Spring”: its cost “cheap” is no number. Left out.'];
        yield 'less than nothing' => ["Spring\tsteel\t-2\t1", 'Row 3, “Spring”: its quantity “-2” is no number. Left out.'];
        yield 'twice the same' => ["bracket\tsteel\t1\t1", 'Row 3: “bracket” stands above already. Left out.'];
    }

    #[DataProvider('left')]
    public function testWhatCannotBeReadIsLeftOutWithItsReasonAndTheRestKept(string $row, string $why): void
    {
        $table = PartsTable::read("part\tmaterial\tqty\tcost\nBracket\tsteel\t1\t4\n".$row."\nScrew\tsteel\t4\t0.1\n");
        self::assertSame(['Bracket', 'Screw'], array_column($table->lines, 'name'));
        self::assertSame([$why], $table->problems);
    }

    public function testQuotedCellsAndCommasAreReadAsASpreadsheetWritesThem(): void
    {
        $table = PartsTable::read("name,material,quantity,cost\r\n\"Bracket, left\",\"steel\",1,4.20\r\n");
        self::assertEquals([new PartLine(2, 'Bracket, left', 'steel', 1.0, 4.2)], $table->lines);
    }

    public function testNothingAndTooMuchAreRefused(): void
    {
        try {
            PartsTable::read(" \n\t\n");
            self::fail('There is nothing in it.');
        } catch (InvalidInput $wrong) {
            self::assertStringContainsString('There is no table in this', $wrong->getMessage());
        }
        $this->expectExceptionMessage('This table has 501 rows; at most 500 can be taken at once.');
        PartsTable::read(implode("\n", array_map(static fn (int $i): string => 'Part '.$i."\tsteel", range(1, 501))));
    }
}
