<?php

declare(strict_types=1);

namespace Lustrum\Sheet\Run;

use Lustrum\Core\Run\LookOut;
use Lustrum\Core\Wording\MethodSheetWords;

/** Something to look at during the run. */
final readonly class LookRow
{
    /** Minutes that are called out; a run that goes on longer goes on by itself. */
    private const MINUTES = 12 * 60.0;

    /** @param list<float> $due seconds after the clock was started; empty: at a milestone in words */
    private function __construct(
        public string $what,
        public string $sentence,
        public array $due,
    ) {
    }

    public static function of(LookOut $look): self
    {
        return new self(
            $look->what, MethodSheetWords::look($look),
            array_map(static fn (float $minutes): float => 60.0 * $minutes, $look->due(self::MINUTES)),
        );
    }
}
