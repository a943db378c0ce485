<?php

declare(strict_types=1);

namespace Lustrum\Core\Footing;

/** An article with what it had been through before the first of these runs; or a loose part, of which only its state is known. */
final readonly class UnitPast
{
    /**
     * @param string $serial empty: it is no article, and nobody knows its past
     * @param string $state  empty: nobody said, and it is the real thing
     */
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
