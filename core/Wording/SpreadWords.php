<?php

declare(strict_types=1);

namespace Lustrum\Core\Wording;

use Lustrum\Core\Judging\MethodSpread;
use Lustrum\Core\Quantity\Units;

/** How far repeats of a method spread, as it was known before. */
final class SpreadWords
{
    /** @return array{repeats: string} the same, for a sentence that goes on with it */
    public static function of(MethodSpread $spread, string $unit, int $decimals): array
    {
        $first = $spread->letters[0] ?? '';

        return ['repeats' => Messages::say('method.repeats', [
            'method' => $spread->method, 'sd' => self::sd($spread, $unit, $decimals), 'n' => $spread->runs, 'first' => $first,
            'last' => $spread->letters[count($spread->letters) - 1] ?? $first, 'builds' => count($spread->letters),
            'elsewhere' => $spread->device !== '', 'device' => $spread->device,
        ])];
    }

    /** Its standard deviation, to one decimal more than the values have. */
    private static function sd(MethodSpread $spread, string $unit, int $decimals): string
    {
        return Numbers::amount($spread->sd($unit), $decimals + 1, Numbers::differenceUnit(Units::parse($unit === '' ? '1' : $unit)->symbol));
    }
}
