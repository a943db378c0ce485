<?php

declare(strict_types=1);

namespace Lustrum\Domain\Finding;

use Lustrum\Record\RecordInput;
use Lustrum\Shared\Identifier;
use Lustrum\Shared\Limit;
use Lustrum\Shared\Note;
use Lustrum\Shared\Version;
use Symfony\Component\Validator\Constraints as Assert;

final readonly class CauseInput implements RecordInput
{
    public function __construct(
        #[Identifier]
        public string $failure,
        #[Assert\NotBlank(message: 'This is still empty.', normalizer: 'trim')]
        #[Assert\Length(max: Limit::LINE, maxMessage: 'At most {{ limit }} characters.')]
        public string $text,
        public CauseKind $kind = CauseKind::Design,
        public CauseStanding $standing = CauseStanding::Suspected,
        #[Note]
        public string $findings = '',
        #[Version]
        public ?int $version = null,
    ) {
    }
}
