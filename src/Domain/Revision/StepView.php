<?php

declare(strict_types=1);

namespace Lustrum\Domain\Revision;

/** One step of what was changed on an article between its runs. */
final readonly class StepView
{
    /**
     * @param int                 $runs  made so
     * @param list<AnsweredView> $after failures on the article before it, which it may be meant to end
     */
    public function __construct(
        public int $number,
        public string $said,
        public int $runs,
        public array $after,
    ) {
    }
}
