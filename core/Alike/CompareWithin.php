<?php

declare(strict_types=1);

namespace Lustrum\Core\Alike;

use Lustrum\Core\InvalidInput;
use Lustrum\Core\NotEstimable;
use Lustrum\Core\Statistics\Compare;
use Lustrum\Core\Statistics\Interval;
use Lustrum\Core\Statistics\NoValues;
use Lustrum\Core\Statistics\Repeats;

/**
 * Two sides against each other on the strata that both have (`stats.compareWithin`); differences are b − a.
 *
 * The verdict is taken on the scale on which effects add up; the difference is always in the unit of the values.
 */
final readonly class CompareWithin
{
    /**
     * @param float|null           $df          Welch's is null where there is no spread
     * @param int                  $pairs       strata used
     * @param array{a: int, b: int} $n          values used
     * @param list<CellDifference> $cells
     * @param list<string>         $opposed     cells whose difference has the other sign
     * @param list<Alone>          $onlyA
     * @param list<Alone>          $onlyB
     * @param bool|null            $known       did what is known of the repeats go into it? null: nothing was given
     * @param bool                 $wider       did it not, since these spread farther?
     */
    private function __construct(
        public Interval $difference,
        public Change $change,
        public Scale $scale,
        public Per $per,
        public ?float $df,
        public ?float $p,
        public int $pairs,
        public array $n,
        public array $cells,
        public array $opposed,
        public array $onlyA,
        public array $onlyB,
        public ?Interaction $interaction,
        public WithinVerdict $verdict,
        public ?bool $known,
        public bool $wider,
    ) {
    }

    /**
     * @param list<AlikeRuns> $runs  whose sides are a and b
     * @param Scale|null     $scale null: the values decide
     *
     * @throws NoValues|InvalidInput|NotEstimable
     */
    public static function of(
        array $runs, float $confidence, ?Scale $scale = null, int $looks = 1, Repeats $repeats = new Repeats(),
    ): self {
        $confidence = Looks::confidence($confidence, $looks);
        $matched = Matched::of($runs);
        $byArticle = self::countsArticles($matched->used);
        $used = $byArticle ? AlikeRuns::averaged($matched->used) : $matched->used;
        $strata = Matched::strataOf($used);
        $cells = CellDifference::ofAll($strata);
        $bounds = new Bounds($matched->used);
        $positive = AlikeRuns::arePositive($used);
        $scale ??= Scale::among($used);
        if ($scale === Scale::Ratio && !$positive) {
            throw InvalidInput::because('Effects that multiply need values above nought.', 'scale');
        }
        $isFree = !$matched->blocked && !$bounds->any() && !AlikeRuns::doArticlesRecur($matched->used);
        $done = [];
        // What is known is known on the scale of the verdict; the other keeps its own spread.
        $of = static fn (Scale $s): Repeats => $s === $scale && $isFree
            ? $repeats->on($s === Scale::Ratio, $byArticle) : $repeats->on($s === Scale::Ratio, $byArticle)->unknown();
        $on = static function (Scale $s) use (&$done, $used, $strata, $matched, $byArticle, $of): Effect {
            return $done[$s->value] ??= self::effect($used, $strata, $matched->blocked, $byArticle, $s, $of($s));
        };
        [$plain, $judged] = [$on(Scale::Add), $on($scale)];
        $n = ['a' => AlikeRuns::count($used, 'a'), 'b' => AlikeRuns::count($used, 'b')];
        $isAlone = static fn (Effect $e): bool => !$e->isKnown && (min($n) === 1 || $e->df === 0.0);
        $isSingle = $isAlone($judged);
        $hasEnds = !$isSingle && $judged->hasSpread();
        $ends = static fn (Effect $e): Interval => $hasEnds && !$isAlone($e)
            ? $e->interval($confidence) : new Interval($e->estimate, null, null);
        $interaction = $matched->blocked || $bounds->any() ? null : self::interaction($strata, $scale);
        $opposed = self::opposed($cells, $plain->estimate);

        return new self(
            $bounds->opened($ends($plain)),
            match (true) {
                $bounds->any() => Change::none(),
                count($strata) === 1 && !$matched->blocked && $scale === Scale::Add => self::percent($strata[0], $confidence, $of($scale)),
                default => $positive ? Change::ratio($ends($on(Scale::Ratio))) : Change::none(),
            },
            $scale, self::per($matched->blocked, $byArticle), $isSingle ? 0.0 : $judged->df, $hasEnds ? $judged->p() : null,
            count($strata), $n, $cells, $opposed, $matched->onlyA, $matched->onlyB, $interaction,
            match (true) {
                $isSingle => WithinVerdict::Single,
                $interaction !== null && $interaction->p < 1 - $confidence && self::haveBothSigns($cells) => WithinVerdict::ByCell,
                $hasEnds => $bounds->allow(self::sign($judged->interval($confidence))),
                default => WithinVerdict::Indistinct,
            },
            $repeats->isGiven() ? $judged->isKnown : null, $of($scale)->isGiven() && !$judged->isKnown,
        );
    }

    /**
     * @param list<AlikeRuns> $runs
     * @param list<Stratum>  $strata of them
     */
    private static function effect(
        array $runs, array $strata, bool $blocked, bool $byArticle, Scale $scale, Repeats $repeats,
    ): Effect {
        $isRatio = $scale === Scale::Ratio;
        $on = $isRatio ? array_map(static fn (Stratum $s): Stratum => $s->mapped(log(...)), $strata) : $strata;
        $size = 0.0;
        foreach ($isRatio ? [] : $strata as $stratum) {
            $size = max($size, ...array_map(abs(...), [...$stratum->a, ...$stratum->b]));
        }

        return Estimate::of($on, $byArticle && !$blocked ? self::scaled($runs, $isRatio) : [], $blocked, $isRatio ? 1.0 : $size, $repeats);
    }

    /**
     * @param list<AlikeRuns> $runs
     *
     * @return list<AlikeRuns>
     */
    private static function scaled(array $runs, bool $isRatio): array
    {
        return !$isRatio ? $runs : array_map(
            static fn (AlikeRuns $r): AlikeRuns => $r->as(array_map(log(...), $r->values)), $runs,
        );
    }

    /**
     * Do articles rather than runs stand for the sides? Only where each has two or more.
     *
     * @param list<AlikeRuns> $runs
     */
    private static function countsArticles(array $runs): bool
    {
        $articles = ['a' => [], 'b' => []];
        $isNamed = false;
        foreach ($runs as $i => $run) {
            $articles[$run->side][$run->article ?? "\x1f".$i] = $run->article === null ? $run->n() : 1;
            $isNamed = $isNamed || $run->article !== null;
        }

        return $isNamed && min(array_sum($articles['a']), array_sum($articles['b'])) > 1;
    }

    private static function percent(Stratum $stratum, float $confidence, Repeats $repeats): Change
    {
        $c = Compare::independent($stratum->a, $stratum->b, $confidence, $repeats);

        return $c->change === null || !$c->change->has() ? Change::none($c->change?->estimate) : Change::fieller($c->change);
    }

    /** @param list<Stratum> $strata */
    private static function interaction(array $strata, Scale $scale): ?Interaction
    {
        $on = $scale === Scale::Add ? $strata : array_map(static fn (Stratum $s): Stratum => $s->mapped(log(...)), $strata);
        $size = $scale === Scale::Ratio ? 1.0 : max([0.0, ...array_map(
            static fn (Stratum $s): float => max(array_map(abs(...), [...$s->a, ...$s->b])), $on,
        )]);

        return Interaction::of($on, $size);
    }

    /**
     * @param list<CellDifference> $cells
     *
     * @return list<string>
     */
    private static function opposed(array $cells, float $estimate): array
    {
        return array_values(array_map(
            static fn (CellDifference $c): string => $c->cell,
            array_filter($cells, static fn (CellDifference $c): bool => $c->difference * $estimate < 0),
        ));
    }

    /** @param list<CellDifference> $cells */
    private static function haveBothSigns(array $cells): bool
    {
        $differences = array_map(static fn (CellDifference $c): float => $c->difference, $cells);

        return $differences !== [] && min($differences) < 0 && max($differences) > 0;
    }

    private static function sign(Interval $interval): WithinVerdict
    {
        return match (true) {
            $interval->low > 0 => WithinVerdict::Higher,
            $interval->high < 0 => WithinVerdict::Lower,
            default => WithinVerdict::Indistinct,
        };
    }

    private static function per(bool $blocked, bool $byArticle): Per
    {
        return match (true) {
            $blocked => Per::Block,
            $byArticle => Per::Article,
            default => Per::Run,
        };
    }
}
