<?php

declare(strict_types=1);

namespace Lustrum\Domain\Trial;

use Lustrum\Shared\MeasureView;

final readonly class ReadingView
{
    /**
     * @param MeasureView     $typed      as first typed
     * @param MeasureView     $current    as it counts
     * @param string          $said       how it was said, where that is more than a number: 'about 60 N'
     * @param string          $bound      atLeast, atMost, or empty
     * @param float|null      $u          standard uncertainty in the unit of the current value, where one was said
     * @param bool            $undecided  does nobody know its unit? Then it is used for nothing
     * @param list<Deciding>  $choices    what it would be in each unit that fits, while nobody knows
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
        public string $said,
        public string $typedSaid,
        public string $bound,
        public ?float $u,
        public bool $undecided,
        public array $choices,
        public array $amendments,
        public string $confirmed,
        public string $by,
        public string $at,
    ) {
    }
}
