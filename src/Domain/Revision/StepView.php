<?php

declare(strict_types=1);

namespace Lustrum\Domain\Revision;

/** One step of what was changed on an article between its runs. */
final readonly class StepView
{
    /** @param int $runs made so */
    public function __construct(
        public int $number,
        public string $said,
        public int $runs,
    ) {
    }
}
