<?php

declare(strict_types=1);

namespace Lustrum\Sheet\Weigh;

/** A further look at the same runs, by a method that suits what they are. */
final readonly class Further
{
    /** @param string $explain key of the explanation of the method */
    public function __construct(
        public string $sentence,
        public string $explain,
    ) {
    }
}
