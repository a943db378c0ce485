<?php

declare(strict_types=1);

namespace Lustrum\Sheet\Workshop;

/** A part that has builds of its own. */
final readonly class ModuleRow
{
    /**
     * @param string $letter of the build that is carried
     * @param string $said   how that build stands, and whether there is a newer one
     */
    public function __construct(
        public string $part,
        public string $device,
        public string $name,
        public string $letter,
        public string $said,
    ) {
    }
}
