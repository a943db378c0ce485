<?php

declare(strict_types=1);

namespace Lustrum\Revision;

final readonly class RevisionView
{
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
        public string $createdAt,
    ) {
    }
}
