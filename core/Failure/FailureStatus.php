<?php

declare(strict_types=1);

namespace Lustrum\Core\Failure;

/** Where a failure stands, in numbers (`failure.status`, over a partial order of severity). */
final readonly class FailureStatus
{
    /**
     * @param string       $letter  of the build that closed it, that it came back on, or whose fix nobody tried; empty while it is open
     * @param list<string> $fixes   changes that are meant to end it, by their names
     * @param int          $held    runs since the last recurrence that held at every level that is needed
     * @param int          $needed  to close it
     * @param list<string> $needs   hardest levels at which it happened, as they are said; empty texts for a method without levels
     * @param int          $milder  that held below them, which closes nothing
     * @param string       $mildest the hardest of these, as it is said
     * @param float        $mayFail the greatest share of tries in which it may still fail, after these holds
     * @param float        $chance  that an unfixed design would have come through them
     * @param int          $times   that it came back
     * @param string       $at      level at which it came back last, as it is said
     * @param 'milder'|'same'|'harder'|'' $return beside the levels at which it had happened before
     * @param array<array-key, int> $on of these, by the build that made each
     * @param float        $confidence at which $mayFail is said
     * @param ByHand|null  $byHand  who closed it in words, where nothing came back since; both stand
     * @param list<string> $without builds on which it was seen again, which carry no fix of it: that opens nothing
     */
    public function __construct(
        public Standing $standing,
        public string $letter = '',
        public array $fixes = [],
        public int $held = 0,
        public int $needed = 0,
        public array $needs = [],
        public int $milder = 0,
        public string $mildest = '',
        public float $mayFail = 1.0,
        public float $chance = 1.0,
        public int $times = 0,
        public string $at = '',
        public string $return = '',
        public array $without = [],
        public array $on = [],
        public float $confidence = 0.95,
        public ?ByHand $byHand = null,
    ) {
    }

    /** The same, closed in words where its holds have not closed it. */
    public function closedBy(ByHand $hand): self
    {
        return new self(
            $this->standing->isOpen() ? Standing::ByHand : $this->standing, $this->letter, $this->fixes, $this->held, $this->needed,
            $this->needs, $this->milder, $this->mildest, $this->mayFail, $this->chance, $this->times, $this->at, $this->return,
            $this->without, $this->on, $this->confidence, $hand,
        );
    }
}
