<?php

declare(strict_types=1);

namespace Lustrum\Sheet\Brief;

use Lustrum\Domain\Device\UseStepView;

/** A step of use, and where it was tried. */
final readonly class StepRow
{
    /** @param string $use name of the use that it belongs to; empty: every one */
    public function __construct(
        public UseStepView $step,
        public string $use,
        public string $tried,
        public bool $never,
    ) {
    }
}
