<?php

declare(strict_types=1);

namespace Lustrum\Sheet\Try;

use Lustrum\Core\Plan\SlotSeen;
use Lustrum\Core\Run\RunOutcome;
use Lustrum\Domain\Trial\Found;

/** A planned run, and what became of it. */
final readonly class SlotRow
{
    /**
     * @param list<Found>     $levels
     * @param string|null     $run     that it became; null: still to be made
     * @param RunOutcome|null $outcome of that run; null where it has not ended, or there is none
     * @param int             $lost    tries of it that were lost in handling
     */
    private function __construct(
        public int $number,
        public int $repeat,
        public array $levels,
        public string $arm,
        public string $text,
        public ?string $run,
        public ?RunOutcome $outcome,
        public int $lost,
    ) {
    }

    /** A run that tried a setting, or the one that is to try it next. */
    public static function trying(int $number, string $text, ?string $run, ?RunOutcome $outcome): self
    {
        return new self($number, 1, [], '', $text, $run, $outcome, 0);
    }

    public static function of(SlotSeen $s): self
    {
        return new self(
            $s->slot->number, $s->slot->repeat, PlanRow::found($s->slot->levels), $s->slot->arm, $s->slot->text(), $s->made?->run,
            $s->made?->outcome,
            $s->lost,
        );
    }
}
