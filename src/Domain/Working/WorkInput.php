<?php

declare(strict_types=1);

namespace Lustrum\Domain\Working;

use Lustrum\Shared\Limit;
use Lustrum\Shared\Name;
use Symfony\Component\Validator\Constraints as Assert;

/** A sum as it stands on the sheet, to be worked out; nothing of it is kept. */
final readonly class WorkInput
{
    /**
     * @param string          $sum    its name
     * @param list<WorkEntry> $inputs
     * @param string          $output the answer that is drawn and solved for; empty: the first
     * @param string          $unit   that it is said in; empty: its own
     * @param string          $along  input that it is drawn over and solved for; empty: no figure
     * @param string          $wanted what the answer should come to, as typed; empty: nothing is solved
     */
    public function __construct(
        #[Name]
        public string $sum,
        #[Assert\Valid]
        #[Assert\Count(max: Limit::LIST, maxMessage: 'At most {{ limit }} values.')]
        public array $inputs,
        #[Assert\Length(max: Limit::NAME, maxMessage: 'At most {{ limit }} characters.')]
        public string $output = '',
        #[Assert\Length(max: 40, maxMessage: 'At most {{ limit }} characters.')]
        public string $unit = '',
        #[Assert\Length(max: Limit::NAME, maxMessage: 'At most {{ limit }} characters.')]
        public string $along = '',
        #[Assert\Length(max: Limit::NAME, maxMessage: 'At most {{ limit }} characters.')]
        public string $wanted = '',
        #[Assert\Valid]
        public ?OwnFormula $own = null,
    ) {
    }
}
