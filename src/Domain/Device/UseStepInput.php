<?php

declare(strict_types=1);

namespace Lustrum\Domain\Device;

use Lustrum\Record\RecordInput;
use Lustrum\Shared\Identifier;
use Lustrum\Shared\Limit;
use Lustrum\Shared\Name;
use Lustrum\Shared\Version;
use Symfony\Component\Validator\Constraints as Assert;

final readonly class UseStepInput implements RecordInput
{
    /** @param string|null $use the use that it belongs to; null: every one */
    public function __construct(
        #[Identifier]
        public string $device,
        #[Name]
        public string $name,
        public StepKind $kind = StepKind::Work,
        #[Identifier]
        public ?string $use = null,
        #[Assert\Length(max: Limit::NAME, maxMessage: 'At most {{ limit }} characters.')]
        public string $who = '',
        #[Assert\Length(max: Limit::NAME, maxMessage: 'At most {{ limit }} characters.')]
        public string $where = '',
        #[Assert\Range(notInRangeMessage: 'Between 0 and 1000.', min: 0, max: 1000)]
        public int $place = 0,
        #[Version]
        public ?int $version = null,
    ) {
    }
}
