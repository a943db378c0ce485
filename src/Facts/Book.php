<?php

declare(strict_types=1);

namespace Lustrum\Facts;

use Lustrum\Core\Judging\Baseline;
use Lustrum\Core\Judging\Build;
use Lustrum\Core\Judging\Cell;
use Lustrum\Core\Judging\ChangeSeen;
use Lustrum\Core\Judging\ChangesSeen;
use Lustrum\Core\Judging\CompareBuilds;
use Lustrum\Core\Judging\CompareOutcomes;
use Lustrum\Core\Judging\Device;
use Lustrum\Core\Judging\Evidence;
use Lustrum\Core\Judging\FailureFact;
use Lustrum\Core\Judging\Failures;
use Lustrum\Core\Judging\Figure;
use Lustrum\Core\Judging\Forecasts;
use Lustrum\Core\Judging\Gathered;
use Lustrum\Core\Judging\Lineage;
use Lustrum\Core\Judging\Own;
use Lustrum\Core\Judging\Seen;
use Lustrum\Core\Judging\SidesWithin;
use Lustrum\Core\Judging\Sightings;
use Lustrum\Core\Judging\TrialResults;
use Lustrum\Core\Judging\Tries;
use Lustrum\Core\Judging\Wanted;
use Lustrum\Core\Run\Alikeness;
use Lustrum\Core\Run\Configuration;
use Lustrum\Core\Run\RunFact;

/**
 * What is known of one device, as the core thinks of it. Loads only what is asked for, each thing once; what was worked
 * out from runs is kept as a summary until a write drops it.
 */
final class Book
{
    private ?Lineage $lineage = null;

    /** @var array<string, string>|null */
    private ?array $metrics = null;

    /** @var list<Wanted>|null */
    private ?array $wanted = null;

    /** @var array<string, Seen> by build */
    private array $seen = [];

    /** @var array<string, list<string>> by build */
    private array $stretches = [];

    /** @var array<string, array<string, Own>> by build, then requirement */
    private array $own = [];

    public function __construct(
        public readonly Device $device,
        private readonly DeviceFacts $facts,
        private readonly RunFacts $runFacts,
        private readonly KeptRuns $keptRuns,
        private readonly FailureFacts $failureFacts,
        private readonly Summaries $summaries,
        private readonly int $counter,
    ) {
    }

    public function lineage(): Lineage
    {
        return $this->lineage ??= $this->facts->lineage($this->device->id);
    }

    /** @return array<string, string> names of metrics by identifier */
    public function metrics(): array
    {
        return $this->metrics ??= $this->facts->metrics($this->device->id);
    }

    public function metric(string $id): string
    {
        return $this->metrics()[$id] ?? '';
    }

    /** @return list<string> names, in the order of the alphabet */
    public function metricNames(): array
    {
        $names = array_values($this->metrics());
        sort($names);

        return $names;
    }

    /** @return list<Wanted> requirements, in their order */
    public function wanted(): array
    {
        return $this->wanted ??= $this->facts->wanted($this->device);
    }

    public function build(string $id): Build
    {
        return $this->lineage()->build($id) ?? throw new \LogicException('That build is not of this device.');
    }

    /** Has it a finished run of its own? */
    public function isTried(Build $build): bool
    {
        return $this->stretches($build) !== [];
    }

    /** @return list<string> */
    private function stretches(Build $build): array
    {
        return $this->stretches[$build->id] ??= $this->keptRuns->stretches($build->id);
    }

    /**
     * @param list<string> $stretches
     *
     * @return list<RunFact>
     */
    private function runsWithin(Build $build, array $stretches): array
    {
        return $this->keptRuns->ofStretches($this->device->id, $this->counter, $build->id, $stretches);
    }

    /** @return array<string, Own> by requirement */
    public function own(Build $build): array
    {
        return $this->own[$build->id] ??= $this->kept('evidence', [$build], function () use ($build): array {
            $gathered = $this->gathered($build);
            $own = [];
            foreach ($this->wanted() as $wanted) {
                $own[$wanted->id] = Evidence::judge($wanted, $build, array_column($gathered, $wanted->id));
            }

            return $own;
        });
    }

    /** @return array<string, array<string, array{Gathered, Gathered}>> what each stretch of a build's runs says, by requirement */
    private function gathered(Build $build): array
    {
        return $this->byPart('gathered', $build, $this->stretches($build), function (array $missing) use ($build): array {
            $out = array_fill_keys($missing, []);
            foreach ($this->byStretch($build, $missing) as $stretch => $runs) {
                $of = RunFact::byMetric($runs);
                foreach ($this->wanted() as $wanted) {
                    $out[$stretch][$wanted->id] = Evidence::gather($wanted, $build, $of[$wanted->metric] ?? []);
                }
            }

            return $out;
        });
    }

    /** What the runs of a build say of every metric, put together from what each stretch of them says. */
    private function seen(Build $build): Seen
    {
        if (isset($this->seen[$build->id])) {
            return $this->seen[$build->id];
        }
        $hashes = $this->runFacts->hashes;
        $parts = $this->byPart('seen', $build, $this->stretches($build), fn (array $missing): array => array_map(
            static fn (array $runs): Sightings => Sightings::gather($runs, static fn (Configuration $c): string => $hashes[$c]),
            $this->byStretch($build, $missing),
        ));
        $made = array_merge(...array_map(static fn (Sightings $s): array => $s->made(), array_values($parts)));

        return $this->seen[$build->id] = Seen::of(
            array_values($parts), $this->runFacts->configurations(array_values(array_unique($made))),
        );
    }

    /**
     * @param list<string> $stretches
     *
     * @return array<string, list<RunFact>> finished ones, by stretch
     */
    private function byStretch(Build $build, array $stretches): array
    {
        $out = array_fill_keys($stretches, []);
        foreach ($this->keptRuns->ofStretches($this->device->id, $this->counter, $build->id, $stretches) as $run) {
            $out[KeptRuns::stretch($run->trial, $run->number)][] = $run;
        }

        return $out;
    }

    /**
     * What is worked out of parts of a build's runs, each by itself: a write to one has only that one done again.
     *
     * @template T
     *
     * @param list<string>                           $parts   trials, or stretches of them
     * @param callable(list<string>): array<string, T> $workOut by part, of those that are not kept
     *
     * @return array<string, T> by part, in the order of their names
     */
    private function byPart(string $what, Build $build, array $parts, callable $workOut): array
    {
        /** @var array<string, T> $known */
        $known = iterator_to_array($this->summaries->ofParts($this->device->id, $what, $parts));
        $missing = array_values(array_diff($parts, array_keys($known)));
        if ($missing !== []) {
            $fresh = $workOut($missing);
            $this->summaries->keepParts($this->device->id, $this->counter, $what, $build->id, $fresh);
            $known += $fresh;
        }
        ksort($known);

        return $known;
    }

    /** @return list<Cell> one for each requirement */
    public function cells(Build $build): array
    {
        $this->fetchOwn();

        return array_map(fn (Wanted $w): Cell => Evidence::cell($w, $build, $this->lineage(), $this->own(...)), $this->wanted());
    }

    /** What is kept of all builds, in one query rather than one a build. */
    private function fetchOwn(): void
    {
        if ($this->own !== []) {
            return;
        }
        foreach ($this->summaries->all($this->device->id, 'evidence') as $id => $own) {
            if (is_array($own)) {
                /** @var array<string, Own> $own */
                $this->own[$id] = $own;
            }
        }
    }

    public function comparisons(): CompareBuilds
    {
        return new CompareBuilds($this->wanted(), $this->metrics(), $this->device->confidence);
    }

    /** How a build stands to another: values and shares. */
    public function against(Build $build, Build $other): Against
    {
        return $this->kept('against', [$build, $other], function () use ($build, $other): Against {
            [$here, $there] = [$this->chosen($build), $this->chosen($other)];

            return new Against(
                $this->comparisons()->all($build, $here, $other, $there),
                CompareOutcomes::all($build, $here, $other, $there, $this->device->confidence),
            );
        });
    }

    /** @return list<SidesWithin> of a build: arms, articles, lots, raters against each other */
    public function sidesWithin(Build $build): array
    {
        return $this->kept('sides', [$build], function () use ($build): array {
            $units = Forecasts::units($this->wanted());
            $seen = $this->seen($build);
            $wanted = array_values(array_unique(array_map(static fn (Wanted $w): string => $w->metric, $this->wanted())));

            // What is asked for first, then whatever else was measured.
            return SidesWithin::of(
                $seen, array_values(array_unique([...array_intersect($wanted, $seen->metrics()), ...$seen->metrics()])), static fn (string $metric): string => $units[$metric] ?? '',
                $this->device->confidence,
            );
        });
    }

    /** What stands for a build where it is compared: of one with arms the arm that was chosen, and nothing before that. */
    private function chosen(Build $build): Seen
    {
        return $build->arms === [] ? $this->seen($build) : $this->seen($build)->ofArm($build->chosenArm === '' ? "\x1f" : $build->chosenArm);
    }

    /** How often a build holds, where there is nothing to compare it with. */
    public function alone(Build $build): Against
    {
        return $this->kept('alone', [$build], fn (): Against => new Against(
            [], CompareOutcomes::all($build, $this->chosen($build), null, null, $this->device->confidence),
        ));
    }

    /** @return list<ChangeSeen> what came of the changes of a build */
    public function changesSeen(Build $build): array
    {
        if ($build->changes === []) {
            return [];
        }
        $parent = $this->lineage()->parent($build);

        return $this->kept('changes', $parent === null ? [$build] : [$build, $parent], fn (): array => (
            new ChangesSeen($this->comparisons(), $this->device->confidence)
        )->of($build, $this->chosen($build), $parent === null ? Seen::ofRuns([]) : $this->chosen($parent)));
    }

    /** @return array<string, Baseline> by metric */
    public function baselines(Build $build): array
    {
        return $this->kept('baselines', [$build], fn (): array => Baseline::of($build, $this->chosen($build), $this->wanted()));
    }

    /** @return array<string, TrialResults> by trial */
    public function trialResults(Build $build): array
    {
        $stretches = [];
        foreach ($this->stretches($build) as $stretch) {
            $stretches[KeptRuns::trial($stretch)][] = $stretch;
        }

        return $this->byPart('trials', $build, array_keys($stretches), function (array $missing) use ($build, $stretches): array {
            $units = Forecasts::units($this->wanted());
            $runs = [];
            $these = array_merge(...array_map(static fn (string $trial): array => $stretches[$trial], $missing));
            foreach ($this->runsWithin($build, $these) as $run) {
                $runs[$run->trial][] = $run;
            }

            return array_map(fn (array $of): TrialResults => TrialResults::of($of, $units, $this->device->confidence), $runs);
        });
    }

    /** All failures of the device, and what runs say of whether each build holds. */
    public function failures(): Failures
    {
        $tried = $keys = [];
        foreach ($this->lineage()->builds as $id => $build) {
            foreach ($this->tries($build) as $tries) {
                foreach ($tries->groups as $group) {
                    $tried[$id][] = $group;
                    $keys[$group->made] = true;
                }
            }
        }
        $failures = $this->failureFacts();
        foreach ($failures as $failure) {
            $keys += $failure->made === '' ? [] : [$failure->made => true];
        }
        $made = $this->runFacts->configurations(array_map(strval(...), array_keys($keys)));

        return new Failures($this->lineage(), $failures, $tried, $made, $this->device->confidence);
    }

    /** @return array<string, Tries> by stretch of the build's runs */
    private function tries(Build $build): array
    {
        $hashes = $this->runFacts->hashes;

        return $this->byPart('tries', $build, $this->stretches($build), fn (array $missing): array => array_map(
            static fn (array $runs): Tries => Tries::gather($runs, static fn (Configuration $c): string => $hashes[$c]),
            $this->byStretch($build, $missing),
        ));
    }

    /** @return list<FailureFact> of the device, oldest first; they rest on the runs that they happened on, wherever those are */
    public function failureFacts(): array
    {
        $device = $this->device->id;

        return $this->summaries->kept(
            $device, $this->counter, Summaries::FAILURES, [$device], fn (): array => $this->failureFacts->all($device),
        );
    }

    /** @return array<string, Figure> what the channels of a run's trial came to, by metric, where there are two values or more */
    public function soFar(RunFact $run): array
    {
        return $this->kept('soFar', [$this->build($run->revision)], fn (): array => TrialResults::soFar(
            $run->configuration->channels, $this->runFacts->ofTrial($run->trial), $run, $this->device->confidence,
        ), $run->trial.':'.substr(hash('sha256', $run->configuration->hash().Alikeness::of($run)->cell), 0, 16));
    }

    /**
     * @template T
     *
     * @param list<Build>   $builds  that it rests on
     * @param callable(): T $workOut
     * @param string        $of      what else tells it from others of its kind
     *
     * @return T
     */
    private function kept(string $what, array $builds, callable $workOut, string $of = ''): mixed
    {
        return $this->summaries->kept(
            $this->device->id, $this->counter, $what, array_map(static fn (Build $b): string => $b->id, $builds), $workOut, $of,
        );
    }
}
