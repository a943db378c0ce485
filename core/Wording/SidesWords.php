<?php

declare(strict_types=1);

namespace Lustrum\Core\Wording;

use Lustrum\Core\Alike\SideEffect;
use Lustrum\Core\Judging\BoundedSide;
use Lustrum\Core\Judging\Confounded;
use Lustrum\Core\Judging\SidesWithin;
use Lustrum\Core\Judging\Turning;
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
        return implode(' ', [
            LookWords::soFar($s->terms->look).self::told($s, $metric, $moreIsBetter), ...self::further($s),
            ...LookWords::remarks($s->terms, true),
        ]);
    }

    /** @return list<string> what varies together, which sides were compared through another, and what would join those that never met */
    private static function further(SidesWithin $s): array
    {
        $out = array_map(static fn (Confounded $c): string => Messages::say('sides.confounded', [
            'by' => Messages::begin(self::what($s)), 'what' => $c->what, 'n' => count($c->runs), 'runs' => Messages::list(array_map(
                static fn (array $run): string => Messages::say('sides.run', ['side' => self::named($run[0]), 'value' => $run[1]]),
                array_slice($c->runs, 0, self::NAMED),
            )), 'more' => max(0, count($c->runs) - self::NAMED),
        ]), $s->confounded);
        // Of pairs that nothing tells apart either way round may be chance.
        $isTold = $s->found->told > 0 || Turning::hang($s->turning);
        foreach ($isTold ? array_slice($s->turning, 0, self::NAMED) : [] as $turning) {
            $out[] = Messages::say('sides.turning', [
                'a' => Messages::begin(self::named($turning->a)), 'b' => self::named($turning->b),
                'at' => Messages::list(array_slice($turning->at, 0, self::NAMED)),
                'more' => max(0, count($turning->at) - self::NAMED), 'known' => array_filter($turning->at) !== [],
            ]);
        }
        foreach ($s->bounded as $bounded) {
            $out[] = self::bounded($bounded);
        }
        foreach ($s->found->through as [$a, $b, $via]) {
            $out[] = Messages::say('sides.through', ['a' => self::named($a), 'b' => self::named($b), 'via' => self::named($via)]);
        }
        if ($s->found->multiply && array_filter($s->found->sides, static fn (SideEffect $e): bool => $e->effect !== null) !== []) {
            $out[] = Messages::say('sides.multiply');
        }
        if ($s->found->joining !== null) {
            [$side, $level] = $s->found->joining;
            $out[] = Messages::say('sides.joining', ['side' => self::named($side), 'level' => $level, 'at' => $level !== '']);
        }

        return $out;
    }

    private static function bounded(BoundedSide $b): string
    {
        $parts = [];
        foreach (['higher' => $b->higher, 'lower' => $b->lower, 'open' => $b->open] as $as => $sides) {
            if ($sides !== []) {
                $parts[] = Messages::say('sides.beside', ['as' => $as, 'sides' => Messages::list(array_map(self::named(...), $sides))]);
            }
        }

        return Messages::say('sides.bounded', [
            'side' => Messages::begin(self::named($b->side)), 'n' => $b->n, 'bounds' => $b->bounds, 'parts' => implode('; ', $parts),
        ]);
    }

    /** What is compared, as one word. */
    private static function what(SidesWithin $s): string
    {
        return Messages::say('sides.what', ['kind' => $s->kind, 'name' => $s->name]);
    }

    private static function told(SidesWithin $s, string $metric, bool $moreIsBetter): string
    {
        $with = ['metric' => Messages::begin($metric), 'by' => self::title($s), 'n' => count($s->found->sides)];
        if ($s->bounded !== [] && $s->found->pairs === 0) {
            return Messages::say('sides.onlyBounds', $with);
        }
        if (Turning::hang($s->turning)) {
            return Messages::say('sides.hangs', $with);
        }
        // Words have no effect: nothing but their order is known, in which they stand.
        $known = array_values(array_filter($s->found->sides, static fn (SideEffect $side): bool => $side->effect !== null));
        $sides = $known === [] ? $s->found->sides : $known;
        $isFirst = $moreIsBetter || ($known === [] && $s->terms->words === []);
        $first = $sides[$isFirst ? 0 : count($sides) - 1]->side;
        $left = max(0, $s->planned - $s->out - $s->lost - count($s->found->sides));
        $with += [
            'counted' => $s->planned > count($s->found->sides), 'planned' => $s->planned, 'out' => $s->out, 'lost' => $s->lost,
            'left' => $left,
            'bounded' => $s->bounded !== [], 'first' => self::named($first), 'told' => $s->found->told, 'pairs' => $s->found->pairs,
        ];
        if ($s->found->told === 0) {
            return Messages::say('sides.none', $with + ['articles' => $s->ofArticles]);
        }
        $rivals = [];
        foreach ($s->found->groups as $group) {
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
        $side = self::side($side);

        return str_contains($side, ',') ? Messages::quoted([$side]) : $side;
    }

    public static function side(string $side): string
    {
        return $side === SidesWithin::AS_BUILT ? Messages::say('sides.asBuilt') : $side;
    }

    /** In what effects are given. */
    public static function unit(SidesWithin $s): string
    {
        return $s->found->multiply ? '%' : Numbers::differenceUnit($s->unit);
    }

    /** An effect against the mean of all, with its sign. */
    public static function effect(SidesWithin $s, string $side, ?float $effect): string
    {
        $isBounded = array_filter($s->bounded, static fn (BoundedSide $b): bool => $b->side === $side) !== [];

        if (isset($s->worded[$side])) {
            return Numbers::words($s->worded[$side]);
        }

        return $effect === null ? Messages::say($isBounded ? 'sides.noFit' : 'sides.noValue') : Numbers::signed(
            $effect, Digits::decimals(abs($effect), $s->found->multiply ? 0 : $s->decimals), self::unit($s),
        );
    }
}
