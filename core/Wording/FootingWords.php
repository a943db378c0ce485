<?php

declare(strict_types=1);

namespace Lustrum\Core\Wording;

use Lustrum\Core\Footing\Difference;
use Lustrum\Core\Footing\Footing;

/** Sentences about whether two groups of runs can be compared. */
final class FootingWords
{
    /** How many differences stand in the sentence itself; the rest is one touch away. */
    private const NAMED = 3;

    /** One plain sentence about one difference. */
    public static function why(Difference $d): string
    {
        return Messages::begin(Messages::say('footing.'.$d->reason->value, $d->with + ['a' => $d->a, 'b' => $d->b]));
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
}
