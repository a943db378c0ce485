<?php

declare(strict_types=1);

namespace Lustrum\Domain\Trial;

use Lustrum\Core\Run\Ended;
use Lustrum\Core\Run\Filled;
use Lustrum\Core\Run\Purpose;
use Lustrum\Core\Run\RunOutcome;
use Lustrum\Core\Setting\SettingResult;

final readonly class RunView
{
    /**
     * @param list<Found>  $conditions
     * @param list<Found>  $settings
     * @param list<Found>  $levels
     * @param list<Answered> $answers
     * @param list<string> $lookedFor
     * @param list<Found>  $others
     * @param list<Found>  $forecast  by channel, as it was said before the run
     * @param list<Amendment> $amendments earlier outcomes with why they were amended
     * @param float|null      $clockAhead seconds that the clock of the device was ahead when it began; null: nobody measured it
     * @param Filled|null     $filled     where its configuration was filled from afterwards; null: frozen when it began
     */
    public function __construct(
        public string $id,
        public int $version,
        public string $trial,
        public ?string $article,
        public int $number,
        public string $operator,
        public string $startedAt,
        public array $conditions,
        public array $settings,
        public array $levels,
        public string $note,
        public ?RunOutcome $outcome,
        public string $outcomeReason,
        public ?Ended $ended,
        public array $answers,
        public Purpose $purpose,
        public string $firmware,
        public array $lookedFor,
        public array $others,
        public string $person,
        public ?int $goes,
        public string $differs,
        public string $setAside,
        public bool $takenIn,
        public array $amendments,
        public ?Filled $filled,
        public string $by,
        public ?SignOff $ahead,
        public ?SettingResult $stands,
        public array $forecast,
        public ?string $clockAt,
        public ?float $lasted,
        public ?string $foundAt,
        public ?float $clockAhead,
        public string $state,
    ) {
    }
}
