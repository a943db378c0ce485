<?php

declare(strict_types=1);

namespace Lustrum\Core\Judging;

use Lustrum\Core\Run\RunFact;
use Lustrum\Core\Run\RunOutcome;

/** Under which circumstances some runs of one configuration were made, counted, so that thousands are small to keep. */
final class Circumstances
{
    /** Where its first run stands in the order in which runs were made. */
    public string $first = '';

    /** @var array<array-key, true> by who made them */
    public array $operators = [];

    /** @var array<array-key, array<array-key, int>> by name: as found => on how many runs */
    public array $settings = [];

    /** @var array<array-key, array<array-key, int>> by name: as recorded => on how many runs */
    public array $conditions = [];

    /** @var array<array-key, array<array-key, true>> serials of other articles, by the part that they played */
    public array $others = [];

    /** @var array<int, int> goes that lay behind whoever tried it => on how many runs; only where somebody said */
    public array $goes = [];

    public string $from = '';
    public string $to = '';
    public int $runs = 0;
    public int $stoppedEarly = 0;

    /** What the article had been through before the first of them. */
    public int $earlierRuns = 0;
    public int $earlierFailures = 0;

    /** @param string $made key of the configuration that they share */
    public function __construct(
        public readonly string $made,
    ) {
    }

    /** Both together; neither changes. */
    public function and(self $other): self
    {
        $both = clone $this;
        if ($other->runs > 0 && ($this->runs === 0 || $other->first < $this->first)) {
            [$both->first, $both->earlierRuns, $both->earlierFailures] = [$other->first, $other->earlierRuns, $other->earlierFailures];
        }
        $both->from = $this->runs === 0 ? $other->from : ($other->runs === 0 ? $this->from : min($this->from, $other->from));
        $both->to = max($this->to, $other->to);
        $both->runs += $other->runs;
        $both->stoppedEarly += $other->stoppedEarly;
        $both->operators += $other->operators;
        foreach ($other->others as $part => $serials) {
            $both->others[$part] = ($both->others[$part] ?? []) + $serials;
        }
        $both->goes = self::sum($both->goes, $other->goes);
        foreach ($other->settings as $name => $texts) {
            $both->settings[$name] = self::sum($both->settings[$name] ?? [], $texts);
        }
        foreach ($other->conditions as $name => $texts) {
            $both->conditions[$name] = self::sum($both->conditions[$name] ?? [], $texts);
        }

        return $both;
    }

    /**
     * @template K of array-key
     *
     * @param array<K, int> $some
     * @param array<K, int> $more
     *
     * @return array<K, int> on how many runs together
     */
    private static function sum(array $some, array $more): array
    {
        foreach ($more as $what => $n) {
            $some[$what] = ($some[$what] ?? 0) + $n;
        }

        return $some;
    }

    public function take(RunFact $run): void
    {
        $order = $run->order();
        if ($this->runs === 0 || $order < $this->first) {
            $this->first = $order;
            [$this->earlierRuns, $this->earlierFailures] = [$run->earlierRuns, $run->earlierFailures];
        }
        $this->from = $this->runs === 0 ? $run->startedAt : min($this->from, $run->startedAt);
        $this->to = max($this->to, $run->startedAt);
        ++$this->runs;
        $this->stoppedEarly += $run->outcome === RunOutcome::StoppedEarly ? 1 : 0;
        $this->operators[$run->operator] = true;
        foreach ($run->settings as $name => $text) {
            $this->settings[$name][$text] = ($this->settings[$name][$text] ?? 0) + 1;
        }
        if ($run->goes !== null) {
            $this->goes[$run->goes] = ($this->goes[$run->goes] ?? 0) + 1;
        }
        foreach ($run->others as $part => $serial) {
            $this->others[$part][$serial] = true;
        }
        foreach ($run->conditions as $name => $text) {
            $this->conditions[$name][$text] = ($this->conditions[$name][$text] ?? 0) + 1;
        }
    }
}
