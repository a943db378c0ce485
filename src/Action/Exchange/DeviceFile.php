<?php

declare(strict_types=1);

namespace Lustrum\Action\Exchange;

use Lustrum\Core\Run\Row;
use Lustrum\Record\Inputs;
use Lustrum\Record\Kind;
use Lustrum\Shared\Limit;
use Lustrum\Shared\Refusal\Invalid;
use Lustrum\Shared\Refusal\TooLarge;
use Lustrum\Shared\Refusal\Unreadable;
use Symfony\Component\Uid\Uuid;

/**
 * A device file, list by list. One with an entry a line is read line by line; any other is decoded as a whole, and what was
 * read of it is let go, so that it is not there twice.
 */
final class DeviceFile
{
    private const MOST_RECORDS = 250_000;

    /** Names of lists in files of format version 1. */
    private const OLD_NAMES = ['articles' => 'units'];

    /** @var array<string, string> identifier in the file => identifier here */
    public array $ids = [];

    /** @var array<string, mixed> */
    public readonly array $device;

    /** @var array<string, mixed> by hash */
    public readonly array $configurations;

    /** Null for a file of the present format. */
    private readonly ?OldShape $old;

    /**
     * @param array<array-key, mixed> $decoded the whole file, or what stands beside the lists of one that is read by lines
     * @param list<Kind>              $kinds   whose lists are looked for
     */
    private function __construct(
        private array $decoded,
        private readonly ?DeviceLines $lines,
        array $kinds,
    ) {
        self::mustBeReadable($decoded);
        $this->old = in_array($decoded['version'] ?? null, OldShape::VERSIONS, true) ? new OldShape() : null;
        $this->device = self::row($decoded['device'] ?? null, 'device');
        $named = $lines?->has('configurations') === true ? $lines->named('configurations') : $decoded['configurations'] ?? [];
        $configurations = [];
        foreach (is_array($named) ? $named : [] as $hash => $content) {
            $configurations[(string) $hash] = $content;
        }
        $this->identify($this->device, 'device');
        foreach ($kinds as $kind) {
            foreach ($this->rows($kind->plural) as $i => $row) {
                $entry = self::row($row, $kind->plural.'/'.$i);
                $this->identify($entry, $kind->plural.'/'.$i);
                $this->old?->see($kind->plural, $entry);
            }
        }
        $this->configurations = $this->old === null ? $configurations : array_map($this->old->configuration(...), $configurations);
    }

    /**
     * @param resource   $stream that can be gone back in
     * @param list<Kind> $kinds
     *
     * @throws Unreadable|TooLarge|Invalid with the place in the file that is wrong
     */
    public static function read($stream, array $kinds): self
    {
        $lines = DeviceLines::of($stream);
        if ($lines !== null) {
            return new self($lines->head, $lines, $kinds);
        }
        rewind($stream);

        $whole = (string) stream_get_contents($stream, Limit::WHOLE_FILE_BYTES + 1);
        if (strlen($whole) > Limit::WHOLE_FILE_BYTES) {
            throw TooLarge::laidOut(Limit::WHOLE_FILE_BYTES);
        }

        return new self(Inputs::decode($whole, Limit::WHOLE_FILE_VALUES), null, $kinds);
    }

    /**
     * @param array<array-key, mixed> $decoded
     * @param list<Kind>              $kinds
     *
     * @throws Invalid with the place in the file that is wrong
     */
    public static function of(array $decoded, array $kinds): self
    {
        return new self($decoded, null, $kinds);
    }

    /**
     * The entries of a list, each let go once it was given.
     *
     * @return iterable<int, array<string, mixed>>
     */
    public function entries(string $list): iterable
    {
        if ($this->lines !== null) {
            foreach ($this->rows($list) as $i => $row) {
                yield $i => $this->converted($list, self::row($row, $list.'/'.$i));
            }

            return;
        }
        $rows = $this->whole($list);
        unset($this->decoded[$list], $this->decoded[self::OLD_NAMES[$list] ?? '']);
        for ($i = 0, $n = count($rows); $i < $n; ++$i) {
            $row = self::row($rows[$i], $list.'/'.$i);
            $rows[$i] = null;
            yield $i => $this->converted($list, $row);
        }
    }

    /**
     * @param array<string, mixed> $row
     *
     * @return array<string, mixed>
     */
    private function converted(string $list, array $row): array
    {
        return $this->old?->convert($list, $row) ?? $row;
    }

    /** @return iterable<int, mixed> */
    private function rows(string $list): iterable
    {
        return $this->lines === null
            ? $this->whole($list) : $this->lines->entries($this->lines->has($list) ? $list : self::OLD_NAMES[$list] ?? '');
    }

    /** @return list<mixed> a list of a file that is held as a whole */
    private function whole(string $list): array
    {
        $rows = $this->decoded[$list] ?? $this->decoded[self::OLD_NAMES[$list] ?? ''] ?? [];

        return is_array($rows) && array_is_list($rows) ? $rows : throw Invalid::at($list, 'A list is wanted here.');
    }

    /** @param array<array-key, mixed> $decoded */
    private static function mustBeReadable(array $decoded): void
    {
        if (($decoded['format'] ?? null) !== Exporter::FORMAT) {
            throw Invalid::at('format', 'This is not a device file of Lustrum. Export a device to see what one looks like.');
        }
        if (!in_array($decoded['version'] ?? null, [...OldShape::VERSIONS, Exporter::VERSION], true)) {
            throw Invalid::at('version', sprintf(
                'This file has format version %s; this Lustrum reads versions 1 to %d.', Row::text($decoded['version'] ?? '?'),
                Exporter::VERSION,
            ));
        }
    }

    /** @param array<string, mixed> $row */
    private function identify(array $row, string $path): void
    {
        $id = $row['id'] ?? null;
        if (!is_string($id) || $id === '' || strlen($id) > 80) {
            throw Invalid::at($path.'/id', 'Each entry needs an identifier of its own.');
        }
        if (isset($this->ids[$id])) {
            throw Invalid::at($path.'/id', sprintf('The identifier “%s” is there twice.', $id));
        }
        $this->ids[$id] = Uuid::v7()->toRfc4122();
        if (count($this->ids) > self::MOST_RECORDS) {
            throw Invalid::at('', sprintf('At most %d records can be brought in at once.', self::MOST_RECORDS));
        }
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
