<?php

declare(strict_types=1);

namespace Lustrum\Sheet\Choice;

use Lustrum\Core\Wording\FailureWords;
use Lustrum\Facts\Book;

/** Failures to pick from, as 'mode, place (build)'. */
final class FailureChoices
{
    /**
     * @param list<string> $builds that they happened on
     *
     * @return list<Pick> newest build first, one for each mode, place and build
     */
    public static function of(Book $book, array $builds): array
    {
        // Where they stand is not asked here, and would cost as much as the rest of the sheet.
        $out = array_fill_keys($builds, []);
        foreach ($book->failuresToPick($builds) as ['id' => $id, 'build' => $build, 'mode' => $mode, 'place' => $place]) {
            $out[$build][] = new Pick(
                $id, FailureWords::choice($mode, $place, $book->lineage()->build($build)->letter ?? ''),
            );
        }

        return array_merge(...array_values($out));
    }
}
