<?php

declare(strict_types=1);

namespace Lustrum\Sheet\Build;

use Lustrum\Domain\Revision\Arm;

/** An arm with what was planned, made, tried, lost and eliminated. */
final readonly class ArmRow
{
    public function __construct(
        public Arm $arm,
        public string $values,
        public int $made,
        public int $tried,
        public int $lost,
        public bool $chosen,
        public string $sentence,
    ) {
    }
}
