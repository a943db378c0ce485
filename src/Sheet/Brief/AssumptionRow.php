<?php

declare(strict_types=1);

namespace Lustrum\Sheet\Brief;

use Lustrum\Core\Belief\Belief;
use Lustrum\Domain\Finding\AssumptionView;

/** An assumption, where it stands, and by which findings. */
final readonly class AssumptionRow
{
    /** @param list<Because> $because findings; those that were withdrawn are left out */
    public function __construct(
        public AssumptionView $assumption,
        public Belief $standing,
        public string $stands,
        public array $because,
    ) {
    }
}
