<?php

declare(strict_types=1);

namespace Lustrum\Sheet\Next;

use Lustrum\Core\Judging\Answering;
use Lustrum\Core\Judging\Build;
use Lustrum\Core\Judging\NextLetter;
use Lustrum\Core\Judging\Wanted;
use Lustrum\Core\Wording\BriefWords;
use Lustrum\Core\Wording\ChangeWords;
use Lustrum\Core\Wording\DecisionWords;
use Lustrum\Domain\Change\Change;
use Lustrum\Domain\Decision\Candidate;
use Lustrum\Domain\Decision\CandidateView;
use Lustrum\Domain\Decision\Choice;
use Lustrum\Domain\Decision\Decision;
use Lustrum\Domain\Decision\DecisionView;
use Lustrum\Domain\Device\Device;
use Lustrum\Domain\Finding\Failure;
use Lustrum\Domain\Revision\Article;
use Lustrum\Domain\Revision\ArticleView;
use Lustrum\Domain\Revision\Part;
use Lustrum\Domain\Revision\Revision;
use Lustrum\Facts\Book;
use Lustrum\Facts\Books;
use Lustrum\Facts\Candidates;
use Lustrum\Facts\OddThings;
use Lustrum\Facts\WaitingReadings;
use Lustrum\Record\Records;
use Lustrum\Sheet\Brief\AssumptionRow;
use Lustrum\Sheet\Brief\Beliefs;
use Lustrum\Sheet\Brief\Steps;
use Lustrum\Sheet\Build\BuildSheets;
use Lustrum\Sheet\Build\Standing;
use Lustrum\Sheet\Choice\FailureChoices;
use Lustrum\Sheet\Choice\Pick;

/** Works out the Next station. */
final readonly class NextSheets
{
    public function __construct(
        private Records $records,
        private Books $books,
        private Candidates $candidates,
        private Steps $steps,
        private Beliefs $beliefs,
        private Standing $standing,
        private OddThings $odd,
        private WaitingReadings $waiting,
    ) {
    }

    public function of(Revision $revision): NextSheet
    {
        $book = $this->books->open($revision->device());
        $build = $book->build($revision->id()->toRfc4122());
        [$open, $settled] = $this->candidates->of($build, $book);
        $c = $this->candidates->together($open, $build, $book);
        $undecided = count(array_filter($open, static fn (Candidate $one): bool => $one->choice() === Choice::Open));
        $decisions = array_map(
            static fn (Decision $d): DecisionView => $d->view(), $this->records->all(Decision::class, ['revision' => $revision]),
        );
        $built = array_values(array_filter($decisions, static fn (DecisionView $d): bool => $d->next !== null));
        $last = $built === [] ? null : $built[count($built) - 1]->nextLetter;

        return new NextSheet(
            DecisionWords::sentence($build->letter, count($open), $undecided, $c, $book->device, $last), $revision->view(),
            $revision->device()->view(), self::views($open), self::views($settled), $decisions, $this->cameOf($decisions, $book),
            ConsequencesView::of($c, $book->device, $book->metrics()),
            self::letter($build, $book),
            $book->metricNames(), FailureChoices::of($book, [$build->id]), BuildSheets::alterable($build),
            array_map(static fn (Wanted $w): Pick => new Pick($w->id, $w->statement), $book->wanted()),
            [
                ...DecisionWords::warnings($build->letter, $book->isTried($build), $book->standings($build)->dangers),
                ...$this->standing->wouldTouch($revision, $open), ...$this->answering($open),
            ],
            array_map(
                static fn (Part $p): Pick => new Pick($p->id()->toRfc4122(), $p->name(), $p->view()->material),
                $this->standing->forNow($revision),
            ),
            array_values(array_filter([
                $this->steps->never($build, $book), $this->believed($revision->device()),
                DecisionWords::odd($this->odd->open($build->id)), DecisionWords::waiting($this->waiting->of($build->id)),
            ])),
            array_values(array_filter(
                array_map(
                    static fn (Article $a): ArticleView => $a->view(),
                    $this->records->all(Article::class, ['revision' => $revision]),
                ),
                static fn (ArticleView $a): bool => $a->gathers,
            )),
        );
    }

    /**
     * @param list<Candidate> $open
     *
     * @return list<string> candidates that answer one mode of failure together
     */
    private function answering(array $open): array
    {
        $ids = array_values(array_unique(array_merge(...array_map(static fn (Candidate $c): array => $c->failures(), $open))));
        $modes = $answers = $what = [];
        foreach ($ids === [] ? [] : $this->records->all(Failure::class, ['id' => $ids]) as $failure) {
            $modes[$failure->id()->toRfc4122()] = $failure->mode();
        }
        foreach ($open as $candidate) {
            $id = $candidate->id()->toRfc4122();
            [$answers[$id], $what[$id]] = [$candidate->failures(), $candidate->what()];
        }

        return array_values(array_map(
            static fn (array $of): string => DecisionWords::answering(
                array_map(static fn (string $id): string => $what[$id], $of['by']), $of['mode'],
            ), Answering::together($answers, $modes),
        ));
    }

    /** What is only believed, so that nobody decides on it unawares. */
    private function believed(Device $device): string
    {
        return BriefWords::resting(array_values(array_map(
            static fn (AssumptionRow $r): string => $r->assumption->text,
            array_filter($this->beliefs->of($device), static fn (AssumptionRow $r): bool => !$r->standing->isSettled()),
        )));
    }

    private static function letter(Build $build, Book $book): string
    {
        $builds = array_values($book->lineage()->builds);
        $children = array_filter($builds, static fn (Build $b): bool => $b->parent === $build->id);

        return NextLetter::child($build->letter, array_map(static fn (Build $b): string => $b->letter, $builds), $children === []);
    }

    /**
     * @param list<Candidate> $candidates
     *
     * @return list<CandidateView>
     */
    private static function views(array $candidates): array
    {
        return array_map(static fn (Candidate $one): CandidateView => $one->view(), $candidates);
    }

    /**
     * The loop closed: what was expected here against what the next build showed.
     *
     * @param list<DecisionView> $decisions
     *
     * @return list<CameOf>
     */
    private function cameOf(array $decisions, Book $book): array
    {
        $out = [];
        foreach ($decisions as $decision) {
            $next = $book->lineage()->build($decision->next ?? '');
            if ($next === null || $next->changes === []) {
                continue;
            }
            $views = [];
            foreach ($this->records->all(Change::class, ['revision' => $next->id]) as $change) {
                $views[$change->id()->toRfc4122()] = $change->view();
            }
            foreach ($book->changesSeen($next) as $seen) {
                $view = $views[$seen->change->id] ?? null;
                $metric = $book->metric($seen->expected->metric ?? '');
                $note = $view->verdictNote ?? '';
                $out[] = new CameOf(
                    $seen->change->what, $decision->nextLetter, ChangeWords::expected($seen->expected, $metric),
                    $view->verdict ?? $seen->verdict,
                    $note !== '' ? $note : ChangeWords::sentence($seen, $metric, $view?->verdict !== null),
                );
            }
        }

        return $out;
    }
}
