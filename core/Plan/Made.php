<?php

declare(strict_types=1);

namespace Lustrum\Core\Plan;

use Lustrum\Core\Run\CountsFor;
use Lustrum\Core\Run\Purpose;
use Lustrum\Core\Run\RunOutcome;
use Lustrum\Core\Setting\SettingResult;

/** A run of a trial, as its plan looks at it. */
final readonly class Made
{
    /**
     * @param array<string, string> $levels  by factor, as recorded
     * @param RunOutcome|null       $outcome  null where it has not ended
     * @param array<string, string> $settings as found
     * @param SettingResult|null    $stands   where the setting stood that its trial is to find
     */
    public function __construct(
        public string $run,
        public int $number,
        public array $levels,
        public string $arm,
        public ?RunOutcome $outcome,
        public array $settings = [],
        public ?SettingResult $stands = null,
        public Purpose $purpose = Purpose::FindOut,
        public bool $isAside = false,
    ) {
    }

    public function countsFor(): CountsFor
    {
        return CountsFor::of($this->outcome, $this->purpose, $this->isAside);
    }

    /** Has it a place in the plan? One that is on its way keeps its place. */
    public function hasPlace(): bool
    {
        return $this->says() || $this->countsFor() === CountsFor::Open && $this->purpose === Purpose::FindOut;
    }

    public function says(): bool
    {
        return $this->countsFor() === CountsFor::Result;
    }
}
