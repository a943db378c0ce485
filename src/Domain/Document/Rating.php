<?php

declare(strict_types=1);

namespace Lustrum\Domain\Document;

use Lustrum\Shared\Name;
use Symfony\Component\Validator\Constraints as Assert;

/** What a document claims: asserted, and measured by nobody here. */
final readonly class Rating
{
    /**
     * @param string $what  metric, as a requirement calls it, or in its own words
     * @param string $value with its unit: '85 °C'
     * @param string $page  on which it stands
     */
    public function __construct(
        #[Name]
        public string $what,
        #[Assert\NotBlank(message: 'How much, with its unit?', normalizer: 'trim')]
        #[Assert\Length(max: 40, maxMessage: 'At most {{ limit }} characters.')]
        public string $value,
        #[Assert\NotBlank(message: 'On which page? Without it nobody can look it up.', normalizer: 'trim')]
        #[Assert\Length(max: 20, maxMessage: 'At most {{ limit }} characters.')]
        public string $page,
    ) {
    }
}
