<?php

declare(strict_types=1);

namespace Lustrum\Sheet\Outing;

use Lustrum\Domain\Trial\OutingView;

/** A day out: its order, what to leave out, and what to take. */
final readonly class OutingPage
{
    /**
     * @param list<OutingStop> $stops   in their order
     * @param list<OutingStop> $leftOut where time is short
     * @param list<TakeLine>   $take
     */
    public function __construct(
        public string $sentence,
        public OutingView $outing,
        public array $stops,
        public array $leftOut,
        public array $take,
    ) {
    }
}
