<?php

declare(strict_types=1);

namespace Lustrum\Action\Files;

/** A file waits to be prepared: one of a run or a build, one of a heap, or a document. */
final readonly class PrepareFile
{
    public function __construct(
        public string $record,
    ) {
    }
}
