<?php

declare(strict_types=1);

namespace Lustrum\Core\Rig;

use Lustrum\Core\Run\SettingRule;

/** One setting before a run: what it should be, what is known of it, and what happened since. */
final readonly class RigLine
{
    /**
     * @param string         $found     on this run; empty: nobody said
     * @param Verified|null  $verified  the last time that somebody found it, before this run
     * @param Happening|null $happening the last thing that happened to the article since
     */
    public function __construct(
        public SettingRule $rule,
        public RigState $state,
        public string $found,
        public ?Verified $verified,
        public ?Happening $happening,
    ) {
    }
}
