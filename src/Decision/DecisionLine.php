<?php

declare(strict_types=1);

namespace Lustrum\Decision;

use Lustrum\Revision\ChangeClass;

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

    public static function of(CandidateView $c): self
    {
        $expected = array_map(static fn (ExpectedEffect $e): string => sprintf('%s %+g to %+g %s', $e->metric, $e->low, $e->high, $e->unit), $c->effects);

        return new self($c->what, $c->why, $c->class, $c->choice, $c->reason, $c->cost, $c->hours, str_replace('-', '−', implode('; ', $expected)), $c->askedBy);
    }
}
