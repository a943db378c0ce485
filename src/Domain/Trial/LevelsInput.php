<?php

declare(strict_types=1);

namespace Lustrum\Domain\Trial;

use Lustrum\Shared\Choices;
use Lustrum\Shared\Name;

/** The levels that a plan gives one factor. */
final readonly class LevelsInput
{
    /** @param list<string> $levels */
    public function __construct(
        #[Name]
        public string $name,
        #[Choices]
        public array $levels = [],
    ) {
    }
}
