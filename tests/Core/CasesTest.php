<?php

declare(strict_types=1);

namespace Lustrum\Tests\Core;

use Lustrum\Core\Calc\Catalogue;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Values worked out independently of this code, to at least eight digits. */
final class CasesTest extends TestCase
{
    /** @return iterable<string, array{array<string, mixed>}> */
    public static function cases(): iterable
    {
        foreach (file(__DIR__.'/cases/values.jsonl', FILE_IGNORE_NEW_LINES | FILE_SKIP_EMPTY_LINES) ?: [] as $i => $line) {
            /** @var array<string, mixed> $case */
            $case = json_decode($line, true, 64, JSON_THROW_ON_ERROR);
            yield ($i + 1).' '.(is_string($case['op']) ? $case['op'] : '') => [$case];
        }
    }

    /** @param array<string, mixed> $case */
    #[DataProvider('cases')]
    public function testCase(array $case): void
    {
        $answer = Catalogue::answer($case);
        if (isset($case['expectError'])) {
            self::assertFalse($answer['ok']);
            self::assertSame($case['expectError'], $answer['error']['code'] ?? null);
            self::assertNotSame('', $answer['error']['message'] ?? '');

            return;
        }
        self::assertTrue($answer['ok'], json_encode($answer) ?: '');
        $tolerance = is_float($case['tol'] ?? null) ? $case['tol'] : 1e-8;
        self::same($case['expect'], json_decode(json_encode($answer['output'] ?? null, JSON_THROW_ON_ERROR), true), $tolerance, '');
    }

    private static function same(mixed $expected, mixed $got, float $tolerance, string $path): void
    {
        if (is_array($expected)) {
            self::assertIsArray($got, $path);
            foreach ($expected as $key => $value) {
                self::assertArrayHasKey($key, $got, $path);
                self::same($value, $got[$key], $tolerance, $path.'/'.$key);
            }
        } elseif (is_int($expected) || is_float($expected)) {
            self::assertIsNumeric($got, $path);
            self::assertEqualsWithDelta($expected, $got, $tolerance * abs($expected) + 1e-12, $path);
        } else {
            self::assertSame($expected, $got, $path);
        }
    }
}
