<?php

declare(strict_types=1);

namespace Lustrum\Record;

use Symfony\Component\DependencyInjection\Attribute\AutoconfigureTag;
use Symfony\Component\Uid\Uuid;

/** What is written in one go with a record: all of it is kept, or nothing. */
#[AutoconfigureTag]
interface Along
{
    /** @return class-string */
    public static function of(): string;

    /**
     * @param Record<covariant RecordInput> $record as it is about to be written
     *
     * @return list<array{class-string<Record<covariant RecordInput>>, Uuid, RecordInput}>
     */
    public function along(Record $record, RecordInput $input): array;
}
