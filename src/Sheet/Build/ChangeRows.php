<?php

declare(strict_types=1);

namespace Lustrum\Sheet\Build;

use Lustrum\Core\Judging\Build;
use Lustrum\Core\Judging\ChangeSeen;
use Lustrum\Core\Wording\ChangeWords;
use Lustrum\Domain\Change\Change;
use Lustrum\Domain\Change\ChangeView;
use Lustrum\Domain\Finding\Failure;
use Lustrum\Facts\Book;
use Lustrum\Record\Records;

/** The changes of a build with what was expected and what came of them. */
final readonly class ChangeRows
{
    public function __construct(
        private Records $records,
    ) {
    }

    /** @return list<ChangeRow> */
    public function of(Build $build, Book $book): array
    {
        $seen = [];
        foreach ($book->changesSeen($build) as $one) {
            $seen[$one->change->id] = $one;
        }
        $views = array_map(static fn (Change $c): ChangeView => $c->view(), $this->records->all(Change::class, ['revision' => $build->id]));
        $modes = $this->modes($views);
        $rows = [];
        $parent = $book->lineage()->parent($build)->letter ?? '';
        foreach ($views as $view) {
            if (isset($seen[$view->id])) {
                $rows[] = self::row($view, $seen[$view->id], $parent, $modes[$view->against ?? ''] ?? null);
            }
        }

        return $rows;
    }

    private static function row(ChangeView $view, ChangeSeen $seen, string $parent, ?string $against): ChangeRow
    {
        return new ChangeRow(
            $view, ChangeWords::expected($seen->change, $view->metric), ChangeWords::seen($seen), $seen->verdict,
            ChangeWords::sentence($seen, $view->metric, $view->verdict !== null), ChangeWords::how($seen, $parent), $seen->change->metric,
            $seen->n + $seen->nBefore, $seen->together, $against,
        );
    }

    /**
     * @param list<ChangeView> $views
     *
     * @return array<string, string> modes of failures, by identifier
     */
    private function modes(array $views): array
    {
        $ids = array_values(array_filter(array_map(static fn (ChangeView $v): ?string => $v->against, $views)));
        $modes = [];
        foreach ($ids === [] ? [] : $this->records->all(Failure::class, ['id' => $ids]) as $failure) {
            $modes[$failure->id()->toRfc4122()] = $failure->mode();
        }

        return $modes;
    }
}
