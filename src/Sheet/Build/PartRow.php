<?php

declare(strict_types=1);

namespace Lustrum\Sheet\Build;

use Lustrum\Domain\Revision\PartView;

/** A line of the parts list beside the parent's. */
final readonly class PartRow
{
    /** @param string $mark 'same', 'changed', 'new' or 'gone' */
    public function __construct(
        public PartView $part,
        public string $sum,
        public string $each,
        public string $mark,
        public string $differs,
    ) {
    }
}
