<?php

declare(strict_types=1);

namespace Lustrum\Finding;

use Lustrum\Record\Limit;
use Lustrum\Record\Note;
use Lustrum\Record\RecordInput;
use Symfony\Component\Validator\Constraints as Assert;

final readonly class CauseInput implements RecordInput
{
    public function __construct(
        #[Assert\Uuid(message: 'This is not an identifier.')]
        public string $failure,
        #[Assert\NotBlank(message: 'This is still empty.', normalizer: 'trim')]
        #[Assert\Length(max: Limit::LINE, maxMessage: 'At most {{ limit }} characters.')]
        public string $text,
        public CauseKind $kind = CauseKind::Design,
        public CauseStanding $standing = CauseStanding::Suspected,
        #[Note]
        public string $findings = '',
        public ?int $version = null,
    ) {
    }
}
