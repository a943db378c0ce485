<?php

declare(strict_types=1);

namespace Lustrum\Sheet\Brief;

use Lustrum\Core\Evidence\Direction;
use Lustrum\Core\Evidence\Kind;

/** How a sentence was read as a requirement, to be accepted or corrected. */
final readonly class WishView
{
    /**
     * @param string         $statement  as it was said
     * @param Direction|null $direction  null: nobody said which way is good
     * @param list<string>   $conditions
     * @param string         $read       how it was read, in a sentence; empty: it was not
     * @param list<string>   $asks       what is still asked of it; none: it can be kept as it is
     * @param string         $takes      runs that it would take to be shown
     */
    public function __construct(
        public string $statement,
        public string $metric,
        public ?Direction $direction,
        public ?float $limit,
        public string $unit,
        public Kind $kind,
        public array $conditions,
        public string $read,
        public array $asks,
        public string $takes,
    ) {
    }
}
