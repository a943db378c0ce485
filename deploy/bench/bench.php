<?php

declare(strict_types=1);

/*
 * Measures the budgets of the architecture at a running Lustrum with the large workspace, and the estimators in this process.
 *
 * php deploy/bench/bench.php ADDRESS PASSWORD FILE [PART…]; FILE is where the device file is put
 */
ini_set('memory_limit', '3G');
foreach (['Client', 'Table'] as $class) {
    require __DIR__.'/'.$class.'.php';
}
[, $address, $password, $file] = $argv;
$parts = array_slice($argv, 4) ?: ['sheets', 'writes', 'exchange', 'wire', 'estimators'];
if (array_intersect($parts, ['sheets', 'writes', 'exchange']) !== []) {
    $client = new Client($address);
    $workspace = $client->signIn($password);
    $device = array_values(
        array_filter(
            $client->ask('GET', "/api/workspaces/$workspace/devices")[0], static fn (array $d): bool => $d['device']['name'] === 'Wren',
        ),
    )[0]['device']['id'];
    $spine = $client->ask('GET', "/api/devices/$device/frame")[0]['spine'];
    $build = static fn (string $letter): string => array_values(
        array_filter($spine, static fn (array $t): bool => $t['revision']['letter'] === $letter),
    )[0]['revision']['id'];
    $try = $client->ask('GET', '/api/revisions/'.$build('F5').'/try')[0];
    $trial = static fn (string $name): array => array_values(
        array_filter($try['trials'], static fn (array $t): bool => $t['trial']['name'] === $name),
    )[0];
    $run = $trial('Belt, both seed sizes')['runs'][0]['id'];
    $push = $trial('Bed, three passes each')['trial'];
    $method = array_values(array_filter($try['methods'], static fn (array $m): bool => $m['id'] === $push['method']))[0];
    $at = [
        'workspace' => $workspace, 'device' => $device, 'last' => $build('F5'), 'parent' => $build('E5'), 'run' => $run,
        'reading' => $client->ask('GET', "/api/runs/$run")[0]['readings'][0]['id'], 'trial' => $push['id'],
        'channel' => $method['channels'][0]['key'],
        'decision' => $client->ask(
            'GET', '/api/revisions/'.$build('B').'/next',
        )[0]['decisions'][0]['id'] ?? $client->ask('GET', '/api/revisions/'.$build('E').'/next')[0]['decisions'][0]['id'],
    ];
}
foreach ($parts as $part) {
    Table::title(
        [
            'sheets' => 'Sheets, the last build of the large device', 'writes' => 'Writes', 'exchange' => 'Exchange',
            'wire' => 'On the wire', 'estimators' => 'Estimators',
        ][$part],
    );
    match ($part) {
        'sheets' => (require __DIR__.'/sheets.php')($client, $at),
        'writes' => (require __DIR__.'/writes.php')($client, $at),
        'exchange' => (require __DIR__.'/exchange.php')($client, $workspace, $device, $file),
        'wire' => (require __DIR__.'/wire.php')(dirname(__DIR__, 2).'/public/app'),
        'estimators' => (require __DIR__.'/estimators.php')(),
    };
}
Table::sum();
