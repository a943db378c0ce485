<?php

declare(strict_types=1);

namespace Lustrum\Revision;

use Lustrum\Record\Limit;
use Lustrum\Record\Note;
use Lustrum\Record\RecordInput;
use Symfony\Component\Validator\Constraints as Assert;

final readonly class RevisionInput implements RecordInput
{
    public function __construct(
        #[Assert\Uuid(message: 'This is not an identifier.')]
        public string $device,
        #[Assert\NotBlank(message: 'This is still empty.', normalizer: 'trim')]
        #[Assert\Length(max: 8, maxMessage: 'At most {{ limit }} characters, so that it fits on the tag.')]
        public string $letter,
        #[Assert\Uuid(message: 'This is not an identifier.')]
        public ?string $parent = null,
        #[Assert\Length(max: Limit::NAME, maxMessage: 'At most {{ limit }} characters.')]
        public string $branch = '',
        #[Assert\Length(max: Limit::LINE, maxMessage: 'At most {{ limit }} characters.')]
        public string $intent = '',
        #[Assert\Length(max: Limit::NAME, maxMessage: 'At most {{ limit }} characters.')]
        public string $firmware = '',
        public RevisionState $state = RevisionState::Building,
        #[Note]
        public string $stateReason = '',
        public ?int $version = null,
    ) {
    }
}
