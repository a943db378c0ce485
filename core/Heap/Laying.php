<?php

declare(strict_types=1);

namespace Lustrum\Core\Heap;

/**
 * Lays what was taken against runs by time alone. Within a run, it is of the run that it shares most of its time with;
 * else of the one that ended last before it, as what broke is looked at afterwards, or of the one that begins soon.
 */
final readonly class Laying
{
    /** Seconds after a run in which what is taken is most likely of it. */
    public const AFTER = 1800.0;

    /** Seconds before a run in which it is its set-up that was taken. */
    public const BEFORE = 600.0;

    /** @var list<Span> as they began */
    private array $runs;

    /** @param list<Span> $runs */
    public function __construct(array $runs)
    {
        usort($runs, static fn (Span $a, Span $b): int => [$a->from, $a->to, $a->run] <=> [$b->from, $b->to, $b->run]);
        $this->runs = $runs;
    }

    public function lay(Taken $taken): Laid
    {
        return $this->during($taken) ?? $this->after($taken) ?? $this->before($taken) ?? new Laid(Lies::Nowhere);
    }

    private function during(Taken $taken): ?Laid
    {
        $best = null;
        $most = -1.0;
        foreach ($this->runs as $run) {
            $shared = min($taken->to(), $run->to) - max($taken->from, $run->from);
            // A picture has no length: it lies within, and of two runs within the one that began last.
            if ($shared >= 0.0 && ($shared > $most || ($shared === $most && $taken->lasts === 0.0))) {
                [$best, $most] = [$run, $shared];
            }
        }

        return $best === null ? null : new Laid(Lies::During, $best->run, $taken->from - $best->from);
    }

    private function after(Taken $taken): ?Laid
    {
        $last = null;
        foreach ($this->runs as $run) {
            if ($run->to <= $taken->from && ($last === null || $run->to >= $last->to)) {
                $last = $run;
            }
        }
        $gap = $last === null ? null : $taken->from - $last->to;

        return $gap === null || $gap > self::AFTER ? null : new Laid(Lies::After, $last->run, $gap);
    }

    private function before(Taken $taken): ?Laid
    {
        foreach ($this->runs as $run) {
            $gap = $run->from - $taken->to();
            if ($gap >= 0.0) {
                return $gap > self::BEFORE ? null : new Laid(Lies::Before, $run->run, $gap);
            }
        }

        return null;
    }
}
