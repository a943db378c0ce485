<?php

declare(strict_types=1);

namespace Lustrum\Core\Judging;

use Lustrum\Core\Run\Parameter;
use Lustrum\Core\Run\Part;

/** One state of the design, as it is written down now. */
final readonly class Build
{
    /**
     * @param string           $madeAt     RFC 3339, so that builds can be put in the order of time
     * @param list<Parameter>  $parameters
     * @param list<Part>       $parts
     * @param list<ChangeFact> $changes    from the parent
     */
    public function __construct(
        public string $id,
        public string $letter,
        public ?string $parent,
        public string $branch,
        public string $firmware,
        public string $madeAt,
        public array $parameters = [],
        public array $parts = [],
        public array $changes = [],
    ) {
    }
}
