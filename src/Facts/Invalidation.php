<?php

declare(strict_types=1);

namespace Lustrum\Facts;

use Lustrum\Domain\Change\Change;
use Lustrum\Domain\Change\Unrelated;
use Lustrum\Domain\Decision\Candidate;
use Lustrum\Domain\Decision\Decision;
use Lustrum\Domain\Device\Device;
use Lustrum\Domain\Device\Metric;
use Lustrum\Domain\Device\Person;
use Lustrum\Domain\Device\Requirement;
use Lustrum\Domain\Device\UseCase;
use Lustrum\Domain\Device\UseStep;
use Lustrum\Domain\Document\Document;
use Lustrum\Domain\Finding\Assumption;
use Lustrum\Domain\Finding\Cause;
use Lustrum\Domain\Finding\ClosingByHand;
use Lustrum\Domain\Finding\Failure;
use Lustrum\Domain\Finding\Observation;
use Lustrum\Domain\Finding\Photo;
use Lustrum\Domain\Heap\Camera;
use Lustrum\Domain\Heap\HeapFile;
use Lustrum\Domain\Method\Instrument;
use Lustrum\Domain\Method\Method;
use Lustrum\Domain\Revision\Article;
use Lustrum\Domain\Revision\Happening;
use Lustrum\Domain\Revision\Making;
use Lustrum\Domain\Revision\Parameter;
use Lustrum\Domain\Revision\Part;
use Lustrum\Domain\Revision\Revision;
use Lustrum\Domain\Revision\Spending;
use Lustrum\Domain\Trial\Course;
use Lustrum\Domain\Trial\Outing;
use Lustrum\Domain\Trial\Panel;
use Lustrum\Domain\Trial\PanelSheet;
use Lustrum\Domain\Trial\Reading;
use Lustrum\Domain\Trial\Run;
use Lustrum\Domain\Trial\Trial;
use Lustrum\Domain\Working\KeptWorking;
use Lustrum\Domain\Working\WorkshopSum;
use Lustrum\Record\AfterWrite;
use Lustrum\Record\Record;

/** What a write makes stale: the one table of it. */
final readonly class Invalidation implements AfterWrite
{
    /** No summary, and nothing that a device shows which carries this one. */
    private const HERE = 'here';
    private const NOTHING = 'nothing';
    private const BUILD = 'build';
    private const DEVICE = 'device';
    private const FAILURES = 'failures';
    private const WORKSPACE = 'workspace';

    private const ALL = ['devices', 'frame', 'brief', 'methods', 'workings', 'build', 'try', 'run', 'find', 'weigh', 'next', 'runs'];
    private const JUDGED = ['devices', 'frame', 'brief', 'build', 'try', 'run', 'find', 'weigh', 'next', 'runs'];

    /** Class => which summaries a write drops, and which sheets it makes stale. */
    private const RULES = [
        Device::class => [self::DEVICE, self::ALL],
        // What its values can be bears on every interval and verdict.
        Metric::class => [self::DEVICE, self::ALL],
        Requirement::class => [self::DEVICE, self::ALL],
        // Its verdicts are worked out from the cells when they are read.
        UseCase::class => [self::NOTHING, ['brief', 'weigh']],
        UseStep::class => [self::NOTHING, ['brief', 'methods', 'build', 'next', 'try']],
        Person::class => [self::NOTHING, ['frame', 'brief']],
        Assumption::class => [self::NOTHING, ['brief', 'next', 'find', 'run']],
        Revision::class => [self::BUILD, self::ALL],
        Parameter::class => [self::BUILD, [...self::JUDGED, 'workings']],
        Part::class => [self::BUILD, [...self::JUDGED, 'workings']],
        // A failure outside a run keeps the state of its article.
        Article::class => [self::FAILURES, ['build', 'try', 'find', 'run', 'next']],
        // It says what its trials measure, and how hard a failure outside a run was.
        Method::class => [self::DEVICE, ['methods', 'brief', 'build', 'try', 'run', 'find', 'weigh', 'next']],
        // Whether it fits is said wherever a method names it.
        Instrument::class => [self::WORKSPACE, ['methods', 'try', 'run']],
        // Its planned number and its end say whether anything may be told.
        Trial::class => [self::BUILD, self::JUDGED],
        Run::class => [self::BUILD, [...self::JUDGED, 'workings']],
        Reading::class => [self::BUILD, [...self::JUDGED, 'workings']],
        // What is read off it becomes a reading, which is written as any.
        Course::class => [self::HERE, ['run']],
        // It changes nothing of what it gathers.
        Outing::class => [self::WORKSPACE, ['outings']],
        // It is led by its own sheet; what was rated becomes runs when it is unblinded.
        Panel::class => [self::NOTHING, ['try', 'panel']],
        PanelSheet::class => [self::HERE, ['panel']],
        Observation::class => [self::NOTHING, ['find', 'run', 'methods']],
        Failure::class => [self::FAILURES, ['frame', 'brief', 'build', 'try', 'find', 'run', 'next']],
        ClosingByHand::class => [self::FAILURES, ['frame', 'brief', 'build', 'try', 'find', 'run', 'next']],
        Cause::class => [self::BUILD, self::JUDGED],
        // What was verified is asked for again; no conclusion rests on it.
        Happening::class => [self::NOTHING, ['build', 'try', 'run']],
        Making::class => [self::NOTHING, ['build']],
        Spending::class => [self::NOTHING, ['build']],
        Document::class => [self::NOTHING, ['build']],
        Photo::class => [self::NOTHING, ['find', 'run']],
        // Until it is kept it bears on nothing.
        HeapFile::class => [self::WORKSPACE, ['heap', 'try']],
        Camera::class => [self::WORKSPACE, ['heap']],
        Change::class => [self::BUILD, self::JUDGED],
        // What it no longer splits is put together on every sheet.
        Unrelated::class => [self::BUILD, self::JUDGED],
        Candidate::class => [self::NOTHING, ['frame', 'brief', 'find', 'next']],
        Decision::class => [self::NOTHING, self::ALL],
        // It concludes nothing; the run that it forecasts says how it came out.
        WorkshopSum::class => [self::WORKSPACE, ['workings']],
        KeptWorking::class => [self::HERE, ['workings', 'run']],
    ];

    public function __construct(
        private Summaries $summaries,
    ) {
    }

    public function written(array $records): array
    {
        $drops = $stale = [];
        foreach ($records as $record) {
            [$rule, $sheets] = self::rule($record);
            $stale = [...$stale, ...$sheets];
            if ($rule === self::WORKSPACE) {
                $this->summaries->raise($record->workspace()->id()->toRfc4122());
                continue;
            }
            self::take($drops[$record->belongsTo()->toRfc4122()] ??= new Dropped(), $rule, $record);
        }
        foreach ($drops as $device => $dropped) {
            $this->summaries->drop((string) $device, $dropped);
        }

        return array_values(array_unique($stale));
    }

    /** @param Record<covariant \Lustrum\Record\RecordInput> $record */
    private static function take(Dropped $dropped, string $rule, Record $record): void
    {
        if ($rule === self::HERE) {
            return;
        }
        $dropped->bearsOnCarriers = true;
        $build = $record->build()?->toRfc4122();
        $run = self::run($record);
        match (true) {
            $rule === self::NOTHING => null,
            $rule === self::FAILURES => self::takeFailure($dropped, $record),
            $rule === self::DEVICE || $build === null => $dropped->everything = true,
            $record instanceof Reading && $run !== null => $dropped->reading(
                $build, $run->trial()->id()->toRfc4122(), $run->number(),
                // What it reads of one metric may make it longer, and then nothing is told yet of any other.
                $run->trial()->isUntilSure() ? self::metrics($run) : $run->configuration()->metricsFrom($record->channel()),
            ),
            $run !== null => $dropped->run($build, $run->trial()->id()->toRfc4122(), $run->number(), self::metrics($run)),
            default => $dropped->build($build),
        };
    }

    /**
     * The run that it happened on may be set aside by it.
     *
     * @param Record<covariant \Lustrum\Record\RecordInput> $record
     */
    private static function takeFailure(Dropped $dropped, Record $record): void
    {
        if (!$record instanceof Failure) {
            $dropped->failures = true;

            return;
        }
        $dropped->failedOn[$record->build()->toRfc4122()] = true;
        $run = $record->run();
        if ($run !== null && $run->outcome() !== null) {
            $dropped->run(
                $run->build()->toRfc4122(), $run->trial()->id()->toRfc4122(), $run->number(), self::metrics($run),
            );
        }
    }

    /** @return list<string> that the run reads or answers, and that its trial is planned to: how far that came changes with it */
    private static function metrics(Run $run): array
    {
        $method = $run->trial()->method();

        return array_values(array_unique([
            ...$run->configuration()->metrics(),
            ...array_column($method->channels(), 'metric'), ...array_column($method->questions(), 'metric'),
        ]));
    }

    /** @param Record<covariant \Lustrum\Record\RecordInput> $record */
    private static function run(Record $record): ?Run
    {
        return $record instanceof Reading ? $record->run() : ($record instanceof Run ? $record : null);
    }

    /**
     * @param Record<covariant \Lustrum\Record\RecordInput> $record
     *
     * @return array{string, list<string>}
     */
    private static function rule(Record $record): array
    {
        $run = self::run($record);
        if ($run !== null && $run->outcome() === null) {
            // Nothing is worked out from a run before it has ended.
            return [self::HERE, $record instanceof Reading ? ['run'] : ['devices', 'frame', 'try', 'run', 'build']];
        }
        foreach (self::RULES as $class => $rule) {
            if ($record instanceof $class) {
                return $rule;
            }
        }

        return [self::DEVICE, self::ALL];
    }
}
