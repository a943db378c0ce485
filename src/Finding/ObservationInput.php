<?php

declare(strict_types=1);

namespace Lustrum\Finding;

use Lustrum\Record\Note;
use Lustrum\Record\RecordInput;
use Symfony\Component\Validator\Constraints as Assert;

final readonly class ObservationInput implements RecordInput
{
    public function __construct(
        #[Assert\Uuid(message: 'This is not an identifier.')]
        public string $revision,
        #[Assert\NotBlank(message: 'This is still empty.', normalizer: 'trim')]
        #[Note]
        public string $text,
        #[Assert\Uuid(message: 'This is not an identifier.')]
        public ?string $run = null,
        public ?int $version = null,
    ) {
    }
}
