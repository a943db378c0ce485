<?php

declare(strict_types=1);

namespace Lustrum\Decision;

use Lustrum\Revision\ChangeClass;

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
