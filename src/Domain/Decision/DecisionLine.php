<?php

declare(strict_types=1);

namespace Lustrum\Domain\Decision;

use Lustrum\Core\Change\ChangeClass;

/** A candidate as it stood when the decision was taken. */
final readonly class DecisionLine
{
    public function __construct(
        public string $what,
        public string $why,
        public ChangeClass $class,
        public Choice $choice,
        public string $reason,
        public float $cost,
        public float $hours,
        public string $expected,
        public string $askedBy,
    ) {
    }
}
