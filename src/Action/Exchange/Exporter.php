<?php

declare(strict_types=1);

namespace Lustrum\Action\Exchange;

use Doctrine\ORM\EntityManagerInterface;
use Lustrum\Core\Run\Row;
use Lustrum\Core\Wording\AccountWords;
use Lustrum\Domain\Device\Device;
use Lustrum\Domain\Document\Document;
use Lustrum\Domain\Finding\Photo;
use Lustrum\Record\Kind;
use Lustrum\Record\Origin;
use Lustrum\Record\Record;
use Lustrum\Record\RecordInput;
use Lustrum\Record\Registry;
use Lustrum\Shared\Instant;
use Lustrum\Storage\Files;

/**
 * Writes a whole device as JSON, piece by piece, each entry on a line of its own so that it can be read line by line; the
 * format is described in docs/guide/formats.md.
 */
final readonly class Exporter
{
    public const FORMAT = 'lustrum-device';
    public const VERSION = 3;

    private const BATCH = 500;
    private const BROUGHT_IN = 'brought in by';

    public function __construct(
        private EntityManagerInterface $em,
        private Registry $registry,
        private Files $files,
    ) {
    }

    /** @return iterable<string> pieces of the file, so that a large device is never held as one text */
    public function pieces(Device $device): iterable
    {
        yield "{\n".'"format":"'.self::FORMAT.'","version":'.self::VERSION.',"exportedAt":"'.gmdate(\DATE_ATOM).'",'."\n";
        yield '"device":'.self::json(self::row($device)).",\n";
        yield '"configurations":{'."\n".implode(",\n", $this->configurations($device))."\n}";
        foreach ($this->registry->kinds() as $kind) {
            if ($kind->class !== Device::class && !$kind->ofWorkspace) {
                yield ",\n".'"'.$kind->plural.'":['."\n";
                yield from $this->list($kind, $device);
                yield "\n]";
            }
        }
        yield "\n}\n";
    }

    /** @return list<string> each stored configuration once, by its hash */
    private function configurations(Device $device): array
    {
        $out = [];
        foreach ($this->em->getConnection()->iterateNumeric(
            'SELECT hash, content FROM configuration WHERE belongs_to = ? AND hash IN (SELECT configuration FROM run WHERE belongs_to = ?) ORDER BY hash',
            [$device->id()->toRfc4122(), $device->id()->toRfc4122()],
        ) as [$hash, $content]) {
            $out[] = self::json(Row::text($hash)).':'.Row::text($content);
        }

        return $out;
    }

    /** @return iterable<string> */
    private function list(Kind $kind, Device $device): iterable
    {
        $records = $this->em->createQuery('SELECT r FROM '.$kind->class.' r WHERE r.belongsTo = :device ORDER BY r.createdAt, r.id')
            ->setParameter('device', $device->id(), 'uuid')->toIterable();
        $count = 0;
        $piece = '';
        foreach ($records as $record) {
            if (!$record instanceof Record || !$record->goesOut()) {
                continue;
            }
            $piece .= ($count === 0 ? '' : ",\n").self::json(self::row($record) + $this->beside($record));
            // What nobody else refers to is let go, so that the memory does not grow with the device.
            if ($kind->numerous) {
                $this->em->detach($record);
            }
            if (++$count % self::BATCH === 0 || $record instanceof Photo || $record instanceof Document) {
                yield $piece;
                $piece = '';
            }
        }
        yield $piece;
    }

    /**
     * @param Record<covariant RecordInput> $record
     *
     * @return array<string, string>
     */
    private function beside(Record $record): array
    {
        if (!$record instanceof Photo && !$record instanceof Document) {
            return [];
        }

        return [
            'picture' => $this->files->has($record->sha256()) ? base64_encode(
                (string) stream_get_contents($this->files->open($record->sha256())),
            ) : '',
        ];
    }

    /**
     * @param Record<covariant RecordInput> $record
     *
     * @return array<string, mixed>
     */
    private static function row(Record $record): array
    {
        $origin = new Origin(Instant::write($record->createdAt()), $record->saidBy(), $record->version(), $record->withdrawnBecause());

        return $record->extra() + get_object_vars($record->view()) + ['origin' => $origin];
    }

    private static function json(mixed $value): string
    {
        $json = json_encode($value, \JSON_THROW_ON_ERROR | \JSON_UNESCAPED_UNICODE | \JSON_UNESCAPED_SLASHES | \JSON_PRESERVE_ZERO_FRACTION);

        // What a file said of who did something goes out as it said it; by whom it was brought in is said where it comes in.
        return str_contains($json, self::BROUGHT_IN) ? (string) preg_replace_callback(
            '/"by":("(?:[^"\\\\]|\\\\.)*'.self::BROUGHT_IN.'(?:[^"\\\\]|\\\\.)*")/',
            static fn (array $m): string => '"by":'.json_encode(
                AccountWords::said(Row::text(json_decode($m[1]))), \JSON_THROW_ON_ERROR | \JSON_UNESCAPED_UNICODE | \JSON_UNESCAPED_SLASHES,
            ), $json,
        ) : $json;
    }
}
