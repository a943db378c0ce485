<?php

declare(strict_types=1);

namespace Lustrum\Sheet\Run;

use Lustrum\Core\Run\Deviation;
use Lustrum\Core\Wording\BuildWords;
use Lustrum\Domain\Trial\Run;

/** Firmware that was typed on a run and is none of its build: one touch makes it a change of its article. */
final readonly class TypedFirmware
{
    /** @param string $line what changed, as somebody would say it */
    private function __construct(
        public string $sentence,
        public string $line,
    ) {
    }

    /** Null where its build, or its article, has it. */
    public static function on(Run $run): ?self
    {
        $made = $run->configuration();
        $said = Deviation::firmware($made->firmware);
        $article = $run->article();
        if (!$made->ownFirmware || $article === null || $said->isAmong($article->deviants())) {
            return null;
        }

        return new self(
            BuildWords::typedFirmware($made->firmware, $made->letter, $run->trial()->revision()->firmware()), 'firmware '.$made->firmware,
        );
    }
}
