<?php

declare(strict_types=1);

namespace Lustrum\Core\Run;

use Lustrum\Core\Outcome\ResultKind;

/** A run as the sums need it, with the configuration that it was made with. */
final readonly class RunFact
{
    /**
     * @param RunOutcome|null       $outcome    null while it is not finished
     * @param array<string, string> $levels     of factors and blocks: name => as recorded
     * @param array<string, string> $conditions name => as recorded
     * @param array<string, string> $settings   name => as found
     * @param list<ReadingFact>     $readings
     * @param array<string, Answer> $answers    by question; empty: the outcome answers all of them
     * @param int|null              $goes       that lay behind whoever tried it; null: nobody said
     * @param array<string, string> $others     articles that it used beside its own: the part that each played => serial
     * @param string                $aside      why it is set aside from the evidence of the design; empty: it is not
     * @param bool                  $isFelt     was it stopped because the event was felt coming?
     * @param list<string>          $waits      metrics whose reading waits for its unit
     */
    public function __construct(
        public string $id,
        public string $trial,
        public string $trialName,
        public string $method,
        public string $revision,
        public int $number,
        public ?RunOutcome $outcome,
        public string $reason,
        public string $startedAt,
        public string $operator,
        public array $levels,
        public array $conditions,
        public array $settings,
        public Configuration $configuration,
        public int $earlierRuns,
        public int $earlierFailures,
        public array $readings,
        public bool $untilItHeld,
        public array $answers = [],
        public Purpose $purpose = Purpose::FindOut,
        public string $aside = '',
        public array $others = [],
        public ?int $goes = null,
        public bool $isFelt = false,
        public array $waits = [],
    ) {
    }

    /** Sorts as the runs were made: times are written alike, so their text tells. */
    public function order(): string
    {
        return $this->startedAt.sprintf(' %010d ', $this->number).$this->id;
    }

    public function serial(): string
    {
        return $this->configuration->serial;
    }

    public function held(): bool
    {
        return $this->outcome === RunOutcome::Held;
    }

    public function failed(): bool
    {
        return $this->outcome === RunOutcome::Failed;
    }

    public function lost(): bool
    {
        return $this->countsFor() === CountsFor::Lost;
    }

    public function countsFor(): CountsFor
    {
        return CountsFor::of($this->outcome, $this->purpose, $this->aside !== '');
    }

    /** Does it say something of the design? */
    public function says(): bool
    {
        return $this->countsFor() === CountsFor::Result;
    }

    /** Is the question of this metric asked of it? */
    public function answers(string $metric): bool
    {
        return $metric !== '' && $this->configuration->question($metric) !== null;
    }

    /** Did it hold in what this metric asks? Null where nobody looked, or it is not asked. */
    public function heldIn(string $metric): ?bool
    {
        $question = $metric === '' ? null : $this->configuration->question($metric);

        return $question === null ? null : $this->heldTo($question->key);
    }

    /** Did it hold in what this question asks? Null where nobody looked. */
    public function heldTo(string $question): ?bool
    {
        return Answer::to($question, $this->answers, $this->outcome)->held();
    }

    /** Did it end before what it waited for came? Then what it read is a bound. */
    public function leavesBound(): bool
    {
        return array_filter($this->readings, static fn (ReadingFact $r): bool => $r->kind !== ResultKind::Equal) !== [];
    }

    /** Did it hold in what this metric asks, and something nearly happen? */
    public function heldOnlyJust(string $metric): bool
    {
        return ($this->answers[$this->configuration->question($metric)->key ?? ''] ?? null) === Answer::OnlyJust;
    }

    /**
     * What is asked of one metric need not go through the runs of all others.
     *
     * @param list<self> $runs
     *
     * @return array<string, list<self>> runs by each metric that they read or answer, in their order
     */
    public static function byMetric(array $runs): array
    {
        $out = [];
        foreach ($runs as $run) {
            $metrics = array_fill_keys(array_column($run->configuration->questions, 'metric'), true);
            foreach ($run->readings as $reading) {
                $metrics[$reading->metric] = true;
            }
            $metrics += array_fill_keys($run->waits, true);
            unset($metrics['']);
            foreach ($metrics as $metric => $_) {
                $out[$metric][] = $run;
            }
        }

        return $out;
    }

    /** @param string $metric identifier */
    public function reading(string $metric): ?ReadingFact
    {
        foreach ($this->readings as $reading) {
            if ($reading->metric === $metric) {
                return $reading;
            }
        }

        return null;
    }
}
