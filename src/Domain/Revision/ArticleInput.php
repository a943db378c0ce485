<?php

declare(strict_types=1);

namespace Lustrum\Domain\Revision;

use Lustrum\Record\RecordInput;
use Lustrum\Shared\Choices;
use Lustrum\Shared\Identifier;
use Lustrum\Shared\Note;
use Lustrum\Shared\Version;
use Symfony\Component\Validator\Constraints as Assert;

final readonly class ArticleInput implements RecordInput
{
    /** @param list<string> $lots one 'material: lot' an entry */
    public function __construct(
        #[Identifier]
        public string $revision,
        #[Assert\NotBlank(message: 'This is still empty.', normalizer: 'trim')]
        #[Assert\Length(max: 40, maxMessage: 'At most {{ limit }} characters.')]
        public string $serial,
        #[Choices]
        public array $lots = [],
        #[Note]
        public string $deviations = '',
        #[Assert\Choice(choices: ['mockup', 'bare', 'finished', 'payload'], message: 'One of the given choices is wanted here.')]
        public string $state = 'finished',
        #[Version]
        public ?int $version = null,
    ) {
    }

    /** @return array<string, string> */
    public function lotsByMaterial(): array
    {
        $lots = [];
        foreach ($this->lots as $line) {
            [$material, $lot] = array_pad(explode(':', $line, 2), 2, '');
            if (trim($material) !== '') {
                $lots[trim($material)] = trim($lot) === '' ? 'unknown' : trim($lot);
            }
        }

        return $lots;
    }
}
