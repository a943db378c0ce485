<?php

declare(strict_types=1);

namespace Lustrum\Domain\Change;

use Lustrum\Core\Change\ChangeClass;
use Lustrum\Core\Change\ChangeVerdict;

final readonly class ChangeView
{
    /**
     * @param list<ExpectedEffect> $effects
     * @param list<string>         $against identifiers of failures
     * @param list<string>         $alters
     */
    public function __construct(
        public string $id,
        public int $version,
        public string $revision,
        public string $what,
        public string $why,
        public ChangeClass $class,
        public array $effects,
        public ?ChangeVerdict $verdict,
        public string $verdictNote,
        public array $against,
        public array $alters,
    ) {
    }
}
