<?php

declare(strict_types=1);

namespace Lustrum\Core\Wording;

use Lustrum\Core\Footing\Difference;
use Lustrum\Core\Footing\Footing;
use Lustrum\Core\Footing\Reason;
use Lustrum\Core\Footing\Turn;
use Lustrum\Core\Quantity\Digits;
use Lustrum\Core\Run\ArticleState;

/** Sentences about whether two groups of runs can be compared. */
final class FootingWords
{
    /** How many differences stand in the sentence itself; the rest is one touch away. */
    private const NAMED = 3;

    /** How many lots are listed in full. */
    private const LISTED = 3;

    /** One plain sentence about one difference. */
    public static function why(Difference $d): string
    {
        $said = static fn (string $words): string => $d->reason !== Reason::State ? self::few($words) : implode(
            ' and ', array_map(ArticleState::said(...), explode(' and ', $words)),
        );

        return Messages::begin(Messages::say('footing.'.$d->reason->value, $d->with + ['a' => $said($d->a), 'b' => $said($d->b)]));
    }

    /** Of many lots, operators or firmwares the first ones, and how many more there are; all of them are with the runs. */
    private static function few(string $words): string
    {
        $all = explode(' and ', $words);

        return count($all) <= self::LISTED ? $words : Messages::say('footing.several', [
            'first' => implode(', ', array_slice($all, 0, self::LISTED - 1)), 'n' => count($all) - self::LISTED + 1,
        ]);
    }

    /** @param list<Difference> $differences gravest first */
    public static function sentence(Footing $footing, array $differences): string
    {
        if ($footing === Footing::Level) {
            return Messages::say('footing.same');
        }
        $whys = array_map(static fn (Difference $d): string => Messages::inside(self::why($d)), array_slice($differences, 0, self::NAMED));

        return Messages::say('footing.sentence', [
            'footing' => $footing->value, 'whys' => implode('; ', $whys), 'more' => count($differences) - count($whys),
        ]);
    }

    /**
     * Where an unknown condition would turn the answer.
     *
     * @param string $name of the condition; empty: nobody said
     */
    public static function turn(Turn $turn, string $name, string $unit): string
    {
        $of = static fn (float $value): string => Numbers::withUnit(Digits::plain($value), $unit);

        return Messages::say('footing.turn', [
            'name' => $name === '' ? Messages::say('footing.condition') : $name, 'side' => $turn->side, 'at' => $of($turn->at),
            'below' => Messages::say('footing.'.$turn->below), 'above' => Messages::say('footing.'.$turn->above),
            'interval' => $turn->low !== null && $turn->high !== null, 'low' => $of($turn->low ?? 0.0), 'high' => $of($turn->high ?? 0.0),
        ]);
    }
}
