<?php

declare(strict_types=1);

namespace Lustrum\Core\Wording;

use Lustrum\Core\Alike\CellDifference;
use Lustrum\Core\Alike\WithinVerdict;
use Lustrum\Core\Footing\Reason;
use Lustrum\Core\Judging\ByOrder;
use Lustrum\Core\Judging\Chained;
use Lustrum\Core\Judging\Changed;
use Lustrum\Core\Judging\Figure;
use Lustrum\Core\Judging\Life;
use Lustrum\Core\Judging\Matching;
use Lustrum\Core\Judging\MetricComparison;
use Lustrum\Core\Judging\Side;
use Lustrum\Core\Quantity\Digits;
use Lustrum\Core\Statistics\CompareSpread;
use Lustrum\Core\Statistics\Verdict;

/** Sentences about one metric on one build against another. */
final class ComparisonWords
{
    /** Of fewer that have ended nothing is said of half of them. */
    private const EVENTS = 2;

    private const P_DIGITS = 2;

    /** Of more that was changed a sentence says how much there is. */
    private const NAMED = 3;

    /** Below this the number says no more than that it is small. */
    private const SMALL_P = 0.001;

    /** @param string $otherLetter of the build that it is compared with, also where that was not measured */
    public static function sentence(MetricComparison $c, string $metric, string $otherLetter): string
    {
        $told = LookWords::soFar($c->terms->look).self::told($c, $metric, $otherLetter);

        return implode(' ', [$told, ...self::changed($c->changed), ...LookWords::remarks($c->terms, true)]);
    }

    /**
     * What was changed on an article between two runs, and how many runs are not in it for that.
     *
     * @param array<string, Changed> $changed by letter
     *
     * @return list<string>
     */
    public static function changed(array $changed): array
    {
        $out = [];
        foreach ($changed as $letter => $of) {
            if ($of->runs > 0) {
                $out[] = Messages::say('comparison.changed', [
                    'letter' => (string) $letter, 'n' => $of->runs, 'what' => Messages::quoted(array_slice($of->what, 0, self::NAMED)),
                    'more' => max(0, count($of->what) - self::NAMED),
                ]);
            }
        }

        return $out;
    }

    /** @param list<string> $changes that act on one metric together; none: there are not several */
    public static function together(array $changes): string
    {
        return $changes === [] ? '' : Messages::say('comparison.together', [
            'changes' => Messages::quoted($changes), 'n' => count($changes),
            'first' => $changes[0],
        ]);
    }

    private static function told(MetricComparison $c, string $metric, string $otherLetter): string
    {
        $with = ['metric' => Messages::begin($metric), 'letter' => $c->here->letter, 'other' => $otherLetter];
        if ($c->here->n === 0) {
            return Messages::say('comparison.onlyBounds', $with + ['n' => $c->here->bounds]);
        }
        if ($c->other === null || $c->matching === null) {
            return Messages::say('comparison.onlyHere', $with + [
                'one' => $c->here->figure !== null, 'levels' => $c->here->levels, 'mean' => self::one($c->here),
            ]);
        }
        if ($c->terms->words !== [] && $c->byOrder !== null) {
            return Messages::say('comparison.words', $with + [
                'sized' => $c->here->figure !== null && $c->other->figure !== null, 'here' => self::one($c->here),
                'there' => self::one($c->other), 'verdict' => $c->verdict->value ?? '', 'p' => self::p($c->byOrder->p),
                'n' => $c->byOrder->n, 'nOther' => $c->byOrder->nOther, 'tilted' => self::why($c, false) !== '',
                'footing' => self::why($c, false),
            ]);
        }
        if ($c->difference === null) {
            return $c->chain === null ? self::notTogether($c, $with) : self::chained($c->chain, $with);
        }

        return self::opposed($c, $c->difference, $c->matching, $with);
    }

    /** What one side came to, without its interval. */
    private static function one(Side $side): string
    {
        $f = $side->figure;

        return $f?->words !== null ? Numbers::words($f->words) : Numbers::amount($f->value ?? 0.0, $side->decimals, $side->unit);
    }

    /** @param array<string, string> $with */
    private static function opposed(MetricComparison $c, Figure $difference, Matching $m, array $with): string
    {
        $told = in_array($c->verdict, [WithinVerdict::Higher, WithinVerdict::Lower], true);
        // Runs of one article are repeats of it: the sentence speaks of the articles, and says so itself.
        $isOfArticles = $told && $m->otherArticle !== $m->article && ($m->article !== '' || $m->otherArticle !== '');
        $of = static fn (string $letter, string $serial): string => $isOfArticles && $serial !== ''
            ? Messages::say('comparison.article', ['letter' => $letter, 'serial' => $serial]) : $letter;
        $why = self::why($c, $isOfArticles);
        $size = ['sized' => $c->here->figure !== null, 'size' => $c->here->figure === null ? '' : Numbers::figure($c->here->figure)];
        if ($c->verdict !== null && !$c->terms->tells()) {
            return Messages::say('comparison.untold', $with + $size);
        }

        return Messages::say('comparison.sentence', [
            'letter' => $of($with['letter'], $m->article), 'other' => $of($with['other'], $m->otherArticle),
        ] + $with + $size + [
            'change' => self::change($c, $difference),
            'verdict' => $c->verdict->value ?? '',
            'n' => $c->here->n, 'nOther' => $c->other->n ?? 0, 'pairs' => $m->pairs, 'blocked' => $m->blocks !== [],
            'against' => $m->against !== [], 'where' => Messages::list($m->against), 'varies' => $told && $m->sizeVaries,
            'articles' => $isOfArticles, 'tilted' => $why !== '', 'footing' => $why,
            'known' => $m->known === true && min($c->here->n, $c->other->n ?? 0) === 1,
        ]);
    }

    /** On what was known of the method's repeats it rests, or why it does not; empty: nothing was known, or it has no bearing. */
    public static function repeats(MetricComparison $c): string
    {
        $spread = $c->terms->spread;

        return $spread === null || $c->matching === null || $c->matching->known === false ? '' : Messages::say('comparison.repeats', [
            'used' => $c->matching->known === true, 'letter' => $c->here->letter,
        ] + SpreadWords::of($spread, $c->here->unit, $c->here->decimals));
    }

    /** The gravest difference of the footing that the sentence does not say anyway. */
    private static function why(MetricComparison $c, bool $isOfArticles): string
    {
        foreach ($c->footing->differences ?? [] as $difference) {
            if (!$isOfArticles || $difference->reason !== Reason::OneArticle) {
                return Messages::inside(FootingWords::why($difference));
            }
        }

        return '';
    }

    /** @return list<string> the difference at each level */
    private static function cells(MetricComparison $c): array
    {
        return array_map(static fn (CellDifference $cell): string => Messages::say('comparison.cell', [
            'cell' => $cell->cell, 'change' => Messages::say('comparison.by', [
                'amount' => Numbers::amount(abs($cell->difference), $c->here->decimals, Numbers::differenceUnit($c->here->unit)),
                'less' => $cell->difference < 0, 'none' => round($cell->difference, $c->here->decimals) === 0.0,
            ]),
        ]), $c->matching->cells ?? []);
    }

    private static function change(MetricComparison $c, Figure $difference): string
    {
        if ($c->change === null) {
            return Messages::say('comparison.by', [
                'amount' => Numbers::amount(abs($difference->value), $difference->decimals, Numbers::differenceUnit($difference->unit)),
                'less' => $difference->value < 0, 'none' => round($difference->value, $difference->decimals) === 0.0,
            ]);
        }

        return Messages::say('comparison.by', ['amount' => self::size($c->change), 'less' => $c->change->value < 0, 'none' => false]);
    }

    /** A change without its sign, which the word after it says: '31 % [19, 44]'. */
    private static function size(Figure $f): string
    {
        if ($f->low === null || $f->high === null) {
            return Numbers::amount(abs($f->value), $f->decimals, $f->unit);
        }
        $sign = $f->value < 0 ? -1 : 1;

        return Numbers::figure(
            new Figure(
                abs($f->value), min($sign * $f->low, $sign * $f->high), max($sign * $f->low, $sign * $f->high), $f->unit, $f->decimals, 0,
            ),
        );
    }

    /**
     * What stands first of many comparisons.
     *
     * @param string $first its sentence; empty: nothing stands out
     */
    public static function headline(string $first, int $looked, string $otherLetter): string
    {
        return $looked === 0 ? $first : Messages::say('comparison.headline', [
            'any' => $first !== '', 'first' => $first, 'looked' => $looked, 'other' => $otherLetter,
        ]);
    }

    /** A must that looks worse, among so many that one may do so by chance. */
    public static function maybeWorse(string $metric, int $musts): string
    {
        return Messages::say('comparison.maybeWorse', ['metric' => Messages::begin($metric), 'musts' => $musts]);
    }

    /** How the difference was worked out. */
    public static function how(MetricComparison $c): string
    {
        $m = $c->matching;

        if ($c->terms->words !== [] && $c->byOrder !== null) {
            return Messages::say('comparison.howWords', ['p' => self::p($c->byOrder->p)]);
        }

        return Messages::say('comparison.how', [
            'known' => $c->p !== null, 'p' => self::p($c->p ?? 1.0), 'per' => $m?->per === null ? '' : $m->per->value,
            'pairs' => $m->pairs ?? 0, 'blocks' => Messages::list($m->blocks ?? []),
        ]);
    }

    /**
     * What had no counterpart, on either side.
     *
     * @return list<string>
     */
    public static function alone(MetricComparison $c, string $otherLetter): array
    {
        $out = [];
        foreach ([[$c->here->letter, $c->matching->onlyHere ?? []], [$otherLetter, $c->matching->onlyOther ?? []]] as [$letter, $alone]) {
            if ($alone !== []) {
                $out[] = Messages::say('comparison.alone', ['letter' => $letter, 'cells' => Messages::list($alone)]);
            }
        }

        return $out;
    }

    public static function p(float $p): string
    {
        return $p < self::SMALL_P ? Messages::say('comparison.smallP') : Digits::plain($p, self::P_DIGITS);
    }

    /** What one side stands on: '6 runs and 2 bounds'. */
    public static function side(Side $side): string
    {
        return Messages::say('comparison.side', ['letter' => $side->letter, 'n' => $side->n, 'bounds' => $side->bounds]);
    }

    /** @param array<string, string> $with */
    private static function notTogether(MetricComparison $c, array $with): string
    {
        $there = $c->matching->onlyOther[0] ?? '';

        return Messages::say('comparison.notTogether', $with + [
            'byCell' => $c->verdict === WithinVerdict::ByCell, 'cells' => implode('; ', self::cells($c)), 'known' => $there !== '',
            'there' => $there,
        ]);
    }

    /** @param array<string, string> $with */
    private static function chained(Chained $chain, array $with): string
    {
        $d = $chain->difference;

        return Messages::say('comparison.chained', $with + [
            'via' => $chain->via, 'told' => $chain->told, 'less' => $d->value < 0,
            'size' => self::size($d->called(Numbers::differenceUnit($d->unit))),
        ]);
    }

    /** Of repeats in one cell: how far the runs of one spread beside those of the other. */
    public static function spread(CompareSpread $s, string $letter, string $otherLetter, bool $tells): string
    {
        return Messages::say('comparison.spread', [
            'letter' => $letter, 'other' => $otherLetter, 'known' => $s->estimate !== null,
            'times' => Digits::plain($s->estimate ?? 0.0, 2),
            'ended' => $s->low !== null, 'low' => Digits::plain($s->low ?? 0.0, 2), 'high' => Digits::plain($s->high ?? 0.0, 2),
            'verdict' => $tells ? $s->verdict->value : Verdict::Indistinct->value,
        ]);
    }

    /** By order alone, for ratings. */
    public static function byOrder(ByOrder $order, Side $here, string $otherLetter, float $confidence): string
    {
        return Messages::say('comparison.byOrder', [
            'letter' => $here->letter, 'other' => $otherLetter, 'lower' => $order->shift < 0, 'real' => $order->p < 1 - $confidence,
            'shift' => Numbers::amount(abs($order->shift), $here->decimals, Numbers::differenceUnit($here->unit)),
            'p' => Digits::plain($order->p, self::P_DIGITS), 'alike' => round($order->shift, $here->decimals) === 0.0,
        ]);
    }

    public static function median(Life $life): string
    {
        $number = static fn (?float $v): string => $v === null ? Messages::say('comparison.beyond') : Digits::decimals($v, $life->decimals);
        $with = ['letter' => $life->letter, 'ended' => $life->ended, 'stopped' => $life->stopped, 'unit' => $life->unit];

        if ($life->ended < self::EVENTS) {
            return Messages::say('comparison.medianOfFew', $with);
        }

        return $life->median === null ? Messages::say('comparison.medianBeyond', $with) : Messages::say('comparison.median', $with + [
            'median' => $number($life->median), 'low' => $number($life->low), 'high' => $number($life->high),
        ]);
    }

    public static function oneInTen(Life $life): string
    {
        return $life->oneInTen === null
            ? Messages::say('comparison.noLife', ['letter' => $life->letter, 'why' => Messages::inside($life->why)])
            : Messages::say('comparison.oneInTen', ['letter' => $life->letter, 'life' => Numbers::figure($life->oneInTen)]);
    }

    public static function logRank(float $p, string $letter, string $other, float $confidence): string
    {
        return Messages::say('comparison.logRank', [
            'p' => Digits::plain($p, self::P_DIGITS), 'letter' => $letter, 'other' => $other, 'differ' => $p < 1 - $confidence,
        ]);
    }
}
