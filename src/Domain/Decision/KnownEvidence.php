<?php

declare(strict_types=1);

namespace Lustrum\Domain\Decision;

use Lustrum\Core\Evidence\Texture;

/** What was known of a requirement when the decision was taken. */
final readonly class KnownEvidence
{
    public function __construct(
        public string $statement,
        public Texture $texture,
        public string $sentence,
    ) {
    }
}
