<?php

declare(strict_types=1);

/*
 * Somebody who goes on writing while things break, and who afterwards asks for everything that was acknowledged.
 *
 * php deploy/heal.php begin|write|check|mark|restored|summary|together|handover|spellings ADDRESS LOG
 * LUSTRUM_HEAL_DATABASE: the database in which it is looked for what was acknowledged (lustrum).
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

/** @return array{build: string, device: string, panel: string, acknowledged: list<string>, refused: int} */
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
        sprintf('pgsql:host=127.0.0.1;port=%s;dbname=%s', getenv('LUSTRUM_DB_PORT'), getenv('LUSTRUM_HEAL_DATABASE') ?: 'lustrum'),
        'lustrum_app', trim((string) file_get_contents(dirname($GLOBALS['log']).'/secret-database-app')),
    );
}

/** @return array<string, string> texts of all observations and captions of all files by identifier, as the database has them */
function kept(): array
{
    return database()->query('SELECT id, text FROM observation UNION ALL SELECT id, caption FROM photo')->fetchAll(PDO::FETCH_KEY_PAIR);
}

/** @return int how many of the acknowledged are not there */
function lost(string $log): int
{
    return count(array_diff(known($log)['acknowledged'], array_keys(kept())));
}

function fail(string $why): never
{
    fwrite(STDERR, $why."\n");
    exit(1);
}

function begin(string $address, string $log): void
{
    $client = new Client($address);
    $client->first(['name' => 'Heal', 'email' => EMAIL, 'password' => PASSWORD, 'workspace' => 'Breaking things']);
    $workspace = $client->ask('GET', '/api/session')[0]['workspaces'][0]['id'];
    [$device, $build, $method, $trial, $panel] = [uuid(), uuid(), uuid(), uuid(), uuid()];
    $client->ask('PUT', "/api/devices/$device", ['workspace' => $workspace, 'name' => 'Plover']);
    $client->ask('PUT', "/api/revisions/$build", ['device' => $device, 'letter' => 'A']);
    $client->ask('PUT', "/api/methods/$method", [
        'device' => $device, 'name' => 'Feel', 'safety' => ['abort' => 'When it hurts.'], 'wears' => false,
        'channels' => [['key' => 'feel', 'metric' => 'feel', 'unit' => '1', 'low' => 0.0, 'high' => 100.0]],
    ]);
    $client->ask('PUT', "/api/trials/$trial", ['revision' => $build, 'method' => $method, 'name' => 'Feeling']);
    foreach (['P-1', 'P-2'] as $serial) {
        $client->ask('PUT', '/api/articles/'.uuid(), ['revision' => $build, 'serial' => $serial]);
    }
    $client->ask('PUT', "/api/panels/$panel", [
        'trial' => $trial, 'serials' => ['P-1', 'P-2'], 'raters' => ['Odile'], 'scales' => [['channel' => 'feel', 'high' => 'light']],
    ]);
    $client->picture($build, uuid());
    file_put_contents($log, json_encode(['device' => $device, 'build' => $build, 'panel' => $panel])."\n");
}

/** Writes and uploads without end; what is acknowledged is noted. */
function write(string $address, string $log): never
{
    $build = known($log)['build'];
    $client = signedIn($address);
    for ($i = 1;; ++$i) {
        $id = uuid();
        try {
            $i % 8 === 0
                ? $client->picture($build, $id, $i % 16 === 0)
                : $client->ask('PUT', "/api/observations/$id", ['revision' => $build, 'text' => 'Seen at '.date('H:i:s')]);
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
}

function together(string $address, string $log): void
{
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
        fail(implode("\n", $wrong));
    }
}

/** Hands the device over among twenty other requests of the same session; from the answer on, nothing else is reached. */
function handover(string $address, string $log): void
{
    ['build' => $build, 'panel' => $panel] = known($log);
    $client = signedIn($address);
    $asked = [];
    for ($i = 0; $i < 20; ++$i) {
        $asked[] = [$client, 'GET', $i % 2 === 0 ? '/api/session' : "/api/revisions/$build/try", null];
        if ($i === 10) {
            $asked[] = [$client, 'POST', "/api/panels/$panel/hand-over", null];
        }
        if ($i % 4 === 3) {
            $asked[] = [$client, 'PUT', '/api/observations/'.uuid(), ['revision' => $build, 'text' => 'Beside it']];
        }
    }
    Client::atOnce($asked);
    if ($client->ask('GET', '/api/session')[0]['panel'] !== $panel) {
        fail('It was not handed over any more after the answer.');
    }
    $open = array_filter(Client::atOnce([
        [$client, 'GET', "/api/revisions/$build/try", null], [$client, 'GET', "/api/panels/$panel/page", null],
        [$client, 'PUT', '/api/observations/'.uuid(), ['revision' => $build, 'text' => 'In a rater’s hand']],
    ]), static fn (array $answer): bool => $answer[0] !== 403);
    if ($open !== []) {
        fail('A handed-over device reaches: '.json_encode($open));
    }
    $client->ask('POST', "/api/panels/$panel/take-back", ['password' => PASSWORD]);
    $client->ask('GET', "/api/revisions/$build/try");
    $client->ask('DELETE', '/api/session');
}

/** Every address of the description in other spellings, as somebody who is signed in: refused before anything is asked. */
function spellings(string $address): void
{
    $client = signedIn($address);
    $description = json_decode((string) file_get_contents(__DIR__.'/../docs/openapi.json'), true);
    $spelt = [
        static fn (string $p): string => str_replace('/api/', '/%61pi/', $p), static fn (string $p): string => str_replace('/api/', '/a%70i/', $p),
        static fn (string $p): string => str_replace('/api/', '/api%2f', $p), static fn (string $p): string => str_replace('/api/', '/api//', $p),
        static fn (string $p): string => '/'.$p, static fn (string $p): string => str_replace('/api/', '/api/./', $p),
        static fn (string $p): string => '/x/..'.$p, static fn (string $p): string => substr($p, 0, -1).'%'.bin2hex(substr($p, -1)),
        static fn (string $p): string => $p.'/', static fn (string $p): string => str_replace('/api/', '/API/', $p),
    ];
    $wrong = [];
    foreach ($description['paths'] as $path => $methods) {
        $url = (string) preg_replace('/\{[a-z]+\}/', '01a23293-6840-7ce6-8e07-3c29faf673f5', $path);
        foreach ($spelt as $write) {
            $asked = array_map(
                static fn (string $m): array => [$client, strtoupper($m), $write($url), in_array($m, ['put', 'post'], true) ? [] : null],
                array_keys($methods),
            );
            foreach (Client::atOnce($asked) as $i => [$status, $body]) {
                if ($status !== 400 || !str_contains($body, 'urn:lustrum:problem:address')) {
                    $wrong[] = $asked[$i][1].' '.$asked[$i][2].': '.$status.' '.substr($body, 0, 80);
                }
            }
        }
    }
    if ($wrong !== []) {
        fail(implode("\n", array_slice($wrong, 0, 20)));
    }
}

match ($what) {
    'begin' => begin($address, $log),
    'write' => write($address, $log),
    'check' => known($log)['acknowledged'] === [] || lost($log) > 0 ? fail(
        sprintf('%d acknowledged, %d of them lost', count(known($log)['acknowledged']), lost($log)),
    ) : null,
    'mark' => signedIn($address)->ask(
        'PUT', '/api/observations/'.uuid(), ['revision' => known($log)['build'], 'text' => 'After the backup'],
    ),
    // What was written after the backup is gone, and what was before is there.
    'restored' => exit(in_array('After the backup', kept(), true) || lost($log) > 0 ? 1 : 0),
    'together' => together($address, $log),
    'handover' => handover($address, $log),
    'spellings' => spellings($address),
    'summary' => printf(
        "  %d writes acknowledged, %d of them lost; %d were refused or cut off\n", count(known($log)['acknowledged']), lost($log),
        known($log)['refused'],
    ),
};
