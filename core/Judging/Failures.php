<?php

declare(strict_types=1);

namespace Lustrum\Core\Judging;

use Lustrum\Core\Failure\Closing;
use Lustrum\Core\Failure\ClosingEvent;
use Lustrum\Core\Failure\FailureStatus;
use Lustrum\Core\Failure\Standing;
use Lustrum\Core\Run\Configuration;
use Lustrum\Core\Run\Design;
use Lustrum\Core\Run\Hardness;

/** All failures of a device together: which modes there are, and where each failure stands. */
final class Failures
{
    /** @var array<string, list<FailureFact>> by mode, oldest first */
    private readonly array $byMode;

    /** @var array<string, Fixes> of a mode, once they were asked for */
    private array $fixes = [];

    /** @var array<string, list<array{ClosingEvent, string}>> by all that they hang on, once they were asked for */
    private array $events = [];

    /** @var array<string, list<array{FailureFact, int}>> by mode, once it was asked for */
    private array $alike = [];

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
     * @param list<OutsideUse>             $uses     of articles, outside trials
     */
    public function __construct(
        private readonly Lineage $lineage,
        array $failures,
        private readonly array $tried,
        private readonly array $made,
        private readonly float $confidence,
        private readonly array $uses = [],
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
        return $this->statuses[$failure->id] ??= $this->saidOf($failure, $this->standing($failure));
    }

    /** What somebody closed in words is open again once it came back. */
    private function saidOf(FailureFact $failure, FailureStatus $status): FailureStatus
    {
        $hand = $failure->byHand;
        if ($hand === null || $failure->isFeared) {
            return $status;
        }
        foreach ($this->byMode[$failure->key()] ?? [] as $other) {
            if ($other->counts() && $other->at > $hand->at) {
                return $status;
            }
        }

        return $status->closedBy($hand);
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
        // What the failing one had was no fix of this failure.
        $fixes = $fixes->but($build, $this->made[$failure->made] ?? null);
        $alike = implode("\x1f", [$failure->key(), $build->id, $fixes->key, $failure->question]);
        $before = $this->before[$alike."\x1f".$failure->severity->inShort()] ??= $this->before($failure, $build, $fixes);
        $closing = new Closing($failure->severity, $before[0], $before[1], $this->confidence);
        foreach ($this->events[$alike] ??= $this->events($failure, $build, $fixes) as [$event, $id]) {
            if ($event->order >= $failure->order && $id !== $failure->id) {
                $closing->take($event);
            }
        }
        $without = $this->without[$alike] ??= $this->without($failure, $build, $fixes);

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

    /** @return list<OutsideBound> what its build, and those that come from it, came through outside trials without it */
    public function outside(FailureFact $failure): array
    {
        $build = $this->lineage->build($failure->build);

        return $build === null || $this->uses === [] ? [] : OutsideBound::of(
            $failure, $this->uses, array_column($this->lineage->descendants($build), 'letter', 'id') + [$build->id => $build->letter],
        );
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
            $modes[] = new Mode(
                $counted[0]->mode, $counted[0]->place, $counts, count($counted), $this->cells($counted), $this->metrics($counted),
            );
        }
        usort($modes, static fn (Mode $a, Mode $b): int => $b->total <=> $a->total);

        return $modes;
    }

    /**
     * Runs in which a mode could show: asked the same, and as hard or harder than where it once happened.
     *
     * @param non-empty-list<FailureFact> $failures of the mode
     *
     * @return array<string, array<string, array{failed: int, tried: int}>> by build and by what was asked, how hard, and on which
     *     state where something was changed on an article between two runs
     */
    private function cells(array $failures): array
    {
        // Hundreds of failures happened at a few levels.
        $at = $out = $could = [];
        foreach ($failures as $failure) {
            if ($failure->severity !== null) {
                $at[$failure->question][$failure->severity->inShort()] = $failure->severity;
            }
        }
        foreach ($this->tried as $build => $groups) {
            foreach ($groups as $group) {
                foreach ($at[$group->question] ?? [] as $severity) {
                    if ($group->said > 0 && $group->severity->beside($severity) === Hardness::AtLeast) {
                        $could[$build][] = $group;
                        break;
                    }
                }
            }
        }
        $changed = [];
        foreach ($could as $build => $groups) {
            $changed[$build] = $this->changed($build, $groups);
        }
        $cell = static fn (string $build, string $question, string $level, string $made): string => implode("\x1f", [
            $question, $level, $changed[$build][$question."\x1f".$made] ?? '',
        ]);
        foreach ($could as $build => $groups) {
            foreach ($groups as $group) {
                $at = $cell($build, $group->question, $group->severity->inShort(), $group->made);
                $out[$build][$at] = ['failed' => 0, 'tried' => ($out[$build][$at]['tried'] ?? 0) + $group->said];
            }
        }
        foreach ($failures as $failure) {
            $at = $cell($failure->build, $failure->question, $failure->severity?->inShort() ?? '', $failure->made);
            // A failure that happened outside a run counts against no run.
            if ($failure->made !== '' && isset($out[$failure->build][$at])) {
                ['failed' => $failed, 'tried' => $tried] = $out[$failure->build][$at];
                $out[$failure->build][$at] = ['failed' => min($tried, $failed + 1), 'tried' => $tried];
            }
        }

        return $out;
    }

    /**
     * @param list<Tried> $groups of a build
     *
     * @return array<string, string> what its article had otherwise, of each question and configuration that is none of its first state
     */
    private function changed(string $build, array $groups): array
    {
        $unrelated = $this->lineage->build($build)->unrelated ?? new Unrelated();
        $of = function (Tried $t) use ($unrelated): array {
            $made = $this->made[$t->made] ?? throw new \LogicException('That configuration was not handed on.');
            $own = Design::of($made, $unrelated->to($made->asked($t->question)))->ownInShort();

            return [implode("\x1d", [$made->serial, $made->arm, $t->question]), $own, $t->first];
        };
        $out = [];
        foreach (array_diff_key($groups, AsBuilt::of($groups, $of)) as $group) {
            $out[$group->question."\x1f".$group->made] = $of($group)[1];
        }

        return $out;
    }

    /**
     * @param non-empty-list<FailureFact> $failures of the mode
     *
     * @return list<string> that their runs answer or read
     */
    private function metrics(array $failures): array
    {
        $out = [];
        foreach (array_unique(array_map(static fn (FailureFact $f): string => $f->made, $failures)) as $made) {
            $out = [...$out, ...(($this->made[$made] ?? null)?->metrics() ?? [])];
        }

        return array_values(array_unique($out));
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
     * Holds on builds that come from the one that failed, and returns on any build, in the order in which they came. All failures
     * of a mode on a build share them, less what came before each.
     *
     * @return list<array{ClosingEvent, string}> with the failure that each return is; empty for a hold
     */
    private function events(FailureFact $failure, Build $build, Fixes $fixes): array
    {
        $out = $this->holds($failure, $build, $fixes);
        foreach ($this->returns($failure->key(), $fixes) as $id => $return) {
            $out[] = [$return, $id];
        }
        // What came back and held in one run came back.
        usort($out, static fn (array $a, array $b): int => [$a[0]->order, $a[0]->held] <=> [$b[0]->order, $b[0]->held]);

        return $out;
    }

    /** @return list<array{ClosingEvent, string}> those alike in a row as one, where no failure of the mode lies between */
    private function holds(FailureFact $failure, Build $build, Fixes $fixes): array
    {
        $holds = [];
        foreach ($this->lineage->descendants($build) as $one) {
            foreach ($this->tried[$one->id] ?? [] as $group) {
                $fix = $group->question === $failure->question ? $fixes->carried($one, $this->made[$group->made] ?? null) : [];
                if ($fix === []) {
                    continue;
                }
                foreach ($group->held as $order) {
                    $holds[] = [$order, $group->severity, $one->letter, $fix];
                }
            }
        }
        usort($holds, static fn (array $a, array $b): int => $a[0] <=> $b[0]);
        $between = array_column($this->byMode[$failure->key()] ?? [], 'order');
        sort($between);
        $rows = [];
        $at = 0;
        foreach ($holds as [$order, $severity, $letter, $fix]) {
            for (; isset($between[$at]) && $between[$at] <= $order; ++$at) {
            }
            $key = implode("\x1f", [$at, $severity->inShort(), $letter, ...$fix]);
            $rows[$key] ??= [$order, $severity, $letter, $fix, 0];
            ++$rows[$key][4];
        }

        return array_values(array_map(
            static fn (array $r): array => [new ClosingEvent($r[0], true, $r[1], $r[2], $r[3], $r[4]), ''], $rows,
        ));
    }

    /** @return array<string, ClosingEvent> by failure: where a mode came back against a fix of it */
    private function returns(string $mode, Fixes $fixes): array
    {
        $out = [];
        foreach ($this->byMode[$mode] ?? [] as $other) {
            $at = $this->lineage->build($other->build);
            $fix = $at === null || !$other->counts() ? [] : $fixes->stoodAgainst($at, $this->made[$other->made] ?? null);
            if ($at !== null && $fix !== []) {
                $out[$other->id] = new ClosingEvent($other->order, false, $other->severity, $at->letter, $fix);
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
            if (
                isset($on[$other->build]) && $at !== null && $other->counts()
                && $fixes->stoodAgainst($at, $this->made[$other->made] ?? null) === []
            ) {
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
                    $group->question === $failure->question && $fixes->carried($one, $this->made[$group->made] ?? null) === []
                    && $failure->severity?->beside($group->severity) === Hardness::AtLeast
                ) {
                    $tried += $group->said;
                }
            }
        }
        $on = array_fill_keys(array_map(static fn (Build $b): string => $b->id, $line), true);
        foreach ($this->alike($failure->key()) as [$other, $n]) {
            $at = $this->lineage->build($other->build);
            if (
                isset($on[$other->build]) && $at !== null && $other->made !== '' && $other->severity !== null
                && $fixes->carried($at, $this->made[$other->made] ?? null) === []
                && $failure->severity?->beside($other->severity) === Hardness::AtLeast
            ) {
                $failed += $n;
            }
        }

        return $tried === 0 ? [1, 1] : [min(max(1, $failed), $tried), $tried];
    }

    /** @return list<array{FailureFact, int}> of a mode those that count: one of what happened alike, and how often */
    private function alike(string $mode): array
    {
        if (!isset($this->alike[$mode])) {
            $of = [];
            foreach ($this->byMode[$mode] ?? [] as $failure) {
                if ($failure->counts()) {
                    $key = implode("\x1f", [$failure->build, $failure->made, $failure->severity?->inShort() ?? '']);
                    $of[$key] = [$of[$key][0] ?? $failure, ($of[$key][1] ?? 0) + 1];
                }
            }
            $this->alike[$mode] = array_values($of);
        }

        return $this->alike[$mode];
    }

    /**
     * A build that comes from the one that failed and carries a fix: its letter, and the fixes.
     *
     * @return array{string, non-empty-list<string>}|null
     */
    private function untried(Build $build, Fixes $fixes): ?array
    {
        foreach ($this->lineage->descendants($build) as $one) {
            $fix = $fixes->carried($one, null);
            if ($fix !== []) {
                return [$one->letter, $fix];
            }
        }

        return null;
    }
}
