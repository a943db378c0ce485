<?php

declare(strict_types=1);

namespace Lustrum\Facts;

/** What is no longer to be kept of a device after a write. */
final class Dropped
{
    public bool $everything = false;

    /** Does it bear on what is shown of the devices that carry this one as a module? */
    public bool $bearsOnCarriers = false;

    /** Names what rests on how the runs of a build ended. */
    public const ENDED = 'ended';

    /** Names what rests on anything that runs of a build read, or how they ended. */
    public const READ = 'read';

    /** The failures of all builds, wherever they happened. */
    public bool $failures = false;

    /** @var array<string, true> builds of which a failure was written */
    public array $failedOn = [];

    /** @var array<string, true> builds that something rests on */
    public array $builds = [];

    /** @var array<string, true> trials, stretches of them, and metrics whose runs were written */
    private array $parts = [];

    private bool $onlyRuns = true;

    private bool $onlyReadings = true;

    public function build(string $build): void
    {
        $this->builds[$build] = true;
        $this->onlyRuns = $this->onlyReadings = false;
    }

    /** @param list<string> $metrics that the run reads or answers */
    public function run(string $build, string $trial, int $number, array $metrics): void
    {
        $this->reading($build, $trial, $number, $metrics);
        $this->parts[self::ENDED] = true;
        $this->onlyReadings = false;
    }

    /**
     * A reading of a run: how it ended, and what it was asked, stays.
     *
     * @param list<string> $metrics that it bears on: its own, and what is worked out from it
     */
    public function reading(string $build, string $trial, int $number, array $metrics): void
    {
        $this->builds[$build] = true;
        $this->parts += [self::READ => true, $trial => true, KeptRuns::stretch($trial, $number) => true] + array_fill_keys($metrics, true);
    }

    /** Was nothing written but readings? */
    public function onlyReadings(): bool
    {
        return $this->onlyReadings;
    }

    /** @return list<string> the only parts that were written, where nothing but runs was; else empty */
    public function parts(): array
    {
        return $this->onlyRuns ? array_map(strval(...), array_keys($this->parts)) : [];
    }
}
