<?php

declare(strict_types=1);

namespace Lustrum\Domain\Revision;

final readonly class SpendingView
{
    /**
     * @param float|null $hours null while its clock is running
     * @param string     $time  in words: '2.5 h'; empty: none
     * @param string     $money as decimal text; empty: none
     */
    public function __construct(
        public string $id,
        public int $version,
        public string $revision,
        public string $what,
        public string $who,
        public ?float $hours,
        public float $cost,
        public string $time,
        public string $money,
        public string $started,
        public string $stopped,
        public string $at,
    ) {
    }
}
