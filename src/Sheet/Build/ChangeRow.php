<?php

declare(strict_types=1);

namespace Lustrum\Sheet\Build;

use Lustrum\Core\Change\ChangeVerdict;
use Lustrum\Core\Wording\Estimate;
use Lustrum\Domain\Change\ChangeView;

/** A change with what was expected and what came of it. */
final readonly class ChangeRow
{
    /**
     * @param ChangeVerdict $computed what the runs say; the person's own verdict stands in the change
     * @param string        $how      the difference was worked out
     * @param string        $metricId to open the runs that it was seen on
     * @param int           $runs     that it was seen on
     * @param list<string>  $against  modes of failure that it is meant to end
     * @param list<string>  $together other changes of this build that were expected to move the same metric
     */
    public function __construct(
        public ChangeView $change,
        public string $metric,
        public string $expected,
        public ?Estimate $seen,
        public ChangeVerdict $computed,
        public string $sentence,
        public string $how,
        public string $metricId,
        public int $runs,
        public array $together,
        public array $against,
    ) {
    }
}
