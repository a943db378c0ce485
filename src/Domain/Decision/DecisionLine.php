<?php

declare(strict_types=1);

namespace Lustrum\Domain\Decision;

use Lustrum\Core\Change\ChangeClass;
use Lustrum\Core\Cost\Sums;
use Lustrum\Core\Wording\DecisionWords;
use Lustrum\Core\Wording\Messages;

/** A candidate as it stood when the decision was taken. */
final readonly class DecisionLine
{
    /** Cost and hours as they are written. */
    public string $sum;

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
        $this->sum = Messages::say('decision.sum', ['cost' => Sums::of([(string) $cost]), 'hours' => DecisionWords::hours($hours)]);
    }
}
