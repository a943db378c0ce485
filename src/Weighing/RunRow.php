<?php

declare(strict_types=1);

namespace Lustrum\Weighing;

use Lustrum\Core\Outcome\ResultKind;
use Lustrum\Core\Quantity\Digits;
use Lustrum\Core\Quantity\Units;
use Lustrum\Trial\RunOutcome;

/** A run as the last stop of every number that can be opened. */
final readonly class RunRow
{
    /** @param list<string> $readings 'metric: value' */
    public function __construct(
        public string $id,
        public string $revision,
        public string $letter,
        public string $trial,
        public int $number,
        public string $serial,
        public string $startedAt,
        public string $operator,
        public RunOutcome $outcome,
        public string $reason,
        public array $readings,
        public string $conditions,
    ) {
    }

    public static function of(RunFact $run): self
    {
        $conditions = array_map(static fn (string $name, string $text): string => $name.' '.($text === '' ? 'unknown' : $text), array_keys($run->conditions), array_values($run->conditions));

        return new self(
            $run->id, $run->revision, $run->configuration->letter, $run->trialName, $run->number, $run->serial, (new \DateTimeImmutable($run->startedAt))->format(\DATE_ATOM), $run->operator, $run->outcome, $run->reason,
            array_map(static function (ReadingFact $r): string {
                $unit = Units::parse($r->unit);
                $step = $r->step / $unit->factor;

                return sprintf('%s: %s%s %s', $r->metric, $r->kind === ResultKind::AtLeast ? 'at least ' : ($r->kind === ResultKind::AtMost ? 'at most ' : ''), Digits::decimals($unit->fromSi($r->si), $step > 0 ? Digits::decimalsOf($step) : 2), $r->unit);
            }, $run->readings),
            implode(', ', $conditions),
        );
    }
}
