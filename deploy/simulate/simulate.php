<?php

declare(strict_types=1);

/*
 * Puts simulated workshops through the functions that the sheets call, with the truth known, and prints for each kind of
 * sentence how often it was false and how often something real was found.
 *
 * php deploy/simulate/simulate.php PAGE [TIMES [PART]]: rows or more; 10,000 workshops a row; PART: rows whose sentence holds this
 */
require dirname(__DIR__, 2).'/vendor/autoload.php';
foreach (['Chance', 'Row', 'Bench', 'Judged'] as $class) {
    require __DIR__.'/'.$class.'.php';
}
[$page, $times, $part] = [(string) ($argv[1] ?? 'rows'), (int) ($argv[2] ?? 10_000), (string) ($argv[3] ?? '')];
$missed = 0;
$begun = microtime(true);
foreach (require __DIR__.'/'.($page === 'more' ? 'more' : 'rows').'.php' as $i => $row) {
    if ($part !== '' && !str_contains($row->says, $part)) {
        continue;
    }
    $from = microtime(true);
    [$rate, $low, $high] = $row->rate($times, 20_261_202 + 100 * $i);
    $isMissed = $row->isMissed($low, $high);
    $missed += $isMissed ? 1 : 0;
    printf(
        "%-84s %5.1f %% [%.1f, %.1f]  %-14s %-7s %4.0f s\n", $row->says, $rate, $low, $high, $row->asked(),
        $isMissed ? 'MISSED' : ($row->asked() === '' ? '' : 'held'), microtime(true) - $from,
    );
}
printf("%d missed; %d workshops a row, %.0f s\n", $missed, $times, microtime(true) - $begun);
exit($missed === 0 ? 0 : 1);
