<?php

declare(strict_types=1);

namespace Lustrum\Action\Files;

/** A file waits to be prepared. */
final readonly class PrepareFile
{
    public function __construct(
        public string $photo,
    ) {
    }
}
