<?php

declare(strict_types=1);

namespace Lustrum\Core\Judging;

use Lustrum\Core\Failure\FailureStatus;
use Lustrum\Core\Failure\Standing;
use Lustrum\Core\Run\Configuration;
use Lustrum\Core\Run\Hardness;

/** All failures of a device together: which modes there are, and where each failure stands. */
final class Failures
{
    /** @var array<string, list<FailureFact>> by mode, oldest first */
    private readonly array $byMode;

    /** @var array<string, Fixes> of a mode, once they were asked for */
    private array $fixes = [];

    /** @var array<string, array<string, ClosingEvent>> by mode and failure, once they were asked for */
    private array $returns = [];

    /** @var array<string, array{int, int}> by all that it hangs on, once it was asked for */
    private array $before = [];

    /** @var array<string, list<string>> by mode and build, once it was asked for */
    private array $without = [];

    /** @var array<string, FailureStatus> by failure, once it was worked out */
    private array $statuses = [];

    /** @var array<string, array<string, true>> identifiers of the failures of a mode */
    private readonly array $ids;

    /**
     * @param list<FailureFact>            $failures oldest first
     * @param array<string, list<Tried>>   $tried    by build
     * @param array<string, Configuration> $made     what runs were made with, by key
     */
    public function __construct(
        private readonly Lineage $lineage,
        array $failures,
        private readonly array $tried,
        private readonly array $made,
        private readonly float $confidence,
    ) {
        $by = $ids = [];
        foreach ($failures as $failure) {
            $by[$failure->key()][] = $failure;
            $ids[$failure->key()][$failure->id] = true;
        }
        [$this->byMode, $this->ids] = [$by, $ids];
    }

    public function status(FailureFact $failure): FailureStatus
    {
        return $this->statuses[$failure->id] ??= $this->standing($failure);
    }

    private function standing(FailureFact $failure): FailureStatus
    {
        $build = $this->lineage->build($failure->build);
        if ($failure->isFeared) {
            return new FailureStatus(Standing::Feared);
        }
        if ($build === null) {
            return new FailureStatus(Standing::Open);
        }
        if ($failure->aside !== '') {
            return $this->asideStatus($failure, $build);
        }
        $fixes = $this->fixes[$failure->key()] ??= Fixes::of($this->lineage, $this->ids[$failure->key()] ?? []);
        if ($failure->severity === null || !$failure->severity->isKnown()) {
            return new FailureStatus(Standing::Unplaced, at: $failure->severity?->text() ?? '');
        }
        $alike = implode("\x1f", [$failure->key(), $build->id, $failure->question, $failure->severity->inShort()]);
        $before = $this->before[$alike] ??= $this->before($failure, $build, $fixes);
        $closing = new ClosingWalk($failure->severity, $before, $this->confidence);
        foreach ($this->events($failure, $build, $fixes) as $event) {
            $closing->take($event);
        }

        $without = $this->without[$failure->key()."\x1f".$build->id] ??= $this->without($failure, $build, $fixes);

        return $closing->status($this->untried($build, $fixes), $without);
    }

    /** @return list<FailureFact> of a build */
    public function on(string $build): array
    {
        $out = [];
        foreach ($this->byMode as $failures) {
            foreach ($failures as $failure) {
                if ($failure->build === $build) {
                    $out[] = $failure;
                }
            }
        }

        return $out;
    }

    /** @return list<string> modes of dangerous failures of a build that nothing has closed */
    public function openDangers(string $build): array
    {
        $out = [];
        foreach ($this->on($build) as $failure) {
            if ($failure->isDangerous && !$failure->isFeared && $this->status($failure)->standing->isOpen()) {
                $out[$failure->key()] = $failure->mode;
            }
        }

        return array_values($out);
    }

    /** @return list<Mode> most frequent first; without what was only feared, or follows from another failure */
    public function modes(): array
    {
        $modes = [];
        foreach ($this->byMode as $failures) {
            $counted = array_values(array_filter($failures, static fn (FailureFact $f): bool => $f->counts()));
            if ($counted === []) {
                continue;
            }
            $counts = [];
            foreach ($counted as $failure) {
                $counts[$failure->build] = ($counts[$failure->build] ?? 0) + 1;
            }
            $modes[] = new Mode($counted[0]->mode, $counted[0]->place, $counts, $this->couldShow($counted), count($counted));
        }
        usort($modes, static fn (Mode $a, Mode $b): int => $b->total <=> $a->total);

        return $modes;
    }

    /**
     * Runs in which a mode could show: asked the same, and as hard or harder than where it once happened.
     *
     * @param non-empty-list<FailureFact> $failures of the mode
     *
     * @return array<string, int> by build
     */
    private function couldShow(array $failures): array
    {
        $out = [];
        foreach ($this->tried as $build => $groups) {
            foreach ($groups as $group) {
                foreach ($failures as $failure) {
                    if (
                        $group->question === $failure->question && $failure->severity !== null
                        && $group->severity->beside($failure->severity) === Hardness::AtLeast
                    ) {
                        $out[$build] = ($out[$build] ?? 0) + $group->said;
                        break;
                    }
                }
            }
        }

        return $out;
    }

    /** Its cause lies in how it was made or tried: it closes when the build holds as hard with that put right. */
    private function asideStatus(FailureFact $failure, Build $build): FailureStatus
    {
        foreach ($this->tried[$build->id] ?? [] as $group) {
            $after = array_filter($group->held, static fn (string $order): bool => $order > $failure->order);
            if (
                $after !== [] && $group->question === $failure->question && $failure->severity !== null
                && $group->severity->beside($failure->severity) === Hardness::AtLeast
            ) {
                return new FailureStatus(Standing::PutRight, $build->letter, held: count($after), at: $group->severity->text());
            }
        }

        return new FailureStatus(Standing::SetAside, $build->letter);
    }

    /**
     * Holds on builds that come from the one that failed, and returns on any build, in the order in which they came.
     *
     * @return list<ClosingEvent>
     */
    private function events(FailureFact $failure, Build $build, Fixes $fixes): array
    {
        $out = [];
        foreach ($this->lineage->descendants($build) as $one) {
            foreach ($this->tried[$one->id] ?? [] as $group) {
                $fix = $group->question === $failure->question ? $fixes->carried($one, $this->made[$group->made] ?? null) : null;
                if ($fix !== null) {
                    array_push($out, ...array_map(static fn (string $order): ClosingEvent => new ClosingEvent(
                        $order, true, $group->severity, $one->letter, $fix->what,
                    ), $group->held));
                }
            }
        }
        foreach ($this->returns[$failure->key()] ??= $this->returns($failure->key(), $fixes) as $id => $return) {
            if ($id !== $failure->id && $return->order >= $failure->order) {
                $out[] = $return;
            }
        }
        usort($out, static fn (ClosingEvent $a, ClosingEvent $b): int => [$a->order, $a->held] <=> [$b->order, $b->held]);

        return $out;
    }

    /** @return array<string, ClosingEvent> by failure: where a mode came back against a fix of it */
    private function returns(string $mode, Fixes $fixes): array
    {
        $out = [];
        foreach ($this->byMode[$mode] ?? [] as $other) {
            $at = $this->lineage->build($other->build);
            $fix = $at === null || !$other->counts() ? null : $fixes->stoodAgainst($at, $this->made[$other->made] ?? null);
            if ($at !== null && $fix !== null) {
                $out[$other->id] = new ClosingEvent($other->order, false, $other->severity, $at->letter, $fix->what);
            }
        }

        return $out;
    }

    /** @return list<string> letters of builds that come from the one that failed, on which it was seen again without a fix of it */
    private function without(FailureFact $failure, Build $build, Fixes $fixes): array
    {
        $on = array_column(array_map(
            static fn (Build $b): array => ['id' => $b->id, 'letter' => $b->letter], $this->lineage->descendants($build),
        ), 'letter', 'id');
        $out = [];
        foreach ($this->byMode[$failure->key()] ?? [] as $other) {
            $at = $this->lineage->build($other->build);
            if (isset($on[$other->build]) && $at !== null && $other->counts() && $fixes->stoodAgainst($at, $this->made[$other->made] ?? null) === null) {
                $out[$on[$other->build]] = true;
            }
        }

        return array_map(strval(...), array_keys($out));
    }

    /**
     * How often it failed of the runs before the fix, as hard or milder; nothing known: in the one run that there was.
     *
     * @return array{int, int} failed, tried
     */
    private function before(FailureFact $failure, Build $build, Fixes $fixes): array
    {
        $failed = $tried = 0;
        $line = [$build, ...$this->lineage->ancestors($build), ...$this->lineage->descendants($build)];
        foreach ($line as $one) {
            foreach ($this->tried[$one->id] ?? [] as $group) {
                if (
                    $group->question === $failure->question && $fixes->carried($one, $this->made[$group->made] ?? null) === null
                    && $failure->severity?->beside($group->severity) === Hardness::AtLeast
                ) {
                    $tried += $group->said;
                }
            }
        }
        $on = array_fill_keys(array_map(static fn (Build $b): string => $b->id, $line), true);
        foreach ($this->byMode[$failure->key()] ?? [] as $other) {
            $at = $this->lineage->build($other->build);
            if (
                isset($on[$other->build]) && $at !== null && $other->counts() && $other->made !== '' && $other->severity !== null
                && $fixes->carried($at, $this->made[$other->made] ?? null) === null
                && $failure->severity?->beside($other->severity) === Hardness::AtLeast
            ) {
                ++$failed;
            }
        }

        return $tried === 0 ? [1, 1] : [min(max(1, $failed), $tried), $tried];
    }

    /**
     * A build that comes from the one that failed and carries a fix: its letter, and the fix.
     *
     * @return array{string, string}|null
     */
    private function untried(Build $build, Fixes $fixes): ?array
    {
        foreach ($this->lineage->descendants($build) as $one) {
            $fix = $fixes->carried($one, null);
            if ($fix !== null) {
                return [$one->letter, $fix->what];
            }
        }

        return null;
    }
}
