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

    /** @var array<string, array<string, true>> identifiers of the failures of a mode */
    private array $ids;

    /** @var array<string, array<string, int>> how often a mode came on each build */
    private array $counts;

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
        $by = $ids = $counts = [];
        foreach ($failures as $failure) {
            $key = $failure->key();
            $by[$key][] = $failure;
            $ids[$key][$failure->id] = true;
            $counts[$key][$failure->build] = ($counts[$key][$failure->build] ?? 0) + 1;
        }
        [$this->byMode, $this->ids, $this->counts] = [$by, $ids, $counts];
    }

    public function status(FailureFact $failure): FailureStatus
    {
        $build = $this->lineage->build($failure->build);
        if ($build === null) {
            return FailureStatus::of([]);
        }
        $key = $failure->key();
        [$ids, $recurred] = [$this->ids[$key] ?? [], $this->counts[$key] ?? []];
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
        foreach ($this->byMode as $key => $failures) {
            $methods = [];
            foreach ($failures as $failure) {
                $methods[$failure->method ?? ''] = true;
            }
            unset($methods['']);
            $tried = array_map(static fn (array $byMethod): int => array_sum(array_intersect_key($byMethod, $methods)), $this->said);
            $modes[] = new Mode($failures[0]->mode, $failures[0]->place, $this->counts[$key] ?? [], $tried, count($failures));
        }
        usort($modes, static fn (Mode $a, Mode $b): int => $b->total <=> $a->total);

        return $modes;
    }
}
