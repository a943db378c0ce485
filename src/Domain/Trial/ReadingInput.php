<?php

declare(strict_types=1);

namespace Lustrum\Domain\Trial;

use Lustrum\Record\RecordInput;
use Lustrum\Shared\Identifier;
use Lustrum\Shared\Limit;
use Lustrum\Shared\UnitSymbol;
use Lustrum\Shared\Version;
use Symfony\Component\Validator\Constraints as Assert;

final readonly class ReadingInput implements RecordInput
{
    /**
     * @param string $text      the quantity as typed, in any unit that fits the channel
     * @param string $unit      that stood beside the field; a bare number is in it
     * @param bool   $undecided nobody remembers its unit: the number is kept, and used for nothing until somebody decides
     * @param string $confirmed what Lustrum asked and the person confirmed; empty where it was not asked
     */
    public function __construct(
        #[Identifier]
        public string $run,
        #[Assert\NotBlank(message: 'Which channel?')]
        #[Assert\Length(max: 40, maxMessage: 'At most {{ limit }} characters.')]
        public string $channel,
        #[Assert\Length(max: 100, maxMessage: 'At most {{ limit }} characters.')]
        public string $text,
        #[Assert\Length(max: Limit::LINE, maxMessage: 'At most {{ limit }} characters.')]
        public string $confirmed = '',
        #[UnitSymbol]
        public string $unit = '',
        public bool $undecided = false,
        #[Version]
        public ?int $version = null,
    ) {
    }
}
