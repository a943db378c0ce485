<?php

declare(strict_types=1);

namespace Lustrum\Record;

/** Whoever must know what was written, at the end of the same transaction. */
interface AfterWrite
{
    /**
     * Called once, as the last thing in a writing transaction: it may take locks that others wait for.
     *
     * @param non-empty-list<Record<covariant RecordInput>> $records
     *
     * @return list<string> names of the sheets that became stale
     */
    public function written(array $records): array;
}
