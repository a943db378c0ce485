<?php

declare(strict_types=1);

namespace Lustrum\Domain\Device;

use Lustrum\Record\RecordInput;
use Lustrum\Shared\Identifier;
use Lustrum\Shared\Name;
use Lustrum\Shared\Note;
use Lustrum\Shared\Version;
use Symfony\Component\Validator\Constraints as Assert;

final readonly class DeviceInput implements RecordInput
{
    public function __construct(
        #[Identifier]
        public string $workspace,
        #[Name]
        public string $name,
        #[Note]
        public string $brief = '',
        #[Note]
        public string $users = '',
        #[Assert\Choice(choices: ['open', 'formal'], message: 'Open loop or formal stages.')]
        public string $gates = 'open',
        #[Assert\Range(notInRangeMessage: 'Between 0.5 and 0.999.', min: 0.5, max: 0.999)]
        public float $confidence = 0.95,
        #[Assert\Length(max: 8, maxMessage: 'At most {{ limit }} characters.')]
        public string $currency = '',
        #[Assert\Range(notInRangeMessage: 'Between 0 and a thousand million.', min: 0, max: 1e9)]
        public ?float $costLimit = null,
        #[Assert\Range(notInRangeMessage: 'Between 0 and 100,000 hours.', min: 0, max: 1e5)]
        public ?float $hoursLimit = null,
        #[Assert\Range(notInRangeMessage: 'Between 1 and 100 changes.', min: 1, max: 100)]
        public ?int $changesLimit = null,
        #[Assert\Valid]
        public ?Origin $beganWith = null,
        #[Version]
        public ?int $version = null,
    ) {
    }
}
