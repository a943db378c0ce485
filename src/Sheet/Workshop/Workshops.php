<?php

declare(strict_types=1);

namespace Lustrum\Sheet\Workshop;

use Lustrum\Core\Cost\Sums;
use Lustrum\Core\Judging\Build;
use Lustrum\Core\Run\MakingRun;
use Lustrum\Core\Wording\ComparisonWords;
use Lustrum\Core\Wording\WorkshopWords;
use Lustrum\Domain\Revision\Article;
use Lustrum\Domain\Revision\Making;
use Lustrum\Domain\Revision\MakingView;
use Lustrum\Domain\Revision\Part;
use Lustrum\Domain\Revision\Revision;
use Lustrum\Domain\Revision\Spending;
use Lustrum\Domain\Revision\SpendingView;
use Lustrum\Facts\Book;
use Lustrum\Facts\Books;
use Lustrum\Facts\WorkshopFacts;
use Lustrum\Record\Records;
use Lustrum\Sheet\Choice\Pick;

/** Works out what stands behind a build. */
final readonly class Workshops
{
    public function __construct(
        private Records $records,
        private Books $books,
        private WorkshopFacts $facts,
        private DocumentRows $documents,
        private Modules $modules,
        private TakenOver $takenOver,
    ) {
    }

    public function of(Revision $revision): WorkshopSheet
    {
        $book = $this->books->open($revision->device());
        $build = $book->build($revision->id()->toRfc4122());
        $parts = $this->records->all(Part::class, ['revision' => $revision]);
        $articles = $this->records->all(Article::class, ['revision' => $revision]);
        $spendings = $this->records->all(Spending::class, ['revision' => $revision]);

        return new WorkshopSheet(
            $build->id, $this->documents->of($build, $book),
            array_map(static fn (Part $p): Pick => new Pick($p->id()->toRfc4122(), $p->name()), $parts),
            array_map(static fn (Article $a): Pick => new Pick($a->id()->toRfc4122(), $a->serial()), $articles),
            $this->modules->of($parts), $this->made($articles), $this->facts->steps($book->device->id), self::making($build, $book),
            array_map(static fn (Spending $s): SpendingView => $s->view(), $spendings), $this->spent($spendings, $build, $book),
            $this->takenOver->of($revision->device(), $build, $book),
        );
    }

    /**
     * @param list<Article> $articles
     *
     * @return list<MadeRow>
     */
    private function made(array $articles): array
    {
        $of = [];
        foreach ($articles === [] ? [] : $this->records->all(Making::class, ['article' => $articles]) as $step) {
            $of[$step->article()->id()->toRfc4122()][] = $step;
        }
        $done = array_fill_keys($this->facts->made(array_map(static fn (Article $a): string => $a->id()->toRfc4122(), $articles)), true);

        return array_map(static function (Article $article) use ($of, $done): MadeRow {
            $id = $article->id()->toRfc4122();
            $steps = $of[$id] ?? [];
            $minutes = array_map(static fn (Making $m): ?float => $m->minutes(), $steps);
            $views = array_map(static fn (Making $m): MakingView => $m->view(), $steps);

            return new MadeRow($id, $article->serial(), $views, $steps === [] ? '' : WorkshopWords::made(
                count($steps), in_array(null, $minutes, true) ? null : array_sum($minutes),
                count(array_filter($steps, static fn (Making $m): bool => $m->wentWrong())),
                array_sum(array_map(static fn (Making $m): int => $m->scrap(), $steps)), isset($done[$id]),
            ), isset($done[$id]));
        }, $articles);
    }

    /** Whether it is easier to make than the build that it comes from, as Weigh has it. */
    private static function making(Build $build, Book $book): string
    {
        $parent = $book->lineage()->parent($build);
        if ($parent === null || !in_array(MakingRun::TIME_METRIC, $book->metrics(), true)) {
            return '';
        }
        foreach ($book->against($build, $parent)->values as $comparison) {
            if ($book->metric($comparison->metric) === MakingRun::TIME_METRIC) {
                return ComparisonWords::sentence($comparison, MakingRun::TIME_METRIC, $parent->letter);
            }
        }

        return '';
    }

    /** @param list<Spending> $spendings */
    private function spent(array $spendings, Build $build, Book $book): string
    {
        $planned = $this->facts->planned($build->id);
        if ($spendings === [] && $planned === null) {
            return '';
        }
        $running = count(array_filter($spendings, static fn (Spending $s): bool => $s->hours() === null && $s->view()->started !== ''));

        return WorkshopWords::spent(
            array_sum(array_map(static fn (Spending $s): float => $s->hours() ?? 0.0, $spendings)),
            Sums::of(array_map(static fn (Spending $s): string => (string) $s->cost(), $spendings)), $book->device->currency,
            $planned['hours'] ?? null, $planned['cost'] ?? null, $running,
        );
    }
}
