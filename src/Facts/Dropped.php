<?php

declare(strict_types=1);

namespace Lustrum\Facts;

/** What is no longer to be kept of a device after a write. */
final class Dropped
{
    public bool $everything = false;

    /** The list of failures: it rests on no run. */
    public bool $failures = false;

    /** @var array<string, true> builds that something rests on */
    public array $builds = [];

    /** @var array<string, true> trials and stretches of them whose runs were written */
    private array $parts = [];

    private bool $onlyRuns = true;

    public function build(string $build): void
    {
        $this->builds[$build] = true;
        $this->onlyRuns = false;
    }

    public function run(string $build, string $trial, int $number): void
    {
        $this->builds[$build] = true;
        $this->parts += [$trial => true, KeptRuns::stretch($trial, $number) => true];
    }

    /** @return list<string> the only parts that were written, where nothing but runs was; else empty */
    public function parts(): array
    {
        return $this->onlyRuns ? array_map(strval(...), array_keys($this->parts)) : [];
    }
}
