<?php

declare(strict_types=1);

namespace Lustrum\Domain\Working;

use Lustrum\Shared\Identifier;
use Lustrum\Shared\Limit;
use Symfony\Component\Validator\Constraints as Assert;

/** Where the answer of a sum is put: one of the three. */
final readonly class HandOverInput
{
    /**
     * @param string|null $parameter whose value it becomes
     * @param string|null $candidate of which it is what a metric is expected to come to
     * @param string|null $method    of whose fixture it becomes a quantity
     * @param string      $name      of the metric, or key of the quantity
     */
    public function __construct(
        #[Identifier]
        public ?string $parameter = null,
        #[Identifier]
        public ?string $candidate = null,
        #[Identifier]
        public ?string $method = null,
        #[Assert\Length(max: Limit::NAME, maxMessage: 'At most {{ limit }} characters.')]
        public string $name = '',
    ) {
    }
}
