<?php

declare(strict_types=1);

namespace Lustrum\Decision;

use Lustrum\Record\Limit;
use Lustrum\Record\Note;
use Lustrum\Record\RecordInput;
use Symfony\Component\Validator\Constraints as Assert;

final readonly class DecisionInput implements RecordInput
{
    /** @param string $next identifier of the revision that it opens, made by the client */
    public function __construct(
        #[Assert\Uuid(message: 'This is not an identifier.')]
        public string $revision,
        #[Assert\Uuid(message: 'This is not an identifier.')]
        public string $next,
        #[Assert\NotBlank(message: 'This is still empty.', normalizer: 'trim')]
        #[Assert\Length(max: 8, maxMessage: 'At most {{ limit }} characters, so that it fits on the tag.')]
        public string $letter,
        #[Assert\Length(max: Limit::LINE, maxMessage: 'At most {{ limit }} characters.')]
        public string $intent = '',
        #[Note]
        public string $note = '',
        public ?int $version = null,
    ) {
    }
}
