<?php

declare(strict_types=1);

namespace Lustrum\Action\Read;

/** One reading of several, as it was and as it becomes. */
final readonly class TogetherRow
{
    public function __construct(
        public string $id,
        public string $trial,
        public int $run,
        public string $metric,
        public string $instrument,
        public string $day,
        public string $was,
        public string $becomes,
    ) {
    }
}
