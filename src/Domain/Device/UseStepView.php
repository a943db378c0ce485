<?php

declare(strict_types=1);

namespace Lustrum\Domain\Device;

final readonly class UseStepView
{
    public function __construct(
        public string $id,
        public int $version,
        public string $device,
        public string $name,
        public StepKind $kind,
        public ?string $use,
        public string $who,
        public string $where,
        public int $place,
    ) {
    }
}
