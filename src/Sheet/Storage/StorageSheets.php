<?php

declare(strict_types=1);

namespace Lustrum\Sheet\Storage;

use Lustrum\Account\Workspace;
use Lustrum\Core\Wording\FileWords;
use Lustrum\Core\Wording\LogWords;
use Lustrum\Facts\StoredFiles;

/** Works out what takes up the storage of a workspace. */
final readonly class StorageSheets
{
    private const LARGEST = 12;

    public function __construct(
        private StoredFiles $stored,
    ) {
    }

    /** @param int $most bytes that it may take */
    public function of(Workspace $workspace, int $most): StorageSheet
    {
        $id = $workspace->id()->toRfc4122();
        $taken = $this->stored->taken($id);
        $bytes = $kinds = [];
        foreach ($this->stored->byDevice($id) as $row) {
            $bytes[$row['device']] = ($bytes[$row['device']] ?? 0) + $row['bytes'];
            $kinds[$row['device']][$row['kind']] = $row['files'];
        }
        arsort($bytes);
        $rows = [];
        foreach ($bytes as $device => $size) {
            $rows[] = new StorageRow(
                LogWords::holder((string) $device), FileWords::size($size), self::percent($size, $taken),
                LogWords::files($kinds[$device]),
            );
        }

        return new StorageSheet(
            LogWords::storage($workspace->name(), FileWords::size($taken), FileWords::size($most), $taken > 0.9 * $most),
            self::percent($taken, $most), $rows,
            array_map(static fn (array $f): StorageFile => new StorageFile(
                $f['record'], $f['name'], LogWords::where($f['device'], $f['letter']), FileWords::size($f['bytes']),
            ), $this->stored->largest($id, self::LARGEST)),
        );
    }

    private static function percent(int $bytes, int $of): int
    {
        return $of > 0 ? min(100, (int) round(100 * $bytes / $of)) : 0;
    }
}
