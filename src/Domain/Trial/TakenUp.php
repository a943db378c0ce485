<?php

declare(strict_types=1);

namespace Lustrum\Domain\Trial;

use Lustrum\Shared\Limit;
use Lustrum\Shared\Name;
use Lustrum\Shared\Number;
use Lustrum\Shared\UnitSymbol;
use Symfony\Component\Validator\Constraints as Assert;

/** One number of a line: a result of the run, or a level that it was made at. */
final readonly class TakenUp
{
    /**
     * @param string     $text      '412 N'
     * @param string     $name      of the metric, or of the factor
     * @param string     $direction of a requirement: atLeast, atMost; empty: none is made
     * @param float|null $limit     of it, in the unit of the number
     * @param string     $confirmed what Lustrum asked back and the person confirmed; empty where it was not asked
     */
    public function __construct(
        #[Assert\NotBlank(message: 'This is still empty.', normalizer: 'trim')]
        #[Assert\Length(max: 100, maxMessage: 'At most {{ limit }} characters.')]
        public string $text,
        #[UnitSymbol]
        public string $unit,
        #[Name]
        public string $name,
        public bool $isLevel = false,
        #[Assert\Choice(choices: ['', 'atLeast', 'atMost'], message: 'One of the given choices is wanted here.')]
        public string $direction = '',
        #[Number]
        public ?float $limit = null,
        #[Assert\Length(max: Limit::LINE, maxMessage: 'At most {{ limit }} characters.')]
        public string $confirmed = '',
    ) {
    }
}
