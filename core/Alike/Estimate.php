<?php

declare(strict_types=1);

namespace Lustrum\Core\Alike;

use Lustrum\Core\Statistics\Repeats;
use Lustrum\Core\Statistics\Sample;
use Lustrum\Core\Statistics\Spread;

/**
 * The difference of two sides over the strata that both have.
 *
 * Over blocks where there are blocks; Welch (1947) within a single stratum; else least squares of value = stratum + side,
 * which with one value a side and stratum is the paired t. Where an article stands in several strata the interval goes over
 * articles; where the spread of the method's repeats is known, and they stand for themselves, that goes into the residual one.
 */
final class Estimate
{
    /** What is smaller than this part of the largest value is no spread. */
    private const NOTHING = 1e-12;

    /**
     * @param list<Stratum>  $strata that both sides have, on the scale that is asked for
     * @param list<AlikeRuns> $byArticle the runs of these, where articles stand for the sides; else none
     * @param float          $size   of the largest value, beside which a spread is one
     * @param Repeats        $repeats what is known of them on this scale
     */
    public static function of(array $strata, array $byArticle, bool $blocked, float $size, Repeats $repeats): Effect
    {
        $effect = match (true) {
            $blocked => self::overBlocks($strata, $repeats),
            AlikeRuns::doArticlesRecur($byArticle) => OverArticles::effect($byArticle, Stratum::together($strata), $repeats->floor(0.0)),
            default => self::overRuns($strata, $repeats),
        };

        return $effect->se <= self::NOTHING * $size ? self::withoutSpread($effect, count($strata) === 1 && !$blocked) : $effect;
    }

    /** Welch's degrees hang on the spread: where there is none they cannot be told. */
    private static function withoutSpread(Effect $effect, bool $isWelch): Effect
    {
        return new Effect($effect->estimate, 0.0, $isWelch ? null : $effect->df, $effect->isKnown);
    }

    /** @param list<Stratum> $strata */
    private static function overBlocks(array $strata, Repeats $repeats): Effect
    {
        $of = [];
        foreach ($strata as $stratum) {
            $of[(string) $stratum->block][] = $stratum;
        }
        $sample = Sample::of(array_values(array_map(Stratum::together(...), $of)));
        $sd = $sample->spread($repeats->unknown())->sd;

        return new Effect($sample->mean, ($sd ?? 0.0) / sqrt($sample->n), $sample->n - 1);
    }

    /** @param list<Stratum> $strata */
    private static function overRuns(array $strata, Repeats $repeats): Effect
    {
        $weight = array_sum(array_map(static fn (Stratum $s): float => $s->weight(), $strata));
        $estimate = Stratum::together($strata);
        $spread = Spread::of(self::squares($strata, $estimate), self::degrees($strata), $repeats);
        if (!$spread->isKnown && count($strata) === 1 && min(count($strata[0]->a), count($strata[0]->b)) > 1) {
            return self::welch($strata[0]->a, $strata[0]->b, $repeats);
        }

        return new Effect($estimate, ($spread->sd ?? 0.0) / sqrt($weight), $spread->df, $spread->isKnown);
    }

    /**
     * Each side with its own spread.
     *
     * @param list<float> $a two at least
     * @param list<float> $b
     */
    public static function welch(array $a, array $b, Repeats $repeats = new Repeats()): Effect
    {
        [$a, $b] = [Sample::of($a), Sample::of($b)];
        [$va, $vb] = [$repeats->floor((float) $a->sd) ** 2 / $a->n, $repeats->floor((float) $b->sd) ** 2 / $b->n];
        $share = $va + $vb > 0 ? $va / ($va + $vb) : 0.5;

        return new Effect($b->mean - $a->mean, sqrt($va + $vb), 1 / ($share ** 2 / ($a->n - 1) + (1 - $share) ** 2 / ($b->n - 1)));
    }

    /** @param list<Stratum> $strata */
    public static function degrees(array $strata): int
    {
        return array_sum(array_map(static fn (Stratum $s): int => $s->n(), $strata)) - count($strata) - 1;
    }

    /**
     * What the additive model leaves over.
     *
     * @param list<Stratum> $strata
     */
    public static function squares(array $strata, float $estimate): float
    {
        return array_sum(array_map(
            static fn (Stratum $s): float => $s->squares() + $s->weight() * ($s->difference() - $estimate) ** 2, $strata,
        ));
    }
}
