<?php

declare(strict_types=1);

namespace Lustrum\Core\Judging;

use Lustrum\Core\Change\ChangeClass;

/** A change record as the sums need it. */
final readonly class ChangeFact
{
    /**
     * @param string      $metric   identifier; empty where none was named
     * @param float|null  $expected difference that was expected, in $unit; its sign is the direction
     * @param string|null $against  identifier of the failure that it is meant to end
     * @param list<string> $alters  what it altered, as 'parameter:gap', 'part:bracket', 'firmware'
     */
    public function __construct(
        public string $id,
        public string $what,
        public ChangeClass $class,
        public string $metric = '',
        public ?float $expected = null,
        public string $unit = '',
        public ?string $against = null,
        public array $alters = [],
    ) {
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
