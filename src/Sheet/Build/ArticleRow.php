<?php

declare(strict_types=1);

namespace Lustrum\Sheet\Build;

use Lustrum\Domain\Revision\ArticleView;

/** A unit with what it has been through. */
final readonly class ArticleRow
{
    public function __construct(
        public ArticleView $article,
        public string $letter,
        public int $runs,
        public int $failures,
        public int $lost,
        public string $past,
    ) {
    }
}
