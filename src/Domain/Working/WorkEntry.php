<?php

declare(strict_types=1);

namespace Lustrum\Domain\Working;

use Lustrum\Shared\Identifier;
use Lustrum\Shared\Limit;
use Lustrum\Shared\Name;
use Symfony\Component\Validator\Constraints as Assert;

/** What stands in one field of a sum, as it was typed, or taken over from one of the build's own. */
final readonly class WorkEntry
{
    /**
     * @param string|null $parameter   that it is taken from
     * @param string|null $part        whose mass it is
     * @param string|null $reading     that it is taken from
     * @param string|null $requirement whose limit it is
     */
    public function __construct(
        #[Name]
        public string $name,
        #[Assert\Length(max: Limit::NOTE, maxMessage: 'At most {{ limit }} characters.')]
        public string $text = '',
        #[Identifier]
        public ?string $parameter = null,
        #[Identifier]
        public ?string $part = null,
        #[Identifier]
        public ?string $reading = null,
        #[Identifier]
        public ?string $requirement = null,
    ) {
    }
}
