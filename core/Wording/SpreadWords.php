<?php

declare(strict_types=1);

namespace Lustrum\Core\Wording;

use Lustrum\Core\Judging\Measured;
use Lustrum\Core\Judging\MethodSpread;
use Lustrum\Core\Quantity\Units;
use Lustrum\Core\Statistics\KnownSpread;

/** How far repeats of a method spread, as it was known before. */
final class SpreadWords
{
    /** So many builds are named, the last ones. */
    private const NAMED = 4;

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

    /**
     * How far repeats spread by, and how that went build by build; empty: nothing was repeated.
     *
     * @param list<MethodSpread> $some    of this edition, oldest first
     * @param list<MethodSpread> $earlier of all editions
     */
    public static function course(array $some, array $earlier, string $unit): string
    {
        if ($some === []) {
            return $earlier === [] ? '' : Messages::say('method.anew', ['n' => MethodSpread::sum($earlier)->runs]);
        }
        $all = MethodSpread::sum($some);
        $said = static fn (MethodSpread $s): string => Numbers::amount(
            $s->sd($unit), Measured::decimals(0.0, [$s->sd($unit)]), Numbers::differenceUnit($unit),
        );

        return Messages::say('method.course', [
            'sd' => $said($all), 'n' => $all->runs, 'builds' => count($some), 'enough' => $all->df >= KnownSpread::LEAST,
            'each' => Messages::list(array_map(
                static fn (MethodSpread $s): string => $s->letters[0].' '.$said($s), array_slice($some, -self::NAMED),
            )),
        ]);
    }

    /** Its standard deviation, to one decimal more than the values have. */
    private static function sd(MethodSpread $spread, string $unit, int $decimals): string
    {
        return Numbers::amount($spread->sd($unit), $decimals + 1, Numbers::differenceUnit(Units::parse($unit === '' ? '1' : $unit)->symbol));
    }
}
