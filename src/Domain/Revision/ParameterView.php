<?php

declare(strict_types=1);

namespace Lustrum\Domain\Revision;

use Lustrum\Shared\MeasureView;

final readonly class ParameterView
{
    public function __construct(
        public string $id,
        public int $version,
        public string $revision,
        public string $name,
        public MeasureView $measure,
        public string $words,
        public ?float $u,
        public string $formula,
        public string $formulaUnit,
        public string $reliedOn,
        public string $checkedBy,
    ) {
    }
}
