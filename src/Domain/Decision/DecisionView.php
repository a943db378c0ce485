<?php

declare(strict_types=1);

namespace Lustrum\Domain\Decision;

final readonly class DecisionView
{
    public function __construct(
        public string $id,
        public int $version,
        public string $revision,
        public string $letter,
        public DecisionKind $kind,
        public ?string $next,
        public string $nextLetter,
        public string $note,
        public string $sentence,
        public DecisionRecord $known,
        public string $by,
        public string $at,
    ) {
    }
}
