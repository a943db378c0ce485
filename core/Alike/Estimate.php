<?php

declare(strict_types=1);

namespace Lustrum\Core\Alike;

use Lustrum\Core\Statistics\Sample;

/**
 * The difference of two sides over the strata that both have.
 *
 * Over blocks where there are blocks; Welch (1947) within a single stratum; else least squares of value = stratum + side,
 * which with one value a side and stratum is the paired t. Where an article stands in several strata the interval goes over
 * articles (Hurlbert 1984), by their sums of residuals.
 */
final class Estimate
{
    /** What is smaller than this part of the largest value is no spread. */
    private const NOTHING = 1e-12;

    /**
     * @param list<Stratum>  $strata that both sides have, on the scale that is asked for
     * @param list<AlikeRuns> $byArticle the runs of these, where articles stand for the sides; else none
     * @param float          $size   of the largest value, beside which a spread is one
     */
    public static function of(array $strata, array $byArticle, bool $blocked, float $size): Effect
    {
        $effect = match (true) {
            $blocked => self::overBlocks($strata),
            count($strata) === 1 && min(count($strata[0]->a), count($strata[0]->b)) > 1 => self::welch($strata[0]),
            default => self::additive($strata),
        };
        if (self::doArticlesRecur($byArticle)) {
            $effect = self::overArticles($byArticle, $effect->estimate);
        }

        return $effect->se <= self::NOTHING * $size ? self::withoutSpread($effect, count($strata) === 1 && !$blocked) : $effect;
    }

    /** Welch's degrees hang on the spread: where there is none they cannot be told. */
    private static function withoutSpread(Effect $effect, bool $isWelch): Effect
    {
        return new Effect($effect->estimate, 0.0, $isWelch ? null : $effect->df);
    }

    /**
     * Does one stand in more than one stratum? With a fresh one at each, strata are all that pairs.
     *
     * @param list<AlikeRuns> $runs
     */
    private static function doArticlesRecur(array $runs): bool
    {
        $in = [];
        foreach ($runs as $some) {
            if ($some->article !== null && ($in[$some->article] ??= $some->stratum) !== $some->stratum) {
                return true;
            }
        }

        return false;
    }

    /** @param list<Stratum> $strata */
    private static function overBlocks(array $strata): Effect
    {
        $of = [];
        foreach ($strata as $stratum) {
            $of[(string) $stratum->block][] = $stratum;
        }
        $sample = Sample::of(array_values(array_map(Stratum::together(...), $of)));

        return new Effect($sample->mean, $sample->se() ?? 0.0, $sample->n - 1);
    }

    private static function welch(Stratum $stratum): Effect
    {
        [$a, $b] = [Sample::of($stratum->a), Sample::of($stratum->b)];
        [$va, $vb] = [(float) $a->se() ** 2, (float) $b->se() ** 2];
        $share = $va + $vb > 0 ? $va / ($va + $vb) : 0.5;

        return new Effect($b->mean - $a->mean, sqrt($va + $vb), 1 / ($share ** 2 / ($a->n - 1) + (1 - $share) ** 2 / ($b->n - 1)));
    }

    /** @param list<Stratum> $strata */
    private static function additive(array $strata): Effect
    {
        $weight = array_sum(array_map(static fn (Stratum $s): float => $s->weight(), $strata));
        $estimate = Stratum::together($strata);
        $df = self::degrees($strata);
        $squares = self::squares($strata, $estimate);

        return new Effect($estimate, $df > 0 ? sqrt($squares / $df / $weight) : 0.0, $df);
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

    /**
     * se² = A/(A − 2)·Σ over articles of (Σ x̃·e)²/(Σ x̃²)², x̃ the side less its mean in the stratum, e the residuals; an
     * article that was tried on both sides counts on each.
     *
     * @param list<AlikeRuns> $runs
     */
    private static function overArticles(array $runs, float $estimate): Effect
    {
        $sums = $of = [];
        foreach ($runs as $some) {
            $of[$some->stratum][] = $some;
        }
        $total = 0.0;
        $alone = 0;
        foreach ($of as $stratum) {
            $n = AlikeRuns::count($stratum);
            $share = AlikeRuns::count($stratum, 'b') / $n;
            $mean = array_sum(array_map(static fn (AlikeRuns $r): float => array_sum($r->values), $stratum)) / $n;
            foreach ($stratum as $some) {
                $x = ($some->side === 'b' ? 1.0 : 0.0) - $share;
                $total += $some->n() * $x * $x;
                foreach ($some->values as $value) {
                    $article = $some->article === null ? 'run '.++$alone : $some->side."\x1f".$some->article;
                    $sums[$article] = ($sums[$article] ?? 0.0) + $x * ($value - $mean - $estimate * $x);
                }
            }
        }
        $articles = count($sums);
        $squares = array_sum(array_map(static fn (float $s): float => $s * $s, $sums));

        return new Effect($estimate, sqrt($articles / ($articles - 2) * $squares) / $total, $articles - 2);
    }
}
