<?php

declare(strict_types=1);

namespace Lustrum\Facts;

use Lustrum\Core\Judging\FailureFact;
use Lustrum\Core\Judging\Failures;
use Lustrum\Core\Judging\Lineage;
use Lustrum\Core\Judging\Standings;
use Lustrum\Core\Judging\Tried;
use Lustrum\Core\Judging\Tries;
use Lustrum\Core\Run\Configuration;

/**
 * Where failures stand: kept for each build, and resting on the failures and the runs of all of them. A reading that is
 * amended changes neither what failed nor what a run was asked, and leaves it.
 */
final readonly class FailureBook
{
    private const TRIES = 'tries';

    public function __construct(
        private KeptRuns $keptRuns,
        private RunFacts $runFacts,
        private FailureFacts $failureFacts,
        private Summaries $summaries,
    ) {
    }

    /**
     * The first of each mode and place on each of these builds, for choosing from.
     *
     * @param list<string> $builds
     *
     * @return list<array{id: string, build: string, mode: string, place: string}> oldest first
     */
    public function toPick(array $builds): array
    {
        return $this->failureFacts->toPick($builds);
    }

    /** @param int $counter of the device, read before anything else of it */
    public function standings(string $device, int $counter, Lineage $lineage, float $confidence, string $build): Standings
    {
        return $this->summaries->kept($device, $counter, Summaries::STANDINGS, [$device], fn (): Standings => Standings::of(
            $this->all($device, $counter, $lineage, $confidence), $build,
        ), $build);
    }

    /** All failures of the device, and what runs say of whether each build holds. */
    private function all(string $device, int $counter, Lineage $lineage, float $confidence): Failures
    {
        $tried = $keys = [];
        foreach ($this->tries($device, $counter, $lineage) as $build => $groups) {
            if ($lineage->build($build) === null) {
                continue;
            }
            $tried[$build] = $groups;
            foreach ($groups as $group) {
                $keys[$group->made] = true;
            }
        }
        $failures = $this->failures($device, $counter, $lineage);
        foreach ($failures as $failure) {
            $keys += $failure->made === '' ? [] : [$failure->made => true];
        }
        $made = $this->runFacts->configurations(array_map(strval(...), array_keys($keys)));

        return new Failures($lineage, $failures, $tried, $made, $confidence, $this->failureFacts->outside($device));
    }

    /** @return list<FailureFact> of all builds, oldest first */
    private function failures(string $device, int $counter, Lineage $lineage): array
    {
        $of = $this->summaries->byBuild(
            $device, $counter, Summaries::FAILURES, array_map(strval(...), array_keys($lineage->builds)),
            fn (array $missing): array => $this->failureFacts->ofBuilds($device, $missing),
        );
        $all = array_merge(...array_values($of));
        usort($all, static fn (FailureFact $a, FailureFact $b): int => [$a->at, $a->id] <=> [$b->at, $b->id]);

        return $all;
    }

    /** @return array<string, list<Tried>> by build */
    private function tries(string $device, int $counter, Lineage $lineage): array
    {
        $of = $this->keptRuns->stretchesOf($device, $counter, array_map(strval(...), array_keys($lineage->builds)));
        $known = iterator_to_array($this->summaries->ofParts($device, self::TRIES, array_merge(...array_values($of))));
        $out = [];
        foreach ($of as $build => $stretches) {
            $fresh = $this->gather($device, $counter, $build, array_values(array_diff($stretches, array_keys($known))));
            foreach ($stretches as $stretch) {
                $tries = $fresh[$stretch] ?? $known[$stretch] ?? null;
                if ($tries instanceof Tries) {
                    $out[$build] = [...$out[$build] ?? [], ...$tries->groups];
                }
            }
        }

        return $out;
    }

    /**
     * @param list<string> $stretches of a build, of which nothing is kept
     *
     * @return array<string, Tries> by stretch
     */
    private function gather(string $device, int $counter, string $build, array $stretches): array
    {
        if ($stretches === []) {
            return [];
        }
        $hashes = $this->runFacts->hashes;
        $fresh = array_map(
            static fn (array $runs): Tries => Tries::gather($runs, static fn (Configuration $c): string => $hashes[$c]),
            $this->keptRuns->byStretch($device, $counter, $build, $stretches),
        );
        $this->summaries->keepParts($device, $counter, self::TRIES, [$build], $fresh);

        return $fresh;
    }
}
