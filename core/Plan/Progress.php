<?php

declare(strict_types=1);

namespace Lustrum\Core\Plan;

use Lustrum\Core\Run\Factor;
use Lustrum\Core\Run\RunOutcome;

/**
 * How far the runs of a trial have filled its plan. What was lost in handling or void leaves its place open; what was lost is
 * counted, and so is what was left out before it was tried.
 */
final readonly class Progress
{
    /**
     * @param list<SlotSeen> $slots   in their order
     * @param list<LeftOut>  $leftOut
     * @param list<Made>     $beside  runs that the plan does not have
     */
    private function __construct(
        public array $slots,
        public array $leftOut,
        public array $beside,
    ) {
    }

    /**
     * @param list<Factor> $factors of the method
     * @param list<Made>   $made    in their order
     */
    public static function of(Layout $layout, array $factors, array $made): self
    {
        $slots = $layout->slots($factors);
        $open = $filled = $lost = $beside = [];
        foreach ($slots as $i => $slot) {
            $open[self::key($factors, $layout, $slot->levels, $slot->arm)][] = $i;
        }
        foreach ($made as $run) {
            $key = self::key($factors, $layout, $run->levels, $layout->arms === [] ? '' : $run->arm);
            $at = $open[$key][0] ?? null;
            if ($run->outcome === RunOutcome::Void) {
                continue;
            }
            if ($run->outcome === RunOutcome::Lost) {
                $place = $at ?? array_key_last($slots);
                $lost[$place] = ($lost[$place] ?? 0) + 1;
                continue;
            }
            if ($at === null) {
                $beside[] = $run;
                continue;
            }
            array_shift($open[$key]);
            $filled[$at] = $run;
        }

        return new self(array_map(
            static fn (Slot $slot, int $i): SlotSeen => new SlotSeen($slot, $filled[$i] ?? null, $lost[$i] ?? 0), $slots, array_keys($slots),
        ), $layout->leftOut, $beside);
    }

    public function next(): ?Slot
    {
        foreach ($this->slots as $seen) {
            if ($seen->made === null) {
                return $seen->slot;
            }
        }

        return null;
    }

    public function tried(): int
    {
        return count(array_filter($this->slots, static fn (SlotSeen $s): bool => $s->made !== null));
    }

    public function lost(): int
    {
        return array_sum(array_map(static fn (SlotSeen $s): int => $s->lost, $this->slots));
    }

    /** @return list<Slot> still to be made */
    public function left(): array
    {
        return array_values(array_map(
            static fn (SlotSeen $s): Slot => $s->slot, array_filter($this->slots, static fn (SlotSeen $s): bool => $s->made === null),
        ));
    }

    /**
     * @param list<Factor>          $factors
     * @param array<string, string> $levels
     */
    private static function key(array $factors, Layout $layout, array $levels, string $arm): string
    {
        $key = mb_strtolower($arm);
        foreach ($factors as $factor) {
            if (isset($layout->levels[$factor->name])) {
                $key .= "\x1f".($factor->level($levels[$factor->name] ?? '')->key ?? '?');
            }
        }

        return $key;
    }
}
