<?php

declare(strict_types=1);

/**
 * Sheets of the large device: first after a write that touches them, again, and unchanged (304).
 *
 * @param array{device: string, last: string, parent: string, workspace: string, reading: string, run: string, decision: string} $at
 */
return static function (Client $client, array $at): void {
    $sheets = [
        'devices' => '/api/workspaces/'.$at['workspace'].'/devices', 'frame' => '/api/devices/'.$at['device'].'/frame',
        'brief' => '/api/devices/'.$at['device'].'/brief', 'methods' => '/api/devices/'.$at['device'].'/methods',
    ];
    foreach (['build', 'try', 'find', 'weigh', 'next', 'workings'] as $name) {
        $sheets[$name] = '/api/revisions/'.$at['last'].'/'.$name;
    }
    $sheets['run'] = '/api/runs/'.$at['run'];
    $sheets['decision'] = '/api/decisions/'.$at['decision'];
    $version = $client->ask('GET', '/api/runs/'.$at['run'])[0]['readings'][0]['version'];
    foreach ($sheets as $name => $url) {
        $first = $again = $same = $cpu = $memory = [];
        $bytes = $queries = 0;
        $cold = $client->raw('GET', $url)[1];
        for ($i = 0; $i < 4; ++$i) {
            $client->ask(
                'POST', '/api/readings/'.$at['reading'].'/amend',
                ['text' => (40 + $i / 10).' %', 'reason' => 'measuring', 'version' => $version, 'confirmed' => 'measuring'],
            );
            ++$version;
            $first[] = $client->raw('GET', $url)[1];
            $cpu[] = $client->cost('cpu');
            $memory[] = $client->cost('memory');
            $bytes = max($bytes, $client->bytes);
            $queries = (int) $client->cost('queries');
            for ($k = 0; $k < 4; ++$k) {
                $again[] = $client->raw('GET', $url)[1];
                $mark = $client->headers['etag'] ?? '';
                if ($mark !== '') {
                    $same[] = $client->raw('GET', $url, null, ['If-None-Match: '.$mark])[1];
                }
            }
        }
        Table::row(
            $name.', first after a write', Table::p95($first), 'ms', '250 ms, 32 MB',
            sprintf('%.0f ms of the processor, %.1f MB, %d statements', max($cpu), max($memory), $queries),
        );
        Table::row('  where nothing of it was kept yet', $cold, 'ms', '');
        Table::row('  again', Table::p95($again), 'ms', '80 ms');
        if ($same !== []) {
            Table::row('  unchanged', Table::p95($same), 'ms', '12 ms');
        }
        Table::row('  its answer, compressed', $bytes / 1000, 'kB', '150 kB');
    }
};
