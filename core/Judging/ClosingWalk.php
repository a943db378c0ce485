<?php

declare(strict_types=1);

namespace Lustrum\Core\Judging;

use Lustrum\Core\Failure\Closed;
use Lustrum\Core\Failure\FailureStatus;
use Lustrum\Core\Failure\Standing;
use Lustrum\Core\Run\Hardness;
use Lustrum\Core\Run\Severity;

/**
 * Walks over what came after a failure. It needs the set of the hardest levels at which it happened, none milder than another,
 * and closes when each of them was held often enough since the last return.
 */
final class ClosingWalk
{
    /** @var non-empty-list<Severity> */
    private array $needs;

    /** @var non-empty-array<int, int> holds since the last return, at or above each need */
    private array $counts = [0];

    private int $milder = 0;
    private ?Severity $mildest = null;
    private int $times = 0;
    private ?ClosingEvent $back = null;
    private ?ClosingEvent $closedBy = null;
    private ?ClosingEvent $last = null;

    /** @var 'milder'|'same'|'harder'|'' */
    private string $return = '';

    /** @var array<string, 'milder'|'same'|'harder'> beside what is needed, by severity in short: a mode comes back hundreds of times alike */
    private array $known = [];

    private readonly int $needed;

    /** @param array{int, int} $before failed and tried, of the runs before the fix */
    public function __construct(
        Severity $severity,
        private readonly array $before,
        private readonly float $confidence,
    ) {
        $this->needs = [$severity];
        $this->needed = Closed::holdsNeeded($before[0], $before[1], $confidence);
    }

    public function take(ClosingEvent $event): void
    {
        $event->held ? $this->held($event) : $this->cameBack($event);
    }

    /**
     * @param array{string, string}|null $untried letter of a build that carries a fix, and the fix; null: none does
     * @param list<string>               $without builds on which it was seen again, which carry no fix of it
     */
    public function status(?array $untried, array $without): FailureStatus
    {
        $held = min($this->counts);
        $needs = array_map(static fn (Severity $s): string => $s->text(), $this->needs);
        $of = fn (Standing $standing, string $letter, string $fix): FailureStatus => new FailureStatus(
            $standing, $letter, $fix, $held, $this->needed, $needs, $this->milder, $this->mildest?->text() ?? '',
            Closed::mayStillFail($held, $this->confidence), Closed::chanceIfNotFixed($this->before[0], $this->before[1], $held),
            $this->times, $this->back?->severity?->text() ?? '', $this->return, $without,
        );

        return match (true) {
            $this->closedBy !== null => $of(Standing::Closed, $this->closedBy->letter, $this->closedBy->fix),
            $this->last !== null && max($this->counts) > 0 => $of(Standing::Holding, $this->last->letter, $this->last->fix),
            $this->back !== null => $of(Standing::CameBack, $this->back->letter, $this->back->fix),
            $untried !== null => $of(Standing::FixUntried, $untried[0], $untried[1]),
            default => new FailureStatus(Standing::Open, needs: $needs, without: $without),
        };
    }

    private function held(ClosingEvent $event): void
    {
        $reached = $milder = false;
        foreach ($this->needs as $i => $need) {
            $hardness = $event->severity?->beside($need) ?? Hardness::Apart;
            if ($hardness === Hardness::AtLeast) {
                $this->counts[$i] = ($this->counts[$i] ?? 0) + 1;
                $reached = true;
            }
            $milder = $milder || $hardness === Hardness::Milder;
        }
        if ($reached) {
            $this->last = $event;
            if ($this->closedBy === null && min($this->counts) >= $this->needed) {
                $this->closedBy = $event;
            }
        } elseif ($milder) {
            ++$this->milder;
            $isHarder = $this->mildest === null || $event->severity?->beside($this->mildest) === Hardness::AtLeast;
            $this->mildest = $isHarder ? $event->severity : $this->mildest;
        }
    }

    private function cameBack(ClosingEvent $event): void
    {
        $this->return = $this->beside($event->severity);
        ++$this->times;
        if ($event->severity !== null && $this->return === 'harder') {
            $kept = array_filter(
                $this->needs, static fn (Severity $need): bool => $event->severity->beside($need) !== Hardness::AtLeast,
            );
            $this->needs = [...array_values($kept), $event->severity];
            $this->known = [];
        }
        $this->counts = array_fill(0, count($this->needs), 0);
        [$this->milder, $this->mildest, $this->closedBy, $this->last] = [0, null, null, null];
        $this->back = $event;
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
