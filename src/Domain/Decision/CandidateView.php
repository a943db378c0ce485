<?php

declare(strict_types=1);

namespace Lustrum\Domain\Decision;

use Lustrum\Core\Change\ChangeClass;

final readonly class CandidateView
{
    /** @param list<ExpectedEffect> $effects */
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
        public ?string $failure,
        public Choice $choice,
        public string $reason,
        public ?string $decision,
        public string $by,
    ) {
    }
}
