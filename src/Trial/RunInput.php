<?php

declare(strict_types=1);

namespace Lustrum\Trial;

use Lustrum\Record\Limit;
use Lustrum\Record\Note;
use Lustrum\Record\RecordInput;
use Symfony\Component\Validator\Constraints as Assert;

final readonly class RunInput implements RecordInput
{
    /**
     * @param string|null $startedAt  RFC 3339; now where not given
     * @param list<Found> $conditions
     * @param list<Found> $settings
     */
    public function __construct(
        #[Assert\Uuid(message: 'This is not an identifier.')]
        public string $trial,
        #[Assert\Uuid(message: 'This is not an identifier.')]
        public ?string $article = null,
        #[Assert\Length(max: Limit::NAME, maxMessage: 'At most {{ limit }} characters.')]
        public string $operator = '',
        #[Assert\Length(max: Limit::NAME, maxMessage: 'At most {{ limit }} characters.')]
        public string $position = '',
        #[Assert\DateTime(format: \DATE_ATOM, message: 'This is not a date and time.')]
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
        public ?int $version = null,
    ) {
    }
}
