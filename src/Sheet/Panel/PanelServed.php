<?php

declare(strict_types=1);

namespace Lustrum\Sheet\Panel;

/** How far one rater is, and, for whoever serves, what is handed over next. */
final readonly class PanelServed
{
    /**
     * @param int              $done  sheets that are there
     * @param int              $of    sheets that are asked for
     * @param PanelCode|null   $next  to be handed over; null: nothing, or it is not told
     * @param list<PanelCode>  $codes in order; none while it is blind
     */
    public function __construct(
        public string $rater,
        public int $done,
        public int $of,
        public ?PanelCode $next,
        public array $codes,
    ) {
    }
}
