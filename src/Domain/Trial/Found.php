<?php

declare(strict_types=1);

namespace Lustrum\Domain\Trial;

use Lustrum\Shared\Limit;
use Lustrum\Shared\Name;
use Symfony\Component\Validator\Constraints as Assert;

/** A condition or a setting as it was found on a run, as typed: '8 °C', 'moist' or 'unknown'; empty: not recorded. */
final readonly class Found
{
    public function __construct(
        #[Name]
        public string $name,
        #[Assert\Length(max: Limit::NAME, maxMessage: 'At most {{ limit }} characters.')]
        public string $text = '',
    ) {
    }

    public function recorded(): bool
    {
        return trim($this->text) !== '' && mb_strtolower(trim($this->text)) !== 'unknown';
    }
}
