<?php

declare(strict_types=1);

namespace Lustrum\Finding;

use Lustrum\Record\Limit;
use Lustrum\Record\RecordInput;
use Lustrum\Storage\StoredPicture;
use Symfony\Component\Validator\Constraints as Assert;

final readonly class PhotoInput implements RecordInput
{
    public function __construct(
        #[Assert\Uuid(message: 'This is not an identifier.')]
        public string $revision,
        public StoredPicture $picture,
        #[Assert\Length(max: Limit::LINE, maxMessage: 'At most {{ limit }} characters.')]
        public string $caption = '',
        #[Assert\Uuid(message: 'This is not an identifier.')]
        public ?string $run = null,
        #[Assert\Uuid(message: 'This is not an identifier.')]
        public ?string $failure = null,
        public ?int $version = null,
    ) {
    }
}
