<?php

declare(strict_types=1);

namespace Lustrum\Core\Judging;

use Lustrum\Core\Alike\CellShares;
use Lustrum\Core\Alike\CompareProportionsWithin;

/** How often two builds held where both were tried; what one alone was tried at says nothing of the other. */
final readonly class AlikeShares
{
    public function __construct(
        public int $heldHere,
        public int $triedHere,
        public int $heldThere,
        public int $triedThere,
    ) {
    }

    public static function of(CompareProportionsWithin $within): self
    {
        $sum = static fn (callable $of): int => (int) array_sum(array_map($of, $within->cells));

        return new self(
            $sum(static fn (CellShares $c): int => $c->heldB), $sum(static fn (CellShares $c): int => $c->triedB),
            $sum(static fn (CellShares $c): int => $c->heldA), $sum(static fn (CellShares $c): int => $c->triedA),
        );
    }

    /** Nothing failed on either: so far this trial does not tell them apart. */
    public function allHeld(): bool
    {
        return $this->heldHere === $this->triedHere && $this->heldThere === $this->triedThere;
    }
}
