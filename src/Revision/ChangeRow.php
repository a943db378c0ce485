<?php

declare(strict_types=1);

namespace Lustrum\Revision;

use Lustrum\Core\Change\ChangeVerdict;
use Lustrum\Weighing\Estimate;

/** A change with what was expected and what came of it. */
final readonly class ChangeRow
{
    /**
     * @param ChangeVerdict $computed what the runs say; the person's own verdict stands in the change
     * @param list<string>  $runs     that it was seen on
     * @param list<string>  $together other changes of this build that were expected to move the same metric
     */
    public function __construct(
        public ChangeView $change,
        public string $expected,
        public ?Estimate $seen,
        public ChangeVerdict $computed,
        public string $sentence,
        public array $runs,
        public array $together,
        public ?string $against,
    ) {
    }
}
