<?php

declare(strict_types=1);

namespace Lustrum\Revision;

use Lustrum\Record\Limit;
use Lustrum\Record\Name;
use Lustrum\Record\RecordInput;
use Symfony\Component\Validator\Constraints as Assert;

final readonly class PartInput implements RecordInput
{
    public function __construct(
        #[Assert\Uuid(message: 'This is not an identifier.')]
        public string $revision,
        #[Name]
        public string $name,
        #[Assert\Length(max: Limit::NAME, maxMessage: 'At most {{ limit }} characters.')]
        public string $material = '',
        #[Assert\Range(notInRangeMessage: 'Between 0 and 100,000.', min: 0, max: 1e5)]
        public float $quantity = 1.0,
        #[Assert\Range(notInRangeMessage: 'Between 0 and ten million.', min: 0, max: 1e7)]
        public float $cost = 0.0,
        #[Assert\Length(max: Limit::LINE, maxMessage: 'At most {{ limit }} characters.')]
        public string $note = '',
        public ?int $version = null,
    ) {
    }
}
