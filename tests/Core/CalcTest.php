<?php

declare(strict_types=1);

namespace Lustrum\Tests\Core;

use Lustrum\Core\Calc\Catalogue;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class CalcTest extends TestCase
{
    /** @return iterable<array{string, array<string, mixed>, string, string}> op, input, code, path */
    public static function refused(): iterable
    {
        yield ['stats.describe', ['values' => []], 'values.empty', 'values'];
        yield ['stats.describe', ['values' => [1, 'two']], 'input.invalid', 'values/1'];
        yield ['stats.describe', ['values' => [1], 'colour' => 'red'], 'input.unknown', 'colour'];
        yield ['stats.describe', ['values' => 7], 'input.invalid', 'values'];
        yield ['stats.describe', ['values' => [1], 'confidence' => 1], 'input.invalid', 'confidence'];
        yield ['stats.compare', ['a' => [1, 2], 'b' => [1], 'paired' => true], 'input.invalid', 'b'];
        yield ['stats.compare', ['a' => [1, 2], 'b' => []], 'values.empty', 'b'];
        yield ['stats.proportion', ['held' => 1.5, 'tried' => 3], 'input.invalid', 'held'];
        yield ['stats.proportion', ['held' => 0, 'tried' => 0], 'values.empty', 'tried'];
        yield ['stats.tolerance', ['n' => 5, 'coverage' => 2], 'input.invalid', 'coverage'];
        yield ['stats.tolerance', ['n' => 5, 'coverage' => 0.9, 'values' => [1, 2]], 'input.invalid', 'n'];
        yield ['quantity.convert', ['value' => 1, 'unit' => 'N', 'to' => 'mm'], 'unit.mismatch', 'unit'];
        yield ['quantity.convert', ['value' => null, 'unit' => 'N', 'to' => 'N'], 'input.invalid', 'value'];
        yield ['quantity.parse', ['text' => '5 N', 'dimension' => 'taste'], 'input.invalid', 'dimension'];
        yield ['evidence.assess', ['requirement' => ['kind' => 'guess'], 'results' => []], 'input.invalid', 'requirement/kind'];
        yield [
            'evidence.assess', ['requirement' => ['kind' => 'mean', 'limit' => 3], 'results' => [['kind' => 'equal']]], 'input.invalid',
            'value',
        ];
        yield ['compare.footing', ['a' => ['method' => 'x'], 'b' => ['method' => 'y', 'mood' => 1]], 'input.unknown', 'b/mood'];
        yield ['stats.magic', [], 'op.unknown', 'op'];
    }

    /** @param array<string, mixed> $input */
    #[DataProvider('refused')]
    public function testRefusals(string $op, array $input, string $code, string $path): void
    {
        $answer = Catalogue::answer(['op' => $op, 'input' => $input]);
        self::assertFalse($answer['ok']);
        self::assertSame([$code, $path], [$answer['error']['code'] ?? '', $answer['error']['path'] ?? '']);
        self::assertStringEndsWith('.', $answer['error']['message'] ?? '');
    }

    public function testEvidenceInTypedUnits(): void
    {
        $answer = Catalogue::answer(['op' => 'evidence.assess', 'input' => [
            'requirement' => ['kind' => 'mean', 'direction' => 'atMost', 'limit' => ['value' => 45, 'unit' => 'N']],
            'results' => array_map(static fn (float $v): array => ['value' => ['value' => $v, 'unit' => 'lbf']], [9.0, 9.2, 9.1, 9.3]),
        ]]);
        self::assertTrue($answer['ok']);
        self::assertSame('shown', $answer['output']['state'] ?? null);
        $estimate = $answer['output']['estimate'] ?? null;
        self::assertEqualsWithDelta(9.15 * 4.4482216152605, is_float($estimate) ? $estimate : NAN, 1e-9);
    }

    public function testFootingAndVerdictAnswer(): void
    {
        $footing = Catalogue::answer(
            ['op' => 'compare.footing', 'input' => ['a' => ['method' => 'Push', 'runs' => 5], 'b' => ['method' => 'Push', 'runs' => 1]]],
        );
        self::assertSame('tilted', $footing['output']['footing'] ?? null);
        $verdict = Catalogue::answer(
            ['op' => 'change.verdict', 'input' => ['expected' => -1, 'before' => [5, 5.1, 5.2], 'after' => [3, 3.1, 3.2]]],
        );
        self::assertSame('fixed', $verdict['output']['verdict'] ?? null);
    }

    public function testEveryOperationDescribesItself(): void
    {
        self::assertGreaterThan(8, count(Catalogue::operations()));
        foreach (Catalogue::operations() as $name => $operation) {
            self::assertSame($name, $operation->name);
            self::assertNotSame('', $operation->summary);
            self::assertNotSame([], $operation->outputs);
        }
    }
}
