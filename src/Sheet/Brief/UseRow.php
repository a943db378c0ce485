<?php

declare(strict_types=1);

namespace Lustrum\Sheet\Brief;

use Lustrum\Core\Judging\UseFit;
use Lustrum\Domain\Device\UseCaseView;

/** A use with the verdict of the build that is looked at. */
final readonly class UseRow
{
    public function __construct(
        public UseCaseView $use,
        public UseFit $fit,
        public string $verdict,
    ) {
    }
}
