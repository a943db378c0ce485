<?php

declare(strict_types=1);

namespace Lustrum\Core\Outing;

/** The stops of a day in their order: what breaks last, what is safe first, next to each other what shares a rig. */
final readonly class DayOut
{
    /**
     * @param list<Stop> $stops   in their order
     * @param list<Stop> $leftOut where time is short, in the order in which they were given up
     */
    private function __construct(
        public array $stops,
        public array $leftOut,
        public float $minutes,
    ) {
    }

    /**
     * @param list<Stop> $stops
     * @param float|null $most  minutes that there are; null: nobody said
     */
    public static function of(array $stops, ?float $most = null): self
    {
        $in = self::ordered(array_values(array_filter($stops, static fn (Stop $s): bool => $s->runs > 0)));
        $out = [];
        while ($most !== null && count($in) > 1 && self::take($in) > $most) {
            $last = self::least($in);
            $out[] = $in[$last];
            unset($in[$last]);
            $in = array_values($in);
        }

        return new self($in, $out, self::take($in));
    }

    /**
     * @param list<Stop> $stops
     *
     * @return list<Stop>
     */
    private static function ordered(array $stops): array
    {
        $key = static fn (Stop $s): array => [$s->breaks, $s->isAtRisk, $s->hazards > 0, $s->wears, $s->rig, $s->name, $s->trial];
        usort($stops, static fn (Stop $a, Stop $b): int => $key($a) <=> $key($b));

        return $stops;
    }

    /**
     * Minutes of all of them: what follows on the same rig is not set up anew.
     *
     * @param list<Stop> $stops
     */
    private static function take(array $stops): float
    {
        $minutes = 0.0;
        foreach ($stops as $i => $stop) {
            $isSame = $i > 0 && $stop->rig !== '' && $stops[$i - 1]->rig === $stop->rig;
            $minutes += $stop->minutes + ($isSame ? 0.0 : $stop->setUp);
        }

        return $minutes;
    }

    /**
     * Which is given up first: one that no must waits for, and of these the longest.
     *
     * @param non-empty-list<Stop> $stops
     */
    private static function least(array $stops): int
    {
        $worst = 0;
        foreach ($stops as $i => $stop) {
            $is = [!$stop->isMust, $stop->setUp + $stop->minutes];
            $worst = $is > [!$stops[$worst]->isMust, $stops[$worst]->setUp + $stops[$worst]->minutes] ? $i : $worst;
        }

        return $worst;
    }
}
