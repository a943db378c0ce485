<?php

declare(strict_types=1);

namespace Lustrum\Domain\Change;

use Lustrum\Record\RecordInput;
use Lustrum\Shared\Identifier;
use Lustrum\Shared\Limit;
use Lustrum\Shared\Name;
use Lustrum\Shared\Version;
use Symfony\Component\Validator\Constraints as Assert;

final readonly class UnrelatedInput implements RecordInput
{
    /**
     * @param string $metric     its name
     * @param string $difference 'part:belt', 'parameter:gap', 'lot:wax', 'firmware'
     */
    public function __construct(
        #[Identifier]
        public string $revision,
        #[Name]
        public string $metric,
        #[Assert\Length(max: 140, maxMessage: 'At most {{ limit }} characters.')]
        #[Assert\Regex(
            '/^\s*(firmware|(part|parameter|lot):\s*\S.*)$/u',
            message: 'A difference such as “part:belt”, “parameter:gap”, “lot:wax” or “firmware”.',
        )]
        public string $difference,
        #[Assert\Length(max: Limit::LINE, maxMessage: 'At most {{ limit }} characters.')]
        public string $why = '',
        #[Version]
        public ?int $version = null,
    ) {
    }
}
