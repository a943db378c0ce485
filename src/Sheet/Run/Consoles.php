<?php

declare(strict_types=1);

namespace Lustrum\Sheet\Run;

use Lustrum\Core\CoreException;
use Lustrum\Core\Judging\TrialPlan;
use Lustrum\Core\Plan\Progress;
use Lustrum\Core\Run\LookOut;
use Lustrum\Core\Run\Wait;
use Lustrum\Core\Wording\MethodSheetWords;
use Lustrum\Core\Wording\PlanWords;
use Lustrum\Core\Wording\TrialWords;
use Lustrum\Domain\Revision\Article;
use Lustrum\Domain\Trial\Run;
use Lustrum\Domain\Trial\Trial;
use Lustrum\Facts\Book;
use Lustrum\Facts\PlanFacts;
use Lustrum\Facts\RigFacts;
use Lustrum\Record\Records;
use Lustrum\Shared\Instant;
use Lustrum\Sheet\Try\PlanRows;
use Lustrum\Sheet\Try\RunDot;

/** What leads through a run: waits before it, looks during it, its place in the plan, and when there are enough. */
final readonly class Consoles
{
    public function __construct(
        private Records $records,
        private PlanFacts $plans,
        private RigFacts $rig,
    ) {
    }

    /** @param list<RunDot> $dots runs of its trial */
    public function of(Run $run, Book $book, array $dots): Console
    {
        $trial = $run->trial();
        $isOpen = $run->outcome() === null;
        $made = $trial->layout() === null ? [] : $this->plans->madeOf($trial->id()->toRfc4122());
        $plan = $trial->layout() === null ? null : PlanRows::of($trial, $made, $this->here($run), PlanRows::used($dots));

        return new Console(
            $isOpen ? $this->waits($run) : [],
            $isOpen ? array_map(static fn (LookOut $l): LookRow => LookRow::of($l), self::looks($trial)) : [],
            self::position($run, $made), $plan, self::enough($run, $book),
        );
    }

    /** @return list<LookOut> what its method says, and the end of its time where that is planned */
    private static function looks(Trial $trial): array
    {
        $minutes = $trial->layout()->minutes ?? 0.0;

        return [...$trial->method()->looks(), ...($minutes > 0.0 ? [new LookOut(PlanWords::over(), null, $minutes)] : [])];
    }

    /** @return list<WaitRow> */
    private function waits(Run $run): array
    {
        $waits = $run->trial()->method()->ready();
        $article = $run->article();
        $last = $waits === [] || $article === null ? null : $this->rig->lastEnd(
            $article->id()->toRfc4122(), $run->startedAt(), $run->id()->toRfc4122(),
        );

        return array_map(static fn (Wait $w): WaitRow => new WaitRow(
            MethodSheetWords::wait($w),
            $w->minutes === null || $last === null ? null : Instant::write($last->modify(sprintf('+%d seconds', (int) (60 * $w->minutes)))),
        ), $waits);
    }

    /** @param list<\Lustrum\Core\Plan\Made> $made */
    private static function position(Run $run, array $made): string
    {
        $layout = $run->trial()->layout();
        if ($layout === null || !$layout->kind->isLaidOut() || $run->trial()->finds() !== null) {
            return '';
        }
        try {
            return PlanWords::position(Progress::of($layout, $run->trial()->method()->factors(), $made), $run->id()->toRfc4122());
        } catch (CoreException) {
            return '';
        }
    }

    private static function enough(Run $run, Book $book): string
    {
        $trial = $run->trial()->id()->toRfc4122();
        foreach ($book->plans($book->build($run->build()->toRfc4122())) as $plan) {
            if ($plan->trial === $trial) {
                return self::said($plan, $run);
            }
        }

        return '';
    }

    private static function said(TrialPlan $plan, Run $run): string
    {
        return $plan->planned === 0 ? '' : TrialWords::enough($plan, $run->outcome() === null);
    }

    /** @return list<Article> */
    private function here(Run $run): array
    {
        return array_values(array_filter(
            $this->records->all(Article::class, ['revision' => $run->trial()->revision()]), static fn (Article $a): bool => $a->isHere(),
        ));
    }
}
