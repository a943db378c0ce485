<?php

declare(strict_types=1);

namespace Lustrum\Core\Judging;

/** One mode of failure over all builds: where it gathers and where it vanishes. */
final readonly class Mode
{
    /**
     * @param string            $mode     as it was written first
     * @param array<string, int> $failures by build
     * @param array<string, array<string, array{failed: int, tried: int}>> $cells runs that could have shown it, by build and by what
     *     was asked and how hard
     * @param list<string>       $metrics  that those runs answer or read
     */
    public function __construct(
        public string $mode,
        public string $place,
        public array $failures,
        public int $total,
        public array $cells = [],
        public array $metrics = [],
    ) {
    }

    /** Runs of a build that could have shown it, with the methods that it was seen with. */
    public function tried(string $build): int
    {
        return array_sum(array_column($this->cells[$build] ?? [], 'tried'));
    }

    /**
     * Where it stands: the last build that showed it, and how often it was tried after.
     *
     * @return array{Build, int, bool} build, runs since, whether that build is the newest
     */
    public function last(Lineage $lineage): array
    {
        $last = null;
        $since = 0;
        $newest = false;
        foreach ($lineage->builds as $id => $build) {
            if (($this->failures[$id] ?? 0) > 0) {
                [$last, $since] = [$build, 0];
                $newest = true;
            } else {
                $since += $this->tried($id);
                $newest = false;
            }
        }

        return [$last ?? throw new \LogicException('A mode was seen on some build.'), $since, $newest];
    }
}
