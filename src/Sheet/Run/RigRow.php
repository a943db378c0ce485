<?php

declare(strict_types=1);

namespace Lustrum\Sheet\Run;

use Lustrum\Core\Rig\RigLine;
use Lustrum\Core\Rig\RigState;
use Lustrum\Core\Wording\RigWords;

final readonly class RigRow
{
    /**
     * @param string $offered as it was found before, where that still stands; empty: it has to be looked at
     * @param bool   $asks    does somebody have to look?
     */
    private function __construct(
        public string $name,
        public RigState $state,
        public string $sentence,
        public string $offered,
        public bool $asks,
    ) {
    }

    public static function of(RigLine $line, string $serial): self
    {
        return new self(
            $line->rule->name, $line->state, RigWords::line($line, $serial),
            $line->state === RigState::Stands ? $line->verified->text ?? '' : '', $line->state->asks(),
        );
    }
}
