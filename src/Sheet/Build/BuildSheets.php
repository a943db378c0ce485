<?php

declare(strict_types=1);

namespace Lustrum\Sheet\Build;

use Lustrum\Core\Change\ChangeVerdict;
use Lustrum\Core\Cost\Sums;
use Lustrum\Core\Wording\BuildWords;
use Lustrum\Domain\Revision\Article;
use Lustrum\Domain\Revision\Parameter;
use Lustrum\Domain\Revision\Part;
use Lustrum\Domain\Revision\Revision;
use Lustrum\Facts\ArticlePast;
use Lustrum\Facts\Books;
use Lustrum\Record\Records;

/** Works out the Build station. */
final readonly class BuildSheets
{
    public function __construct(
        private Records $records,
        private Books $books,
        private ChangeRows $changes,
        private ArticlePast $past,
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
        $cost = PartRows::sum($parts);
        $parentCost = $parent === null ? null : PartRows::sum($parentParts);
        $difference = $parentCost === null ? null : Sums::difference($parentCost, $cost);
        $articles = $this->articles($revision);
        $count = static fn (ChangeVerdict $v): int => count(
            array_filter($changes, static fn (ChangeRow $c): bool => ($c->change->verdict ?? $c->computed) === $v),
        );

        return new BuildSheet(
            BuildWords::sentence(
                $revision->letter(), $parent?->letter(), count($changes), $count(ChangeVerdict::NobodyLooked),
                $count(ChangeVerdict::CannotTell), count($articles), $difference, $book->device->currency,
            ),
            $revision->view(), $parent?->view(), $changes,
            ParameterRows::of(
                $this->records->all(Parameter::class, ['revision' => $revision]),
                $parent === null ? null : $this->records->all(Parameter::class, ['revision' => $parent]),
            ),
            PartRows::of(
                $parts, $parent === null ? null : $parentParts,
            ), $cost, $parentCost, $difference, BuildWords::costAgainst($difference, $parentCost), $book->device->currency,
            $articles, $book->metricNames(),
        );
    }

    /** @return list<ArticleRow> */
    private function articles(Revision $revision): array
    {
        $past = $this->past->ofBuild($revision->id()->toRfc4122());

        return array_map(static function (Article $article) use ($past): ArticleRow {
            [
                'runs' => $runs, 'failures' => $failures, 'lost' => $lost,
            ] = $past[$article->id()->toRfc4122()] ?? ['runs' => 0, 'failures' => 0, 'lost' => 0];

            return new ArticleRow($article->view(), $runs, $failures, $lost, BuildWords::past($runs, $failures, $lost));
        }, $this->records->all(Article::class, ['revision' => $revision]));
    }
}
