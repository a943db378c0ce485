<?php

declare(strict_types=1);

namespace Lustrum\Sheet\Workings;

/** Where an answer can be put, because it measures the same. */
final readonly class TargetRow
{
    /**
     * @param string $kind parameter, candidate or method
     * @param string $name of the metric, or key of the quantity
     */
    public function __construct(
        public string $kind,
        public string $id,
        public string $name,
        public string $words,
    ) {
    }
}
