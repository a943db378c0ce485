<?php

declare(strict_types=1);

namespace Lustrum\Domain\Trial;

use Lustrum\Shared\MeasureView;

final readonly class ReadingView
{
    /**
     * @param MeasureView     $typed      as first typed
     * @param MeasureView     $current    as it counts
     * @param list<Amendment> $amendments oldest first
     */
    public function __construct(
        public string $id,
        public int $version,
        public string $run,
        public string $channel,
        public string $metric,
        public MeasureView $typed,
        public MeasureView $current,
        public array $amendments,
        public string $confirmed,
        public string $by,
        public string $at,
    ) {
    }
}
