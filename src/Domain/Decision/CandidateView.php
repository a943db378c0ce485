<?php

declare(strict_types=1);

namespace Lustrum\Domain\Decision;

use Lustrum\Core\Change\ChangeClass;
use Lustrum\Domain\Change\ExpectedEffect;

final readonly class CandidateView
{
    /**
     * @param list<ExpectedEffect> $effects
     * @param list<string>         $failures
     * @param list<string>         $requirements
     * @param list<Alteration>     $alters
     */
    public function __construct(
        public string $id,
        public int $version,
        public string $revision,
        public string $what,
        public string $why,
        public ChangeClass $class,
        public float $cost,
        public float $hours,
        public string $costText,
        public string $hoursText,
        /** @var list<string> what each effect comes to, in words */
        public array $expected,
        public array $effects,
        public CandidateSource $source,
        public string $askedBy,
        public array $failures,
        public array $requirements,
        public array $alters,
        public Choice $choice,
        public string $reason,
        public ?string $decision,
        public string $by,
    ) {
    }
}
