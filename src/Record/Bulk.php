<?php

declare(strict_types=1);

namespace Lustrum\Record;

use Doctrine\DBAL\Types\Type;
use Doctrine\ORM\EntityManagerInterface;
use Doctrine\ORM\Mapping\ClassMetadata;
use Doctrine\ORM\Query;
use Symfony\Component\Uid\Uuid;

/** Writes and reads many records of one kind in one statement, where the unit of work would take them one by one. */
final readonly class Bulk
{
    public function __construct(
        private EntityManagerInterface $em,
    ) {
    }

    /**
     * What they refer to is in the database already.
     *
     * @param list<Record<covariant RecordInput>> $records of one class; the unit of work does not know them afterwards
     */
    public function insert(array $records): void
    {
        if ($records === []) {
            return;
        }
        $meta = $this->em->getClassMetadata($records[0]::class);
        $columns = $this->columns($meta);
        $rows = [];
        foreach ($records as $record) {
            $cells = [];
            foreach ($columns as $name => $cell) {
                $cells[] = '"'.$name.'":'.$cell($record);
            }
            $rows[] = '{'.implode(',', $cells).'}';
        }
        $names = implode(', ', array_keys($columns));
        $table = $meta->getTableName();
        $this->em->getConnection()->executeStatement(
            "INSERT INTO $table ($names) SELECT $names FROM json_populate_recordset(CAST(NULL AS $table), CAST(? AS json))",
            ['['.implode(',', $rows).']'],
        );
    }

    /**
     * Reads many records in one query, so that others can refer to them; nobody looks whether they have changed since.
     *
     * @template T of Record
     *
     * @param class-string<T> $class
     * @param list<string>    $ids
     *
     * @return list<T>
     */
    public function fetch(string $class, array $ids): array
    {
        /** @var list<T> $found */
        $found = $ids === [] ? [] : $this->em->createQueryBuilder()->select('x')->from($class, 'x')->where('x.id IN (:ids)')
            ->setParameter('ids', $ids)->getQuery()->setHint(Query::HINT_READ_ONLY, true)->getResult();

        return $found;
    }

    /**
     * @param ClassMetadata<Record<covariant RecordInput>> $meta
     *
     * @return array<string, callable(object): string> by name of the column: its JSON of a record
     */
    private function columns(ClassMetadata $meta): array
    {
        $platform = $this->em->getConnection()->getDatabasePlatform();
        $out = [];
        foreach ($meta->fieldMappings as $field => $mapping) {
            $type = Type::getType($mapping->type);
            $read = $meta->getPropertyAccessor($field) ?? throw new \LogicException('A mapped field can be read.');
            $isJson = str_starts_with($type->getSQLDeclaration([], $platform), 'JSON');
            $out[$mapping->columnName] = static function (object $record) use ($type, $read, $platform, $isJson): string {
                $value = $type->convertToDatabaseValue($read->getValue($record), $platform);

                return $isJson && is_string($value) ? $value : self::json($value);
            };
        }
        foreach ($meta->associationMappings as $field => $mapping) {
            if ($mapping->isToOneOwningSide()) {
                $read = $meta->getPropertyAccessor($field) ?? throw new \LogicException('A mapped field can be read.');
                $out[$mapping->joinColumns[0]->name] = fn (object $record): string => $this->identifier($read->getValue($record));
            }
        }

        return $out;
    }

    private function identifier(mixed $other): string
    {
        $id = is_object($other) ? $this->em->getUnitOfWork()->getSingleIdentifierValue($other) : null;

        return self::json($id instanceof Uuid ? $id->toRfc4122() : $id);
    }

    private static function json(mixed $value): string
    {
        return json_encode($value, \JSON_THROW_ON_ERROR | \JSON_PRESERVE_ZERO_FRACTION);
    }
}
