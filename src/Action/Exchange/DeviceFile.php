<?php

declare(strict_types=1);

namespace Lustrum\Action\Exchange;

use Lustrum\Core\Run\Row;
use Lustrum\Record\Kind;
use Lustrum\Shared\Refusal\Invalid;
use Symfony\Component\Uid\Uuid;

/** A device file that was decoded, list by list; what was read of it is let go, so that it is not there twice. */
final class DeviceFile
{
    private const MOST_RECORDS = 250_000;

    /** Names of lists in files of format version 1. */
    private const OLD_NAMES = ['articles' => 'units'];

    /**
     * @param array<string, mixed>                  $device
     * @param array<string, mixed>                  $configurations by hash
     * @param array<string, array<int, mixed>>      $lists          by their names
     * @param array<string, string>                 $ids            identifier in the file => identifier here
     */
    private function __construct(
        public readonly array $device,
        public readonly array $configurations,
        private array $lists,
        public readonly array $ids,
    ) {
    }

    /**
     * Takes the lists out of what was decoded.
     *
     * @param array<array-key, mixed> $decoded is empty of them afterwards
     * @param list<Kind>              $kinds   whose lists are looked for
     *
     * @throws Invalid with the place in the file that is wrong
     */
    public static function from(array &$decoded, array $kinds): self
    {
        self::mustBeReadable($decoded);
        $device = self::row($decoded['device'] ?? null, 'device');
        $ids = $lists = [];
        self::identify($device, 'device', $ids);
        foreach ($kinds as $kind) {
            $list = $kind->plural;
            $rows = $decoded[$list] ?? $decoded[self::OLD_NAMES[$list] ?? ''] ?? [];
            unset($decoded[$list], $decoded[self::OLD_NAMES[$list] ?? '']);
            if (!is_array($rows) || !array_is_list($rows)) {
                throw Invalid::at($list, 'A list is wanted here.');
            }
            foreach ($rows as $i => $row) {
                self::identify(self::row($row, $list.'/'.$i), $list.'/'.$i, $ids);
            }
            $lists[$list] = $rows;
        }
        if (count($ids) > self::MOST_RECORDS) {
            throw Invalid::at('', sprintf('At most %d records can be brought in at once.', self::MOST_RECORDS));
        }
        $configurations = [];
        foreach (is_array($decoded['configurations'] ?? null) ? $decoded['configurations'] : [] as $hash => $content) {
            $configurations[(string) $hash] = $content;
        }

        return new self($device, $configurations, $lists, $ids);
    }

    /**
     * The entries of a list, each let go once it was given.
     *
     * @return iterable<int, array<string, mixed>>
     */
    public function entries(string $list): iterable
    {
        foreach (array_keys($this->lists[$list] ?? []) as $i) {
            $row = self::row($this->lists[$list][$i], $list.'/'.$i);
            $this->lists[$list][$i] = null;
            yield $i => $row;
        }
        unset($this->lists[$list]);
    }

    /** @param array<array-key, mixed> $decoded */
    private static function mustBeReadable(array $decoded): void
    {
        if (($decoded['format'] ?? null) !== Exporter::FORMAT) {
            throw Invalid::at('format', 'This is not a device file of Lustrum. Export a device to see what one looks like.');
        }
        if (!in_array($decoded['version'] ?? null, [1, Exporter::VERSION], true)) {
            throw Invalid::at('version', sprintf(
                'This file has format version %s; this Lustrum reads versions 1 and %d.', Row::text($decoded['version'] ?? '?'), Exporter::VERSION,
            ));
        }
    }

    /**
     * @param array<string, mixed>  $row
     * @param array<string, string> $ids
     */
    private static function identify(array $row, string $path, array &$ids): void
    {
        $id = $row['id'] ?? null;
        if (!is_string($id) || $id === '' || strlen($id) > 80) {
            throw Invalid::at($path.'/id', 'Each entry needs an identifier of its own.');
        }
        if (isset($ids[$id])) {
            throw Invalid::at($path.'/id', sprintf('The identifier “%s” is there twice.', $id));
        }
        $ids[$id] = Uuid::v7()->toRfc4122();
    }

    /** @return array<string, mixed> */
    private static function row(mixed $row, string $path): array
    {
        if (!is_array($row) || $row === [] || array_is_list($row)) {
            throw Invalid::at($path, 'This entry is missing or is not an object. The file may have been cut off.');
        }

        /** @var array<string, mixed> $row */
        return $row;
    }
}
