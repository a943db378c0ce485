<?php

declare(strict_types=1);

namespace Lustrum\Action\Exchange;

use Doctrine\DBAL\Exception\UniqueConstraintViolationException;
use Doctrine\ORM\EntityManagerInterface;
use Lustrum\Account\CurrentUser;
use Lustrum\Account\Workspace;
use Lustrum\Action\Files\PreparingLines;
use Lustrum\Action\Files\Quota;
use Lustrum\Action\Run\Configurations;
use Lustrum\Action\Run\RunBeginning;
use Lustrum\Core\CoreException;
use Lustrum\Core\Run\Row;
use Lustrum\Core\Wording\AccountWords;
use Lustrum\Domain\Device\Device;
use Lustrum\Domain\Device\Metric;
use Lustrum\Domain\Document\Document;
use Lustrum\Domain\Document\DocumentRole;
use Lustrum\Domain\Revision\Revision;
use Lustrum\Domain\Trial\Run;
use Lustrum\Domain\Trial\StoredConfiguration;
use Lustrum\Record\AfterWrite;
use Lustrum\Record\Bulk;
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
use Lustrum\Shared\Refusal\NoSpace;
use Lustrum\Shared\Refusal\Refusal;
use Lustrum\Storage\Documents;
use Lustrum\Storage\FileKind;
use Lustrum\Storage\Files;
use Lustrum\Storage\StoredDocument;
use Lustrum\Storage\StoredFile;
use Symfony\Component\Uid\Uuid;

/**
 * Reads a device from its JSON file, under new identifiers, so that it can stand beside the one it came from.
 *
 * Each record goes the same way as one that was typed in: input, validation, entity. All or nothing is stored.
 */
final class Importer
{
    private const BATCH = 1000;

    /** Of so many records it tells each time. */
    private const TELLS = 500;

    private int $taken = 0;

    private ?Workspace $into = null;

    /** On whose word it is taken who made what; empty: on ours. */
    private string $by = '';

    /** @var (\Closure(int, int): void)|null */
    private ?\Closure $progress = null;

    /** @var array<string, string> identifier in the file => identifier here */
    private array $ids = [];

    /** @var array<string, mixed> configurations of the file by hash */
    private array $configurations = [];

    /** @var array<string, StoredFile|StoredDocument> what is to be prepared, by identifier of its record */
    private array $stored = [];

    /** @var array<string, StoredConfiguration> by trial, article and content */
    private array $frozen = [];

    public function __construct(
        private readonly EntityManagerInterface $em,
        private readonly Records $records,
        private readonly Registry $registry,
        private readonly Inputs $inputs,
        private readonly Files $files,
        private readonly Documents $documents,
        private readonly History $history,
        private readonly CurrentUser $user,
        private readonly AfterWrite $after,
        private readonly RunBeginning $runs,
        private readonly Configurations $kept,
        private readonly PreparingLines $lines,
        private readonly Quota $quota,
        private readonly Bulk $bulk,
    ) {
    }

    /** @return list<Kind> what a device file has lists of, in the order in which they are read */
    public function kinds(): array
    {
        return array_values(array_filter(
            $this->registry->kinds(), static fn (Kind $k): bool => $k->class !== Device::class && !$k->ofWorkspace,
        ));
    }

    /**
     * Reads a file of ours, whose word is taken for who made what.
     *
     * @throws Invalid with the place in the file that is wrong
     */
    public function importOurs(DeviceFile $file, Workspace $workspace): ImportView
    {
        return $this->under('', $file, $workspace, null);
    }

    /**
     * Reads a file that somebody brought: who made what is what the file says, and stands with whose word it is.
     *
     * @param callable(int, int): void|null $progress is told now and then how many records are taken, and of how many
     *
     * @throws Invalid with the place in the file that is wrong
     */
    public function import(DeviceFile $file, Workspace $workspace, ?callable $progress = null): ImportView
    {
        return $this->under($this->user->name(), $file, $workspace, $progress);
    }

    /** @param callable(int, int): void|null $progress */
    private function under(string $by, DeviceFile $file, Workspace $workspace, ?callable $progress): ImportView
    {
        $this->by = $by;
        $this->progress = $progress === null ? null : $progress(...);
        try {
            return $this->em->wrapInTransaction(fn (): ImportView => $this->take($file, $workspace, $this->kinds()));
        } catch (UniqueConstraintViolationException $e) {
            throw Invalid::at(self::place($e), 'Something in this list is there twice under one name, which nothing can tell apart.');
        } finally {
            $this->ids = $this->configurations = $this->frozen = $this->stored = [];
            $this->taken = 0;
            $this->progress = null;
        }
    }

    /** @param list<Kind> $kinds in the order in which they are read */
    private function take(DeviceFile $file, Workspace $workspace, array $kinds): ImportView
    {
        $this->into = $workspace;
        $this->ids = $file->ids;
        $this->configurations = $file->configurations;
        $device = $this->one($this->registry->of(Device::class), ['workspace' => $workspace->id()->toRfc4122()] + $file->device, 'device');
        if (!$device instanceof Device) {
            throw new \LogicException('A device was begun.');
        }
        $this->em->persist($device);
        $count = 1;
        $pictures = 0;
        foreach ($kinds as $kind) {
            $taken = $this->list($file, $kind);
            $count += $taken;
            $pictures += $kind->carriesFile ? $taken : 0;
        }
        $this->history->created($device, $this->user->name());
        $this->history->happened(
            'import', $device->id(), $workspace, $this->user->name(),
            ['name' => $device->name(), 'records' => $count, 'pictures' => $pictures],
        );
        $this->em->flush();
        $this->putInLine();
        $this->after->written([$device]);

        return new ImportView($device->id()->toRfc4122(), $device->name(), $count, $pictures);
    }

    private function workspace(): Workspace
    {
        return $this->into ?? throw new \LogicException('Nothing is being brought in.');
    }

    private function putInLine(): void
    {
        foreach ($this->stored as $id => $file) {
            $file instanceof StoredFile
                ? $this->lines->take(Uuid::fromString($id), $file) : $this->lines->document(Uuid::fromString($id), $file);
        }
    }

    /**
     * Reads one list, and writes it in batches; of the kinds of which there are many, only what a batch refers to is there.
     *
     * @return int how many there were
     */
    private function list(DeviceFile $file, Kind $kind): int
    {
        $count = 0;
        $parents = [];
        foreach ($this->batches($file, $kind) as $rows) {
            $fetched = $this->fetch($kind, $rows);
            $records = [];
            foreach ($rows as $i => $row) {
                $path = $kind->plural.'/'.$i;
                $records[] = $this->one($kind, $kind->carriesFile ? $this->withFile($kind, $row, $path) : $row, $path);
                if ($kind->class === Revision::class) {
                    $parents[] = $row;
                }
                $this->tell();
            }
            $this->write($kind, $records);
            if ($fetched !== []) {
                // What they refer to is let go, so nobody may look at them again when others are written.
                array_map($this->em->getUnitOfWork()->markReadOnly(...), $kind->numerous ? [] : $records);
                array_map($this->em->detach(...), $fetched);
            }
            $count += count($records);
        }
        if ($parents !== []) {
            $this->parents($parents);
        }

        return $count;
    }

    /** @return iterable<non-empty-array<int, array<string, mixed>>> entries by their place; those with a file one by one */
    private function batches(DeviceFile $file, Kind $kind): iterable
    {
        $most = $kind->carriesFile ? 1 : self::BATCH;
        $rows = [];
        foreach ($file->entries($kind->plural) as $i => $row) {
            $rows[$i] = $row;
            if (count($rows) === $most) {
                yield $rows;
                $rows = [];
            }
        }
        if ($rows !== []) {
            yield $rows;
        }
    }

    /**
     * What entries refer to of the kinds of which there are many: it was let go when it was written.
     *
     * @param array<int, array<string, mixed>> $rows
     *
     * @return list<Record<covariant RecordInput>>
     */
    private function fetch(Kind $kind, array $rows): array
    {
        $out = [];
        foreach ($kind->references as $field => $name) {
            $other = $this->registry->named($name);
            if ($other->numerous) {
                $ids = array_map(fn (array $row): string => $this->ids[Row::text($row[$field] ?? '')] ?? '', $rows);
                $out = [...$out, ...$this->bulk->fetch($other->class, array_values(array_unique(array_filter($ids))))];
            }
        }

        return $out;
    }

    private function tell(): void
    {
        if (++$this->taken % self::TELLS === 0 && $this->progress !== null) {
            ($this->progress)($this->taken, count($this->ids));
        }
    }

    /** @param list<Record<covariant RecordInput>> $records of one kind */
    private function write(Kind $kind, array $records): void
    {
        if (!$kind->numerous) {
            array_map($this->em->persist(...), $records);
        }
        if ($this->em->getUnitOfWork()->getScheduledEntityInsertions() !== []) {
            $this->em->flush();
        }
        if ($kind->numerous) {
            $this->bulk->insert($records);
        }
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
            $record->cameFrom($origin, $this->by);
        } catch (Invalid $e) {
            throw $e->under($path);
        } catch (Refusal $e) {
            throw Invalid::at($path, $e->getMessage());
        } catch (CoreException $e) {
            throw Invalid::at($path.'/'.$e->path, $e->getMessage());
        }

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
        $named = $configuration = $row['configuration'] ?? null;
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
        $run->freeze($this->frozen($named, $configuration, $run), $number, max(0, $past('earlierRuns')), max(0, $past('earlierFailures')));
    }

    /** Runs of one trial and article share what they were made with: it is read and stored once. */
    private function frozen(mixed $named, mixed $configuration, Run $run): StoredConfiguration
    {
        // Files of version 1 write it out in each run, with the past of the article, which is none of it.
        $own = is_array($named) ? hash('xxh128', serialize(
            array_diff_key($named, ['earlierRuns' => true, 'earlierFailures' => true]),
        )) : $named;
        $key = $run->trial()->id()->toRfc4122().$run->article()?->id()->toRfc4122().(is_string($own) ? $own : '');

        return $this->frozen[$key] ??= $this->kept->stored(
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
            if (str_contains($field, '.')) {
                $row = $this->mappedWithin($row, ...explode('.', $field, 2));
                continue;
            }
            $known = $row[$field] ?? null;
            if (is_string($known)) {
                $row[$field] = $this->ids[$known] ?? $known;
            } elseif (is_array($known)) {
                $row[$field] = array_map(fn (mixed $one): mixed => is_string($one) ? $this->ids[$one] ?? $one : $one, $known);
            }
        }

        return ['correction' => '', 'version' => null] + $kind->class::asTyped($this->authored($row));
    }

    /**
     * Whoever amended, agreed or looked did so as the file says, and on whose word that is.
     *
     * @param array<string, mixed> $row
     *
     * @return array<string, mixed>
     */
    private function authored(array $row): array
    {
        foreach ($this->by === '' ? [] : $row as $field => $value) {
            if (is_array($value) && $field !== 'origin') {
                array_walk_recursive($value, function (mixed &$said, int|string $key): void {
                    if ($key === 'by' && is_string($said) && $said !== '') {
                        $said = mb_substr(AccountWords::author($said, $this->by), 0, Limit::NAME);
                    }
                });
                $row[$field] = $value;
            }
        }

        return $row;
    }

    /**
     * A reference that stands in each row of a list.
     *
     * @param array<string, mixed> $row
     *
     * @return array<string, mixed>
     */
    private function mappedWithin(array $row, string $list, string $field): array
    {
        $row[$list] = array_map(function (array $one) use ($field): array {
            $known = $one[$field] ?? null;

            return is_string($known) ? [$field => $this->ids[$known] ?? $known] + $one : $one;
        }, Row::rows($row[$list] ?? []));

        return $row;
    }

    /**
     * @param array<string, mixed> $row
     *
     * @return array<string, mixed>
     */
    private function withFile(Kind $kind, array $row, string $path): array
    {
        $encoded = $row['picture'] ?? null;
        if ($encoded === '' && ($row['state'] ?? '') === 'away') {
            return ['picture' => self::away($row)] + $row;
        }
        if ($encoded === '' && in_array($row['state'] ?? '', ['waiting', 'broken'], true)) {
            // There was nothing to give out of it; its record says why.
            $kind = FileKind::tryFrom(Row::text($row['kind'] ?? '')) ?? FileKind::Picture;

            return ['picture' => ['kind' => $kind->value] + get_object_vars(new StoredFile('', 0, 0, 0, $kind))] + $row;
        }
        $bytes = is_string($encoded) ? base64_decode($encoded, true) : false;
        if ($bytes === false || $bytes === '') {
            throw Invalid::at($path.'/picture', 'The file is missing or damaged.');
        }
        $id = $this->ids[Row::text($row['id'] ?? '')] ?? throw Invalid::at($path.'/id', 'Each entry needs an identifier of its own.');
        $file = (string) tempnam(sys_get_temp_dir(), 'lustrum');
        try {
            file_put_contents($file, $bytes);
            if ($kind->class === Document::class) {
                $this->quota->mustHold($this->workspace(), strlen($bytes));
                $document = $this->documents->take(
                    $file, Row::text($row['name'] ?? ''), ($row['role'] ?? '') === DocumentRole::Source->value,
                );

                $this->stored[$id] = $document;

                return ['file' => ['preview' => $document->preview->value] + get_object_vars($document)] + $row;
            }
            $this->quota->mustHold($this->workspace(), strlen($bytes));
            $stored = $this->stored[$id] = $this->files->take($file, $id, Files::sha256($file));
        } catch (NoSpace $e) {
            throw $e;
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
     * What stays where it lies, as its record says.
     *
     * @param array<string, mixed> $row
     *
     * @return array<string, mixed>
     */
    private static function away(array $row): array
    {
        $kind = FileKind::tryFrom(Row::text($row['kind'] ?? '')) ?? FileKind::Clip;

        return ['kind' => $kind->value] + get_object_vars(new StoredFile(
            '', 0, 0, Row::whole($row['bytes'] ?? 0), $kind, Row::text($row['type'] ?? ''), Row::textOrNull($row['takenAt'] ?? null),
            Row::numberOrNull($row['seconds'] ?? null), Row::text($row['sha256'] ?? ''),
        ));
    }

    /** Which list a name stands twice in; the database says the table. */
    private static function place(UniqueConstraintViolationException $e): string
    {
        return preg_match('/"([a-z]+)_[a-z_]*"/', $e->getMessage(), $m) === 1 ? $m[1].'s' : '';
    }
}
