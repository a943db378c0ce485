<?php

declare(strict_types=1);

namespace Lustrum\Sheet\Try;

use Lustrum\Core\Judging\TrialPlan;
use Lustrum\Core\Judging\TrialResults;
use Lustrum\Core\Run\EmptyRun;
use Lustrum\Core\Run\RigReading;
use Lustrum\Core\Run\RunTally;
use Lustrum\Core\Wording\HeapWords;
use Lustrum\Core\Wording\PlanWords;
use Lustrum\Core\Wording\TrialWords;
use Lustrum\Domain\Method\Method;
use Lustrum\Domain\Method\MethodView;
use Lustrum\Domain\Revision\Article;
use Lustrum\Domain\Revision\ArticleView;
use Lustrum\Domain\Revision\Revision;
use Lustrum\Domain\Trial\RepeatPurpose;
use Lustrum\Domain\Trial\Trial;
use Lustrum\Facts\Book;
use Lustrum\Facts\Books;
use Lustrum\Facts\EmptyFacts;
use Lustrum\Facts\FailureFacts;
use Lustrum\Facts\HeapFacts;
use Lustrum\Facts\PanelFacts;
use Lustrum\Facts\PlanFacts;
use Lustrum\Facts\RunDots;
use Lustrum\Record\Records;
use Lustrum\Sheet\Brief\Steps;

/** Works out the Try station. */
final readonly class TrySheets
{
    public function __construct(
        private Records $records,
        private Books $books,
        private RunDots $dots,
        private Steps $steps,
        private PlanFacts $plans,
        private PanelFacts $panels,
        private HeapFacts $heap,
        private FailureFacts $failures,
        private EmptyFacts $empties,
    ) {
    }

    public function of(Revision $revision): TrySheet
    {
        $book = $this->books->open($revision->device());
        $id = $revision->id()->toRfc4122();
        $build = $book->build($id);
        $results = $book->trialResults($build);
        $plans = array_column($book->plans($build), null, 'trial');
        $dots = $this->dots->ofBuild($id);
        $counts = $this->dots->counts($id);
        $made = $this->plans->made($id);
        $panels = $this->panels->ofBuild($id);
        $rig = $this->empties->ofBuild($id);
        $never = $this->steps->never($build, $book);
        $articles = array_values(array_filter(
            $this->records->all(Article::class, ['revision' => $revision]), static fn (Article $a): bool => $a->isHere(),
        ));
        $rows = $trials = [];
        foreach (array_reverse($this->records->all(Trial::class, ['revision' => $revision])) as $trial) {
            $key = $trial->id()->toRfc4122();
            $marks = array_map(RunDot::fromRow(...), $dots[$key] ?? []);
            $rows[] = $row = self::row(
                $trial, $marks, $counts[$key] ?? [
                    'from' => null, 'to' => null, 'runs' => RunTally::none(),
                ],
                $results[$key] ?? null, $book, $plans[$key], $trial->method()->isInUse() ? $never : '',
                PlanRows::of($trial, $made[$key] ?? [], $articles, PlanRows::used($marks)),
                array_map(PanelLine::of(...), $panels[$key] ?? []), $rig[$key] ?? [],
            );
            $trials[] = [$trial, $row, $plans[$key]];
        }
        $runs = array_reduce(
            array_column($counts, 'runs'), static fn (RunTally $sum, RunTally $of): RunTally => $sum->with($of), RunTally::none(),
        );

        return new TrySheet(
            TrialWords::sentence($revision->letter(), count($rows), $runs), $revision->view(), $rows,
            array_map(
                static fn (Method $m): MethodView => $m->view(), $this->records->all(Method::class, ['device' => $revision->device()]),
            ),
            array_map(static fn (Article $a): ArticleView => $a->view(), $articles),
            ReadyNow::of($trials, $book, $this->failures->openOn($id)),
            HeapWords::waits($this->heap->counts($revision->workspace()->id()->toRfc4122())['left']),
        );
    }

    /**
     * @param list<RunDot>                                                          $dots
     * @param array{from: ?string, to: ?string, runs: RunTally} $count
     * @param list<PanelLine> $panels
     * @param list<RigReading> $rig
     */
    private static function row(
        Trial $trial, array $dots, array $count, ?TrialResults $results, Book $book, TrialPlan $plan, string $before, ?PlanRow $laid,
        array $panels, array $rig,
    ): TrialRow {
        $view = $trial->view();
        $runs = $count['runs'];
        $stopped = $view->repeats === RepeatPurpose::UntilItHolds && $runs->held() > 0;

        return new TrialRow(
            $view, $trial->method()->name(), $dots, $runs->all(), $count['from'], $count['to'],
            TrialWords::count($runs, $plan, $stopped, $view->untilWidth, $view->plannedRuns),
            $results === null ? [] : TrialWords::results(
                $results, $book->metrics(), $book->rated(), !$plan->isReached,
            ),
            $trial->method()->safety()->inSight($trial->agreesNext() === null), $before, $trial->agreesNext(), $laid, $panels,
            PlanWords::waits($trial->waitsFor()), PlanWords::favoured(array_column($view->favourites, 'text', 'name')),
            Drifts::of($trial, $rig), EmptyRun::isTakenOff(...$trial->method()->channels()), $trial->method()->view()->reference,
        );
    }
}
