<?php

declare(strict_types=1);

namespace Lustrum\Sheet\Methods;

use Lustrum\Sheet\Build\Pick;

/** The methods of a device, and what each asks for. */
final readonly class MethodsSheet
{
    /**
     * @param list<MethodRow> $methods
     * @param list<Pick>      $steps   of use, in their order
     * @param list<string>    $metrics known on the device, for choosing from
     */
    public function __construct(
        public string $sentence,
        public array $methods,
        public array $metrics,
        public array $steps,
    ) {
    }
}
