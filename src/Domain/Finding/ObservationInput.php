<?php

declare(strict_types=1);

namespace Lustrum\Domain\Finding;

use Lustrum\Record\RecordInput;
use Lustrum\Shared\Identifier;
use Lustrum\Shared\Limit;
use Lustrum\Shared\Note;
use Lustrum\Shared\Version;
use Symfony\Component\Validator\Constraints as Assert;

final readonly class ObservationInput implements RecordInput
{
    /** @param string $saidBy who said so, where it was not whoever wrote it down */
    public function __construct(
        #[Identifier]
        public string $revision,
        #[Assert\NotBlank(message: 'This is still empty.', normalizer: 'trim')]
        #[Note]
        public string $text,
        #[Identifier]
        public ?string $run = null,
        #[Assert\Length(max: Limit::NAME, maxMessage: 'At most {{ limit }} characters.')]
        public string $saidBy = '',
        #[Version]
        public ?int $version = null,
    ) {
    }
}
