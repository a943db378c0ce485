<?php

declare(strict_types=1);

namespace Lustrum\Record;

/** What is called by a name that no other of its kind may have. */
interface Named
{
    public function name(): string;
}
