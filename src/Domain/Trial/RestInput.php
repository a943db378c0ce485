<?php

declare(strict_types=1);

namespace Lustrum\Domain\Trial;

use Lustrum\Shared\Identifier;

/** The rest of a plan becomes a trial of its own. */
final readonly class RestInput
{
    /**
     * @param string      $trial    identifier of the new one, made by the client
     * @param string|null $revision that it is for; null: the same
     */
    public function __construct(
        #[Identifier]
        public string $trial,
        #[Identifier]
        public ?string $revision = null,
    ) {
    }
}
