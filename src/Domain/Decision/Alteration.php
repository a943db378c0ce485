<?php

declare(strict_types=1);

namespace Lustrum\Domain\Decision;

use Lustrum\Shared\Limit;
use Symfony\Component\Validator\Constraints as Assert;

/** What a candidate says becomes of the build: present value and proposed one. */
final readonly class Alteration
{
    /**
     * @param string $name of the parameter, part or setting; empty for the firmware
     * @param string $from as it is now; empty: it is new
     * @param string $to   as it would be; empty: it is taken out
     */
    public function __construct(
        public AlterationKind $kind,
        #[Assert\Length(max: Limit::NAME, maxMessage: 'At most {{ limit }} characters.')]
        public string $name = '',
        #[Assert\Length(max: Limit::NAME, maxMessage: 'At most {{ limit }} characters.')]
        public string $from = '',
        #[Assert\Length(max: Limit::NAME, maxMessage: 'At most {{ limit }} characters.')]
        public string $to = '',
    ) {
    }
}
