<?php

declare(strict_types=1);

namespace Lustrum\Core\Wording;

use Lustrum\Core\Judging\SidesWithin;
use Lustrum\Core\Quantity\Digits;

/** Sentences about sides within one build. */
final class SidesWords
{
    /** Sides that a sentence names; of more it says how many. */
    private const NAMED = 4;

    public static function title(SidesWithin $s): string
    {
        return Messages::say('sides.title', ['kind' => $s->kind, 'name' => $s->name]);
    }

    /** @param bool $moreIsBetter which end leads */
    public static function sentence(SidesWithin $s, string $metric, bool $moreIsBetter): string
    {
        return implode(' ', [LookWords::soFar($s->terms->look).self::told($s, $metric, $moreIsBetter), ...LookWords::remarks($s->terms, true)]);
    }

    private static function told(SidesWithin $s, string $metric, bool $moreIsBetter): string
    {
        $with = ['metric' => Messages::begin($metric), 'by' => self::title($s), 'n' => count($s->sides)];
        if ($s->bounds > 0) {
            return Messages::say('sides.bounds', $with + ['bounds' => $s->bounds]);
        }
        $known = array_values(array_filter($s->sides, static fn ($side): bool => $side->effect !== null));
        $first = ($known === [] ? $s->sides : $known)[$moreIsBetter || $known === [] ? 0 : count($known) - 1]->side;
        $with += ['first' => self::named($first), 'told' => $s->told, 'pairs' => $s->pairs];
        if ($s->told === 0) {
            return Messages::say('sides.none', $with + ['articles' => $s->ofArticles]);
        }
        $rivals = [];
        foreach ($s->groups as $group) {
            if (in_array($first, $group, true)) {
                $rivals = array_values(array_unique([...$rivals, ...array_diff($group, [$first])]));
            }
        }

        return Messages::say('sides.sentence', $with + [
            'rivals' => count($rivals), 'named' => Messages::list(array_map(self::named(...), array_slice($rivals, 0, self::NAMED))),
            'more' => max(0, count($rivals) - self::NAMED), 'articles' => $s->ofArticles,
        ]);
    }

    /** In quotes where its own comma would be taken for one of the sentence. */
    private static function named(string $side): string
    {
        return str_contains($side, ',') ? '“'.$side.'”' : $side;
    }

    /** An effect against the mean of all, with its sign. */
    public static function effect(SidesWithin $s, ?float $effect): string
    {
        return $effect === null ? Messages::say('sides.noValue') : Numbers::signed(
            $effect, Digits::decimals(abs($effect), $s->decimals), Numbers::differenceUnit($s->unit),
        );
    }
}
