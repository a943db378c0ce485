<?php

declare(strict_types=1);

namespace Lustrum\Sheet\Workshop;

/** What an article that was made is read as. */
final class Finished
{
    public const METRIC = 'making time';
}
