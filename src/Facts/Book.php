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
use Lustrum\Core\Judging\Failures;
use Lustrum\Core\Judging\Figure;
use Lustrum\Core\Judging\Forecasts;
use Lustrum\Core\Judging\Lineage;
use Lustrum\Core\Judging\Own;
use Lustrum\Core\Judging\TrialResults;
use Lustrum\Core\Judging\Wanted;
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

    /** @var array<string, list<RunFact>> by build */
    private array $runs = [];

    /** @var array<string, array<string, Own>> by build, then requirement */
    private array $own = [];

    public function __construct(
        public readonly Device $device,
        private readonly DeviceFacts $facts,
        private readonly RunFacts $runFacts,
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

    /** @return list<RunFact> finished ones made on this build, in the order in which they were made */
    public function runsOf(Build $build): array
    {
        return $this->runs[$build->id] ??= $this->runFacts->ofBuild($build->id);
    }

    /** @return array<string, Own> by requirement */
    public function own(Build $build): array
    {
        return $this->own[$build->id] ??= $this->kept('evidence', [$build], function () use ($build): array {
            $runs = $this->runsOf($build);
            $own = [];
            foreach ($this->wanted() as $wanted) {
                $own[$wanted->id] = Evidence::own($wanted, $build, $runs);
            }

            return $own;
        });
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
            $here = $this->runsOf($build);
            $there = $this->runsOf($other);

            return new Against(
                $this->comparisons()->all($build, $here, $other, $there),
                CompareOutcomes::all($build, $here, $other, $there, $this->device->confidence),
            );
        });
    }

    /** How often a build holds, where there is nothing to compare it with. */
    public function alone(Build $build): Against
    {
        return $this->kept('alone', [$build], fn (): Against => new Against(
            [], CompareOutcomes::all($build, $this->runsOf($build), null, [], $this->device->confidence),
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
        )->of($build, $this->runsOf($build), $parent === null ? [] : $this->runsOf($parent)));
    }

    /** @return array<string, Baseline> by metric */
    public function baselines(Build $build): array
    {
        return $this->kept('baselines', [$build], fn (): array => Baseline::of($build, $this->runsOf($build), $this->wanted()));
    }

    /** @return array<string, TrialResults> by trial */
    public function trialResults(Build $build): array
    {
        return $this->kept('trials', [$build], function () use ($build): array {
            $byTrial = [];
            foreach ($this->runsOf($build) as $run) {
                $byTrial[$run->trial][] = $run;
            }
            $units = Forecasts::units($this->wanted());

            return array_map(fn (array $runs): TrialResults => TrialResults::of($runs, $units, $this->device->confidence), $byTrial);
        });
    }

    /** All failures of the device, and how often each build was tried. */
    public function failures(): Failures
    {
        $device = $this->device->id;
        $tried = $this->summaries->kept($device, $this->counter, 'tried', [$device], fn (): array => $this->failureFacts->tried($device));

        return $this->failureFacts->of($device, $this->lineage(), $tried);
    }

    /** @return array<string, Figure> what the channels of a run's trial came to, by metric, where there are two values or more */
    public function soFar(RunFact $run): array
    {
        return $this->kept('soFar', [$this->build($run->revision)], fn (): array => TrialResults::soFar(
            $run->configuration->channels, $this->runFacts->ofTrial($run->trial), $this->device->confidence,
        ), $run->trial.':'.substr($run->configuration->hash(), 0, 16));
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
