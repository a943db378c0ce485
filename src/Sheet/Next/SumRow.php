<?php

declare(strict_types=1);

namespace Lustrum\Sheet\Next;

use Lustrum\Core\Cost\Sums;
use Lustrum\Core\Judging\Consequences;
use Lustrum\Core\Judging\Device;
use Lustrum\Core\Wording\DecisionWords;

/** A sum of the chosen candidates against its limit. */
final readonly class SumRow
{
    /** @param string|null $limit null where none was set */
    private function __construct(
        public string $what,
        public string $value,
        public ?string $limit,
        public bool $over,
    ) {
    }

    /** @return list<self> */
    public static function all(Consequences $c, Device $device): array
    {
        return [
            new self(
                'cost', trim($c->cost.' '.$device->currency), $device->costLimit === null ? null : Sums::of([$device->costLimit]),
                $c->overCost !== null,
            ),
            new self(
                'hours', DecisionWords::hours($c->hours).' h',
                $device->hoursLimit === null ? null : DecisionWords::hours($device->hoursLimit), $c->overHours,
            ),
            new self(
                'changes', (string) $c->chosen, $device->changesLimit === null ? null : (string) $device->changesLimit, $c->overChanges,
            ),
        ];
    }
}
