<?php

declare(strict_types=1);

namespace Lustrum\Domain\Heap;

use Symfony\Component\Validator\Constraints as Assert;

/** What nobody needs of a heap. */
final readonly class AsideInput
{
    public const MOST = 2000;

    /** @param list<string>|null $files identifiers; null: all that is left */
    public function __construct(
        #[Assert\Count(max: self::MOST, maxMessage: 'At most {{ limit }} at once.')]
        #[Assert\All([new Assert\Uuid(message: 'This is not an identifier.')])]
        public ?array $files = null,
    ) {
    }
}
