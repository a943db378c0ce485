<?php

declare(strict_types=1);

/*
 * Breaks one deciding line after the other in a copy of the project and sees a test fail.
 *
 * php deploy/mutations.php COPY; DATABASE_URL and LUSTRUM_FILES are those of the tests
 */
[, $copy] = $argv;
$survived = $stale = $caught = 0;
$test = static function (string $tests) use ($copy): bool {
    $only = $tests === 'Core' ? 'tests/Core' : '--filter '.escapeshellarg($tests);
    exec(
        sprintf(
            'cd %s && rm -rf var/cache/test && APP_ENV=test php -d memory_limit=1G vendor/bin/phpunit --no-progress --stop-on-defect %s 2>&1',
            escapeshellarg($copy), $only,
        ),
        $said, $code,
    );

    return $code === 0;
};
$sound = [];
foreach (require $copy.'/tests/mutations.php' as [$file, $from, $to, $tests]) {
    $path = $copy.'/'.$file;
    $was = (string) file_get_contents($path);
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
    file_put_contents($path, substr_replace($was, $to, (int) strpos($was, $from), strlen($from)));
    $isCaught = !$test($tests);
    file_put_contents($path, $was);
    if (!$isCaught) {
        ++$survived;
        printf("  survived  %s: %s\n", $file, $from);
    } else {
        ++$caught;
    }
}
printf("  %d caught, %d survived, %d stale\n", $caught, $survived, $stale);
exit($survived + $stale === 0 ? 0 : 1);
