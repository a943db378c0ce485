<?php

declare(strict_types=1);

namespace Lustrum\Core\Judging;

use Lustrum\Core\Change\ChangeClass;
use Lustrum\Core\Change\Expectation;

/** A change record as the sums need it. */
final readonly class ChangeFact
{
    /**
     * @param list<Expectation> $effects what is expected of it, one for each metric
     * @param list<string> $against identifiers of the failures that it is meant to end
     * @param list<string> $alters  what it altered, as 'parameter:gap', 'part:bracket', 'firmware'
     */
    public function __construct(
        public string $id,
        public string $what,
        public ChangeClass $class,
        public array $effects = [],
        public array $against = [],
        public array $alters = [],
    ) {
    }

    /** Does it say that it altered a part, or speak of it? */
    public function alters(string $part): bool
    {
        return in_array('part:'.mb_strtolower($part), array_map(mb_strtolower(...), $this->alters), true) || $this->names($part);
    }

    public function names(string $what): bool
    {
        return $what !== '' && mb_stripos($this->what, $what) !== false;
    }

    /**
     * Is this difference what it altered? Where nobody said what that was, a change that names it in its words explains it.
     */
    public function explains(Difference $difference): bool
    {
        if ($this->alters !== []) {
            return in_array($difference->name(), $this->alters, true);
        }

        return $difference->kind === 'firmware'
            ? $this->class === ChangeClass::Firmware || mb_stripos($this->what, 'firmware') !== false
            : mb_stripos($this->what, $difference->name) !== false;
    }
}
