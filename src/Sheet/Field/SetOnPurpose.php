<?php

declare(strict_types=1);

namespace Lustrum\Sheet\Field;

/** Where a setting is meant to be on one article, since somebody changed it on purpose. */
final readonly class SetOnPurpose
{
    public function __construct(
        public string $article,
        public string $name,
        public ?float $intended,
    ) {
    }
}
