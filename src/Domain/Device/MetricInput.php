<?php

declare(strict_types=1);

namespace Lustrum\Domain\Device;

use Lustrum\Record\RecordInput;
use Lustrum\Shared\Identifier;
use Lustrum\Shared\Name;
use Lustrum\Shared\Version;

final readonly class MetricInput implements RecordInput
{
    public function __construct(
        #[Identifier]
        public string $device,
        #[Name]
        public string $name,
        public Scale $scale = Scale::Numeric,
        #[Version]
        public ?int $version = null,
    ) {
    }
}
