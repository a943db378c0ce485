<?php

declare(strict_types=1);

namespace Lustrum\Core\Rig;

/** A setting as somebody found it on a run of an article: from then on it is known, until something happens to the article. */
final readonly class Verified
{
    /** @param string $at RFC 3339, in UTC */
    public function __construct(
        public string $name,
        public string $text,
        public int $run,
        public string $trial,
        public string $at,
    ) {
    }
}
