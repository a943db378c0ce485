<?php

declare(strict_types=1);

namespace Lustrum\Core\Curve;

/** Something that is read off a course: a crossing, an end, or a mean. */
final readonly class Mark
{
    /**
     * @param float|null $value that is crossed
     * @param float|null $from  of a mean, in s; null: from the beginning
     * @param float|null $to    null: to the end
     * @param float|null $start  from which it is to begin; null: where it did
     * @param float|null $around in which surroundings; null: towards which it went
     */
    public function __construct(
        public MarkKind $kind,
        public ?float $value = null,
        public ?float $from = null,
        public ?float $to = null,
        public ?float $start = null,
        public ?float $around = null,
    ) {
    }

    /** In s for a moment, else in the unit of the course; null where the course does not say. */
    public function of(Samples $samples): ?float
    {
        return match ($this->kind) {
            MarkKind::First => $this->value === null ? null : Milestones::of($samples, [$this->value])[0],
            MarkKind::Last => $this->value === null ? null : self::last($samples, $this->value),
            MarkKind::Peak => $samples->range()[1],
            MarkKind::Lowest => $samples->range()[0],
            // It has an interval, and is worked out by itself.
            MarkKind::Standard => null,
            MarkKind::Mean => self::mean($samples, $this->from ?? $samples->t[0], $this->to ?? $samples->t[count($samples->t) - 1]),
        };
    }

    /** The first, seen from the other end. */
    private static function last(Samples $samples, float $value): ?float
    {
        $back = Samples::of(array_map(static fn (float $t): float => -$t, array_reverse($samples->t)), array_reverse($samples->y));
        $found = Milestones::of($back, [$value])[0];

        return $found === null ? null : -$found;
    }

    /** By trapezoids, so that values that were read seldom weigh by the time for which they stand. */
    private static function mean(Samples $samples, float $from, float $to): ?float
    {
        [$first, $end] = [$samples->t[0], $samples->t[count($samples->t) - 1]];
        if ($to <= $from || $from < $first || $to > $end) {
            return null;
        }
        $area = 0.0;
        for ($i = 1, $n = count($samples->t); $i < $n; ++$i) {
            [$a, $b] = [max($from, $samples->t[$i - 1]), min($to, $samples->t[$i])];
            if ($b > $a) {
                $area += ($b - $a) * (self::at($samples, $i, $a) + self::at($samples, $i, $b)) / 2;
            }
        }

        return $area / ($to - $from);
    }

    /** On the line that ends in the sample $i. */
    private static function at(Samples $samples, int $i, float $t): float
    {
        $span = $samples->t[$i] - $samples->t[$i - 1];

        return $samples->y[$i - 1] + ($samples->y[$i] - $samples->y[$i - 1]) * ($span > 0.0 ? ($t - $samples->t[$i - 1]) / $span : 1.0);
    }
}
