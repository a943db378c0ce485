<?php

declare(strict_types=1);

namespace Lustrum\Domain\Device;

use Lustrum\Shared\Limit;
use Symfony\Component\Validator\Constraints as Assert;

/** A requirement as somebody says it. */
final readonly class WishInput
{
    public function __construct(
        #[Assert\NotBlank(message: 'This is still empty.', normalizer: 'trim')]
        #[Assert\Length(max: Limit::LINE, maxMessage: 'At most {{ limit }} characters.')]
        public string $text,
    ) {
    }
}
