<?php

declare(strict_types=1);

namespace Lustrum\Domain\Heap;

use Lustrum\Shared\Identifier;
use Lustrum\Shared\Limit;
use Symfony\Component\Validator\Constraints as Assert;

/** Something out of the heap is kept with a run. */
final readonly class KeepInput
{
    /** @param string $photo identifier of the record that it becomes, made by the client */
    public function __construct(
        #[Identifier]
        public string $photo,
        #[Identifier]
        public string $run,
        #[Identifier]
        public ?string $failure = null,
        #[Assert\Length(max: Limit::LINE, maxMessage: 'At most {{ limit }} characters.')]
        public string $caption = '',
    ) {
    }
}
