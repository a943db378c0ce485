<?php

declare(strict_types=1);

namespace Lustrum\Trial;

/** How a typed reading would be kept: as typed, and in the unit of the channel. */
final readonly class ReadingPreview
{
    /** @param list<Question> $questions */
    public function __construct(
        public string $typed,
        public string $inChannelUnit,
        public bool $converted,
        public array $questions,
    ) {
    }
}
