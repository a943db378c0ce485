<?php

declare(strict_types=1);

namespace Lustrum\Domain\Trial;

use Lustrum\Shared\Choices;
use Lustrum\Shared\Limit;
use Lustrum\Shared\UnitSymbol;
use Symfony\Component\Validator\Constraints as Assert;

/** Which readings of a build are amended together, and how; what is left empty does not narrow them. */
final readonly class TogetherInput
{
    /**
     * @param string       $channel    key of a channel
     * @param string       $trial      identifier
     * @param string       $day        '2026-11-25', on which the run began, in UTC
     * @param string       $instrument as its channel named it
     * @param list<string> $only       identifiers of readings, where not all of them are meant
     * @param string       $unit       that the numbers really were in
     * @param string       $add        a quantity that each was off by: it is added
     * @param bool         $isTry      shows what would come of it, and changes nothing
     */
    public function __construct(
        #[Assert\Length(max: 40, maxMessage: 'At most {{ limit }} characters.')]
        public string $channel = '',
        #[Assert\Length(max: 40, maxMessage: 'At most {{ limit }} characters.')]
        public string $trial = '',
        #[Assert\Length(max: 10, maxMessage: 'At most {{ limit }} characters.')]
        public string $day = '',
        #[Assert\Length(max: Limit::NAME, maxMessage: 'At most {{ limit }} characters.')]
        public string $instrument = '',
        #[Choices]
        public array $only = [],
        #[UnitSymbol]
        public string $unit = '',
        #[Assert\Length(max: 100, maxMessage: 'At most {{ limit }} characters.')]
        public string $add = '',
        #[Assert\Length(max: Limit::LINE, maxMessage: 'At most {{ limit }} characters.')]
        public string $reason = '',
        public bool $isTry = true,
    ) {
    }
}
