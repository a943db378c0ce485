<?php

declare(strict_types=1);

namespace Lustrum\Core\Failure;

use Lustrum\Core\InvalidInput;
use Lustrum\Core\Run\Hardness;
use Lustrum\Core\Run\Severity;

/**
 * How far a failure is closed by what came after it (`failure.status`): the one rule, of the application and of the calculator.
 *
 * It needs the set of the hardest levels at which it happened, none milder than another, and closes when each of them was held
 * often enough since the last return. What carried a fix up to its last return tells how often the failure comes as well, and is
 * counted with what came before the fix.
 */
final class Closing
{
    /** @var non-empty-list<Severity> */
    private array $needs;

    /** @var non-empty-array<int, int> holds since the last return, at or above each need */
    private array $counts = [0];

    private int $milder = 0;
    private ?Severity $mildest = null;
    private int $times = 0;

    /** @var array<array-key, int> returns, by the build that made each */
    private array $on = [];

    private bool $wasClosed = false;
    private ?ClosingEvent $back = null;
    private ?ClosingEvent $closedBy = null;
    private ?ClosingEvent $last = null;

    /** @var 'milder'|'same'|'harder'|'' */
    private string $return = '';

    /** @var array<string, 'milder'|'same'|'harder'> beside what is needed, by severity in short: hundreds of returns are alike */
    private array $known = [];

    /** @var array<string, array{Severity, int}> holds before the last return, and since it, by severity in short: how often */
    private array $earlier = [];

    /** @var array<string, array{Severity, int}> */
    private array $since = [];

    /** @var array{failed: int, tried: int, needed: int}|null worked out once between two returns */
    private ?array $counted = null;

    /**
     * @param int $failed of the tries before the fix, at that severity or milder
     *
     * @throws InvalidInput
     */
    public function __construct(
        Severity $severity,
        private readonly int $failed,
        private readonly int $tried,
        private readonly float $confidence,
    ) {
        if ($failed < 0 || $failed > $tried) {
            throw InvalidInput::because('It cannot have failed in more runs than were made.', 'failure/failed');
        }
        $this->needs = [$severity];
    }

    /** In the order in which they came; only what carries a fix. */
    public function take(ClosingEvent $event): void
    {
        $event->held ? $this->held($event) : $this->cameBack($event);
    }

    public function state(): ClosingState
    {
        return match (true) {
            $this->closedBy !== null => ClosingState::Closed,
            $this->last !== null && max($this->counts) > 0 => ClosingState::Holding,
            $this->wasClosed => ClosingState::Reopened,
            default => ClosingState::Open,
        };
    }

    /** What closed it, else its last return. */
    public function by(): ?ClosingEvent
    {
        return $this->closedBy ?? $this->back;
    }

    /** @return non-empty-list<Severity> the hardest levels at which it happened */
    public function needs(): array
    {
        return $this->needs;
    }

    /** Since the last return, at every level that is needed. */
    public function holds(): int
    {
        return min($this->counts);
    }

    /** Since the last return, below what is needed: that closes nothing. */
    public function milder(): int
    {
        return $this->milder;
    }

    public function holdsNeeded(): int
    {
        return $this->counted()['needed'];
    }

    /** That an unfixed design would have come through as many. */
    public function chanceIfNotFixed(): float
    {
        return Closed::chanceIfNotFixed($this->counted()['failed'], $this->counted()['tried'], $this->holds());
    }

    /**
     * @param array{string, list<string>}|null $untried letter of a build that carries fixes, and these; null: none does
     * @param list<string>                     $without builds on which it was seen again, which carry no fix of it
     */
    public function status(?array $untried, array $without): FailureStatus
    {
        $needs = array_map(static fn (Severity $s): string => $s->text(), $this->needs);
        if ($this->mildest !== null && in_array($this->mildest->text(), $needs, true)) {
            // The levels are the same: milder is the article.
            $needs = array_map(static fn (Severity $s): string => $s->inFull(), $this->needs);
            $mildest = $this->mildest->inFull();
        }
        $of = fn (Standing $standing, string $letter, string ...$fixes): FailureStatus => new FailureStatus(
            $standing, $letter, array_values($fixes), $this->holds(), $this->holdsNeeded(), $needs, $this->milder,
            $mildest ?? $this->mildest?->text() ?? '',
            Closed::mayStillFail($this->holds(), $this->confidence), $this->chanceIfNotFixed(), $this->times,
            $this->back?->severity?->text() ?? '', $this->return, $without, $this->on, $this->confidence,
        );
        $state = $this->state();

        return match (true) {
            $this->closedBy !== null => $of(Standing::Closed, $this->closedBy->where, ...$this->closedBy->fixes),
            $state === ClosingState::Holding && $this->last !== null => $of(Standing::Holding, $this->last->where, ...$this->last->fixes),
            $this->back !== null => $of(Standing::CameBack, $this->back->where, ...$this->back->fixes),
            $untried !== null => $of(Standing::FixUntried, $untried[0], ...$untried[1]),
            default => new FailureStatus(Standing::Open, needs: $needs, without: $without),
        };
    }

    private function held(ClosingEvent $event): void
    {
        if ($event->severity === null) {
            return;
        }
        $key = $event->severity->inShort();
        $this->since[$key] = [$event->severity, ($this->since[$key][1] ?? 0) + $event->times];
        $reached = $milder = false;
        foreach ($this->needs as $i => $need) {
            $hardness = $event->severity->beside($need);
            if ($hardness === Hardness::AtLeast) {
                $this->counts[$i] = ($this->counts[$i] ?? 0) + $event->times;
                $reached = true;
            }
            $milder = $milder || $hardness === Hardness::Milder;
        }
        if ($reached) {
            $this->last = $event;
            if ($this->closedBy === null && $this->holds() >= $this->holdsNeeded()) {
                [$this->closedBy, $this->wasClosed] = [$event, true];
            }
        } elseif ($milder) {
            $this->milder += $event->times;
            $isHarder = $this->mildest === null || $event->severity->beside($this->mildest) === Hardness::AtLeast;
            $this->mildest = $isHarder ? $event->severity : $this->mildest;
        }
    }

    private function cameBack(ClosingEvent $event): void
    {
        $this->return = $this->beside($event->severity);
        ++$this->times;
        $this->on[$event->where] = ($this->on[$event->where] ?? 0) + 1;
        if ($event->severity !== null && $this->return === 'harder') {
            $kept = array_filter(
                $this->needs, static fn (Severity $need): bool => $event->severity->beside($need) !== Hardness::AtLeast,
            );
            $this->needs = [...array_values($kept), $event->severity];
            $this->known = [];
        }
        foreach ($this->since as $key => [$severity, $n]) {
            $this->earlier[$key] = [$severity, ($this->earlier[$key][1] ?? 0) + $n];
        }
        $this->counts = array_fill(0, count($this->needs), 0);
        [$this->milder, $this->mildest, $this->closedBy, $this->last] = [0, null, null, null];
        [$this->since, $this->counted, $this->back] = [[], null, $event];
    }

    /** @return array{failed: int, tried: int, needed: int} before the fix, and with it up to its last return */
    private function counted(): array
    {
        if ($this->counted === null) {
            $held = 0;
            foreach ($this->earlier as [$severity, $n]) {
                $isAsHard = static fn (Severity $need): bool => $severity->beside($need) === Hardness::AtLeast;
                $held += array_filter($this->needs, $isAsHard) === [] ? 0 : $n;
            }
            [$failed, $tried] = [$this->failed + $this->times, $this->tried + $this->times + $held];
            $this->counted = ['failed' => $failed, 'tried' => $tried, 'needed' => Closed::holdsNeeded($failed, $tried, $this->confidence)];
        }

        return $this->counted;
    }

    /** @return 'milder'|'same'|'harder'|'' than where it had happened before */
    private function beside(?Severity $severity): string
    {
        if ($severity === null) {
            return '';
        }

        return $this->known[$severity->inShort()] ??= $this->besideNeeds($severity);
    }

    /** @return 'milder'|'same'|'harder' */
    private function besideNeeds(Severity $severity): string
    {
        foreach ($this->needs as $need) {
            if ($need->beside($severity) === Hardness::AtLeast) {
                return $severity->beside($need) === Hardness::AtLeast ? 'same' : 'milder';
            }
        }

        return 'harder';
    }
}
