<?php

declare(strict_types=1);

/** The large device out into its file and in again, and the readings as a table. */
return static function (Client $client, string $workspace, string $device, string $file): void {
    $before = Table::calibrate();
    $took = $client->raw('GET', '/api/devices/'.$device.'/export.json')[1];
    Table::calibrate($before);
    [$content] = $client->raw('GET', '/api/devices/'.$device.'/export.json');
    file_put_contents($file, $content);
    Table::time('device file out', $took, 20_000, sprintf('%.1f MB unpacked', strlen($content) / 1e6));
    // Without its pictures: with them it is larger than can be sent at once. Its other lines stay as they are.
    $photos = (int) strpos($content, "\"photos\":[\n") + strlen("\"photos\":[\n");
    $in = substr($content, 0, $photos).substr($content, (int) strpos($content, "\n]", $photos));
    unset($content);
    // Measured in the same minute: machines swing.
    $copy = (float) shell_exec('bash '.escapeshellarg(__DIR__.'/copy.sh').' lustrum_bench '.escapeshellarg($device));
    $took = $client->raw('POST', '/api/workspaces/'.$workspace.'/import', $in)[1] / 1000;
    $more = sprintf('%.1f s, COPY %.1f s, %.1f MB sent, %d statements', $took, $copy, strlen($in) / 1e6, $client->cost('queries'));
    if ($copy > 0.0) {
        Table::size('device file in', $took / $copy, '× COPY', 6, $more);
    } else {
        Table::row('device file in, COPY was not measured', $took, 's', $more);
    }
    Table::size('  memory that it takes', $client->cost('memory'), 'MB', 96);
    unset($in);
    $took = $client->raw('GET', '/api/devices/'.$device.'/readings.csv')[1];
    Table::row('readings out as CSV', $took / 1000, 's');
    Table::notYet('import of a CSV of 1,000,000 rows × 3 channels', '12 s, 96 MB');
    Table::notYet('a chart of 1,000,000 samples', '300 ms');
};
