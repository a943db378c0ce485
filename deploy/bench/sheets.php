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
        $first = $again = $againCpu = $same = $sameCpu = $cpu = $memory = [];
        $bytes = $queries = 0;
        Table::calibrate();
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
                $againCpu[] = $client->cost('cpu');
                $mark = $client->headers['etag'] ?? '';
                if ($mark !== '') {
                    $same[] = $client->raw('GET', $url, null, ['If-None-Match: '.$mark])[1];
                    $sameCpu[] = $client->cost('cpu');
                }
            }
        }
        Table::time($name.', first after a write', Table::p95($first), 200, '', max($cpu));
        Table::size('  memory that it takes', max($memory), 'MB', 24);
        Table::size('  what it asks the database', $queries, '', 30);
        Table::row('  where nothing of it was kept yet', $cold, 'ms');
        Table::time('  again', Table::p95($again), 50, '', Table::p95($againCpu));
        if ($same !== []) {
            Table::time('  unchanged', Table::p95($same), 10, '', Table::p95($sameCpu));
        }
        Table::size('  its answer, compressed', $bytes / 1000, 'kB', 150);
    }
};
