<?php

declare(strict_types=1);

namespace Lustrum\Domain\Revision;

use Lustrum\Core\Rig\HappeningKind;

final readonly class HappeningView
{
    public function __construct(
        public string $id,
        public int $version,
        public string $article,
        public HappeningKind $kind,
        public string $at,
        public string $note,
        public string $by,
    ) {
    }
}
