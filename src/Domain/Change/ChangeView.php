<?php

declare(strict_types=1);

namespace Lustrum\Domain\Change;

use Lustrum\Core\Change\ChangeClass;
use Lustrum\Core\Change\ChangeVerdict;

final readonly class ChangeView
{
    public function __construct(
        public string $id,
        public int $version,
        public string $revision,
        public string $what,
        public string $why,
        public ChangeClass $class,
        public string $metric,
        public ?float $expected,
        public string $unit,
        public ?ChangeVerdict $verdict,
        public string $verdictNote,
        public ?string $against,
    ) {
    }
}
