<?php

declare(strict_types=1);

namespace Lustrum\Core\Pasted;

/** A line of a parts list as it was pasted; what its table did not have is null. */
final readonly class PartLine
{
    /**
     * @param int         $row  in the table as it was pasted, from 1
     * @param float|null  $mass of one, in grams
     */
    public function __construct(
        public int $row,
        public string $name,
        public ?string $material = null,
        public ?float $quantity = null,
        public ?float $cost = null,
        public ?float $mass = null,
        public ?string $note = null,
    ) {
    }
}
