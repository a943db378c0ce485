<?php

declare(strict_types=1);

namespace Lustrum\Domain\Working;

use Lustrum\Shared\Limit;
use Lustrum\Shared\UnitSymbol;
use Symfony\Component\Validator\Constraints as Assert;

/** What goes into a sum of one's own. */
final readonly class SumVariable
{
    /** @param string $unit empty: a plain number */
    public function __construct(
        #[Assert\Regex('/^[a-zA-Z][a-zA-Z0-9]{0,39}$/', message: 'A short name of letters and digits, beginning with a letter.')]
        public string $name,
        #[Assert\Length(max: Limit::NAME, maxMessage: 'At most {{ limit }} characters.')]
        public string $words = '',
        #[UnitSymbol]
        public string $unit = '',
    ) {
    }
}
