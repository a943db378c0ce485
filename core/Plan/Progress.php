<?php

declare(strict_types=1);

namespace Lustrum\Core\Plan;

use Lustrum\Core\Run\CountsFor;
use Lustrum\Core\Run\Factor;
use Lustrum\Core\Run\RunOutcome;

/**
 * How far the runs of a trial have filled its plan. What was lost in handling, set aside or void leaves its place open; what was
 * lost or set aside is counted, and so is what was left out before it was tried. What only wore or practised stands beside it.
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
        if ($layout->kind === PlanKind::Staircase) {
            return self::staircase($layout, $factors, $made);
        }
        $slots = $layout->slots($factors);
        $open = $filled = $lost = $aside = $beside = [];
        foreach ($slots as $i => $slot) {
            $open[self::key($factors, $layout, $slot->levels, $slot->arm)][] = $i;
        }
        $known = [];
        foreach ($made as $run) {
            $arm = $layout->arms === [] ? '' : $run->arm;
            // Runs of a plan say the same levels again and again: what they mean is read once.
            $key = $known[implode("\x1f", [...array_keys($run->levels), ...$run->levels, $arm])] ??= self::key(
                $factors, $layout, $run->levels, $arm,
            );
            $at = $open[$key][0] ?? null;
            $place = $at ?? array_key_last($slots);
            switch ($run->countsFor()) {
                case CountsFor::Void:
                    continue 2;
                case CountsFor::Lost:
                    $lost[$place] = ($lost[$place] ?? 0) + 1;
                    continue 2;
                case CountsFor::Aside:
                    $aside[$place] = ($aside[$place] ?? 0) + 1;
                    continue 2;
            }
            if ($at === null || !$run->hasPlace()) {
                $beside[] = $run;
                continue;
            }
            array_shift($open[$key]);
            $filled[$at] = $run;
        }

        return new self(array_map(
            static fn (Slot $slot, int $i): SlotSeen => new SlotSeen(
                $slot, $filled[$i] ?? null, $lost[$i] ?? 0, $aside[$i] ?? 0,
            ), $slots, array_keys($slots),
        ), $layout->leftOut, $beside);
    }

    /**
     * Up after a hold, down after a failure, from the middle; at either end it stays. A run stands where it was made, and the
     * next follows from the last one that held or failed (Dixon and Mood 1948).
     *
     * @param list<Factor> $factors
     * @param list<Made>   $made
     */
    private static function staircase(Layout $layout, array $factors, array $made): self
    {
        $rungs = $layout->rungs($factors);
        $keys = array_map(static fn (array $levels): string => self::key($factors, $layout, $levels, ''), $rungs);
        $at = intdiv(count($rungs) - 1, 2);
        $seen = $beside = [];
        $lost = $aside = 0;
        $slots = $layout->slots($factors);
        foreach ($made as $run) {
            switch ($run->countsFor()) {
                case CountsFor::Void:
                    continue 2;
                case CountsFor::Lost:
                    ++$lost;
                    continue 2;
                case CountsFor::Aside:
                    ++$aside;
                    continue 2;
            }
            $place = array_search(self::key($factors, $layout, $run->levels, ''), $keys, true);
            if ($place === false || !$run->hasPlace() || !isset($slots[count($seen)])) {
                $beside[] = $run;
                continue;
            }
            $number = count($seen) + 1;
            $seen[] = new SlotSeen(new Slot($number, $number, $rungs[$place], ''), $run, $lost, $aside);
            $lost = $aside = 0;
            $at = match ($run->outcome) {
                RunOutcome::Held => min(count($rungs) - 1, $place + 1),
                RunOutcome::Failed => max(0, $place - 1),
                default => $place,
            };
        }
        foreach (array_slice($slots, count($seen)) as $i => $slot) {
            $seen[] = $i === 0
                ? new SlotSeen(new Slot($slot->number, $slot->number, $rungs[$at], ''), null, $lost, $aside) : new SlotSeen($slot, null, 0);
        }

        return new self($seen, [], $beside);
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

    public function aside(): int
    {
        return array_sum(array_map(static fn (SlotSeen $s): int => $s->aside, $this->slots));
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
