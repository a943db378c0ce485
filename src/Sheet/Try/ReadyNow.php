<?php

declare(strict_types=1);

namespace Lustrum\Sheet\Try;

use Lustrum\Core\Judging\TrialPlan;
use Lustrum\Core\Judging\Wanted;
use Lustrum\Core\Plan\Ready;
use Lustrum\Core\Wording\PlanWords;
use Lustrum\Core\Wording\WorkshopWords;
use Lustrum\Domain\Trial\Trial;
use Lustrum\Domain\Trial\TrialState;
use Lustrum\Facts\Book;

/** What can be tried now: nothing waits for it, everybody has agreed, and something of it is left. */
final class ReadyNow
{
    /** That are named. */
    private const MOST = 5;

    /**
     * @param list<array{Trial, TrialRow, TrialPlan}> $trials
     * @param array<string, list<string>>   $open   modes of failures of this build that are not closed, by method
     *
     * @return list<ReadyRow>
     */
    public static function of(array $trials, Book $book, array $open): array
    {
        // Whether it is shown by now would have to be worked out first; Weigh says that.
        $musts = array_map(
            static fn (Wanted $w): string => $w->metric, array_filter($book->wanted(), static fn (Wanted $w): bool => $w->must),
        );
        $ready = [];
        foreach ($trials as [$trial, $row, $plan]) {
            // Making is logged as it happens, and nobody tries it.
            $isMaking = $trial->method()->name() === WorkshopWords::making();
            if ($isMaking || $trial->state() === TrialState::Done || $trial->waitsFor() !== [] || $row->agreesNext !== null || $trial->lacksLimits()) {
                continue;
            }
            $planned = $trial->view()->plannedRuns;
            $left = $row->plan === null ? max(0, $planned - $plan->ended)
                : count(array_filter($row->plan->slots, static fn (SlotRow $s): bool => $s->run === null));
            if ($left === 0 && $planned > 0) {
                continue;
            }
            $measured = [...array_column($trial->method()->channels(), 'metric'), ...array_column($trial->method()->questions(), 'metric')];
            $ready[] = new Ready(
                $row->trial->id, $trial->name(), $row->plan->next->text ?? '', $left, array_intersect($musts, $measured) !== [],
                $open[$row->trial->method] ?? [],
            );
        }

        return array_map(
            static fn (Ready $r): ReadyRow => new ReadyRow($r->trial, PlanWords::ready($r)),
            array_slice(Ready::inOrder($ready), 0, self::MOST),
        );
    }
}
