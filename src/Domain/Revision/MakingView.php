<?php

declare(strict_types=1);

namespace Lustrum\Domain\Revision;

final readonly class MakingView
{
    /** @param string $took in words: '40 min'; empty: nobody looked */
    public function __construct(
        public string $id,
        public int $version,
        public string $article,
        public string $name,
        public string $who,
        public ?float $minutes,
        public string $took,
        public string $wrong,
        public int $scrap,
        public string $noticed,
        public string $by,
        public string $at,
    ) {
    }
}
