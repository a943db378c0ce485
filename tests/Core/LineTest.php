<?php

declare(strict_types=1);

namespace Lustrum\Tests\Core;

use Lustrum\Core\Said\Line;
use Lustrum\Core\Said\LinePart;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** One line about a try: what came of it, what it was tried at, and what stays words. */
final class LineTest extends TestCase
{
    /** @return iterable<string, array{string, list<array{string, string, bool}>, string, ?bool}> line, quantities with name and role, words, held */
    public static function lines(): iterable
    {
        yield 'a result at a level' => ['412 N at 60 cm', [['412 N', '', false], ['60 cm', '', true]], '', null];
        yield 'the words before a number name it' => [
            'Handle pull 412 N at drop height 60 cm', [['412 N', 'Handle pull', false], ['60 cm', 'drop height', true]],
            'Handle pull at drop height', null,
        ];
        yield 'what stands alone is a result' => ['Broke at 412 N', [['412 N', '', false]], 'Broke', false];
        yield 'as people have it' => ['about 3,5 kg in 12 min', [['about 3,5 kg', '', false], ['12 min', '', false]], 'in', null];
        yield 'a bound and a range' => ['> 30 s at 3-4 m/s', [['> 30 s', '', false], ['3-4 m/s', '', true]], '', null];
        yield 'with its uncertainty' => ['load 412 ± 3 N', [['412 ± 3 N', 'load', false]], 'load', null];
        yield 'per cent and degrees' => ['12 % at 30 °C', [['12 %', '', false], ['30 °C', '', true]], '', null];
        yield 'without a space' => ['60cm held', [['60 cm', '', false]], 'held', true];
        yield 'a count is words' => ['held 3 times of 4', [], 'held 3 times of 4', true];
        yield 'words alone' => ['The latch slipped twice', [], 'The latch slipped twice', false];
        yield 'nothing is said of what is denied' => [
            'no crack, not broken at 60 cm', [['60 cm', '', false]], 'no crack, not broken', null,
        ];
        yield 'a name is no sentence' => [
            'we pulled it as hard as we could for 12 s', [['12 s', '', false]], 'we pulled it as hard as we could for', null,
        ];
        yield 'the end of a sentence is no unit' => ['It took 12 s.', [['12 s', 'took', false]], 'It took', null];
        yield 'an article is no quantity' => ['W-11 again', [], 'W-11 again', null];
        yield 'nothing' => ['  ', [], '', null];
        yield 'no text at all' => ["\xff\xfe", [], '', null];
    }

    /** @param list<array{string, string, bool}> $parts */
    #[DataProvider('lines')]
    public function testALineIsRead(string $line, array $parts, string $words, ?bool $held): void
    {
        $read = Line::read($line);
        self::assertSame($parts, array_map(static fn (LinePart $p): array => [$p->text, $p->name, $p->isLevel], $read->parts));
        self::assertSame([$words, $held], [$read->words, $read->held]);
    }

    public function testWhatHasNoNameIsCalledAfterWhatItMeasures(): void
    {
        $parts = Line::read('Rim load 412 N at 60 cm')->parts;
        self::assertSame(['rim load', 'length'], array_map(static fn (LinePart $p): string => $p->called(), $parts));
        self::assertSame([true, false, false], [$parts[0]->fits('kN'), $parts[0]->fits('cm'), $parts[0]->fits('')]);
    }
}
