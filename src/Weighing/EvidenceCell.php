<?php

declare(strict_types=1);

namespace Lustrum\Weighing;

use Lustrum\Core\Evidence\State;
use Lustrum\Core\Evidence\Texture;

/** What is shown of one requirement on one revision. */
final readonly class EvidenceCell
{
    /**
     * @param float|null   $bound             one-sided, in the unit of the requirement
     * @param string|null  $from              letter of the earlier revision whose evidence this is
     * @param list<string> $missingConditions
     * @param list<string> $runs              identifiers of the runs that it stands on
     */
    public function __construct(
        public string $requirement,
        public string $revision,
        public State $state,
        public Texture $texture,
        public ?Estimate $estimate,
        public ?float $bound,
        public ?float $probabilityMet,
        public ?int $runsNeeded,
        public array $missingConditions,
        public int $n,
        public int $bounds,
        public int $lost,
        public ?string $from,
        public string $sentence,
        public string $method,
        public array $runs,
    ) {
    }
}
