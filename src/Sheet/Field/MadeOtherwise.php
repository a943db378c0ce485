<?php

declare(strict_types=1);

namespace Lustrum\Sheet\Field;

/** In what a run with this article would be made otherwise than the last one that held. */
final readonly class MadeOtherwise
{
    /**
     * @param string       $article identifier; empty: without an article
     * @param string       $state   without an article, what it is said to be; empty: nobody said
     * @param list<string> $whys
     */
    public function __construct(
        public string $article,
        public string $state,
        public array $whys,
    ) {
    }
}
