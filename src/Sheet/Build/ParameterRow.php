<?php

declare(strict_types=1);

namespace Lustrum\Sheet\Build;

use Lustrum\Domain\Revision\ParameterView;
use Lustrum\Shared\MeasureView;

/** A parameter beside the parent's. */
final readonly class ParameterRow
{
    /** @param string $mark 'same', 'changed', 'new' or 'gone' */
    public function __construct(
        public string $name,
        public ?ParameterView $here,
        public ?MeasureView $parent,
        public ?string $difference,
        public ?string $percent,
        public string $mark,
    ) {
    }
}
