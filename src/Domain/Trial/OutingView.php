<?php

declare(strict_types=1);

namespace Lustrum\Domain\Trial;

final readonly class OutingView
{
    /**
     * @param list<string> $people
     * @param list<string> $permits
     * @param list<string> $trials
     * @param list<string> $missed
     */
    public function __construct(
        public string $id,
        public int $version,
        public string $workspace,
        public string $place,
        public string $day,
        public ?float $hours,
        public array $people,
        public array $permits,
        public string $weather,
        public array $trials,
        public array $missed,
    ) {
    }
}
