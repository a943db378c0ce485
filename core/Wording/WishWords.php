<?php

declare(strict_types=1);

namespace Lustrum\Core\Wording;

use Lustrum\Core\Evidence\Kind;
use Lustrum\Core\Failure\Closed;
use Lustrum\Core\Quantity\Digits;
use Lustrum\Core\Said\Wish;
use Lustrum\Core\Statistics\Distribution\ChiSquare;

/** How a requirement was read from a sentence, and what it would ask for in runs. */
final class WishWords
{
    /** Of articles that must hold, where nobody says another share. */
    private const COVERAGE = 0.9;

    /** Repeats that spread is spoken of. */
    private const REPEATS = 10;

    public static function nothing(): string
    {
        return Messages::say('wish.nothing');
    }

    public static function read(Wish $wish): string
    {
        return Messages::say('wish.read', [
            'kind' => $wish->kind->value, 'named' => $wish->metric !== '', 'metric' => $wish->metric,
            'way' => $wish->direction->value ?? 'none', 'limit' => Numbers::withUnit(Digits::short($wish->limit ?? 0.0), $wish->unit),
            'placed' => $wish->conditions !== [],
            'places' => Messages::list(array_map(EvidenceWords::condition(...), $wish->conditions)),
        ]);
    }

    /**
     * What is still to be said before it can be kept.
     *
     * @param bool $isKnown does the device measure it already?
     *
     * @return list<string>
     */
    public static function asks(Wish $wish, bool $isKnown): array
    {
        return [
            ...($wish->metric === '' ? [Messages::say('wish.whichMetric')] : []),
            ...($wish->direction === null ? [Messages::say('wish.whichWay')] : []),
            ...($wish->metric !== '' && !$isKnown && $wish->kind !== Kind::Check ? [Messages::say('wish.newMetric', ['metric' => $wish->metric])] : []),
        ];
    }

    public static function takes(Wish $wish, float $confidence): string
    {
        $share = $wish->kind === Kind::Rate ? min(0.9999, ($wish->limit ?? 100.0) / 100) : self::COVERAGE;
        $without = Closed::successRun($share, $confidence);
        $wide = sqrt((self::REPEATS - 1) / ChiSquare::quantile(1 - $confidence, self::REPEATS - 1));

        return Messages::say('wish.takes', [
            'kind' => $wish->kind->value, 'n' => $without, 'percent' => Numbers::percent($share), 'repeats' => self::REPEATS,
            'times' => Digits::plain($wide, 2), 'confidence' => Numbers::set(round(100 * $confidence, 1), ''),
            'levels' => count($wish->conditions) > 1,
        ]);
    }
}
