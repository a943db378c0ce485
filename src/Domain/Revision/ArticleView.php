<?php

declare(strict_types=1);

namespace Lustrum\Domain\Revision;

final readonly class ArticleView
{
    /** @param list<string> $lots one 'material: lot' an entry */
    public function __construct(
        public string $id,
        public int $version,
        public string $revision,
        public string $serial,
        public array $lots,
        public string $deviations,
        public string $state,
    ) {
    }
}
