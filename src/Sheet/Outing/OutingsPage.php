<?php

declare(strict_types=1);

namespace Lustrum\Sheet\Outing;

use Lustrum\Domain\Trial\OutingView;

/** The days out of a workspace, and the trials that one can gather. */
final readonly class OutingsPage
{
    /**
     * @param list<OutingView> $outings latest first
     * @param list<OpenTrial>  $open
     */
    public function __construct(
        public array $outings,
        public array $open,
    ) {
    }
}
