<?php

declare(strict_types=1);

/**
 * Writes: a reading to its answer, many at once, and a candidate to its consequences.
 *
 * @param array{device: string, last: string, trial: string, channel: string} $at
 */
return static function (Client $client, array $at): void {
    $uuid = static function (): string {
        $hex = bin2hex(random_bytes(16));

        return sprintf(
            '%s-%s-7%s-a%s-%s', substr($hex, 0, 8), substr($hex, 8, 4), substr($hex, 13, 3), substr($hex, 17, 3), substr($hex, 20, 12),
        );
    };
    $runs = [];
    for ($i = 0; $i < 340; ++$i) {
        $runs[] = $id = $uuid();
        $begun[] = $client->ask('PUT', '/api/runs/'.$id, ['trial' => $at['trial']])[1];
    }
    Table::row('beginning a run, p95 of 340', Table::p95($begun), 'ms');
    $reading = static fn (string $run): array => [
        'PUT', '/api/readings/'.$uuid(),
        ['run' => $run, 'channel' => $at['channel'], 'text' => (30 + mt_rand(0, 99) / 10).' N', 'confirmed' => 'measuring'],
    ];
    foreach (array_slice($runs, 0, 40) as $run) {
        $took[] = $client->ask(...$reading($run))[1];
    }
    Table::calibrate();
    Table::time('a reading to its answer, p95 of 40', Table::p95($took), 40, sprintf('%d statements', $client->cost('queries')));
    $before = Table::calibrate();
    $seconds = $client->together(array_map($reading, array_slice($runs, 40)), 8);
    Table::calibrate($before);
    Table::rate('readings from eight clients', 300 / $seconds, 180);
    foreach (['in', 'wait', 'in', 'wait', 'in', 'wait'] as $choice) {
        $candidate = $client->ask('GET', '/api/revisions/'.$at['last'].'/next')[0]['candidates'][2];
        $body = array_intersect_key(
            $candidate,
            array_flip(['revision', 'what', 'why', 'class', 'cost', 'hours', 'effects', 'source', 'askedBy', 'failure', 'version']),
        );
        $put = $client->ask('PUT', '/api/candidates/'.$candidate['id'], ['choice' => $choice, 'reason' => 'measuring'] + $body)[1];
        $own = $client->cost('cpu');
        $toggles[] = $put + $client->ask('GET', '/api/revisions/'.$at['last'].'/next')[1];
        $cpu[] = $own + $client->cost('cpu');
    }
    Table::calibrate();
    Table::time('toggling a candidate to its consequences, p95', Table::p95($toggles), 150, '', max($cpu));
    Table::notYet('decision.select with 25 candidates', '1 s');
};
