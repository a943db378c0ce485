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
     */
    public function __construct(
        public string $id,
        public string $what,
        public ChangeClass $class,
        public string $metric = '',
        public ?float $expected = null,
        public string $unit = '',
        public ?string $against = null,
    ) {
    }
}
