<?php

declare(strict_types=1);

namespace Lustrum\Domain\Revision;

/** A build to gather what was changed on an article into. */
final readonly class GatherInput
{
    /**
     * @param string   $id   of the build that is made: sent twice, it is one
     * @param int|null $step after which it begins, from 1; null: the last one
     */
    public function __construct(
        // Who may not write here is told so before what is wrong with it.
        public string $id = '',
        public ?int $step = null,
    ) {
    }
}
