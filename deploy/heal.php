<?php

declare(strict_types=1);

/*
 * Somebody who goes on writing while things break, and who afterwards asks for everything that was acknowledged.
 *
 * php deploy/heal.php begin|write|check|mark|restored|summary ADDRESS LOG
 */
require __DIR__.'/bench/Client.php';
[, $what, $address, $log] = $argv;
const EMAIL = 'heal@example.test';
const PASSWORD = 'a kettle on the ledge';

function uuid(): string
{
    $hex = bin2hex(random_bytes(16));

    return sprintf('%s-%s-7%s-a%s-%s', substr($hex, 0, 8), substr($hex, 8, 4), substr($hex, 13, 3), substr($hex, 17, 3), substr($hex, 20, 12));
}

function signedIn(string $address): Client
{
    $client = new Client($address);
    $client->signIn(PASSWORD, EMAIL);

    return $client;
}

/** @return array{build: string, device: string, acknowledged: list<string>, refused: int} */
function known(string $log): array
{
    $lines = file($log, FILE_IGNORE_NEW_LINES) ?: [];
    $head = json_decode((string) array_shift($lines), true);

    return $head + ['acknowledged' => array_values(array_filter($lines, static fn (string $l): bool => $l !== '-')), 'refused' => count(array_keys($lines, '-', true))];
}

/** @return list<string> texts of all observations by identifier, as the database has them */
function kept(): array
{
    $state = dirname($GLOBALS['log']);
    $db = new PDO(sprintf('pgsql:host=127.0.0.1;port=%s;dbname=lustrum', getenv('LUSTRUM_DB_PORT')), 'lustrum_app', trim((string) file_get_contents($state.'/secret-database-app')));

    return $db->query('SELECT id, text FROM observation')->fetchAll(PDO::FETCH_KEY_PAIR);
}

/** @return int how many of the acknowledged are not there */
function lost(string $log): int
{
    return count(array_diff(known($log)['acknowledged'], array_keys(kept())));
}

switch ($what) {
    case 'begin':
        $client = new Client($address);
        $client->first(['name' => 'Heal', 'email' => EMAIL, 'password' => PASSWORD, 'workspace' => 'Breaking things']);
        $workspace = $client->ask('GET', '/api/session')[0]['workspaces'][0]['id'];
        [$device, $build] = [uuid(), uuid()];
        $client->ask('PUT', "/api/devices/$device", ['workspace' => $workspace, 'name' => 'Plover']);
        $client->ask('PUT', "/api/revisions/$build", ['device' => $device, 'letter' => 'A']);
        $client->picture($build, uuid());
        file_put_contents($log, json_encode(['device' => $device, 'build' => $build])."\n");
        break;
    case 'write':
        $build = known($log)['build'];
        $client = signedIn($address);
        while (true) {
            $id = uuid();
            try {
                $client->ask('PUT', "/api/observations/$id", ['revision' => $build, 'text' => 'Seen at '.date('H:i:s')]);
                file_put_contents($log, $id."\n", FILE_APPEND);
            } catch (RuntimeException) {
                // Nothing was acknowledged: it may be there or not.
                file_put_contents($log, "-\n", FILE_APPEND);
                usleep(200_000);
                if (in_array($client->status, [401, 403], true)) {
                    sleep(2);
                    try {
                        $client = signedIn($address);
                    } catch (RuntimeException) {
                        // Later, then.
                    }
                }
            }
            usleep(30_000);
        }
    case 'check':
        $acknowledged = count(known($log)['acknowledged']);
        if ($acknowledged === 0 || lost($log) > 0) {
            fwrite(STDERR, sprintf("%d acknowledged, %d of them lost\n", $acknowledged, lost($log)));
            exit(1);
        }
        break;
    case 'mark':
        $client = signedIn($address);
        $client->ask('PUT', '/api/observations/'.uuid(), ['revision' => known($log)['build'], 'text' => 'After the backup']);
        break;
    case 'restored':
        // What was written after the backup is gone, and what was before is there.
        exit(in_array('After the backup', kept(), true) || lost($log) > 0 ? 1 : 0);
    case 'summary':
        ['acknowledged' => $acknowledged, 'refused' => $refused] = known($log);
        printf("  %d writes acknowledged, %d of them lost; %d were refused or cut off\n", count($acknowledged), lost($log), $refused);
        break;
}
