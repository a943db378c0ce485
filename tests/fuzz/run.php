<?php

declare(strict_types=1);

/*
 * Sends what nobody should send to every address of the description, to records that are there too, and then opens every
 * sheet of every device: nothing may answer with a fault of ours, and nothing may be left that cannot be read.
 *
 *     php tests/fuzz/run.php ADDRESS PASSWORD SEED FOLDER SECONDS
 *
 * The same seed sends the same again to the same demo data. Bounded: 3,000 requests or so many seconds, whichever ends first, and
 * as many sheets as there are. What was found lies in FOLDER, each with the request that did it. Ends with 1 where it found
 * something.
 */
foreach (['Hostile', 'Pool', 'Door'] as $class) {
    require __DIR__.'/'.$class.'.php';
}
ini_set('memory_limit', '1G');
const REQUESTS = 3000;

[, $address, $password, $seed, $folder, $seconds] = $argv;
mt_srand((int) $seed);
$description = json_decode((string) file_get_contents(dirname(__DIR__, 2).'/docs/openapi.json'), true);
$door = new Door($address, $password, $folder);
$spare = new Door($address, $password, $folder);

/** Everything that the lead of the demo sees. */
$gather = static function () use ($door): Pool {
    $pool = new Pool();
    foreach ($door->session()['workspaces'] as $workspace) {
        $pool->add('workspaces', $workspace['id']);
        foreach ($door->get('/api/workspaces/'.$workspace['id'].'/heap')['rows'] ?? [] as $row) {
            $pool->add('heapfiles', $row['file']['id']);
        }
        foreach ($door->get('/api/workspaces/'.$workspace['id'].'/devices') as $row) {
            $id = $row['id'] ?? $row['device']['id'];
            foreach ($door->get("/api/devices/$id/export.json") as $kind => $rows) {
                foreach ($kind === 'device' ? [$rows] : (is_array($rows) ? $rows : []) as $entry) {
                    if (is_array($entry) && isset($entry['id']) && is_string($entry['id'])) {
                        $pool->add($kind === 'device' ? 'devices' : $kind, $entry['id'], $entry);
                    }
                }
            }
        }
    }

    return $pool;
};

$pool = $gather();
$hostile = new Hostile($description['components']['schemas'], $pool);
$operations = [];
foreach ($description['paths'] as $path => $methods) {
    foreach ($methods as $method => $operation) {
        $operations[] = [strtoupper($method), $path, $operation];
    }
}
$import = array_values(array_filter($operations, static fn (array $o): bool => str_ends_with($o[1], '/import')))[0];
printf("  seed %s: %d addresses, %d records\n", $seed, count($operations), $pool->count());

// The kind of record that an address speaks of stands before its identifier.
$place = static function (string $path, bool $odd) use ($pool): string {
    $url = (string) preg_replace_callback('#([a-z-]+)/\{(\w+)\}#', static function (array $m) use ($pool, $odd): string {
        $id = $m[2] === 'person' ? $pool->any('person') : ($m[2] === 'kind' ? 'runs' : $pool->any(rtrim($m[1], 's')));
        $odds = ['x', '0', '%00', '%ff', '..%2f..', 'ffffffff-ffff-ffff-ffff-ffffffffffff', str_repeat('a', 3000), $pool->any('')];

        return $m[1].'/'.($odd ? Hostile::one($odds) : ($id ?? sprintf('0199%04x-0000-7000-8000-%012x', mt_rand(0, 65535), mt_rand())));
    }, $path);

    return str_contains($url, '{') ? (string) preg_replace('/\{\w+\}/', (string) $pool->any(''), $url) : $url;
};

$from = microtime(true);
$sent = 0;
for (; $sent < REQUESTS && microtime(true) - $from < (int) $seconds; ++$sent) {
    // Every address once, and then as it comes.
    [$method, $path, $operation] = $operations[$sent] ?? (mt_rand(0, 59) === 0 ? $import : Hostile::one($operations));
    $isHere = str_contains($path, '/members/{person}') || $path === '/api/signed-in/{id}';
    $url = $place($path, $isHere || mt_rand(0, 19) === 0);
    foreach ($operation['parameters'] ?? [] as $parameter) {
        if ($parameter['in'] === 'query' && mt_rand(0, 1) === 1) {
            $value = Hostile::one(['', 'x', '%00', '%ff', '1e999', (string) $pool->any(''), str_repeat('9', 500), 'a&'.$parameter['name'].'[]=b']);
            $url .= (str_contains($url, '?') ? '&' : '?').$parameter['name'].'='.$value;
        }
    }
    $schema = $operation['requestBody']['content']['application/json']['schema'] ?? null;
    $stored = $pool->rows[explode('/', $path)[2]][basename($url)] ?? null;
    $body = null;
    if (str_ends_with($path, '/import')) {
        // A small device under identifiers of its own, spoiled.
        $file = str_replace('"rook', '"rook'.$sent.'f', (string) file_get_contents(dirname(__DIR__, 2).'/demo/rook.json'));
        $body = $hostile->encoded($hostile->spoiled(json_decode($file, true)));
    } elseif ($schema !== null && $stored !== null && $method === 'PUT' && $stored !== [] && mt_rand(0, 3) > 0) {
        // What is there, spoiled: what is taken of it has to be shown afterwards.
        $now = array_diff_key($stored, ['origin' => 0, 'id' => 0]) + ['version' => $stored['origin']['version'] ?? 1];
        $body = mt_rand(0, 1) === 1 ? $hostile->bent($now) : $hostile->encoded($hostile->spoiled($now + (array) $hostile->sound($schema)));
    } elseif ($schema !== null) {
        $body = $hostile->encoded($hostile->spoiled($hostile->sound($schema)));
    } elseif ($method === 'POST' && isset($operation['requestBody']['content']['multipart/form-data'])) {
        $door->form($url, $pool);
        continue;
    } elseif (mt_rand(0, 9) === 0) {
        $body = $hostile->encoded($hostile->spoiled(['a' => 1]));
    }
    // What may end a session, or narrow it, ends another one.
    $ends = $method !== 'GET' && preg_match('#/session|/signed-in|/hand-over|/take-back|/password|/members#', $path) === 1;
    $now = ($ends ? $spare : $door)->send($method, $url, $body, mt_rand(0, 60) === 0 ? 'text/plain' : 'application/json');
    if ($now !== null && $method === 'PUT' && is_string($now['id'] ?? null)) {
        $pool->add(explode('/', $path)[2], $now['id'], $now);
    }
    if ($ends && $method !== 'PUT' && !$spare->isSignedIn()) {
        $spare->signIn();
    }
}
printf("  %d requests in %d s: %s\n", $sent, microtime(true) - $from, $door->summary($spare));

// Everything that is there now, on every sheet that there is of it.
$from = microtime(true);
$pool = $gather();
$opened = 0;
foreach ($operations as [$method, $path]) {
    // The runs behind a number are asked for with the number.
    if ($method !== 'GET' || !str_contains($path, '{id}') || str_contains($path, '{kind}') || str_ends_with($path, '/runs')) {
        continue;
    }
    $kind = explode('/', $path)[2];
    foreach (array_keys($pool->rows[$kind] ?? []) as $id) {
        $door->open(str_replace('{id}', (string) $id, $path));
        ++$opened;
    }
}
foreach ($pool->rows as $kind => $rows) {
    foreach (array_slice(array_keys($rows), 0, 6) as $id) {
        $door->send('GET', '/api/history/'.rtrim($kind, 's').'/'.$id, null);
    }
}
printf("  %d sheets and files of %d records in %d s\n", $opened, $pool->count(), microtime(true) - $from);
$found = [...$door->found, ...$spare->found];
foreach ($found as $line) {
    echo '  ', $line, "\n";
}
if ($found !== []) {
    printf("  again with: ./lustrum test fuzz %s; the requests lie in %s\n", $seed, $folder);
}
exit($found === [] ? 0 : 1);
