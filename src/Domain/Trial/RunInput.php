<?php

declare(strict_types=1);

namespace Lustrum\Domain\Trial;

use Lustrum\Core\Run\RunOutcome;
use Lustrum\Record\RecordInput;
use Lustrum\Shared\Identifier;
use Lustrum\Shared\Limit;
use Lustrum\Shared\Note;
use Lustrum\Shared\Version;
use Symfony\Component\Validator\Constraints as Assert;

final readonly class RunInput implements RecordInput
{
    /**
     * @param string|null $startedAt  RFC 3339; now where not given
     * @param list<Found> $conditions
     * @param list<Found> $settings
     */
    public function __construct(
        #[Identifier]
        public string $trial,
        #[Identifier]
        public ?string $article = null,
        #[Assert\Length(max: Limit::NAME, maxMessage: 'At most {{ limit }} characters.')]
        public string $operator = '',
        #[Assert\Length(max: Limit::NAME, maxMessage: 'At most {{ limit }} characters.')]
        public string $position = '',
        #[Assert\Length(max: 40, maxMessage: 'At most {{ limit }} characters.')]
        public ?string $startedAt = null,
        #[Assert\Valid]
        #[Assert\Count(max: Limit::LIST, maxMessage: 'At most {{ limit }} conditions.')]
        public array $conditions = [],
        #[Assert\Valid]
        #[Assert\Count(max: Limit::LIST, maxMessage: 'At most {{ limit }} settings.')]
        public array $settings = [],
        #[Note]
        public string $note = '',
        public ?RunOutcome $outcome = null,
        #[Note]
        public string $outcomeReason = '',
        #[Version]
        public ?int $version = null,
    ) {
    }
}
