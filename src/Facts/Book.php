<?php

declare(strict_types=1);

namespace Lustrum\Facts;

use Lustrum\Core\Alike\Scale;
use Lustrum\Core\Evidence\Kind;
use Lustrum\Core\Evidence\State;
use Lustrum\Core\Judging\Baseline;
use Lustrum\Core\Judging\Build;
use Lustrum\Core\Judging\ByName;
use Lustrum\Core\Judging\Cell;
use Lustrum\Core\Judging\Chained;
use Lustrum\Core\Judging\ChangeSeen;
use Lustrum\Core\Judging\ChangesSeen;
use Lustrum\Core\Judging\CompareBuilds;
use Lustrum\Core\Judging\CompareOutcomes;
use Lustrum\Core\Judging\Device;
use Lustrum\Core\Judging\Evidence;
use Lustrum\Core\Judging\Figure;
use Lustrum\Core\Judging\Forecasts;
use Lustrum\Core\Judging\Gathered;
use Lustrum\Core\Judging\Lineage;
use Lustrum\Core\Judging\Look;
use Lustrum\Core\Judging\Measured;
use Lustrum\Core\Judging\MethodSpread;
use Lustrum\Core\Judging\MetricComparison;
use Lustrum\Core\Judging\OutcomeComparison;
use Lustrum\Core\Judging\Own;
use Lustrum\Core\Judging\Seen;
use Lustrum\Core\Judging\SidesWithin;
use Lustrum\Core\Judging\Sightings;
use Lustrum\Core\Judging\SpreadsBefore;
use Lustrum\Core\Judging\Standings;
use Lustrum\Core\Judging\Terms;
use Lustrum\Core\Judging\TrialPiece;
use Lustrum\Core\Judging\TrialPlan;
use Lustrum\Core\Judging\TrialResults;
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
    /** So many builds are tried as the one that two others met. */
    private const THIRDS = 4;

    /** What a device knows of repeats, all builds together. */
    private const OF_DEVICE = 'repeatsOfAll';

    /** So many stretches of runs are held open. */
    private const REMEMBERED = 8;

    private ?Lineage $lineage = null;

    /** @var array<string, string>|null */
    private ?array $metrics = null;

    /** @var list<Wanted>|null */
    private ?array $wanted = null;

    /** @var array<string, Seen> by build */
    private array $seen = [];

    /** @var array{string, array<string, list<RunFact>>} the stretches that were read last: which, and their runs */
    private array $fresh = ['', []];

    /** @var array<string, list<string>>|null by build */
    private ?array $stretches = null;

    /** @var array<string, array{low: ?float, high: ?float, scale: ?Scale, computed: bool, words: list<string>, count: bool}>|null by metric */
    private ?array $scales = null;

    /** @var array<string, list<TrialPlan>>|null by build */
    private ?array $plans = null;

    /** @var array<string, array<string, array<string, MethodSpread>>>|null by build, metric and how it was measured */
    private ?array $spreads = null;

    private ?SpreadsBefore $before = null;

    /** @var array<string, list<MethodSpread>>|null of other devices of the workspace, by how */
    private ?array $elsewhere = null;

    /** @var array<string, array<string, Own>> by build, then requirement */
    private array $own = [];

    private bool $hasAllOwn = false;

    /** @var array<string, Book> by device */
    private array $modules = [];

    /** @var array{array<string, string>, array<string, string>}|null devices of what is shown by modules, and of the modules */
    private ?array $moduleDevices = null;

    /** @param \Closure(string): Book $other opens the book of a module */
    public function __construct(
        public readonly Device $device,
        private readonly DeviceFacts $facts,
        private readonly RunFacts $runFacts,
        private readonly KeptRuns $keptRuns,
        private readonly FailureBook $failures,
        private readonly Summaries $summaries,
        private readonly int $counter,
        private readonly \Closure $other,
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

    /** @return list<string> metrics that people rate */
    public function rated(): array
    {
        return array_values(array_unique(array_map(
            static fn (Wanted $w): string => $w->metric,
            array_filter($this->wanted(), static fn (Wanted $w): bool => $w->kind() === Kind::Rating),
        )));
    }

    /** @return list<string> of all builds: what is kept of each is fetched for all at once */
    private function buildIds(): array
    {
        return array_map(strval(...), array_keys($this->lineage()->builds));
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
        return ($this->stretches ??= $this->keptRuns->stretchesOf($this->device->id, $this->counter, $this->buildIds()))[$build->id];
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
        if (isset($this->own[$build->id])) {
            return $this->own[$build->id];
        }
        $of = [];
        foreach ($this->wanted() as $wanted) {
            $of[$wanted->metric][] = $wanted;
        }
        $metrics = array_map(strval(...), array_keys($of));
        $known = $this->byMetric('evidence', [$build], $metrics, function (array $missing) use ($build, $of): array {
            $gathered = $this->gathered($build);
            $out = [];
            foreach ($missing as $metric) {
                foreach ($of[$metric] ?? [] as $wanted) {
                    $out[$metric][$wanted->id] = Evidence::judge(
                        $wanted, $build, self::pieces($gathered, $wanted->id), $this->knowing($metric, $build),
                    );
                }
            }

            return $out;
        }, $this->stamp($build));

        return $this->own[$build->id] = array_merge(...array_values($known));
    }

    /** @return array<string, ByName<array{Gathered, Gathered}>> what each stretch of a build's runs says, by requirement */
    private function gathered(Build $build): array
    {
        return $this->byPart('gathered', $build, $this->stretches($build), function (array $missing) use ($build): array {
            $out = [];
            foreach ($this->byStretch($build, $missing) as $stretch => $runs) {
                $of = RunFact::byMetric($runs);
                $out[$stretch] = new ByName(array_map(
                    static fn (Wanted $w): array => Evidence::gather($w, $build, $of[$w->metric] ?? []),
                    array_column($this->wanted(), null, 'id'),
                ));
            }

            return $out;
        });
    }

    /**
     * @param array<string, ByName<array{Gathered, Gathered}>> $gathered
     *
     * @return list<array{Gathered, Gathered}>
     */
    private static function pieces(array $gathered, string $requirement): array
    {
        return array_values(array_filter(array_map(static fn (ByName $of): ?array => $of->get($requirement), $gathered)));
    }

    /**
     * @param list<string> $stretches
     *
     * @return array<string, list<RunFact>> by stretch; those asked for last are remembered, since a write has several things of one done again
     */
    private function byStretch(Build $build, array $stretches): array
    {
        $key = implode(',', [$build->id, ...$stretches]);
        if (count($stretches) > self::REMEMBERED) {
            return $this->keptRuns->byStretch($this->device->id, $this->counter, $build->id, $stretches);
        }
        if ($this->fresh[0] !== $key) {
            $this->fresh = [$key, $this->keptRuns->byStretch($this->device->id, $this->counter, $build->id, $stretches)];
        }

        return $this->fresh[1];
    }

    /** What the runs of a build say of every metric, put together from what each stretch of them says. */
    private function seen(Build $build): Seen
    {
        return $this->seen[$build->id] ??= $this->together(array_values($this->sightings($build)));
    }

    /** The same of a build that another is compared with: while nothing is written to it, one row rather than one a stretch. */
    private function whole(Build $build): Seen
    {
        return $this->seen[$build->id] ??= $this->together([
            $this->kept('whole', [$build], fn (): Sightings => Sightings::together(array_values($this->sightings($build)))),
        ]);
    }

    /** @return array<string, list<string>> what bears on nothing of a metric, by metric */
    private function unrelated(Build $build): array
    {
        return $build->unrelated->all(Wanted::dependencies($this->wanted()));
    }

    /** @param list<Sightings> $some */
    private function together(array $some): Seen
    {
        $made = array_merge(...array_map(static fn (Sightings $s): array => $s->made, $some));

        return Seen::of($some, $this->runFacts->configurations(array_values(array_unique($made))));
    }

    /**
     * @param list<string>|null $stretches null: all of the build
     *
     * @return array<string, Sightings> what each stretch of a build's runs says of every metric, by stretch
     */
    private function sightings(Build $build, ?array $stretches = null): array
    {
        $hashes = $this->runFacts->hashes;

        return $this->byPart('seen', $build, $stretches ?? $this->stretches($build), fn (array $missing): array => array_map(
            fn (array $runs): Sightings => Sightings::gather(
                $runs, static fn (Configuration $c): string => $hashes[$c], $this->unrelated($build),
            ),
            $this->byStretch($build, $missing),
        ));
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
            $this->summaries->keepParts($this->device->id, $this->counter, $what, [$build->id], $fresh);
            $known += $fresh;
        }
        ksort($known);

        return $known;
    }

    /**
     * What is worked out of the runs of one metric each: a write to a run has only what it reads or answers done again.
     *
     * @template T
     *
     * @param list<Build>                              $builds  that it rests on
     * @param list<string>                             $metrics
     * @param callable(list<string>): array<string, T> $workOut by metric, of those that are not kept
     * @param string                                   $stamp   what else it rests on; empty: nothing
     *
     * @return array<string, T> by metric, in the order in which they were asked for
     */
    private function byMetric(string $what, array $builds, array $metrics, callable $workOut, string $stamp = ''): array
    {
        $ids = self::ids($builds);
        $before = ($stamp === '' ? implode(':', $ids) : hash('xxh128', implode(':', [...$ids, $stamp]))).':';
        $known = [];
        $parts = array_map(static fn (string $metric): string => $before.$metric, $metrics);
        foreach ($this->summaries->ofParts($this->device->id, $what, $parts) as $part => $value) {
            /** @var T $value */
            $known[substr($part, strlen($before))] = $value;
        }
        $missing = array_values(array_diff($metrics, array_keys($known)));
        if ($missing !== []) {
            $fresh = $workOut($missing);
            $named = array_combine(array_map(static fn (string $metric): string => $before.$metric, array_keys($fresh)), $fresh);
            $this->summaries->keepParts($this->device->id, $this->counter, $what, $ids, $named);
            $known += $fresh;
        }
        $out = [];
        foreach ($metrics as $metric) {
            if (isset($known[$metric])) {
                $out[$metric] = $known[$metric];
            }
        }

        return $out;
    }

    /** @return list<Cell> one for each requirement */
    public function cells(Build $build): array
    {
        $this->fetchOwn();

        return array_map(
            fn (Wanted $w): Cell => $w->byModule !== '' ? $this->ofModule($w, $build)
                : Evidence::cell($w, $build, $this->lineage(), $this->own(...)),
            $this->wanted(),
        );
    }

    /** What a requirement is shown by is the evidence of the module that the build carries. */
    private function ofModule(Wanted $wanted, Build $build): Cell
    {
        [$ofRequirement, $ofBuild] = $this->moduleDevices ??= [
            $this->facts->deviceOf('requirement', array_filter(array_map(static fn (Wanted $w): string => $w->byModule, $this->wanted()))),
            $this->facts->deviceOf('revision', array_merge(...array_map(
                static fn (Build $b): array => array_values($b->modules), array_values($this->lineage()->builds),
            ))),
        ];
        $of = $ofRequirement[$wanted->byModule] ?? '';
        $carried = array_filter($build->modules, static fn (string $id): bool => ($ofBuild[$id] ?? null) === $of);
        if ($of !== '' && $carried !== []) {
            $book = $this->modules[$of] ??= ($this->other)($of);
            $module = $book->build(array_values($carried)[0]);
            foreach ($book->cells($module) as $cell) {
                if ($cell->wanted->id !== $wanted->byModule) {
                    continue;
                }
                // What shows the stricter limit shows this one; what fails it may keep this one all the same.
                $told = $cell->state === State::Shown || $wanted->asksAs($cell->wanted) ? $cell : $book->cellAs(
                    $wanted->asOf($cell->wanted), $module,
                );

                return $told->carriedBy($wanted, $build, $book->device->name.' '.$module->letter);
            }
        }

        return Evidence::untold($wanted, $build);
    }

    /** A limit that this device does not ask itself, judged on its runs. */
    private function cellAs(Wanted $as, Build $build): Cell
    {
        if ($as->byModule !== '') {
            return $this->ofModule($as, $build);
        }

        // Kept under all that is asked for, since the other device may ask for something else by now.
        $key = hash('xxh128', serialize($as));

        return Evidence::cell($as, $build, $this->lineage(), fn (Build $of): array => [
            $as->id => $this->kept('cellAs', [$of], function () use ($as, $of): Own {
                $runs = RunFact::byMetric($this->runsWithin($of, $this->stretches($of)))[$as->metric] ?? [];

                return Evidence::judge($as, $of, [Evidence::gather($as, $of, $runs)], $this->knowing($as->metric, $of));
            }, $key.$this->stamp($of)),
        ]);
    }

    /** What is kept of all builds, a row each: a write to one has only its own put together again. */
    private function fetchOwn(): void
    {
        if ($this->hasAllOwn) {
            return;
        }
        $this->hasAllOwn = true;
        $this->own += $this->summaries->byBuild(
            $this->device->id, $this->counter, 'own', $this->buildIds(),
            fn (array $missing): array => array_combine($missing, array_map(
                fn (string $id): array => $this->own($this->build($id)), $missing,
            )),
            Dropped::READ, fn (string $id): string => $this->stamp($this->build($id)),
        );
    }

    /** On what terms a metric is judged, where these builds are what is looked at. */
    public function terms(string $metric, Build ...$builds): Terms
    {
        return $this->onScale($this->look([$metric], ...$builds), $this->scales()[$metric] ?? null);
    }

    /** The same with what the builds before them tell of how repeats of its method spread. */
    private function knowing(string $metric, Build ...$builds): Terms
    {
        return $this->terms($metric, ...$builds)->knowing($this->spread($metric, ...$builds));
    }

    /** How far repeats spread by what was measured before these builds; null where too little is known. */
    public function spread(string $metric, Build ...$builds): ?MethodSpread
    {
        return $this->before()->of($metric, self::ids($builds));
    }

    private function before(): SpreadsBefore
    {
        return $this->before ??= new SpreadsBefore($this->spreads(), $this->elsewhere(...));
    }

    /**
     * @param array<int|string, Build> $builds
     *
     * @return list<string>
     */
    private static function ids(array $builds): array
    {
        return array_values(array_map(static fn (Build $b): string => $b->id, $builds));
    }

    /**
     * @param int|null    $edition of the method; null: whichever
     * @param string|null $rig     that it was made on; null: whichever
     *
     * @return list<MethodSpread> how far its repeats spread, build by build, oldest first
     */
    public function repeats(string $method, ?int $edition, string $metric, ?string $rig = null): array
    {
        return MethodSpread::course($this->spreads(), $method, $edition, $metric, $rig);
    }

    /** @return array<string, array<string, array<string, MethodSpread>>> by build, oldest first, then by metric and how */
    public function spreads(): array
    {
        if ($this->spreads === null) {
            $of = $this->summaries->byBuild(
                $this->device->id, $this->counter, 'repeats', $this->buildIds(), fn (array $missing): array => array_combine(
                    $missing, array_map(fn (string $id): array => $this->isTried($this->build($id))
                        ? MethodSpread::ofBuild($this->seen($this->build($id)), $this->build($id)->letter) : [], $missing),
                ), Dropped::READ,
            );
            $this->spreads = array_combine($this->buildIds(), array_map(static fn (string $id): array => $of[$id], $this->buildIds()));
        }

        return $this->spreads;
    }

    /** @return list<MethodSpread> of other devices of the workspace, one each, where a method was used so */
    private function elsewhere(string $how): array
    {
        if ($this->elsewhere === null) {
            $this->elsewhere = [];
            $devices = $this->facts->alsoUsing($this->device->id);
            /** @var array<string, list<MethodSpread>> $kept */
            $kept = $this->summaries->ofDevices(self::OF_DEVICE, array_keys($devices));
            foreach ($devices as $id => $name) {
                foreach ($kept[$id] ?? ($this->modules[$id] ??= ($this->other)($id))->inAll() as $one) {
                    $this->elsewhere[$one->how][] = $one->of($name);
                }
            }
        }

        return $this->elsewhere[$how] ?? [];
    }

    /** @return list<MethodSpread> over all builds, one for each way of reading: kept in a row, since other devices ask for it */
    public function inAll(): array
    {
        return $this->summaries->kept(
            $this->device->id, $this->counter, self::OF_DEVICE, [$this->device->id],
            fn (): array => MethodSpread::byHow($this->spreads()),
        );
    }

    /** What is kept of these builds and rests on what was known before them is kept under this too; empty: nothing was. */
    private function stamp(Build ...$builds): string
    {
        return $this->before()->stamp(self::ids($builds));
    }

    /** @return array<string, Terms> of metrics whose scale somebody described, whatever was planned */
    private function described(): array
    {
        return array_map(fn (array $scale): Terms => $this->onScale(new Look(), $scale), $this->scales());
    }

    /** @param array{low: ?float, high: ?float, scale: ?Scale, computed: bool, words: list<string>, count: bool}|null $scale */
    private function onScale(Look $look, ?array $scale): Terms
    {
        return $scale === null ? new Terms($this->device->confidence, $look) : new Terms(
            $this->device->confidence, $look, $scale['low'], $scale['high'], $scale['scale'], $scale['computed'], $scale['words'], $scale['count'],
        );
    }

    /**
     * On what terms something is told that rests on several metrics, and on the values of none.
     *
     * @param list<string> $metrics
     */
    public function termsOf(array $metrics, Build ...$builds): Terms
    {
        return new Terms($this->device->confidence, $this->look($metrics, ...$builds));
    }

    /** @param list<string> $metrics that the trials measure */
    private function look(array $metrics, Build ...$builds): Look
    {
        $trials = [];
        foreach ($builds as $build) {
            foreach ($this->plans($build) as $plan) {
                if (array_intersect($metrics, $plan->metrics) !== []) {
                    $trials[] = $plan;
                }
            }
        }

        return Look::of($trials);
    }

    /** @return list<TrialPlan> what was planned of the trials of a build, and how far they came */
    public function plans(Build $build): array
    {
        return ($this->plans ??= $this->summaries->byBuild(
            $this->device->id, $this->counter, 'plans', $this->buildIds(), $this->facts->plans(...), Dropped::READ,
        ))[$build->id];
    }

    /** @return array<string, array{low: ?float, high: ?float, scale: ?Scale, computed: bool, words: list<string>, count: bool}> by metric */
    private function scales(): array
    {
        return $this->scales ??= $this->facts->scales($this->device->id);
    }

    /** @return array<string, list<string>> words of the metrics on an ordered scale */
    public function words(): array
    {
        return array_filter(array_map(static fn (array $scale): array => $scale['words'], $this->scales()));
    }

    public function comparisons(): CompareBuilds
    {
        return new CompareBuilds($this->wanted(), $this->metrics(), $this->device->confidence);
    }

    /** How a build stands to another: values and shares. */
    public function against(Build $build, Build $other): Against
    {
        $found = $this->direct($build, $other);
        if (array_filter($found->values, static fn (MetricComparison $c): bool => $c->neverMet()) === []) {
            return $found;
        }

        return new Against(array_map(
            fn (MetricComparison $c): MetricComparison => $this->chained($c, $build, $other), $found->values,
        ), $found->outcomes);
    }

    /** What was never run alike on two builds, through a third that each of them met: the nearest first. */
    private function chained(MetricComparison $c, Build $build, Build $other): MetricComparison
    {
        // Words have no difference that could be chained.
        if (!$c->neverMet() || $c->terms->words !== []) {
            return $c;
        }
        $thirds = $this->lineage()->around($build, $other, self::THIRDS);
        $chain = $this->kept('chain', [$build, $other, ...$thirds], function () use ($c, $build, $other, $thirds): ?Chained {
            $of = fn (Build $b): Measured => Measured::of($this->compared($b)->asBuilt()->read($c->metric), $c->here->unit);

            return Chained::of(
                $of($build), $of($other), array_map(static fn (Build $b): array => [$b->letter, $of($b)], $thirds),
                $this->terms($c->metric, $build, $other, ...$thirds),
            );
        }, $c->metric);

        return $chain === null ? $c : $c->through($chain);
    }

    private function direct(Build $build, Build $other): Against
    {
        $stamp = $this->stamp($build, $other);

        return $this->kept('against', [$build, $other], function () use ($build, $other, $stamp): Against {
            $comparisons = $this->comparisons();
            $here = $this->compared($build);
            $values = $this->byMetric('values', [$build, $other], $comparisons->metrics($here), fn (array $missing): array => array_combine(
                $missing, array_map(
                    fn (string $m): MetricComparison => $comparisons->metric(
                        $m, $build, $here, $other, $this->compared($other, true), $this->knowing($m, $build, $other),
                    ), $missing,
                ),
            ), $stamp);
            // What nothing is said of is kept as such: it is not looked for again.
            $outcomes = $this->byMetric('outcomes', [$build, $other], $here->asked(), fn (array $missing): array => array_combine(
                $missing, array_map(fn (string $m): array => array_filter([
                    CompareOutcomes::metric(
                        $m, $build, $here, $other, $this->compared($other, true), $this->terms($m, $build, $other),
                        $comparisons->dependsOn($m),
                    ),
                ]), $missing),
            ));

            return new Against(
                CompareBuilds::inOrder(array_values($values)),
                $this->asWanted(array_merge(...array_map(array_values(...), array_values($outcomes)))),
            );
        }, $stamp);
    }

    /**
     * As the requirements stand, and then by name: in which order runs were looked at is no part of it.
     *
     * @param list<OutcomeComparison> $outcomes
     *
     * @return list<OutcomeComparison>
     */
    private function asWanted(array $outcomes): array
    {
        $places = array_flip(array_reverse(array_map(static fn (Wanted $w): string => $w->metric, array_values($this->wanted())), true));
        $key = fn (OutcomeComparison $o): array => [$places[$o->metric] ?? \PHP_INT_MAX, $this->metric($o->metric)];
        usort($outcomes, static fn (OutcomeComparison $a, OutcomeComparison $b): int => $key($a) <=> $key($b));

        return $outcomes;
    }

    /** @return list<SidesWithin> of a build: arms, articles, lots, raters against each other */
    public function sidesWithin(Build $build): array
    {
        return $this->kept('sides', [$build], function () use ($build): array {
            $units = Forecasts::units($this->wanted());
            $seen = $this->seen($build);
            $wanted = array_values(array_unique(array_map(static fn (Wanted $w): string => $w->metric, $this->wanted())));

            // What is asked for first, then whatever else was measured, by name.
            $measured = $seen->metrics();
            usort($measured, fn (string $a, string $b): int => $this->metric($a) <=> $this->metric($b));
            $metrics = array_values(array_unique([...array_intersect($wanted, $measured), ...$measured]));
            $of = $this->byMetric('sides', [$build], $metrics, fn (array $missing): array => array_combine($missing, array_map(
                fn (string $m): array => SidesWithin::of($seen, $m, $units[$m] ?? '', $this->terms($m, $build), $build), $missing,
            )));

            return array_merge(...array_values($of));
        });
    }

    /** What a build is compared by: the variant that was chosen, and before that each variant against its own. */
    private function compared(Build $build, bool $isOther = false): Seen
    {
        return $build->arms === [] || $build->chosenArm !== '' ? $this->chosen($build, $isOther)
            : ($isOther ? $this->whole($build) : $this->seen($build))->byVariant();
    }

    /** What stands for a build by itself: of one with arms the arm that was chosen, and nothing before that. */
    private function chosen(Build $build, bool $isOther = false): Seen
    {
        $seen = $isOther ? $this->whole($build) : $this->seen($build);

        return $build->arms === [] ? $seen : $seen->ofArm($build->chosenArm === '' ? "\x1f" : $build->chosenArm);
    }

    /** How often a build holds, where there is nothing to compare it with. */
    public function alone(Build $build): Against
    {
        return $this->kept('alone', [$build], fn (): Against => new Against(
            [], $this->asWanted(array_values(array_filter(array_map(fn (string $m): ?OutcomeComparison => CompareOutcomes::metric(
                $m, $build, $this->chosen($build), null, null, $this->terms($m, $build),
            ), $this->chosen($build)->asked())))),
        ));
    }

    /** @return list<ChangeSeen> what came of the changes of a build */
    public function changesSeen(Build $build): array
    {
        if ($build->changes === []) {
            return [];
        }
        $parent = $this->lineage()->parent($build);

        $both = array_values(array_filter([$build, $parent]));

        return $this->kept('changes', $both, fn (): array => (
            new ChangesSeen(
                $this->comparisons(), $this->device->confidence,
                fn (string $metric): Terms => $this->knowing($metric, ...$both),
            )
        )->of(
            $build, $this->compared($build), $parent === null ? Seen::ofRuns([]) : $this->compared($parent, true), $parent,
            $parent === null || $parent->chosenArm === '' ? null : $this->seen($parent),
        ), $this->stamp(...$both));
    }

    /** @return array<string, Baseline> by metric */
    public function baselines(Build $build): array
    {
        // Words have no mean that a forecast could start from.
        return $this->kept('baselines', [$build], fn (): array => array_diff_key(Baseline::of(
            $build, $this->chosen($build), $this->wanted(), $build->chosenArm === '' ? null : $this->seen($build),
        ), $this->words()));
    }

    /** At which intervals are drawn and verdicts given. */
    public function confidence(): float
    {
        return $this->device->confidence;
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
            $these = array_merge(...array_map(static fn (string $trial): array => $stretches[$trial], $missing));
            $seen = $this->sightings($build, $these);
            $terms = $this->described();
            $pieces = $this->byPart('pieces', $build, $these, fn (array $stale): array => array_map(
                fn (array $runs): TrialPiece => TrialPiece::of($runs, $this->unrelated($build)), $this->byStretch($build, $stale),
            ));
            $of = static fn (string $trial, array $all): array => array_values(array_intersect_key($all, array_flip($stretches[$trial])));

            return array_combine($missing, array_map(fn (string $trial): TrialResults => TrialResults::of(
                TrialPiece::together($of($trial, $pieces)), Seen::of($of($trial, $seen), []), $units, $this->device->confidence, $terms,
            ), $missing));
        });
    }

    /**
     * The first failure of each mode and place on each of these builds, for choosing from.
     *
     * @param list<string> $builds
     *
     * @return list<array{id: string, build: string, mode: string, place: string}> oldest first
     */
    public function failuresToPick(array $builds): array
    {
        return $this->failures->toPick($builds);
    }

    /** Where the failures of a build stand. */
    public function standings(Build $build): Standings
    {
        return $this->failures->standings($this->device->id, $this->counter, $this->lineage(), $this->device->confidence, $build->id);
    }

    /** @return array<string, Figure> what the channels of a run's trial came to, by metric, where there are two values or more */
    public function soFar(RunFact $run): array
    {
        $build = $this->build($run->revision);

        return $this->kept('soFar', [$build], fn (): array => TrialResults::soFar(
            $run->configuration->channels, $this->seenOn($build, $run->trial), $run, $this->device->confidence, $this->described(),
            $this->unrelated($build),
        ), $run->trial.':'.substr(hash('sha256', $run->configuration->hash().Alikeness::of($run)->cell), 0, 16));
    }

    /** What the runs of a trial say of every metric. */
    private function seenOn(Build $build, string $trial): Seen
    {
        $these = array_values(array_filter($this->stretches($build), static fn (string $s): bool => KeptRuns::trial($s) === $trial));

        // A trial that was withdrawn has no stretches that are kept.
        return $these === [] ? Seen::ofRuns($this->runFacts->ofTrial($trial)) : Seen::of(
            array_values($this->sightings($build, $these)), [],
        );
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
        return $this->summaries->kept($this->device->id, $this->counter, $what, self::ids($builds), $workOut, $of);
    }
}
