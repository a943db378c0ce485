<?php

declare(strict_types=1);

namespace Lustrum\Sheet\Build;

use Lustrum\Core\Change\ChangeVerdict;
use Lustrum\Core\Cost\Sums;
use Lustrum\Core\Judging\Build;
use Lustrum\Core\Judging\ChangeFact;
use Lustrum\Core\Judging\Difference;
use Lustrum\Core\Judging\Differences;
use Lustrum\Core\Judging\OwnParts;
use Lustrum\Core\Run\Parameter as Fact;
use Lustrum\Core\Run\Part as PartFact;
use Lustrum\Core\Wording\BuildWords;
use Lustrum\Domain\Method\Method;
use Lustrum\Domain\Revision\Article;
use Lustrum\Domain\Revision\Parameter;
use Lustrum\Domain\Revision\Part;
use Lustrum\Domain\Revision\Revision;
use Lustrum\Facts\ArticlePast;
use Lustrum\Facts\Book;
use Lustrum\Facts\Books;
use Lustrum\Facts\FailureFacts;
use Lustrum\Facts\WorkshopFacts;
use Lustrum\Record\Records;
use Lustrum\Sheet\Brief\Steps;
use Lustrum\Sheet\Choice\FailureChoices;
use Lustrum\Sheet\Choice\Pick;

/** Works out the Build station. */
final readonly class BuildSheets
{
    public function __construct(
        private Records $records,
        private Books $books,
        private ChangeRows $changes,
        private ArticlePast $past,
        private FailureFacts $failures,
        private Steps $steps,
        private Standing $standing,
        private WorkshopFacts $workshop,
    ) {
    }

    public function of(Revision $revision): BuildSheet
    {
        $book = $this->books->open($revision->device());
        $build = $book->build($revision->id()->toRfc4122());
        $parent = $revision->parent();
        $changes = $this->changes->of($build, $book);
        $parts = $this->records->all(Part::class, ['revision' => $revision]);
        $parentParts = $parent === null ? [] : $this->records->all(Part::class, ['revision' => $parent]);
        $cost = PartRows::product($parts);
        $parentCost = $parent === null ? null : PartRows::product($parentParts);
        $difference = $parentCost === null ? null : Sums::difference($parentCost, $cost);
        $articles = $this->articles($revision);
        $parameterRows = ParameterRows::chosen(ParameterRows::of(
            $this->records->all(Parameter::class, ['revision' => $revision]),
            $parent === null ? null : $this->records->all(Parameter::class, ['revision' => $parent]),
        ), $build);
        $partRows = PartRows::of($parts, $parent === null ? null : $parentParts);
        $arms = ArmRows::of($revision->view(), $articles);
        // A change with several effects has a row for each, and is one: looked at where one of them was.
        $verdicts = [];
        foreach ($changes as $row) {
            $verdicts[$row->change->id][] = $row->change->verdict ?? $row->computed;
        }
        $unseen = array_filter($verdicts, static fn (array $of): bool => array_unique($of, \SORT_REGULAR) === [ChangeVerdict::NobodyLooked]);
        $open = array_filter($verdicts, static fn (array $of): bool => in_array(ChangeVerdict::CannotTell, $of, true));

        return new BuildSheet(
            BuildWords::sentence(
                $revision->letter(), $parent?->letter(), count($verdicts), count($unseen),
                count($open), count($articles), $difference, $book->device->currency,
                self::armsSaid($arms, $revision->chosenArm()),
            ),
            $revision->view(), $parent?->view(), $changes,
            $parameterRows, $partRows, $cost, $parentCost, $difference, BuildWords::costAgainst($difference, $parentCost),
            $book->device->currency,
            $articles, $book->metricNames(), $arms, [
                ...$this->notes($build, $book), ...self::unclear($articles, $build, $book),
                ...Standing::changed($parameterRows, $partRows),
            ],
            FailureChoices::of($book, [$build->id, ...array_map(
                static fn (Build $b): string => $b->id, $book->lineage()->ancestors($build),
            )]),
            self::alterable($build), array_map(
                static fn (Method $m): string => $m->name(), $this->records->all(Method::class, ['device' => $revision->device()]),
            ), $this->failures->known($book->device->id)['modes'], $this->steps->never($build, $book),
            $this->standing->rests($revision), PartRows::masses($parts),
            array_map(static fn (array $m): Pick => new Pick($m['id'], $m['name']), $this->workshop->modules(
                $revision->workspace()->id()->toRfc4122(), $book->device->id,
            )),
        );
    }

    /**
     * @param list<ArticleRow> $articles
     *
     * @return list<string> what is asked of articles that are otherwise in something that was changed
     */
    private static function unclear(array $articles, Build $build, Book $book): array
    {
        $parent = $book->lineage()->parent($build);
        $out = [];
        foreach ($articles as $row) {
            foreach (OwnParts::unclear($build, $parent, $row->article->deviants) as $deviation) {
                $out[] = BuildWords::unclear(
                    $row->article->serial, $deviation->name, $deviation->value, $build->letter, $parent->letter ?? '',
                );
            }
        }

        return $out;
    }

    /** @param list<ArmRow> $arms */
    private static function armsSaid(array $arms, string $chosen): string
    {
        $count = static fn (callable $is): int => count(array_filter($arms, $is));

        return BuildWords::arms(
            count($arms), $count(static fn (ArmRow $a): bool => $a->made > 0), $count(static fn (ArmRow $a): bool => $a->tried > 0),
            $count(static fn (ArmRow $a): bool => $a->lost > 0), $count(static fn (ArmRow $a): bool => $a->arm->eliminated !== ''), $chosen,
        );
    }

    /** @return list<string> where build and change records do not agree */
    private function notes(Build $build, Book $book): array
    {
        $parent = $book->lineage()->parent($build);
        if ($parent === null) {
            return [];
        }
        $differences = Differences::between($parent, $build);
        $unseen = array_filter($build->changes, static fn (ChangeFact $c): bool => $c->alters !== [] && array_filter(
            $differences, static fn (Difference $d): bool => $c->explains($d),
        ) === []);

        return [
            ...array_map(BuildWords::unexplained(...), array_values(array_filter(
                Differences::unexplained($differences, $build->changes), static fn (Difference $d): bool => !$build->variesIn($d),
            ))),
            ...array_map(static fn (ChangeFact $c): string => BuildWords::unseen($c->what), array_values($unseen)),
        ];
    }

    /** @return list<Pick> what of a build a change can alter, with its present value */
    public static function alterable(Build $build): array
    {
        return [
            ...array_map(
                static fn (Fact $p): Pick => new Pick('parameter:'.$p->name, $p->name, $p->text()),
                $build->as($build->chosenArm)->parameters,
            ),
            ...array_map(static fn (PartFact $p): Pick => new Pick('part:'.$p->name, $p->name, $p->material), $build->parts),
            new Pick('firmware', 'firmware', $build->firmware),
        ];
    }

    /** @return list<ArticleRow> of this build, and those that were of it before they were reworked */
    private function articles(Revision $revision): array
    {
        $all = $this->records->all(Article::class, ['belongsTo' => $revision->belongsTo()]);
        $articles = array_values(array_filter($all, static fn (Article $a): bool => $a->isOf($revision)));
        $past = $this->past->of(array_map(static fn (Article $a): string => $a->id()->toRfc4122(), $articles));

        return array_map(static function (Article $article) use ($past): ArticleRow {
            [
                'runs' => $runs, 'failures' => $failures, 'lost' => $lost,
            ] = $past[$article->id()->toRfc4122()] ?? ['runs' => 0, 'failures' => 0, 'lost' => 0];

            return new ArticleRow(
                $article->view(), $article->revision()->letter(), $runs, $failures, $lost,
                BuildWords::past($runs, $failures, $lost),
            );
        }, $articles);
    }
}
