<?php

declare(strict_types=1);

namespace Lustrum\Domain\Revision;

final readonly class RevisionView
{
    /**
     * @param list<Arm>        $arms
     * @param list<Correction> $corrections oldest first
     */
    public function __construct(
        public string $id,
        public int $version,
        public string $device,
        public ?string $parent,
        public string $letter,
        public string $branch,
        public string $intent,
        public string $firmware,
        public RevisionState $state,
        public string $stateReason,
        public array $arms,
        public string $chosenArm,
        public bool $family,
        public string $worstArm,
        public array $corrections,
        public string $createdAt,
    ) {
    }
}
