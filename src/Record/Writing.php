<?php

declare(strict_types=1);

namespace Lustrum\Record;

use Symfony\Component\DependencyInjection\Attribute\AutoconfigureTag;
use Symfony\Component\Uid\Uuid;

/** Writes what takes more than the record itself: a decision opens a build, a correction goes through all its runs. */
#[AutoconfigureTag]
interface Writing
{
    /** Is this one of those? */
    public function takes(RecordInput $input): bool;

    public function put(Uuid $id, RecordInput $input): Written;
}
