<?php

declare(strict_types=1);

namespace Lustrum\Tests\Core;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** The arrows of the architecture: web asks src, src asks core, core asks nobody; and within each, only downwards. */
final class ArrowsTest extends TestCase
{
    private const CORE_MAY_USE = ['Lustrum\Core\\', 'Brick\Math\\', 'Random\\', 'Symfony\Component\ExpressionLanguage\\'];

    /** Folder of src => what it may use there besides itself; core is open to all. */
    private const SRC = [
        'Shared' => [],
        'Account' => ['Shared'],
        'Storage' => ['Shared'],
        'Record' => ['Shared', 'Account'],
        'Domain/Device' => ['Shared', 'Account', 'Record'],
        'Domain/Method' => ['Shared', 'Record', 'Domain/Device'],
        'Domain/Revision' => ['Shared', 'Record', 'Domain/Device', 'Domain/Method'],
        // Whoever serves a panel has an account.
        'Domain/Trial' => ['Shared', 'Account', 'Record', 'Domain/Device', 'Domain/Revision', 'Domain/Method'],
        'Domain/Document' => ['Shared', 'Record', 'Storage', 'Domain/Revision'],
        'Domain/Finding' => ['Domain/Device', 'Domain/Method', 'Shared', 'Record', 'Storage', 'Domain/Revision', 'Domain/Trial'],
        'Domain/Working' => ['Shared', 'Record', 'Domain/Device', 'Domain/Revision', 'Domain/Trial'],
        'Domain/Heap' => ['Shared', 'Record', 'Storage', 'Domain/Finding'],
        'Domain/Change' => ['Shared', 'Record', 'Domain/Device', 'Domain/Revision', 'Domain/Finding'],
        'Domain/Decision' => ['Domain/Change', 'Shared', 'Record', 'Domain/Device', 'Domain/Revision', 'Domain/Finding'],
        'Facts' => ['Shared', 'Account', 'Record', 'Storage', 'Domain'],
        'Action' => ['Shared', 'Account', 'Record', 'Storage', 'Domain', 'Facts'],
        'Sheet' => ['Shared', 'Account', 'Record', 'Storage', 'Domain', 'Facts'],
        'Http' => ['Shared', 'Account', 'Record', 'Storage', 'Domain', 'Facts', 'Action', 'Sheet'],
        'Console' => ['Shared', 'Account', 'Record', 'Storage', 'Domain', 'Facts', 'Action', 'Http'],
        'Worker' => ['Shared', 'Account', 'Record', 'Storage', 'Domain', 'Facts', 'Action'],
    ];

    /** Folder of web/src => what it may import there besides itself. */
    private const WEB = [
        'api' => [],
        'outbox' => ['api'],
        'figures' => ['api', 'ui'],
        'ui' => ['api', 'outbox'],
        'plate' => ['api', 'ui', 'outbox', 'figures'],
        'stations/build' => ['api', 'ui', 'outbox', 'figures'],
        'stations/try' => ['api', 'ui', 'outbox', 'figures'],
        'stations/find' => ['api', 'ui', 'outbox', 'figures'],
        'stations/weigh' => ['api', 'ui', 'outbox', 'figures'],
        'stations/next' => ['api', 'ui', 'outbox', 'figures'],
        'field' => ['api', 'ui', 'outbox'],
        // A recording is gone through beside the form of its run.
        'heap' => ['api', 'ui', 'outbox', 'stations'],
        'app' => ['api', 'ui', 'outbox', 'figures', 'plate', 'stations', 'field', 'heap'],
        // What tests of screens stand on; nothing but tests may.
        'test' => ['api'],
    ];

    public function testCoreUsesNothingOfTheApplicationOrAFramework(): void
    {
        foreach (self::files('core', ['php']) as $file => $code) {
            preg_match_all('/^use ([^;]+);/m', $code, $uses);
            foreach ($uses[1] as $use) {
                self::assertNotSame(
                    [], array_filter(self::CORE_MAY_USE, static fn (string $allowed): bool => str_starts_with($use, $allowed)),
                    $file.' uses '.$use,
                );
            }
            self::assertDoesNotMatchRegularExpression(
                '/\b(PDO|curl_|file_get_contents|mt_rand|random_int|time\(\)|new \\\\DateTime)/', $code, $file.' reaches outside.',
            );
        }
    }

    /** Which runs count is core's to say: a query names no way to end, to be meant or to stand; RunCounts and SetAside hand it on. */
    public function testNoQueryDecidesWhichRunsCount(): void
    {
        $decides = '/\b(outcome|purpose|standing|set_aside|kind|state|choice)\)?\s*(=|<>|!=|(NOT )?IN|IS (NOT )?DISTINCT FROM)\s*\(?\s*\'(?!method|sign-in|export)[a-z]/';
        foreach (['Facts', 'Sheet', 'Action', 'Http', 'Worker'] as $folder) {
            foreach (self::files('src/'.$folder, ['php']) as $file => $code) {
                self::assertDoesNotMatchRegularExpression($decides, $code, $folder.'/'.$file.' decides for itself.');
            }
        }
    }

    public function testNoTwoFoldersOfCoreUseEachOther(): void
    {
        $arrows = [];
        foreach (self::files('core', ['php']) as $file => $code) {
            $folder = explode('/', $file)[0];
            preg_match_all('/\bLustrum\\\\Core\\\\(\w+)\\\\\w/', $code, $uses);
            foreach ($uses[1] as $other) {
                if ($other !== $folder && str_contains($file, '/')) {
                    $arrows[$folder][$other] = true;
                }
            }
        }
        foreach ($arrows as $folder => $others) {
            foreach (array_keys($others) as $other) {
                self::assertArrayNotHasKey($folder, $arrows[$other] ?? [], sprintf('core/%s and core/%s use each other.', $folder, $other));
            }
        }
    }

    public function testTheApplicationUsesOnlyWhatLiesBelow(): void
    {
        foreach (self::files('src', ['php']) as $file => $code) {
            if (!str_contains($file, '/')) {
                continue;
            }
            $folder = self::folder($file, 'Domain');
            self::assertArrayHasKey($folder, self::SRC, $file.' lies in a folder that the table does not know.');
            preg_match_all('/\bLustrum\\\\((?!Core\b|Tests\b|Migrations\b|Kernel\b)\w+)\\\\(\w+)/', $code, $uses, \PREG_SET_ORDER);
            foreach ($uses as [, $top, $next]) {
                $other = $top === 'Domain' ? 'Domain/'.$next : $top;
                self::assertTrue(self::allowed($folder, $other, self::SRC), sprintf('%s uses %s.', $file, $other));
            }
        }
    }

    public function testSheetsAndActionsDoNotKnowHttp(): void
    {
        foreach (['Domain', 'Facts', 'Action', 'Sheet', 'Record', 'Shared'] as $folder) {
            foreach (self::files('src/'.$folder, ['php']) as $file => $code) {
                self::assertStringNotContainsString('Symfony\Component\HttpFoundation', $code, $folder.'/'.$file.' speaks HTTP.');
                self::assertStringNotContainsString('Symfony\Component\HttpKernel', $code, $folder.'/'.$file.' speaks HTTP.');
            }
        }
    }

    public function testTheApplicationDoesNotWorkOutWhatCoreCan(): void
    {
        foreach (self::files('src', ['php']) as $file => $code) {
            self::assertDoesNotMatchRegularExpression('/\b(sqrt|lgamma|exp|log)\(/', $code, $file.' does sums of its own.');
        }
    }

    public function testTheWebImportsOnlyWhatLiesBelow(): void
    {
        foreach (self::files('web/src', ['ts', 'tsx']) as $file => $code) {
            if (!str_contains($file, '/')) {
                continue;
            }
            $folder = self::folder($file, 'stations');
            self::assertArrayHasKey($folder, self::WEB, $file.' lies in a folder that the table does not know.');
            preg_match_all("/from '(\.[^']+)'|import\('(\.[^']+)'\)/", $code, $imports, \PREG_SET_ORDER);
            foreach ($imports as $import) {
                $other = self::folder(self::resolve(dirname($file), $import[2] ?? $import[1] ?? ''), 'stations');
                $isForTests = $other === 'test' && str_contains($file, '.test.');
                self::assertTrue($isForTests || self::allowed($folder, $other, self::WEB), sprintf('%s imports from %s.', $file, $other));
            }
        }
    }

    public function testTheWebShowsAndDoesNotDerive(): void
    {
        foreach (self::files('web/src', ['ts', 'tsx']) as $file => $code) {
            self::assertDoesNotMatchRegularExpression(
                '/Math\.(sqrt|log|exp|pow|round)\b|\.toFixed\(|reduce\([^)]*\/\s*\w+\.length/', $code, $file.' does sums of its own.',
            );
            self::assertDoesNotMatchRegularExpression('/as never\b|as any\b|: any\b/', $code, $file.' casts.');
            self::assertDoesNotMatchRegularExpression(
                "/\.(sentence|method|how|text)\.(startsWith|includes|match)\(/", $code, $file.' takes a sentence for a protocol.',
            );
        }
    }

    /** @return iterable<string, array{string, list<string>}> */
    public static function code(): iterable
    {
        yield 'core' => ['core', ['php']];
        yield 'src' => ['src', ['php']];
    }

    /** @param list<string> $endings */
    #[DataProvider('code')]
    public function testNoSentenceIsAProtocol(string $folder, array $endings): void
    {
        foreach (self::files($folder, $endings) as $file => $code) {
            self::assertDoesNotMatchRegularExpression(
                '/str_(starts_with|contains|ends_with)\(\$\w+->(method|sentence|message|getMessage\(\))/', $code, $file.' asks a sentence.',
            );
        }
    }

    /**
     * @param array<string, list<string>> $table
     */
    private static function allowed(string $folder, string $other, array $table): bool
    {
        if ($folder === $other) {
            return true;
        }
        foreach ($table[$folder] as $allowed) {
            if ($other === $allowed || str_starts_with($other, $allowed.'/')) {
                return true;
            }
        }

        return false;
    }

    /** The folder of a file; below $deep the one below it. */
    private static function folder(string $file, string $deep): string
    {
        $steps = explode('/', $file);

        return $steps[0] === $deep && count($steps) > 2 ? $deep.'/'.$steps[1] : $steps[0];
    }

    private static function resolve(string $from, string $path): string
    {
        $steps = $from === '.' ? [] : explode('/', $from);
        foreach (explode('/', $path) as $step) {
            if ($step === '..') {
                array_pop($steps);
            } elseif ($step !== '.') {
                $steps[] = $step;
            }
        }

        return implode('/', $steps);
    }

    /**
     * @param list<string> $endings
     *
     * @return iterable<string, string>
     */
    private static function files(string $folder, array $endings): iterable
    {
        $root = dirname(__DIR__, 2).'/'.$folder;
        foreach (new \RecursiveIteratorIterator(new \RecursiveDirectoryIterator($root, \FilesystemIterator::SKIP_DOTS)) as $file) {
            if ($file instanceof \SplFileInfo && in_array($file->getExtension(), $endings, true) && !str_ends_with($file->getFilename(), 'schema.d.ts')) {
                yield substr($file->getPathname(), strlen($root) + 1) => (string) file_get_contents($file->getPathname());
            }
        }
    }
}
