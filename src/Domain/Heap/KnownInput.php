<?php

declare(strict_types=1);

namespace Lustrum\Domain\Heap;

use Symfony\Component\Validator\Constraints as Assert;

/** Asks which files of a heap are here already. */
final readonly class KnownInput
{
    /** @param list<string> $sha256 */
    public function __construct(
        #[Assert\Count(max: AsideInput::MOST, maxMessage: 'At most {{ limit }} at once.')]
        #[Assert\All([new Assert\Regex('/^[0-9a-f]{64}$/', message: 'This is no SHA-256.')])]
        public array $sha256,
    ) {
    }
}
