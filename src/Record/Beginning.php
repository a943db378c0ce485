<?php

declare(strict_types=1);

namespace Lustrum\Record;

use Symfony\Component\DependencyInjection\Attribute\AutoconfigureTag;
use Symfony\Component\Uid\Uuid;

/** Begins records of a kind that cannot begin alone: a run needs its number, its article's past, and its configuration. */
#[AutoconfigureTag]
interface Beginning
{
    /** @return class-string */
    public static function of(): string;

    /** @return Record<covariant RecordInput> not yet written */
    public function begin(Uuid $id, RecordInput $input): Record;
}
