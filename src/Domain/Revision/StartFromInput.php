<?php

declare(strict_types=1);

namespace Lustrum\Domain\Revision;

use Lustrum\Shared\Identifier;
use Lustrum\Shared\Limit;
use Lustrum\Shared\Name;
use Lustrum\Shared\Note;
use Symfony\Component\Validator\Constraints as Assert;

final readonly class StartFromInput
{
    /**
     * @param string      $id     of the device that is made
     * @param string|null $build  of another device, which it takes over
     * @param string      $design somebody else's, where it is no build
     */
    public function __construct(
        #[Identifier]
        public string $id,
        #[Name]
        public string $name,
        #[Identifier]
        public ?string $build = null,
        #[Assert\Length(max: Limit::NAME, maxMessage: 'At most {{ limit }} characters.')]
        public string $design = '',
        #[Assert\Length(max: Limit::NAME, maxMessage: 'At most {{ limit }} characters.')]
        public string $author = '',
        #[Assert\Length(max: Limit::LINE, maxMessage: 'At most {{ limit }} characters.')]
        public string $terms = '',
        #[Note]
        public string $alterations = '',
    ) {
    }
}
