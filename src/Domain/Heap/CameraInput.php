<?php

declare(strict_types=1);

namespace Lustrum\Domain\Heap;

use Lustrum\Record\RecordInput;
use Lustrum\Shared\Identifier;
use Lustrum\Shared\Name;
use Lustrum\Shared\Version;
use Symfony\Component\Validator\Constraints as Assert;

final readonly class CameraInput implements RecordInput
{
    /** @param float $ahead seconds that its clock is ahead; below nought, behind */
    public function __construct(
        #[Identifier]
        public string $workspace,
        #[Name]
        public string $name,
        #[Assert\Range(notInRangeMessage: 'Within thirty years.', min: -946728000, max: 946728000)]
        public float $ahead = 0.0,
        #[Version]
        public ?int $version = null,
    ) {
    }
}
