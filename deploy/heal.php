<?php

declare(strict_types=1);

/*
 * Somebody who goes on writing while things break, and who afterwards asks for everything that was acknowledged.
 *
 * php deploy/heal.php begin|write|check|mark|restored|summary|together ADDRESS LOG
 */
require __DIR__.'/bench/Client.php';
[, $what, $address, $log] = $argv;
const EMAIL = 'heal@example.test';
const PASSWORD = 'a kettle on the ledge';

function uuid(): string
{
    $hex = bin2hex(random_bytes(16));

    return sprintf(
        '%s-%s-7%s-a%s-%s', substr($hex, 0, 8), substr($hex, 8, 4), substr($hex, 13, 3), substr($hex, 17, 3), substr($hex, 20, 12),
    );
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

    return $head + [
        'acknowledged' => array_values(array_filter($lines, static fn (string $l): bool => $l !== '-')),
        'refused' => count(array_keys($lines, '-', true)),
    ];
}

function database(): PDO
{
    return new PDO(
        sprintf('pgsql:host=127.0.0.1;port=%s;dbname=lustrum', getenv('LUSTRUM_DB_PORT')), 'lustrum_app',
        trim((string) file_get_contents(dirname($GLOBALS['log']).'/secret-database-app')),
    );
}

/** @return array<string, string> texts of all observations by identifier, as the database has them */
function kept(): array
{
    return database()->query('SELECT id, text FROM observation')->fetchAll(PDO::FETCH_KEY_PAIR);
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
    case 'together':
        ['build' => $build, 'device' => $device] = known($log);
        $lead = signedIn($address);
        $workspace = $lead->ask('GET', '/api/session')[0]['workspaces'][0]['id'];
        $twenty = static fn (string $method, string $url, mixed $body): array => Client::atOnce(
            array_fill(0, 20, [$lead, $method, $url, $body]),
        );
        $wrong = [];
        $same = static function (string $what, array $answers, array $statuses) use (&$wrong): void {
            $bodies = array_unique(array_map(static fn (array $a): string => $a[1], $answers));
            $other = array_diff(array_column($answers, 0), $statuses);
            if (count($bodies) !== 1 || $other !== []) {
                $wrong[] = sprintf(
                    '%s: %d kinds of answers, with %s', $what, count($bodies),
                    implode(', ', array_unique(array_column($answers, 0))).' '.substr((string) end($bodies), 0, 200),
                );
            }
        };
        [$seen, $next, $candidate, $decision, $opened] = [uuid(), uuid(), uuid(), uuid(), uuid()];
        $same('a record', $twenty('PUT', "/api/observations/$seen", ['revision' => $build, 'text' => 'Twenty times']), [200, 201]);
        $same('a withdrawal', $twenty('POST', "/api/observations/$seen/withdraw", ['because' => 'Once is enough']), [200]);
        $same(
            'a member',
            $twenty(
                'PUT', "/api/workspaces/$workspace/members",
                ['name' => 'Other', 'email' => 'other@example.test', 'role' => 'lead', 'password' => PASSWORD],
            ),
            [200],
        );
        $lead->ask('PUT', "/api/revisions/$next", ['device' => $device, 'letter' => 'K', 'parent' => $build]);
        $lead->ask('PUT', "/api/candidates/$candidate", ['revision' => $next, 'what' => 'Wider', 'choice' => 'in', 'reason' => 'Why not']);
        $same(
            'a decision',
            $twenty('PUT', "/api/decisions/$decision", ['revision' => $next, 'next' => $opened, 'letter' => 'L', 'note' => 'Now']),
            [200, 201],
        );
        // Two leads take each other out: one of them is still there afterwards.
        $other = new Client($address);
        $other->signIn(PASSWORD, 'other@example.test');
        $people = array_column($lead->ask('GET', "/api/workspaces/$workspace/members")[0]['people'], 'id', 'email');
        Client::atOnce(
            [
                [$lead, 'DELETE', "/api/workspaces/$workspace/members/".$people['other@example.test'], null],
                [$other, 'DELETE', "/api/workspaces/$workspace/members/".$people[EMAIL], null],
            ],
        );
        $leads = database()->query("SELECT count(*) FROM membership WHERE role = 'lead'")->fetchColumn();
        if ($leads < 1) {
            $wrong[] = 'the last lead was lost';
        }
        $counts = database()->query(
            "SELECT (SELECT count(*) FROM revision WHERE letter = 'L'), (SELECT count(*) FROM decision), (SELECT count(*) FROM account WHERE email LIKE 'other%'), (SELECT count(*) FROM observation WHERE text = 'Twenty times')",
        )->fetch(PDO::FETCH_NUM);
        if (array_map(intval(...), $counts) !== [1, 1, 1, 1]) {
            $wrong[] = 'not one of each: '.implode(', ', $counts);
        }
        if ($wrong !== []) {
            fwrite(STDERR, implode("\n", $wrong)."\n");
            exit(1);
        }
        break;
    case 'summary':
        ['acknowledged' => $acknowledged, 'refused' => $refused] = known($log);
        printf("  %d writes acknowledged, %d of them lost; %d were refused or cut off\n", count($acknowledged), lost($log), $refused);
        break;
}
