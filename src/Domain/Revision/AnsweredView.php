<?php

declare(strict_types=1);

namespace Lustrum\Domain\Revision;

/** A failure that a change made afterwards may be meant to end. */
final readonly class AnsweredView
{
    public function __construct(
        public string $id,
        public string $mode,
        public string $said,
    ) {
    }
}
