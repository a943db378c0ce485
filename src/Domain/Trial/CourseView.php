<?php

declare(strict_types=1);

namespace Lustrum\Domain\Trial;

final readonly class CourseView
{
    /** @param list<CourseMark> $marks */
    public function __construct(
        public string $id,
        public int $version,
        public string $run,
        public string $name,
        public string $text,
        public string $unit,
        public string $timeUnit,
        public array $marks,
        public string $by,
    ) {
    }
}
