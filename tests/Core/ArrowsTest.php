<?php

declare(strict_types=1);

namespace Lustrum\Tests\Core;

use PHPUnit\Framework\TestCase;

/** The arrows of the architecture: web asks src, src asks core, core asks nobody. */
final class ArrowsTest extends TestCase
{
    private const CORE_MAY_USE = ['Lustrum\Core\\', 'Brick\Math\\', 'Random\\', 'Symfony\Component\ExpressionLanguage\\'];

    public function testCoreUsesNothingOfTheApplicationOrAFramework(): void
    {
        foreach (self::files('core', 'php') as $file => $code) {
            preg_match_all('/^use ([^;]+);/m', $code, $uses);
            foreach ($uses[1] as $use) {
                self::assertNotSame([], array_filter(self::CORE_MAY_USE, static fn (string $allowed): bool => str_starts_with($use, $allowed)), $file.' uses '.$use);
            }
            self::assertDoesNotMatchRegularExpression('/\b(PDO|curl_|file_get_contents|mt_rand|random_int|time\(\)|new \\\\DateTime)/', $code, $file.' reaches outside.');
        }
    }

    public function testTheApplicationDoesNotWorkOutWhatCoreCan(): void
    {
        foreach (self::files('src', 'php') as $file => $code) {
            self::assertDoesNotMatchRegularExpression('/\b(sqrt|lgamma|exp|log)\(/', $code, $file.' does sums of its own.');
        }
    }

    public function testTheWebShowsAndDoesNotDerive(): void
    {
        foreach (['ts', 'tsx'] as $ending) {
            foreach (self::files('web/src', $ending) as $file => $code) {
                self::assertDoesNotMatchRegularExpression('/Math\.(sqrt|log|exp|pow)\b|reduce\([^)]*\/\s*\w+\.length/', $code, $file.' does sums of its own.');
            }
        }
    }

    /** @return iterable<string, string> */
    private static function files(string $folder, string $ending): iterable
    {
        $root = dirname(__DIR__, 2).'/'.$folder;
        foreach (new \RecursiveIteratorIterator(new \RecursiveDirectoryIterator($root, \FilesystemIterator::SKIP_DOTS)) as $file) {
            if ($file instanceof \SplFileInfo && $file->getExtension() === $ending) {
                yield substr($file->getPathname(), strlen($root)) => (string) file_get_contents($file->getPathname());
            }
        }
    }
}
