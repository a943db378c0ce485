<?php

declare(strict_types=1);

namespace Lustrum\Domain\Finding;

use Lustrum\Record\RecordInput;
use Lustrum\Shared\Identifier;
use Lustrum\Shared\Limit;
use Lustrum\Shared\Version;
use Lustrum\Storage\StoredFile;
use Symfony\Component\Validator\Constraints as Assert;

final readonly class PhotoInput implements RecordInput
{
    public function __construct(
        #[Identifier]
        public string $revision,
        public StoredFile $picture,
        #[Assert\Length(max: Limit::LINE, maxMessage: 'At most {{ limit }} characters.')]
        public string $caption = '',
        #[Identifier]
        public ?string $run = null,
        #[Identifier]
        public ?string $failure = null,
        #[Version]
        public ?int $version = null,
    ) {
    }
}
