<?php

declare(strict_types=1);

namespace Lustrum\Sheet\Try;

use Lustrum\Core\CoreException;
use Lustrum\Core\Judging\TrialPlan;
use Lustrum\Core\Judging\TrialResults;
use Lustrum\Core\Plan\Made;
use Lustrum\Core\Plan\Progress;
use Lustrum\Core\Plan\SettingSearch;
use Lustrum\Core\Run\RunOutcome;
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
        $never = $this->steps->never($build, $book);
        $articles = array_values(array_filter(
            $this->records->all(Article::class, ['revision' => $revision]), static fn (Article $a): bool => $a->isHere(),
        ));
        $rows = [];
        foreach (array_reverse($this->records->all(Trial::class, ['revision' => $revision])) as $trial) {
            $key = $trial->id()->toRfc4122();
            $marks = array_map(RunDot::fromRow(...), $dots[$key] ?? []);
            $used = array_values(array_filter(array_map(static fn (RunDot $d): ?string => $d->article, $marks)));
            $rows[] = self::row(
                $trial, $marks, $counts[$key] ?? [
                    'from' => null, 'to' => null, 'outcomes' => [],
                ],
                $results[$key] ?? null, $book, $plans[$key], $trial->method()->isInUse() ? $never : '',
                self::plan($trial, $made[$key] ?? [], $articles, $used),
            );
        }
        $outcomes = [];
        foreach ($counts as $count) {
            foreach ($count['outcomes'] as $outcome => $n) {
                $outcomes[$outcome] = ($outcomes[$outcome] ?? 0) + $n;
            }
        }

        return new TrySheet(
            TrialWords::sentence($revision->letter(), count($rows), $outcomes), $revision->view(), $rows,
            array_map(
                static fn (Method $m): MethodView => $m->view(), $this->records->all(Method::class, ['device' => $revision->device()]),
            ),
            array_map(static fn (Article $a): ArticleView => $a->view(), $articles),
        );
    }

    /**
     * @param list<Made>    $made
     * @param list<Article> $articles that are here
     * @param list<string>  $used     identifiers of articles, by run
     */
    private static function plan(Trial $trial, array $made, array $articles, array $used): ?PlanRow
    {
        $finds = $trial->finds();
        if ($finds !== null && SettingSearch::isOpen($finds)) {
            return PlanRow::searching(SettingSearch::of($finds, $made), $articles, $used);
        }
        $layout = $trial->layout();
        if ($layout === null || !$layout->kind->isLaidOut()) {
            return null;
        }
        try {
            return PlanRow::of(Progress::of($layout, $trial->method()->factors(), $made), $trial->method()->minutes(), $articles, $used);
        } catch (CoreException) {
            // The method no longer varies what was planned; the plan stays, and can be laid out anew.
            return null;
        }
    }

    /**
     * @param list<RunDot>                                                          $dots
     * @param array{from: ?string, to: ?string, outcomes: array<string, int>} $count
     */
    private static function row(Trial $trial, array $dots, array $count, ?TrialResults $results, Book $book, TrialPlan $plan, string $before, ?PlanRow $laid): TrialRow
    {
        $view = $trial->view();
        $outcomes = $count['outcomes'];
        $total = array_sum($outcomes);
        $held = $outcomes[RunOutcome::Held->value] ?? 0;
        $isUntilItHolds = $view->repeats === RepeatPurpose::UntilItHolds;

        return new TrialRow(
            $view, $trial->method()->name(), $dots, $total, $count['from'], $count['to'],
            TrialWords::count($total, $plan, $outcomes[''] ?? 0, $isUntilItHolds && $held > 0, $view->untilWidth, $view->plannedRuns),
            $results === null ? [] : TrialWords::results(
                $results, $book->metrics(), $book->rated(), !$plan->isReached,
            ),
            $trial->method()->safety()->inSight($trial->agreesNext() === null), $before, $trial->agreesNext(), $laid,
        );
    }
}
