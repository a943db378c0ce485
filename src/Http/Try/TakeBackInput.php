<?php

declare(strict_types=1);

namespace Lustrum\Http\Try;

use Symfony\Component\Validator\Constraints as Assert;

final readonly class TakeBackInput
{
    public function __construct(
        #[\SensitiveParameter]
        #[Assert\Length(max: 4096, maxMessage: 'At most {{ limit }} characters.')]
        public string $password,
    ) {
    }
}
