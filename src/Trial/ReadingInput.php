<?php

declare(strict_types=1);

namespace Lustrum\Trial;

use Lustrum\Record\Limit;
use Lustrum\Record\RecordInput;
use Symfony\Component\Validator\Constraints as Assert;

final readonly class ReadingInput implements RecordInput
{
    /**
     * @param string $text      the quantity as typed, in any unit that fits the channel
     * @param string $confirmed what Lustrum asked and the person confirmed; empty where it was not asked
     */
    public function __construct(
        #[Assert\Uuid(message: 'This is not an identifier.')]
        public string $run,
        #[Assert\NotBlank(message: 'Which channel?')]
        #[Assert\Length(max: 40, maxMessage: 'At most {{ limit }} characters.')]
        public string $channel,
        #[Assert\Length(max: 100, maxMessage: 'At most {{ limit }} characters.')]
        public string $text,
        #[Assert\Length(max: Limit::LINE, maxMessage: 'At most {{ limit }} characters.')]
        public string $confirmed = '',
        public ?int $version = null,
    ) {
    }
}
