<?php

declare(strict_types=1);

/** The large device out into its file and in again, and the readings as a table. */
return static function (Client $client, string $workspace, string $device, string $file): void {
    $took = $client->raw('GET', '/api/devices/'.$device.'/export.json')[1];
    [$content] = $client->raw('GET', '/api/devices/'.$device.'/export.json');
    file_put_contents($file, $content);
    Table::row('device file out', $took / 1000, 's', '20 s, 96 MB', sprintf('%.1f MB unpacked', strlen($content) / 1e6));
    // Without its pictures: with them it is larger than can be sent at once. Its other lines stay as they are.
    $photos = (int) strpos($content, "\"photos\":[\n") + strlen("\"photos\":[\n");
    $in = substr($content, 0, $photos).substr($content, (int) strpos($content, "\n]", $photos));
    unset($content);
    // Measured in the same minute: machines swing.
    $copy = (float) shell_exec('bash '.escapeshellarg(__DIR__.'/copy.sh').' lustrum_bench '.escapeshellarg($device));
    $took = $client->raw('POST', '/api/workspaces/'.$workspace.'/import', $in)[1] / 1000;
    Table::row(
        'device file in', $took, 's', '6 × COPY, 96 MB',
        sprintf(
            '%s; %.1f MB sent, %.0f MB taken, %d statements', $copy > 0.0 ? sprintf('%.1f × COPY (%.1f s)', $took / $copy, $copy) : 'COPY was not measured',
            strlen($in) / 1e6, $client->cost('memory'), $client->cost('queries'),
        ),
    );
    unset($in);
    $took = $client->raw('GET', '/api/devices/'.$device.'/readings.csv')[1];
    Table::row('readings out as CSV', $took / 1000, 's', '');
    Table::notYet('import of a CSV of 1,000,000 rows × 3 channels', '12 s, 96 MB');
    Table::notYet('a chart of 1,000,000 samples', '300 ms');
};
