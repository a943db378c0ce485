<?php

declare(strict_types=1);

namespace Lustrum\Domain\Decision;

use Lustrum\Core\Change\ChangeClass;
use Lustrum\Core\Cost\Sums;
use Lustrum\Core\Wording\DecisionWords;

/** A candidate as it stood when the decision was taken. */
final readonly class DecisionLine
{
    public string $costText;

    public string $hoursText;

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
        $this->costText = Sums::of([(string) $cost]);
        $this->hoursText = DecisionWords::hours($hours);
    }
}
