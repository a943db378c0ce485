<?php

declare(strict_types=1);

namespace Lustrum\Sheet\Panel;

/** One code as it is served to one rater, with what stands behind it. */
final readonly class PanelCode
{
    /** @param string $serial of the article that stands behind it */
    public function __construct(
        public string $code,
        public string $serial,
        public bool $done,
        public bool $late,
    ) {
    }
}
