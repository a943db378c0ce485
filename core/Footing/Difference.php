<?php

declare(strict_types=1);

namespace Lustrum\Core\Footing;

/** One way in which two contexts differ. */
final readonly class Difference
{
    /**
     * @param string                    $what 'method', 'condition soil', 'lot of sheet' …
     * @param string                    $a    as it was on the earlier side
     * @param string                    $b    as it was on the later side
     * @param array<string, string|int> $with what the sentence about it names besides
     */
    public function __construct(
        public string $what,
        public string $a,
        public string $b,
        public Footing $weight,
        public Reason $reason,
        public array $with = [],
    ) {
    }
}
