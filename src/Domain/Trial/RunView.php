<?php

declare(strict_types=1);

namespace Lustrum\Domain\Trial;

use Lustrum\Core\Run\Filled;
use Lustrum\Core\Run\RunOutcome;

final readonly class RunView
{
    /**
     * @param list<Found>  $conditions
     * @param list<Found>  $settings
     * @param list<Amendment> $amendments earlier outcomes with why they were amended
     * @param Filled|null     $filled     where its configuration was filled from afterwards; null: frozen when it began
     */
    public function __construct(
        public string $id,
        public int $version,
        public string $trial,
        public ?string $article,
        public int $number,
        public string $operator,
        public string $position,
        public string $startedAt,
        public array $conditions,
        public array $settings,
        public string $note,
        public ?RunOutcome $outcome,
        public string $outcomeReason,
        public array $amendments,
        public ?Filled $filled,
        public string $by,
    ) {
    }
}
