<?php

declare(strict_types=1);

namespace Lustrum\Core\Footing;

/** An article with what it had been through before the first of these runs. */
final readonly class UnitPast
{
    /** @param string $state of the article; empty: a loose part, which is the real thing */
    public function __construct(
        public string $serial,
        public int $earlierRuns = 0,
        public int $earlierFailures = 0,
        public string $state = '',
    ) {
    }

    public function fresh(): bool
    {
        return $this->earlierRuns === 0 && $this->earlierFailures === 0;
    }
}
