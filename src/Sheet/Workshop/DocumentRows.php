<?php

declare(strict_types=1);

namespace Lustrum\Sheet\Workshop;

use Lustrum\Core\CoreException;
use Lustrum\Core\Evidence\State;
use Lustrum\Core\Judging\Build;
use Lustrum\Core\Judging\Cell;
use Lustrum\Core\Judging\ChangeFact;
use Lustrum\Core\Quantity\Quantity;
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
                if ($i > 0 && ($view->article !== null || isset($seen[self::place($view)]))) {
                    continue;
                }
                $rows[] = new DocumentRow(
                    $view, $i === 0 ? '' : $at->letter, $i === 0 ? self::note($view, $build, array_slice($line, 1), $of) : '',
                    array_map(fn (Rating $r): string => self::claim($r, $cells, $book), $view->ratings), FileWords::size($view->bytes),
                );
            }
            foreach ($of[$at->id] ?? [] as $view) {
                $seen[self::place($view)] = true;
            }
        }

        return $rows;
    }

    /** In place of which other file it is: of the same kind, of the same part; a part may have several that are called otherwise. */
    private static function place(DocumentView $view): string
    {
        $stem = (string) preg_replace('/[\s_-]*(v|rev)?[\s_-]*[0-9A-Z]{0,3}$/', '', pathinfo($view->name, \PATHINFO_FILENAME));

        return implode('|', [$view->role->value, mb_strtolower($view->partName), $view->partName === '' ? mb_strtolower($stem) : '', pathinfo($view->name, \PATHINFO_EXTENSION)]);
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
        foreach ($before as $at) {
            foreach ($of[$at->id] ?? [] as $old) {
                if (self::place($old) === self::place($view)) {
                    return $old->sha256 === $view->sha256 || self::isExplained($view, $build->changes)
                        ? '' : WorkshopWords::fileChanged($view->name, $at->letter);
                }
            }
        }

        return '';
    }

    /** @param list<ChangeFact> $changes */
    private static function isExplained(DocumentView $view, array $changes): bool
    {
        $stem = mb_strtolower(pathinfo($view->name, \PATHINFO_FILENAME));
        $part = mb_strtolower($view->partName);
        foreach ($changes as $change) {
            $what = mb_strtolower($change->what);
            $isOfPart = $part !== '' && (in_array('part:'.$part, array_map(mb_strtolower(...), $change->alters), true) || str_contains($what, $part));
            if ($isOfPart || str_contains($what, $stem)) {
                return true;
            }
        }

        return false;
    }

    /** @param list<Cell> $cells */
    private static function claim(Rating $rating, array $cells, Book $book): string
    {
        foreach ($cells as $cell) {
            if (mb_strtolower($book->metric($cell->wanted->metric)) === mb_strtolower(trim($rating->what))) {
                $w = $cell->wanted;

                return WorkshopWords::asserted(
                    $rating->what, $rating->value, $rating->page, EvidenceWords::limit($w->kind(), $w->rule->direction, $w->limit, $w->unit),
                    self::meets($rating->value, $cell), $cell->state !== State::None,
                );
            }
        }

        return WorkshopWords::asserted($rating->what, $rating->value, $rating->page, '', 'unknown', false);
    }

    private static function meets(string $value, Cell $cell): string
    {
        try {
            $is = Quantity::typed($value)->to($cell->wanted->unit)->value;
        } catch (CoreException) {
            return 'unknown';
        }

        return $cell->wanted->rule->direction->met($is, $cell->wanted->limit) ? 'yes' : 'no';
    }
}
