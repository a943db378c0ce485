<?php

declare(strict_types=1);

namespace Lustrum\Sheet\Methods;

/** The library: the methods of a device, those of the others, and the instruments of the team. */
final readonly class MethodsSheet
{
    /**
     * @param list<MethodRow>     $methods
     * @param list<ElsewhereRow>  $elsewhere methods of other devices of the workspace
     * @param list<InstrumentRow> $instruments
     */
    public function __construct(
        public string $sentence,
        public array $methods,
        public array $elsewhere,
        public array $instruments,
        public string $workspace,
    ) {
    }
}
