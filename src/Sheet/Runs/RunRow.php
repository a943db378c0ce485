<?php

declare(strict_types=1);

namespace Lustrum\Sheet\Runs;

use Lustrum\Core\Run\Alikeness;
use Lustrum\Core\Run\ReadingFact;
use Lustrum\Core\Run\RunFact;
use Lustrum\Core\Run\RunOutcome;
use Lustrum\Core\Wording\ReadingWords;

/** A run as the last stop of every number that can be opened. */
final readonly class RunRow
{
    /**
     * @param list<string>      $readings 'metric: value'
     * @param list<DisplayLink> $displays
     */
    private function __construct(
        public string $id,
        public string $revision,
        public string $letter,
        public string $trial,
        public int $number,
        public string $serial,
        public string $startedAt,
        public string $operator,
        public ?RunOutcome $outcome,
        public string $reason,
        public array $readings,
        public string $levels,
        public string $conditions,
        public string $aside,
        public array $displays,
    ) {
    }

    /**
     * @param array<string, string> $names    of metrics
     * @param array<string, string> $displays by metric, pictures of them
     */
    public static function of(RunFact $run, array $names, array $displays): self
    {
        $conditions = array_map(
            ReadingWords::condition(...), array_map(strval(...), array_keys($run->conditions)), array_values($run->conditions),
        );

        return new self(
            $run->id, $run->revision, $run->configuration->letter, $run->trialName, $run->number, $run->serial(),
            (new \DateTimeImmutable($run->startedAt))->format(\DATE_ATOM), $run->operator, $run->outcome, $run->reason,
            array_map(static fn (ReadingFact $r): string => ReadingWords::fact($r, $names[$r->metric] ?? ''), $run->readings),
            Alikeness::of($run)->said(), implode(', ', $conditions), $run->aside,
            array_map(
                static fn (string $metric, string $photo): DisplayLink => new DisplayLink($metric, $photo),
                array_map(strval(...), array_keys($displays)), array_values($displays),
            ),
        );
    }
}
