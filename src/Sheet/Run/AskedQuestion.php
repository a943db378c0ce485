<?php

declare(strict_types=1);

namespace Lustrum\Sheet\Run;

/** A question that a run is to answer. */
final readonly class AskedQuestion
{
    /** @param string $metric name of what a 'yes' shows */
    public function __construct(
        public string $key,
        public string $metric,
        public string $text,
    ) {
    }
}
