<?php

declare(strict_types=1);

namespace Lustrum\Facts;

use Lustrum\Core\Outcome\ResultKind;
use Lustrum\Core\Run\Answer;
use Lustrum\Core\Run\Configuration;
use Lustrum\Core\Run\Purpose;
use Lustrum\Core\Run\ReadingFact;
use Lustrum\Core\Run\RunFact;
use Lustrum\Core\Run\RunOutcome;

/** The finished runs of a trial as they are kept: what runs share stands once, so that thousands are opened quickly. */
final readonly class RunPack
{
    /**
     * @param list<string>                                                $hashes of configurations
     * @param list<array<string, string>>                                 $texts  levels, conditions, settings and other articles as
     *     recorded, by name
     * @param list<array<string, Answer>>                                 $answers by question
     * @param list<array{string, string, string, ResultKind, string}>     $shapes of readings: channel, metric, unit, kind, instrument
     * @param list<array{0: string, 1: string, 2: int, 3: RunOutcome|null, 4: string, 5: string, 6: string, 7: int, 8: int, 9: int,
     *     10: int, 11: int, 12: int, 13: list<array{int, float, float}>, 14: int, 15: Purpose, 16: string, 17: int, 18: int|null, 19: bool,
     *     20: list<string>}> $runs
     *     identifier, method, number, outcome, reason, start, operator, which levels, conditions, settings and configuration,
     *     earlier runs and failures of the article, of each reading its shape, value and step, which answers, purpose, why it is set aside,
     *     which other articles, goes behind, whether it was stopped by feel, and what waits for its unit
     */
    private function __construct(
        public array $hashes,
        private array $texts,
        private array $answers,
        private array $shapes,
        private array $runs,
    ) {
    }

    /**
     * @param list<RunFact>                  $runs   of one trial
     * @param \WeakMap<Configuration, string> $hashes that the configurations are stored under
     */
    public static function of(array $runs, \WeakMap $hashes): self
    {
        $stored = $texts = $answers = $shapes = $rows = [];
        foreach ($runs as $run) {
            $readings = [];
            foreach ($run->readings as $r) {
                $shape = [$r->channel, $r->metric, $r->unit, $r->kind, $r->instrument];
                $readings[] = [self::at($shapes, $shape), $r->si, $r->step];
            }
            $rows[] = [
                $run->id, $run->method, $run->number, $run->outcome, $run->reason, $run->startedAt, $run->operator,
                self::at($texts, $run->levels),
                self::at($texts, $run->conditions), self::at($texts, $run->settings), self::at($stored, $hashes[$run->configuration]),
                $run->earlierRuns, $run->earlierFailures, $readings, self::at($answers, $run->answers), $run->purpose, $run->aside,
                self::at($texts, $run->others), $run->goes, $run->isFelt, $run->waits,
            ];
        }

        return new self($stored, $texts, $answers, $shapes, $rows);
    }

    /**
     * @param array<string, Configuration> $configurations by hash
     *
     * @return list<RunFact>
     */
    public function open(string $trial, string $name, bool $untilItHolds, string $build, array $configurations): array
    {
        $out = [];
        $of = array_map(static fn (string $hash): Configuration => $configurations[$hash], $this->hashes);
        foreach ($this->runs as $row) {
            [
                $id, $method, $number, $outcome, $reason, $at, $operator, $levels, $conditions, $settings, $hash, $runs, $failures, $read,
                $answers, $purpose, $aside, $others, $goes, $isFelt, $waits,
            ] = $row;
            $readings = [];
            foreach ($read as [$shape, $si, $step]) {
                [$channel, $metric, $unit, $kind, $instrument] = $this->shapes[$shape];
                $readings[] = new ReadingFact($channel, $metric, $unit, $si, $step, $kind, $instrument);
            }
            $out[] = new RunFact(
                $id, $trial, $name, $method, $build, $number, $outcome, $reason, $at, $operator, $this->texts[$levels],
                $this->texts[$conditions],
                $this->texts[$settings], $of[$hash], $runs, $failures, $readings, $untilItHolds, $this->answers[$answers],
                $purpose, $aside, $this->texts[$others], $goes, $isFelt, $waits,
            );
        }

        return $out;
    }

    /**
     * @template T
     *
     * @param list<T> $table grows by what it does not hold
     * @param T       $value
     */
    private static function at(array &$table, mixed $value): int
    {
        $at = array_search($value, $table, true);
        if ($at === false) {
            $at = count($table);
            $table[] = $value;
        }

        return $at;
    }
}
