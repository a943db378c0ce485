<?php

declare(strict_types=1);

namespace Lustrum\Core\Judging;

use Lustrum\Core\Check\RelationSeen;

/** Readings of one run that do not agree, and which of them is doubted. */
final readonly class Contradiction
{
    /**
     * @param string      $doubted what was read; empty where none is more doubtful than the others
     * @param Figure|null $before  what runs before it read in its place; null: it is doubted for standing in every contradiction
     */
    public function __construct(
        public RelationSeen $relation,
        public string $doubted = '',
        public ?Figure $before = null,
    ) {
    }
}
