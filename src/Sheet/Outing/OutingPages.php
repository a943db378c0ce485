<?php

declare(strict_types=1);

namespace Lustrum\Sheet\Outing;

use Lustrum\Account\Workspace;
use Lustrum\Core\CoreException;
use Lustrum\Core\Judging\Wanted;
use Lustrum\Core\Outing\DayOut;
use Lustrum\Core\Outing\Stop;
use Lustrum\Core\Plan\Made;
use Lustrum\Core\Plan\Progress;
use Lustrum\Core\Plan\Slot;
use Lustrum\Core\Run\SettingRule;
use Lustrum\Core\Run\UsedUp;
use Lustrum\Core\Run\UsedUpKind;
use Lustrum\Core\Wording\MethodSheetWords;
use Lustrum\Core\Wording\OutingWords;
use Lustrum\Domain\Method\Instrument;
use Lustrum\Domain\Revision\Article;
use Lustrum\Domain\Trial\Outing;
use Lustrum\Domain\Trial\OutingView;
use Lustrum\Domain\Trial\Trial;
use Lustrum\Domain\Trial\TrialState;
use Lustrum\Facts\Books;
use Lustrum\Facts\OutingFacts;
use Lustrum\Facts\PlanFacts;
use Lustrum\Record\Records;
use Symfony\Component\Uid\Uuid;

/** Works out days out: the order of the day, what is given up when time is short, and what has to come along. */
final readonly class OutingPages
{
    public function __construct(
        private Records $records,
        private Books $books,
        private PlanFacts $plans,
        private OutingFacts $facts,
    ) {
    }

    public function ofWorkspace(Workspace $workspace): OutingsPage
    {
        $outings = array_map(
            static fn (Outing $o): OutingView => $o->view(), $this->records->all(Outing::class, ['workspace' => $workspace]),
        );
        usort($outings, static fn (OutingView $a, OutingView $b): int => [$b->day, $b->id] <=> [$a->day, $a->id]);

        return new OutingsPage($outings, array_map(
            static fn (array $t): OpenTrial => new OpenTrial($t['id'], $t['name'], $t['device'], $t['letter']),
            $this->facts->openTrials($workspace->id()->toRfc4122()),
        ));
    }

    public function of(Outing $outing): OutingPage
    {
        $view = $outing->view();
        $trials = $stops = [];
        foreach ($view->trials as $id) {
            $trial = $this->records->find(Trial::class, Uuid::fromString($id));
            if ($trial->state() !== TrialState::Done) {
                $trials[$id] = $trial;
                $stops[] = $this->stop($trial);
            }
        }
        $day = DayOut::of($stops, $view->hours === null ? null : 60 * $view->hours);
        $row = static fn (Stop $s): OutingStop => self::row($s, $trials[$s->trial]);

        return new OutingPage(
            OutingWords::sentence($day, $view->hours), $view, array_map($row, $day->stops), array_map($row, $day->leftOut),
            $this->take($outing, $day, $trials),
        );
    }

    private function stop(Trial $trial): Stop
    {
        $method = $trial->method();
        $safety = $method->safety();
        $left = $this->left($trial);
        $minutes = $method->minutes();
        $book = $this->books->open($trial->belongsTo());
        $musts = array_map(
            static fn (Wanted $w): string => $w->metric, array_filter($book->wanted(), static fn (Wanted $w): bool => $w->must),
        );
        $measured = [...array_column($method->channels(), 'metric'), ...array_column($method->questions(), 'metric')];

        return new Stop(
            $trial->id()->toRfc4122(), $trial->name(), $method->rig(), count($left), $minutes->setUp,
            max(0.0, $minutes->of($left) - $minutes->setUp),
            $safety->needsSignOff || $safety->agreedBy !== [], count($safety->hazards),
            // Whether a run costs an article is the method's to say: a clock that is stopped breaks nothing.
            array_filter($method->usesUp(), static fn (UsedUp $u): bool => $u->kind === UsedUpKind::Article) !== [],
            $method->wears(),
            array_intersect($musts, $measured) !== [], $this->facts->lostShare($method->id()->toRfc4122()), $method->usesUp(),
        );
    }

    /** @return list<string> what each run that is left is set to */
    private function left(Trial $trial): array
    {
        $made = $this->plans->madeOf($trial->id()->toRfc4122());
        $layout = $trial->layout();
        if ($layout !== null && $layout->kind->isLaidOut()) {
            try {
                return array_map(
                    static fn (Slot $s): string => $s->text(), Progress::of($layout, $trial->method()->factors(), $made)->left(),
                );
            } catch (CoreException) {
                // The method no longer varies what was planned: what is left is the number that was planned.
            }
        }
        $ended = count(array_filter($made, static fn (Made $m): bool => $m->says()));

        return array_fill(0, max($trial->view()->plannedRuns === 0 ? 1 : 0, $trial->view()->plannedRuns - $ended), '');
    }

    private static function row(Stop $stop, Trial $trial): OutingStop
    {
        return new OutingStop(
            $stop->trial, $stop->name, $trial->revision()->device()->name(), $trial->belongsTo()->toRfc4122(),
            $trial->revision()->letter(), $stop->runs,
            MethodSheetWords::time($stop->setUp + $stop->minutes), OutingWords::why($stop),
            $trial->method()->safety()->inSight($trial->agreesNext() === null),
        );
    }

    /**
     * @param array<string, Trial> $trials
     *
     * @return list<TakeLine>
     */
    private function take(Outing $outing, DayOut $day, array $trials): array
    {
        $lines = [];
        $add = static function (string $kind, string $what) use (&$lines): void {
            if (trim($what) !== '') {
                $lines[$kind.' '.mb_strtolower($what)] ??= new TakeLine($kind, $what);
            }
        };
        $instruments = $this->records->all(Instrument::class, ['workspace' => $outing->workspace()]);
        foreach ($day->stops as $stop) {
            $trial = $trials[$stop->trial];
            $method = $trial->method();
            $here = array_filter(
                $this->records->all(Article::class, ['revision' => $trial->revision()]),
                static fn (Article $a): bool => $a->isHere(),
            );
            $add('articles', OutingWords::articles(implode(', ', array_map(static fn (Article $a): string => $a->serial(), $here)), $stop));
            foreach (array_filter(array_column($method->channels(), 'instrument')) as $name) {
                $known = array_values(array_filter($instruments, static fn (Instrument $i): bool => $i->isCalled($name)))[0] ?? null;
                $add('instruments', OutingWords::instrument($name, $known?->view()->power ?? '', $known?->view()->leftIn ?? ''));
            }
            array_map(static fn (string $tool) => $add('tools', $tool), [
                ...$method->tools(), ...array_map(static fn (SettingRule $s): string => $s->tool, $method->settings()),
            ]);
            // Articles stand above, with their spares.
            $used = array_filter($stop->usesUp, static fn (UsedUp $u): bool => $u->kind !== UsedUpKind::Article);
            array_map(static fn (UsedUp $u) => $add('consumables', MethodSheetWords::usedUp($u->times($stop->runs))), $used);
            array_map(static fn (string $caution) => $add('protection', $caution), $method->safety()->cautions);
            if ($trial->agreesNext() !== null) {
                $add('papers', OutingWords::agree($trial->name(), $trial->agreesNext()));
            }
        }
        array_map(static fn (string $permit) => $add('papers', $permit), $outing->view()->permits);
        foreach ($this->records->all(Outing::class, ['workspace' => $outing->workspace()]) as $other) {
            foreach ($other->isBefore($outing) ? $other->view()->missed : [] as $what) {
                $add('missed', OutingWords::missed($what, $other->view()->place));
            }
        }

        return array_values($lines);
    }
}
