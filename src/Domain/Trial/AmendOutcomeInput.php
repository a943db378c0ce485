<?php

declare(strict_types=1);

namespace Lustrum\Domain\Trial;

use Lustrum\Core\Run\RunOutcome;
use Lustrum\Shared\Limit;
use Symfony\Component\Validator\Constraints as Assert;

final readonly class AmendOutcomeInput
{
    /** @param list<LoggedFailure> $failures that are logged with it, in one write */
    public function __construct(
        public RunOutcome $outcome,
        #[Assert\NotBlank(message: 'Say why the outcome is amended. Both stay.', normalizer: 'trim')]
        #[Assert\Length(max: Limit::LINE, maxMessage: 'At most {{ limit }} characters.')]
        public string $reason,
        public int $version,
        #[Assert\Valid]
        #[Assert\Count(max: 12, maxMessage: 'At most {{ limit }} failures.')]
        public array $failures = [],
    ) {
    }
}
