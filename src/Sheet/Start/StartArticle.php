<?php

declare(strict_types=1);

namespace Lustrum\Sheet\Start;

/** An article that is here. */
final readonly class StartArticle
{
    public function __construct(
        public string $id,
        public string $serial,
    ) {
    }
}
