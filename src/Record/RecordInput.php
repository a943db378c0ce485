<?php

declare(strict_types=1);

namespace Lustrum\Record;

/**
 * What a client sends to create or change a record. $version is the version that was edited; null for a new record.
 *
 * @property int|null $version
 */
interface RecordInput
{
}
