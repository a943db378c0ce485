<?php

declare(strict_types=1);

namespace Lustrum\Core\Judging;

use Lustrum\Core\Failure\FailureStatus;
use Lustrum\Core\Failure\LaterRevision;

/** All failures of a device together: which modes there are, and where each failure stands. */
final readonly class Failures
{
    /** @var array<string, list<FailureFact>> by mode, oldest first */
    private array $byMode;

    /**
     * @param list<FailureFact>                $failures oldest first
     * @param array<string, array<string, int>> $held    runs that held, by build and method
     * @param array<string, array<string, int>> $said    runs that said something, by build and method
     */
    public function __construct(
        private Lineage $lineage,
        array $failures,
        private array $held,
        private array $said,
    ) {
        $by = [];
        foreach ($failures as $failure) {
            $by[$failure->key()][] = $failure;
        }
        $this->byMode = $by;
    }

    public function status(FailureFact $failure): FailureStatus
    {
        $build = $this->lineage->build($failure->build);
        if ($build === null) {
            return FailureStatus::of([]);
        }
        $twins = $this->byMode[$failure->key()] ?? [];
        $ids = array_flip(array_map(static fn (FailureFact $f): string => $f->id, $twins));
        $recurred = array_count_values(array_map(static fn (FailureFact $f): string => $f->build, $twins));
        $fixed = [$build->id => false];
        $later = [];
        // Parents come first, so that a fix is handed down as the builds are gone through.
        foreach ($this->lineage->descendants($build) as $one) {
            $own = array_filter($one->changes, static fn (ChangeFact $c): bool => $c->against !== null && isset($ids[$c->against]));
            $fixed[$one->id] = $own !== [] || ($fixed[$one->parent ?? ''] ?? false);
            $later[] = new LaterRevision($one->letter, $fixed[$one->id], $this->heldOn($one, $failure), $recurred[$one->id] ?? 0);
        }

        return FailureStatus::of($later);
    }

    /** @return list<FailureFact> of a build */
    public function on(string $build): array
    {
        $out = [];
        foreach ($this->byMode as $failures) {
            foreach ($failures as $failure) {
                if ($failure->build === $build) {
                    $out[] = $failure;
                }
            }
        }

        return $out;
    }

    private function heldOn(Build $build, FailureFact $failure): int
    {
        $byMethod = $this->held[$build->id] ?? [];

        return $failure->method === null ? array_sum($byMethod) : $byMethod[$failure->method] ?? 0;
    }

    /** @return list<Mode> most frequent first */
    public function modes(): array
    {
        $modes = [];
        foreach ($this->byMode as $failures) {
            $methods = array_unique(array_filter(array_map(static fn (FailureFact $f): ?string => $f->method, $failures)));
            $tried = [];
            foreach ($this->said as $build => $byMethod) {
                $tried[$build] = array_sum(array_intersect_key($byMethod, array_flip($methods)));
            }
            $modes[] = new Mode(
                $failures[0]->mode, $failures[0]->place,
                array_count_values(array_map(static fn (FailureFact $f): string => $f->build, $failures)), $tried, count($failures),
            );
        }
        usort($modes, static fn (Mode $a, Mode $b): int => $b->total <=> $a->total);

        return $modes;
    }
}
