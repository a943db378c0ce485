<?php

declare(strict_types=1);

namespace Lustrum\Sheet\Weigh;

use Lustrum\Core\Alike\WithinVerdict;
use Lustrum\Core\Judging\Build;
use Lustrum\Core\Judging\Life;
use Lustrum\Core\Judging\MetricComparison;
use Lustrum\Core\Wording\ComparisonWords;
use Lustrum\Core\Wording\Estimate;
use Lustrum\Core\Wording\Numbers;

/** One metric on this build against another build. */
final readonly class ComparisonRow
{
    /**
     * @param string        $metricId    to open its runs
     * @param string        $judged      'better', 'worse', '' where no requirement says which way is good, or nothing can be said
     * @param list<float>   $values      for the figure: all, or as many as show the spread
     * @param list<float>   $otherValues
     * @param int           $n           values behind it on this build
     * @param int           $otherN
     * @param list<PairRow> $pairs       each with its per cent; the first of them where there are many
     * @param float|null    $least       value that there can be; no axis goes beyond it
     * @param string        $together    changes that act on it and cannot be told apart; empty: there are not several
     * @param list<string>  $words       of the scale, the lowest first, which stand on the axis; none where values are numbers
     * @param list<Further> $further     by order alone for ratings, as lives where runs are bounds
     */
    private function __construct(
        public string $metric,
        public string $metricId,
        public string $unit,
        public ?Estimate $other,
        public ?Estimate $here,
        public ?Estimate $difference,
        public ?Estimate $change,
        public ?WithinVerdict $verdict,
        public string $judged,
        public ?float $p,
        public string $how,
        public string $hereText,
        public ?string $otherText,
        /** @var list<CellRow> */
        public array $cells,
        /** @var list<string> */
        public array $alone,
        public ?FootingView $footing,
        public string $sentence,
        public array $values,
        public array $otherValues,
        public int $n,
        public int $otherN,
        public int $bounds,
        public array $further,
        public ?float $least,
        public ?float $most,
        public array $pairs,
        public int $allPairs,
        public string $together,
        /** @var list<string> */
        public array $words,
        public BearingView $bearing,
    ) {
    }

    /**
     * @param list<string> $together changes that act on it and cannot be told apart
     * @param list<Build>  $builds   of it, the one that is looked at first
     */
    public static function of(
        MetricComparison $c, string $metric, string $otherLetter, float $confidence, array $together = [], array $builds = [],
    ): self {
        $d = $c->difference;

        return new self(
            $metric, $c->metric, $c->here->unit, Estimate::of($c->other?->figure), Estimate::of($c->here->figure),
            Estimate::of($d?->called(Numbers::differenceUnit($d->unit))),
            Estimate::of($c->change), $c->verdict, $c->judged, $c->p, ComparisonWords::how($c),
            ComparisonWords::side($c->here), $c->other === null ? null : ComparisonWords::side($c->other), CellRow::all($c),
            ComparisonWords::alone($c, $otherLetter),
            $c->footing === null ? null : FootingView::of($c->footing),
            ComparisonWords::sentence($c, $metric, $otherLetter), $c->here->marks, $c->other->marks ?? [], $c->here->n, $c->other->n ?? 0,
            $c->here->bounds, self::further($c, $otherLetter, $confidence),
            $c->terms->natural($c->here->unit)->low, $c->terms->natural($c->here->unit)->high, $c->worded === [] ? PairRow::all($c) : [], $c->worded === [] ? $c->matching->pairs ?? 0 : 0,
            ComparisonWords::together($together), $c->terms->words, BearingView::of($c->bearing, $builds, $c->metric, $metric),
        );
    }

    /** @return list<Further> */
    private static function further(MetricComparison $c, string $otherLetter, float $confidence): array
    {
        $repeats = ComparisonWords::repeats($c);
        $out = $repeats === '' ? [] : [new Further($repeats, 'stats.compareWithin')];
        $out = $c->byOrder === null || $c->terms->words !== [] ? $out : [
            ...$out, new Further(ComparisonWords::byOrder($c->byOrder, $c->here, $otherLetter, $confidence), 'stats.rank'),
        ];
        if ($c->spread !== null) {
            $out[] = new Further(
                ComparisonWords::spread($c->spread, $c->here->letter, $otherLetter, $c->terms->tells()), 'stats.compareSpread',
            );
        }
        foreach ($c->lives as $life) {
            $out = [...$out, ...self::life($life)];
        }

        return $c->logRank === null ? $out : [
            ...$out, new Further(ComparisonWords::logRank($c->logRank, $c->here->letter, $otherLetter, $confidence), 'survival.logRank'),
        ];
    }

    /** @return list<Further> */
    private static function life(Life $life): array
    {
        return [
            new Further(ComparisonWords::median($life), 'survival.kaplanMeier'),
            new Further(ComparisonWords::oneInTen($life), 'survival.weibull'),
        ];
    }
}
