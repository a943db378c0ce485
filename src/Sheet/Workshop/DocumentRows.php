<?php

declare(strict_types=1);

namespace Lustrum\Sheet\Workshop;

use Lustrum\Core\Evidence\State;
use Lustrum\Core\Judging\Build;
use Lustrum\Core\Judging\BuildFile;
use Lustrum\Core\Judging\Cell;
use Lustrum\Core\Wording\EvidenceWords;
use Lustrum\Core\Wording\FileWords;
use Lustrum\Core\Wording\WorkshopWords;
use Lustrum\Domain\Document\Document;
use Lustrum\Domain\Document\DocumentView;
use Lustrum\Domain\Document\Rating;
use Lustrum\Facts\Book;
use Lustrum\Record\Records;

/** The files of a build: its own, and those of the builds before it that it has none in place of. */
final readonly class DocumentRows
{
    public function __construct(
        private Records $records,
    ) {
    }

    /** @return list<DocumentRow> */
    public function of(Build $build, Book $book): array
    {
        $line = [$build, ...$book->lineage()->ancestors($build)];
        $of = [];
        foreach ($this->records->all(Document::class, ['revision' => array_map(static fn (Build $b): string => $b->id, $line)]) as $document) {
            $view = $document->view();
            $of[$view->revision][] = $view;
        }
        $cells = $of === [] ? [] : $book->cells($build);
        $rows = $seen = [];
        foreach ($line as $i => $at) {
            foreach ($of[$at->id] ?? [] as $view) {
                // What belongs to an article of another build says nothing of this one.
                if ($i > 0 && ($view->article !== null || isset($seen[self::file($view)->place()]))) {
                    continue;
                }
                $rows[] = new DocumentRow(
                    $view, $i === 0 ? '' : $at->letter, $i === 0 ? self::note($view, $build, array_slice($line, 1), $of) : '',
                    array_map(fn (Rating $r): string => self::claim($r, $cells, $book), $view->ratings), FileWords::size($view->bytes),
                );
            }
            foreach ($of[$at->id] ?? [] as $view) {
                $seen[self::file($view)->place()] = true;
            }
        }

        return $rows;
    }

    private static function file(DocumentView $view): BuildFile
    {
        return new BuildFile($view->name, $view->role->value, $view->partName, $view->sha256);
    }

    /**
     * @param list<Build>                       $before nearest first
     * @param array<string, list<DocumentView>> $of     by build
     */
    private static function note(DocumentView $view, Build $build, array $before, array $of): string
    {
        if (!$view->role->shapesTheBuild()) {
            return '';
        }
        $file = self::file($view);
        foreach ($before as $at) {
            foreach ($of[$at->id] ?? [] as $old) {
                if (self::file($old)->place() === $file->place()) {
                    return $file->isUnexplained(self::file($old), $build->changes) ? WorkshopWords::fileChanged($view->name, $at->letter) : '';
                }
            }
        }

        return '';
    }

    /** @param list<Cell> $cells */
    private static function claim(Rating $rating, array $cells, Book $book): string
    {
        foreach ($cells as $cell) {
            if (mb_strtolower($book->metric($cell->wanted->metric)) === mb_strtolower(trim($rating->what))) {
                $w = $cell->wanted;

                return WorkshopWords::asserted(
                    $rating->what, $rating->value, $rating->page,
                    EvidenceWords::limit($w->kind(), $w->rule->direction, $w->limit, $w->unit, $w->words),
                    $w->metBy($rating->value), $cell->state !== State::None,
                );
            }
        }

        return WorkshopWords::asserted($rating->what, $rating->value, $rating->page, '', null, false);
    }
}
