<?php

declare(strict_types=1);

namespace Lustrum\Core\Judging;

use Lustrum\Core\Evidence\Requirement;

/** What a metric came to on a build, as what a forecast starts from. */
final readonly class Baseline
{
    /** @param float|null $drawnFrom the mean that was measured, where it was drawn in towards that of all variants */
    private function __construct(
        public string $metric,
        public float $mean,
        public string $unit,
        public int $decimals,
        public int $n,
        public string $level = '',
        public ?float $drawnFrom = null,
    ) {
    }

    /** @param array<array-key, list<Bunch>> $variants at the level that it stands on */
    private function drawnIn(string $chosen, array $variants): self
    {
        $shift = DrawnIn::shift($chosen, $variants, $this->unit);

        return $shift === null ? $this : new self(
            $this->metric, $this->mean + $shift, $this->unit, $this->decimals, $this->n, $this->level, $this->mean,
        );
    }

    /**
     * Stands on the same runs as the evidence: those that were made with the build as it is now, as far as it matters.
     *
     * @param list<Wanted> $wanted
     * @param Seen|null    $all    of a build whose arm was chosen, what its runs say of all arms; null: nothing was chosen
     *
     * @return array<string, self> by metric, in the unit of its requirement where there is one
     */
    public static function of(Build $build, Seen $seen, array $wanted, ?Seen $all = null): array
    {
        $units = Forecasts::units($wanted);
        $depends = Wanted::dependencies($wanted);
        $rules = [];
        foreach ($wanted as $one) {
            $rules[$one->metric] ??= $one->rule;
        }
        $out = $differs = [];
        $seen = $seen->asBuilt();
        foreach ($seen->metrics() as $metric) {
            $alike = [];
            foreach ($seen->read($metric) as $bunch) {
                $made = $bunch->circumstances->made;
                $differs[$made] ??= Differences::of($seen->configuration($made), $build);
                if (Differences::that($differs[$made], $depends[$metric] ?? [], $build->unrelated->to($metric)) === []) {
                    $alike[] = $bunch;
                }
            }
            $found = self::worst($metric, Measured::byCell($alike), $units[$metric] ?? '', $rules[$metric] ?? null);
            if ($found !== null) {
                $out[$metric] = $all === null ? $found : $found->drawnIn(
                    $build->chosenArm, self::byArm($build, $all->asBuilt(), $metric, $found),
                );
            }
        }

        return $out;
    }

    /** @return array<array-key, list<Bunch>> of each arm at the level that the baseline stands on */
    private static function byArm(Build $build, Seen $all, string $metric, self $found): array
    {
        $out = [];
        foreach (array_keys($build->arms) as $arm) {
            $out[$arm] = array_values(array_filter(
                $all->ofArm((string) $arm)->read($metric), static fn (Bunch $b): bool => $b->alike->said() === $found->level,
            ));
        }

        return $out;
    }

    /**
     * Of several levels the one that its requirement stands by: unlike runs have no mean. Where a bound puts a level on the wrong side,
     * nobody knows how far, and there is nothing to start from.
     *
     * @param list<non-empty-list<Bunch>> $cells
     * @param Requirement|null            $rule  null: nobody asks for it, and of several levels none is told
     */
    private static function worst(string $metric, array $cells, string $unit, ?Requirement $rule): ?self
    {
        $found = [];
        $margins = [];
        foreach ($cells as $bunches) {
            $m = Measured::of($bunches, $unit);
            $mean = $m->sample()?->mean;
            $margin = $rule === null ? 0.0 : ByCell::stands($rule, $mean, $m->bounded());
            if ($mean !== null || $margin < 0) {
                $margins[] = $margin;
                $found[] = $mean === null ? null : new self(
                    $metric, $mean, $m->unit, $m->decimals, count($m->values), $bunches[0]->alike->said(),
                );
            }
        }
        if ($margins === [] || ($rule === null && count($found) > 1)) {
            return null;
        }
        asort($margins);

        return $found[array_key_first($margins)];
    }
}
