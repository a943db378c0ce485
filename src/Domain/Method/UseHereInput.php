<?php

declare(strict_types=1);

namespace Lustrum\Domain\Method;

use Lustrum\Shared\Identifier;

/** A method of another device that is to be used on this one. */
final readonly class UseHereInput
{
    /**
     * @param string $id     of the method that it becomes, made by the client
     * @param string $method that is copied
     */
    public function __construct(
        #[Identifier]
        public string $id,
        #[Identifier]
        public string $method,
    ) {
    }
}
