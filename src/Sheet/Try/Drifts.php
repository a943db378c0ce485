<?php

declare(strict_types=1);

namespace Lustrum\Sheet\Try;

use Lustrum\Core\Quantity\Units;
use Lustrum\Core\Run\Purpose;
use Lustrum\Core\Run\RigReading;
use Lustrum\Core\Wording\MethodSheetWords;
use Lustrum\Domain\Trial\Trial;

/** What the rig of a trial read by itself and on its reference, first and last. */
final class Drifts
{
    /**
     * @param list<RigReading> $readings in their order
     *
     * @return list<string>
     */
    public static function of(Trial $trial, array $readings): array
    {
        $units = array_column($trial->method()->channels(), 'unit', 'key');
        $read = [];
        foreach ($readings as $one) {
            if (isset($units[$one->channel])) {
                $read[$one->purpose->value."\x1f".$one->channel][] = $one;
            }
        }
        $reference = $trial->method()->view()->reference;

        return array_values(array_map(
            static fn (array $of): string => self::said(
                $of[0], count($of) < 2 ? null : $of[count($of) - 1], $units[$of[0]->channel], $reference,
            ),
            $read,
        ));
    }

    private static function said(RigReading $first, ?RigReading $last, string $symbol, string $reference): string
    {
        $unit = Units::parse($symbol);
        $serial = $first->serial === '' ? $reference : $first->serial;

        return MethodSheetWords::drift(
            $first->purpose === Purpose::Empty ? '' : $serial, $first->metric, $unit->fromSi($first->si),
            $last === null ? null : $unit->fromSi($last->si), $unit->symbol, $first->step / $unit->factor,
        );
    }
}
