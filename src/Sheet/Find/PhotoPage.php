<?php

declare(strict_types=1);

namespace Lustrum\Sheet\Find;

use Lustrum\Domain\Finding\PhotoView;

/** A further page of a list, and where it goes on. */
final readonly class PhotoPage
{
    /** @param list<PhotoView> $rows newest first */
    public function __construct(
        public array $rows,
        public ?string $next,
    ) {
    }
}
