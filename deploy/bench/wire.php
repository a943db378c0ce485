<?php

declare(strict_types=1);

/** What a first visit loads, compressed as nginx hands it out. */
return static function (string $folder): void {
    $manifest = json_decode((string) file_get_contents($folder.'/.vite/manifest.json'), true);
    $seen = [];
    $weigh = static function (string $entry) use (&$weigh, $manifest, $folder, &$seen): float {
        if (isset($seen[$entry])) {
            return 0.0;
        }
        $seen[$entry] = true;
        $file = $folder.'/'.$manifest[$entry]['file'];
        $size = is_file($file.'.br') ? filesize($file.'.br') : strlen((string) gzencode((string) file_get_contents($file), 6));

        return array_sum(array_map($weigh, $manifest[$entry]['imports'] ?? [])) + $size / 1000;
    };
    $frame = $weigh('index.html');
    $before = $seen;
    $first = $frame + $weigh('src/stations/build/Build.tsx');
    Table::size('JavaScript of the first route (frame and Build)', $first, 'kB', 130, sprintf('%.1f kB of it the frame', $frame));
    foreach (['brief/Brief', 'try/Try', 'try/Run', 'find/Find', 'weigh/Weigh', 'next/Next'] as $station) {
        $seen = $before;
        if (isset($manifest['src/stations/'.$station.'.tsx'])) {
            Table::size('  '.$station.' more', $weigh('src/stations/'.$station.'.tsx'), 'kB', 40);
        }
    }
    Table::notYet('second visit on slow 3G', '2 s');
};
