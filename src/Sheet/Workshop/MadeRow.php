<?php

declare(strict_types=1);

namespace Lustrum\Sheet\Workshop;

use Lustrum\Domain\Revision\MakingView;

/** How one article was made. */
final readonly class MadeRow
{
    /**
     * @param list<MakingView> $steps oldest first
     * @param bool             $done  it is made: its run stands
     */
    public function __construct(
        public string $article,
        public string $serial,
        public array $steps,
        public string $said,
        public bool $done,
    ) {
    }
}
