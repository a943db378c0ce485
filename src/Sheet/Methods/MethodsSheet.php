<?php

declare(strict_types=1);

namespace Lustrum\Sheet\Methods;

/** The methods of a device, and what each asks for. */
final readonly class MethodsSheet
{
    /**
     * @param list<MethodRow> $methods
     * @param list<string>    $metrics known on the device, for choosing from
     */
    public function __construct(
        public string $sentence,
        public array $methods,
        public array $metrics,
    ) {
    }
}
