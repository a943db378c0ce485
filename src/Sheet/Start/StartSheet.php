<?php

declare(strict_types=1);

namespace Lustrum\Sheet\Start;

/** What a try can begin on. */
final readonly class StartSheet
{
    /**
     * @param list<StartBuild> $builds  of all devices, by device and the newest first
     * @param string|null      $build   that was used last
     * @param string|null      $article that was used last
     */
    public function __construct(
        public array $builds,
        public ?string $build,
        public ?string $article,
    ) {
    }
}
