<?php

declare(strict_types=1);

namespace Lustrum\Sheet\Start;

/** A build that a try can begin on. */
final readonly class StartBuild
{
    /** @param list<StartArticle> $articles of it, that are here */
    public function __construct(
        public string $device,
        public string $name,
        public string $id,
        public string $letter,
        public array $articles,
    ) {
    }
}
