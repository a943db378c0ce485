<?php

declare(strict_types=1);

namespace Lustrum\Record;

use Symfony\Component\DependencyInjection\Attribute\AutoconfigureTag;

/** A feature registers its kinds of record here, in the order in which they refer to each other. */
#[AutoconfigureTag]
interface Registration
{
    /** @return list<Kind> */
    public static function kinds(): array;
}
