<?php

declare(strict_types=1);

namespace Lustrum\Sheet\Weigh;

/** A difference that bears on a metric until somebody says otherwise. */
final readonly class BearingRow
{
    /**
     * @param string $revision of which it is said
     * @param string $what     'part:belt', 'parameter:gap', 'lot:wax', 'firmware'
     * @param string $name     as it is read
     * @param string $touch    what one touch says
     */
    public function __construct(
        public string $revision,
        public string $what,
        public string $name,
        public string $touch,
    ) {
    }
}
