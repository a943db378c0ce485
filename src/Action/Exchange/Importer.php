<?php

declare(strict_types=1);

namespace Lustrum\Action\Exchange;

use Doctrine\DBAL\Exception\UniqueConstraintViolationException;
use Doctrine\ORM\EntityManagerInterface;
use Lustrum\Account\CurrentUser;
use Lustrum\Account\Workspace;
use Lustrum\Action\Run\Configurations;
use Lustrum\Action\Run\RunBeginning;
use Lustrum\Core\CoreException;
use Lustrum\Core\Run\Row;
use Lustrum\Domain\Device\Device;
use Lustrum\Domain\Device\Metric;
use Lustrum\Domain\Revision\Revision;
use Lustrum\Domain\Trial\Run;
use Lustrum\Domain\Trial\StoredConfiguration;
use Lustrum\Record\AfterWrite;
use Lustrum\Record\History;
use Lustrum\Record\Inputs;
use Lustrum\Record\Kind;
use Lustrum\Record\Origin;
use Lustrum\Record\Record;
use Lustrum\Record\RecordInput;
use Lustrum\Record\Records;
use Lustrum\Record\Registry;
use Lustrum\Shared\Limit;
use Lustrum\Shared\Refusal\Invalid;
use Lustrum\Shared\Refusal\Refusal;
use Lustrum\Storage\Files;
use Symfony\Component\Uid\Uuid;

/**
 * Reads a device from its JSON file, under new identifiers, so that it can stand beside the one it came from.
 *
 * Each record goes the same way as one that was typed in: input, validation, entity. All or nothing is stored.
 */
final class Importer
{
    private const MOST_RECORDS = 250_000;

    /** Names of lists in files of format version 1. */
    private const OLD_NAMES = ['articles' => 'units'];

    /** @var array<string, string> identifier in the file => identifier here */
    private array $ids = [];

    /** @var array<string, mixed> configurations of the file by hash */
    private array $configurations = [];

    /** @var array<string, StoredConfiguration> by trial, article and content */
    private array $frozen = [];

    public function __construct(
        private readonly EntityManagerInterface $em,
        private readonly Records $records,
        private readonly Registry $registry,
        private readonly Inputs $inputs,
        private readonly Files $files,
        private readonly History $history,
        private readonly CurrentUser $user,
        private readonly AfterWrite $after,
        private readonly RunBeginning $runs,
        private readonly Configurations $stored,
    ) {
    }

    /**
     * @param array<array-key, mixed> $file
     *
     * @throws Invalid with the place in the file that is wrong
     */
    public function import(array $file, Workspace $workspace): ImportView
    {
        if (($file['format'] ?? null) !== Exporter::FORMAT) {
            throw Invalid::at('format', 'This is not a device file of Lustrum. Export a device to see what one looks like.');
        }
        if (!in_array($file['version'] ?? null, [1, Exporter::VERSION], true)) {
            throw Invalid::at(
                'version',
                sprintf(
                    'This file has format version %s; this Lustrum reads versions 1 and %d.', Row::text($file['version'] ?? '?'),
                    Exporter::VERSION,
                ),
            );
        }
        try {
            return $this->em->wrapInTransaction(fn (): ImportView => $this->take($file, $workspace));
        } catch (UniqueConstraintViolationException $e) {
            throw Invalid::at(self::place($e), 'Something in this list is there twice under one name, which nothing can tell apart.');
        } finally {
            $this->ids = $this->configurations = $this->frozen = [];
        }
    }

    /** @param array<array-key, mixed> $file */
    private function take(array $file, Workspace $workspace): ImportView
    {
        $kinds = array_filter($this->registry->kinds(), static fn (Kind $k): bool => $k->class !== Device::class);
        $lists = [];
        foreach ($kinds as $kind) {
            $lists[$kind->name] = self::rows($file, $kind->plural);
        }
        $row = self::row($file['device'] ?? null, 'device');
        $this->ids = self::identifiers(['device' => [$row]] + $lists, $kinds);
        $this->configurations = self::byHash($file['configurations'] ?? []);
        $device = $this->one($this->registry->of(Device::class), ['workspace' => $workspace->id()->toRfc4122()] + $row, 'device');
        if (!$device instanceof Device) {
            throw new \LogicException('A device was begun.');
        }
        $count = 1;
        $pictures = 0;
        foreach ($kinds as $kind) {
            foreach ($lists[$kind->name] as $i => $row) {
                $path = $kind->plural.'/'.$i;
                $this->one($kind, $kind->carriesFile ? $this->withFile($row, $path) : $row, $path);
                ++$count;
                $pictures += $kind->carriesFile ? 1 : 0;
            }
            if ($kind->class === Revision::class) {
                $this->parents($lists[$kind->name]);
            }
            $this->em->flush();
        }
        $this->history->created($device, $this->user->name());
        $this->history->happened(
            'import', $device->id(), $workspace, $this->user->name(),
            ['name' => $device->name(), 'records' => $count, 'pictures' => $pictures],
        );
        $this->em->flush();
        $this->after->written([$device]);

        return new ImportView($device->id()->toRfc4122(), $device->name(), $count, $pictures);
    }

    /**
     * @param array<string, mixed> $row
     *
     * @return Record<covariant RecordInput>
     */
    private function one(Kind $kind, array $row, string $path): Record
    {
        $id = Uuid::fromString(
            $this->ids[Row::text($row['id'] ?? '')] ?? throw Invalid::at($path.'/id', 'Each entry needs an identifier of its own.'),
        );
        $row = $this->mapped($kind, $row);
        try {
            $origin = Origin::read($row['origin'] ?? null);
            $input = $this->inputs->read($kind->input, $kind->class === Revision::class ? ['parent' => null] + $row : $row);
            $record = Record::of($kind->class, $id, $input, $this->records);
            if ($record instanceof Run) {
                $this->freeze($record, $row);
            }
            $record->fill($input, $this->records);
            $record->restore($row, $this->records);
            $record->cameFrom($origin);
        } catch (Invalid $e) {
            throw $e->under($path);
        } catch (Refusal $e) {
            throw Invalid::at($path, $e->getMessage());
        } catch (CoreException $e) {
            throw Invalid::at($path.'/'.$e->path, $e->getMessage());
        }
        $this->em->persist($record);

        return $record;
    }

    /**
     * A build may stand in the file before the one that it comes from.
     *
     * @param list<array<string, mixed>> $rows
     */
    private function parents(array $rows): void
    {
        $this->em->flush();
        foreach ($rows as $i => $row) {
            $parent = $row['parent'] ?? null;
            if ($parent === null) {
                continue;
            }
            $path = 'revisions/'.$i;
            try {
                $revision = $this->records->named(Revision::class, $this->ids[Row::text($row['id'])], 'id');
                $revision->comesFrom($this->records->named(Revision::class, $this->ids[Row::text($parent)] ?? '', 'parent'));
            } catch (Invalid $e) {
                throw $e->under($path);
            }
        }
    }

    /** @param array<string, mixed> $row */
    private function freeze(Run $run, array $row): void
    {
        $configuration = $row['configuration'] ?? null;
        if (is_string($configuration)) {
            $configuration = $this->configurations[$configuration] ?? throw Invalid::at(
                'configuration', 'The file has no such configuration.',
            );
        }
        if ($configuration === null) {
            $this->runs->freeze($run);

            return;
        }
        $number = Row::whole($row['number'] ?? 0);
        if ($number < 1 || $number > Limit::WHOLE) {
            throw Invalid::at('number', 'A run has a number from 1 on.');
        }
        // Files of version 1 keep the past of the article in the configuration.
        $past = static fn (string $key): int => Row::whole($row[$key] ?? (is_array($configuration) ? $configuration[$key] ?? 0 : 0));
        $run->freeze($this->frozen($configuration, $run), $number, max(0, $past('earlierRuns')), max(0, $past('earlierFailures')));
    }

    /** Runs of one trial and article share what they were made with: it is read and stored once. */
    private function frozen(mixed $configuration, Run $run): StoredConfiguration
    {
        $own = is_array($configuration) ? array_diff_key(
            $configuration, ['earlierRuns' => true, 'earlierFailures' => true],
        ) : $configuration;
        $key = $run->trial()->id()->toRfc4122().$run->article()?->id()->toRfc4122().hash('xxh128', serialize($own));

        return $this->frozen[$key] ??= $this->stored->stored(
            Frozen::read($configuration, $run, $this->metric(...), $this->runs->present(...)), $run->belongsTo(),
        );
    }

    /** The identifier here of a metric that a configuration names, by identifier or, in older files, by name. */
    private function metric(Run $run, string $named, string $unit): string
    {
        if ($named === '') {
            return '';
        }

        return Metric::named($this->ids[$named] ?? $named, $unit, $run->trial()->revision()->device(), $this->records)->id()->toRfc4122();
    }

    /**
     * The same with the identifiers of this workspace, and in the shape that a form sends.
     *
     * @param array<string, mixed> $row
     *
     * @return array<string, mixed>
     */
    private function mapped(Kind $kind, array $row): array
    {
        foreach (array_keys($kind->references) as $field) {
            $known = $row[$field] ?? null;
            if (is_string($known)) {
                $row[$field] = $this->ids[$known] ?? $known;
            }
        }

        return ['correction' => '', 'version' => null] + $kind->class::asTyped($row);
    }

    /**
     * @param array<string, mixed> $row
     *
     * @return array<string, mixed>
     */
    private function withFile(array $row, string $path): array
    {
        $encoded = $row['picture'] ?? null;
        $bytes = is_string($encoded) ? base64_decode($encoded, true) : false;
        if ($bytes === false || $bytes === '') {
            throw Invalid::at($path.'/picture', 'The file is missing or damaged.');
        }
        $file = (string) tempnam(sys_get_temp_dir(), 'lustrum');
        try {
            file_put_contents($file, $bytes);
            $stored = $this->files->takeWhole($file);
        } catch (Refusal $e) {
            throw Invalid::at($path.'/picture', $e->getMessage());
        } finally {
            @unlink($file);
        }

        return [
            'picture' => [
                'kind' => $stored->kind->value, 'takenAt' => $stored->takenAt ?? Row::textOrNull($row['takenAt'] ?? null),
            ] + get_object_vars($stored),
        ] + $row;
    }

    /**
     * A new identifier for each in the file.
     *
     * @param array<string, list<array<string, mixed>>> $lists
     * @param array<string, Kind>                       $kinds
     *
     * @return array<string, string>
     */
    private static function identifiers(array $lists, array $kinds): array
    {
        $ids = [];
        foreach ($lists as $kind => $rows) {
            foreach ($rows as $i => $row) {
                $path = isset($kinds[$kind]) ? $kinds[$kind]->plural.'/'.$i.'/id' : 'device/id';
                $id = $row['id'] ?? null;
                if (!is_string($id) || $id === '' || strlen($id) > 80) {
                    throw Invalid::at($path, 'Each entry needs an identifier of its own.');
                }
                if (isset($ids[$id])) {
                    throw Invalid::at($path, sprintf('The identifier “%s” is there twice.', $id));
                }
                $ids[$id] = Uuid::v7()->toRfc4122();
            }
        }

        return count($ids) <= self::MOST_RECORDS ? $ids : throw Invalid::at(
            '', sprintf('At most %d records can be brought in at once.', self::MOST_RECORDS),
        );
    }

    /**
     * @param array<array-key, mixed> $file
     *
     * @return list<array<string, mixed>>
     */
    private static function rows(array $file, string $list): array
    {
        $rows = $file[$list] ?? $file[self::OLD_NAMES[$list] ?? ''] ?? [];
        if (!is_array($rows) || !array_is_list($rows)) {
            throw Invalid::at($list, 'A list is wanted here.');
        }

        return array_map(static fn (mixed $row, int $i): array => self::row($row, $list.'/'.$i), $rows, array_keys($rows));
    }

    /** @return array<string, mixed> */
    private static function byHash(mixed $configurations): array
    {
        $out = [];
        foreach (is_array($configurations) ? $configurations : [] as $hash => $content) {
            $out[(string) $hash] = $content;
        }

        return $out;
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

    /** Which list a name stands twice in; the database says the table. */
    private static function place(UniqueConstraintViolationException $e): string
    {
        return preg_match('/"([a-z]+)_[a-z_]*"/', $e->getMessage(), $m) === 1 ? $m[1].'s' : '';
    }
}
