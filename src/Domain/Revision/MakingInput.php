<?php

declare(strict_types=1);

namespace Lustrum\Domain\Revision;

use Lustrum\Record\RecordInput;
use Lustrum\Shared\Identifier;
use Lustrum\Shared\Limit;
use Lustrum\Shared\Name;
use Lustrum\Shared\Version;
use Symfony\Component\Validator\Constraints as Assert;

final readonly class MakingInput implements RecordInput
{
    /**
     * @param float|null $minutes   null: nobody looked at the clock
     * @param bool       $clocked   no minutes are given: they are those since the step before
     * @param string     $wrong     what went wrong; empty: nothing
     * @param int        $scrap     pieces thrown away
     * @param string     $noticed   where it could have been noticed sooner
     */
    public function __construct(
        #[Identifier]
        public string $article,
        #[Name]
        public string $name,
        #[Assert\Length(max: Limit::NAME, maxMessage: 'At most {{ limit }} characters.')]
        public string $who = '',
        #[Assert\Range(notInRangeMessage: 'Between 0 and 100,000 minutes.', min: 0, max: 1e5)]
        public ?float $minutes = null,
        #[Assert\Length(max: Limit::LINE, maxMessage: 'At most {{ limit }} characters.')]
        public string $wrong = '',
        #[Assert\Range(notInRangeMessage: 'Between 0 and 10,000 pieces.', min: 0, max: 10000)]
        public int $scrap = 0,
        #[Assert\Length(max: Limit::LINE, maxMessage: 'At most {{ limit }} characters.')]
        public string $noticed = '',
        public bool $clocked = false,
        #[Version]
        public ?int $version = null,
    ) {
    }
}
