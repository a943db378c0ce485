<?php

declare(strict_types=1);

namespace Lustrum\Sheet\Build;

use Lustrum\Core\Judging\FailureFact;
use Lustrum\Core\Wording\Messages;
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
        foreach ($book->failureFacts() as $f) {
            if (isset($out[$f->build])) {
                $letter = $book->lineage()->build($f->build)->letter ?? '';
                $out[$f->build][$f->key()."\x1f".$f->place] ??= new Pick($f->id, self::label($f, $letter));
            }
        }

        return array_merge(...array_map(array_values(...), array_values($out)));
    }

    private static function label(FailureFact $f, string $letter): string
    {
        return Messages::say('failure.choice', [
            'mode' => $f->mode, 'placed' => $f->place !== '', 'place' => $f->place, 'letter' => $letter,
        ]);
    }
}
