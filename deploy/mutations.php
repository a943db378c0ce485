<?php

declare(strict_types=1);

/*
 * Breaks one deciding line after the other in a copy of the project and sees a test fail: those of a list, and sixty that are drawn.
 *
 * php deploy/mutations.php COPY [SEED [drawn]]; DATABASE_URL and LUSTRUM_FILES are those of the tests; drawn: without the list
 */
const DRAWN = 60;
// A few make no difference whichever way they stand.
const CAUGHT = 57;

[, $copy] = $argv;
$seed = (int) ($argv[2] ?? random_int(1, 999_999));
$survived = $stale = $caught = 0;
$test = static function (string $tests) use ($copy): bool {
    $only = in_array($tests, ['Core', 'App'], true) ? 'tests/'.$tests : '--filter '.escapeshellarg($tests);
    exec(
        sprintf(
            'cd %s && rm -rf var/cache/test && APP_ENV=test timeout 900 php -d memory_limit=1G vendor/bin/phpunit'
            .' --no-coverage --no-progress --stop-on-defect --fail-on-empty-test-suite %s 2>&1',
            escapeshellarg($copy), $only,
        ),
        $said, $code,
    );

    return $code === 0;
};
$isCaught = static function (string $file, int $at, string $from, string $to, string ...$tests) use ($copy, $test): bool {
    $path = $copy.'/'.$file;
    $was = (string) file_get_contents($path);
    file_put_contents($path, substr_replace($was, $to, $at, strlen($from)));
    $passes = array_filter($tests, static fn (string $of): bool => !$test($of)) === [];
    file_put_contents($path, $was);

    return !$passes;
};
$sound = [];
foreach (($argv[3] ?? '') === 'drawn' ? [] : require $copy.'/tests/mutations.php' as [$file, $from, $to, $tests]) {
    $was = (string) file_get_contents($copy.'/'.$file);
    if (substr_count($was, $from) < 1) {
        ++$stale;
        printf("  stale     %s: %s\n", $file, $from);
        continue;
    }
    // Tests that fail on the sound copy would catch everything, and so nothing.
    if (!($sound[$tests] ??= $test($tests))) {
        ++$survived;
        printf("  unsound   %s fail before anything is broken\n", $tests);
        continue;
    }
    if (!$isCaught($file, (int) strpos($was, $from), $from, $to, $tests)) {
        ++$survived;
        printf("  survived  %s: %s\n", $file, $from);
    } else {
        ++$caught;
    }
}
printf("  %d caught, %d survived, %d stale\n", $caught, $survived, $stale);

$drawn = (require __DIR__.'/drawn.php')($copy, $seed, DRAWN);
printf("  %d drawn, seed %d\n", count($drawn), $seed);
$found = 0;
foreach ($drawn as [$file, $at, $from, $to, $line]) {
    // What the rules themselves do not notice the application may.
    $asked = str_starts_with($file, 'core/') ? ['Core', 'App'] : ['App'];
    $noticed = false;
    foreach ($asked as $tests) {
        $noticed = $noticed || $isCaught($file, $at, $from, $to, $tests);
    }
    $found += $noticed ? 1 : 0;
    if (!$noticed) {
        printf("  survived  %s:%d: %s as %s\n", $file, $line, $from, $to === '' ? 'nothing' : $to);
    }
}
printf("  %d of %d drawn are caught\n", $found, count($drawn));
exit($survived + $stale === 0 && $found >= min(CAUGHT, count($drawn)) ? 0 : 1);
