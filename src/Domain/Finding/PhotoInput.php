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
    /**
     * @param string         $name  as it was called where it came from
     * @param string         $lies  where it stays; empty: it is here
     * @param string|null    $reading whose display it shows
     * @param list<FileMark> $marks moments of a clip or a sound
     */
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
        #[Assert\Length(max: Limit::NAME, maxMessage: 'At most {{ limit }} characters.')]
        public string $name = '',
        #[Assert\Length(max: Limit::LINE, maxMessage: 'At most {{ limit }} characters.')]
        public string $lies = '',
        #[Assert\Valid]
        #[Assert\Count(max: Limit::LIST, maxMessage: 'At most {{ limit }} marks.')]
        public array $marks = [],
        #[Identifier]
        public ?string $reading = null,
        #[Version]
        public ?int $version = null,
    ) {
    }
}
