<?php

declare(strict_types=1);

namespace Lustrum\Sheet\Run;

/** What was read off a course. */
final readonly class CourseResult
{
    /**
     * @param string     $reading as it would be typed as a reading; empty: the course does not say
     * @param float|null $at      s, where it is a moment
     * @param bool       $isTime
     * @param string     $origin  of a reading that is taken from it
     */
    public function __construct(
        public string $sentence,
        public string $reading,
        public ?float $at,
        public bool $isTime,
        public string $origin,
    ) {
    }
}
