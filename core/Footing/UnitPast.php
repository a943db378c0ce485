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

    /** A mock-up or a model stands for the real thing in some respect, and is not it. */
    public function isModel(): bool
    {
        return in_array($this->state, ['mockup', 'model'], true);
    }

    public function fresh(): bool
    {
        return $this->earlierRuns === 0 && $this->earlierFailures === 0;
    }
}
