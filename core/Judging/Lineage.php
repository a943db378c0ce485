<?php

declare(strict_types=1);

namespace Lustrum\Core\Judging;

/** The builds of a device, for walking up and down; in the order of descent and time, never of identifiers. */
final readonly class Lineage
{
    /** @param array<string, Build> $builds by identifier, oldest first, none before its parent */
    private function __construct(
        public array $builds,
    ) {
    }

    /** @param list<Build> $builds in any order */
    public static function of(array $builds): self
    {
        usort($builds, static fn (Build $a, Build $b): int => [$a->madeAt, $a->letter] <=> [$b->madeAt, $b->letter]);
        $known = array_column($builds, null, 'id');
        $ordered = [];
        foreach ($builds as $build) {
            self::place($build, $known, $ordered);
        }

        return new self($ordered);
    }

    /**
     * @param array<string, Build> $known
     * @param array<string, Build> $ordered
     */
    private static function place(Build $build, array $known, array &$ordered): void
    {
        $line = [];
        // A parent that is not among them (withdrawn) is passed over; a circle in old data ends the walk.
        for ($at = $build; $at !== null && !isset($ordered[$at->id]) && !isset($line[$at->id]); $at = $known[$at->parent ?? ''] ?? null) {
            $line[$at->id] = $at;
        }
        foreach (array_reverse($line) as $id => $one) {
            $ordered[$id] = $one;
        }
    }

    public function build(string $id): ?Build
    {
        return $this->builds[$id] ?? null;
    }

    public function parent(Build $build): ?Build
    {
        return $this->builds[$build->parent ?? ''] ?? null;
    }

    /** @return list<Build> parent, grandparent … */
    public function ancestors(Build $build): array
    {
        $out = [];
        for ($above = $this->parent($build); $above !== null && count($out) < count($this->builds); $above = $this->parent($above)) {
            $out[] = $above;
        }

        return $out;
    }

    /** @return list<Build> that may stand between two which never met: what each comes from, nearest first, then the newest */
    public function around(Build $build, Build $other, int $most): array
    {
        $line = [...$this->ancestors($other), ...$this->ancestors($build), ...array_reverse(array_values($this->builds))];

        return array_slice(array_values(array_diff_key(
            array_column($line, null, 'id'), [$build->id => true, $other->id => true],
        )), 0, $most);
    }

    /** @return list<Build> all that come from this one, oldest first */
    public function descendants(Build $build): array
    {
        $below = [$build->id => true];
        $out = [];
        // Parents come first, so that one pass finds all.
        foreach ($this->builds as $one) {
            if (isset($below[$one->parent ?? ''])) {
                $below[$one->id] = true;
                $out[] = $one;
            }
        }

        return $out;
    }

    /** @return list<ChangeFact> changes from an ancestor to a build, nearest first */
    public function changesSince(Build $ancestor, Build $build): array
    {
        $out = [];
        foreach ([$build, ...$this->ancestors($build)] as $at) {
            if ($at->id === $ancestor->id) {
                break;
            }
            $out = [...$out, ...$at->changes];
        }

        return $out;
    }

    /** @return list<string> what bears on nothing of a metric, as it was said on the way from an ancestor to a build */
    public function unrelatedSince(Build $ancestor, Build $build, string $metric): array
    {
        $out = [];
        foreach ([$build, ...$this->ancestors($build)] as $at) {
            if ($at->id === $ancestor->id) {
                break;
            }
            $out = [...$out, ...$at->unrelated->to($metric)];
        }

        return $out;
    }

    /** How far a build is set in on the spine: nought on the line that goes on, one more for each branch that was left. */
    public function depth(Build $build): int
    {
        if ($build->branch === '') {
            return 0;
        }
        $parent = $this->parent($build);
        if ($parent === null) {
            return 0;
        }

        return $this->depth($parent) + ($parent->branch === $build->branch ? 0 : 1);
    }
}
