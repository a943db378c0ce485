<?php

declare(strict_types=1);

namespace Lustrum\Core\Judging;

use Lustrum\Core\Alike\Change;
use Lustrum\Core\Alike\Per;
use Lustrum\Core\Alike\WithinVerdict;
use Lustrum\Core\Evidence\Kind;
use Lustrum\Core\Footing\Context;
use Lustrum\Core\Footing\Difference as FootingDifference;
use Lustrum\Core\Footing\Footing;
use Lustrum\Core\Footing\FootingCheck;
use Lustrum\Core\Footing\Reason;
use Lustrum\Core\Run\Design;
use Lustrum\Core\Run\Factor;
use Lustrum\Core\Statistics\CompareSpread;

/** Compares the metrics that two builds have in common. */
final readonly class CompareBuilds
{
    /** Per cents of this size and more are whole ones. */
    private const WHOLE_PERCENT = 10.0;

    /** With fewer values a side nothing can be told of how they spread. */
    private const FEW = 4;

    /**
     * @param list<Wanted>          $wanted requirements, in their order
     * @param array<string, string> $names  of metrics by identifier
     */
    public function __construct(
        private array $wanted,
        private array $names,
        private float $confidence,
    ) {
    }

    /**
     * @return list<MetricComparison> one for each metric measured on this build; those of both builds first
     */
    public function all(Build $build, Seen $here, Build $against, Seen $other): array
    {
        return self::inOrder(array_map(
            fn (string $metric): MetricComparison => $this->metric($metric, $build, $here, $against, $other), $this->metrics($here),
        ));
    }

    /**
     * @param list<MetricComparison> $comparisons in the order of their metrics
     *
     * @return list<MetricComparison> those that both builds have first
     */
    public static function inOrder(array $comparisons): array
    {
        usort($comparisons, static fn (MetricComparison $a, MetricComparison $b): int => ($a->other === null) <=> ($b->other === null));

        return $comparisons;
    }

    public function metric(string $metric, Build $build, Seen $here, Build $against, Seen $other, ?Terms $terms = null): MetricComparison
    {
        $terms ??= new Terms($this->confidence);
        $changed = [$build->letter => $here->changed($metric), $against->letter => $other->changed($metric)];
        $sides = [[$build, $here->designs($metric)], [$against, $other->designs($metric)]];
        [$here, $other] = [$here->asBuilt(), $other->asBuilt()];
        $wanted = $this->wanted($metric);
        $mine = Measured::of($here->read($metric), $wanted->unit ?? '');
        $theirs = Measured::of($other->read($metric), $mine->unit);
        $decimals = max($mine->decimals, $theirs->values === [] ? 0 : $theirs->decimals);
        $both = $mine->values !== [] && $theirs->values !== [];
        $opposed = $both ? Opposed::of($mine, $theirs, $terms) : null;
        if ($opposed !== null && $terms->words !== []) {
            return $this->words($metric, $wanted, $build, $here, $mine, $against, $other, $theirs, $opposed, $terms)
                ->beside($changed, $this->bearing($metric, $sides, null));
        }
        $within = $opposed?->within;
        $isOne = $within !== null && $within->verdict !== WithinVerdict::ByCell;
        $isPlain = $opposed !== null && $within !== null && $opposed->pairing->blocks === [] && $mine->cells() + $theirs->cells() === 2;
        [$lives, $logRank] = $isPlain || (!$both && $terms->words === [])
            ? CompareLives::look($build->letter, $mine, $against->letter, $theirs, $terms->confidence()) : [[], null];

        $verdict = $within === null ? null : self::told($within->verdict, $terms);
        $natural = $terms->natural($mine->unit);
        $footing = $opposed === null || $within === null ? null : $this->footing(
            $metric, $here, $other, $opposed->pairing, $build, $against,
        );

        return (new MetricComparison(
            $metric, self::side($build, $mine, $opposed, 'b', $terms, $decimals),
            $theirs->values === [] ? null : self::side($against, $theirs, $opposed, 'a', $terms, $decimals),
            $mine->bunches === [] ? '' : $mine->bunches[0]->method,
            $isOne ? Figure::of($within->difference, $mine->unit, $decimals)->within($natural->ofDifference()) : null,
            $isOne ? self::change($within->change)?->within($natural->ofPercent()) : null,
            $verdict, self::judged($wanted, $verdict), $within?->p, $footing,
            $isPlain && $wanted?->kind() === Kind::Rating ? ByOrder::of($mine->values, $theirs->values) : null, $lives, $logRank,
            $opposed === null ? null : Matching::of($opposed, $terms->confidence()), $terms,
            spread: $isPlain && min(count($mine->values), count($theirs->values)) >= self::FEW
                ? CompareSpread::of(
                    $theirs->values, $mine->values, $terms->confidence(), max($mine->step, $theirs->step),
                ) : null,
        ))->beside($changed, $this->bearing($metric, $sides, $footing));
    }

    /**
     * @param list<array{Build, list<Design>}> $sides
     *
     * @return list<Bearing>
     */
    private function bearing(string $metric, array $sides, ?FootingCheck $footing): array
    {
        return Bearing::between($sides, $metric, $this->dependsOn($metric), $footing);
    }

    /** Words have an order, and no distances: no difference, no per cent, no spread, no life. */
    private function words(
        string $metric, ?Wanted $wanted, Build $build, Seen $here, Measured $mine, Build $against, Seen $other, Measured $theirs,
        Opposed $opposed, Terms $terms,
    ): MetricComparison {
        $runs = $opposed->pairing->runs;
        $order = ByOrder::within($runs);
        $verdict = $order?->verdict($terms);

        return new MetricComparison(
            $metric, self::side($build, $mine, $opposed, 'b', $terms, 0), self::side($against, $theirs, $opposed, 'a', $terms, 0),
            $mine->bunches[0]->method ?? '', null, null, $verdict, self::judged($wanted, $verdict), $order?->p,
            $opposed->within === null ? null : $this->footing($metric, $here, $other, $opposed->pairing, $build, $against),
            $order, [], null, Matching::of($opposed, $terms->confidence()), $terms,
            worded: ByOrder::cells($runs, $opposed->pairing->texts, $terms->words),
        );
    }

    /**
     * Of the runs that are opposed to something, so that a mean and the per cent beside it are of the same pairs; what has no
     * counterpart is named. Where nothing is opposed, of all.
     *
     * @param 'a'|'b' $which
     */
    private static function side(Build $build, Measured $all, ?Opposed $opposed, string $which, Terms $terms, int $decimals): Side
    {
        $matched = $opposed === null || $opposed->within === null
            ? $all : Measured::of($opposed->pairing->bunches($which), $all->unit);

        return Side::of(
            $build, $matched, $terms, $decimals, $opposed?->withinBlocks(),
            $opposed?->within === null ? null : $opposed->within->per === Per::Article,
        );
    }

    /** Before the planned number of runs, and of what was calculated, nothing is told. */
    private static function told(WithinVerdict $verdict, Terms $terms): WithinVerdict
    {
        return $terms->tells() || $verdict === WithinVerdict::Single ? $verdict : WithinVerdict::Indistinct;
    }

    private static function change(Change $change): ?Figure
    {
        return $change->percent === null ? null : new Figure(
            $change->percent, $change->low, $change->high, '%', abs($change->percent) >= self::WHOLE_PERCENT ? 0 : 1, 0,
        );
    }

    /** Of the runs that are opposed to something, and no others. */
    private function footing(
        string $metric, Seen $here, Seen $other, Pairing $pairing, Build $build, Build $against,
    ): FootingCheck {
        [$theirs, $mine] = [$pairing->articles('a'), $pairing->articles('b')];
        $more = [];
        if ($theirs !== [] && $mine !== [] && $theirs !== $mine && min(count($theirs), count($mine)) === 1) {
            $more[] = new FootingDifference(
                'articles', implode(' and ', $theirs), implode(' and ', $mine), Footing::Tilted, Reason::OneArticle,
                ['side' => count($theirs) + count($mine) === 2 ? 'both' : 'one'],
            );
        }
        foreach ([$against, $build] as $one) {
            if ($one->chosenArm !== '' && $one->variants() >= DrawnIn::VARIANTS) {
                $more[] = new FootingDifference(
                    'choice', '', '', Footing::Tilted, Reason::Choice, ['letter' => $one->letter, 'n' => $one->variants()],
                );
            }
        }
        foreach (array_diff($pairing->leftOut, Factor::KNOWN) as $name) {
            $more[] = new FootingDifference('block '.$name, '', '', Footing::Tilted, Reason::NoCommonBlock, ['name' => $name]);
        }

        $dependsOn = $this->dependsOn($metric);
        $unrelated = [...$build->unrelated->to($metric, $dependsOn), ...$against->unrelated->to($metric, $dependsOn)];

        return FootingCheck::between(
            $this->context($metric, $other, $pairing->bunches('a'), $unrelated),
            $this->context($metric, $here, $pairing->bunches('b'), $unrelated),
        )->and($more);
    }

    /**
     * @param list<Bunch>  $bunches
     * @param list<string> $unrelated
     */
    private function context(string $metric, Seen $seen, array $bunches, array $unrelated): Context
    {
        return $bunches === [] ? throw new \LogicException('A side without runs has no footing.') : Contexts::of(
            $seen, $bunches, $this->names[$metric] ?? '', $unrelated,
        );
    }

    /** @return list<string> change classes that a metric depends on; none: all of them */
    public function dependsOn(string $metric): array
    {
        return Wanted::dependencies($this->wanted)[$metric] ?? [];
    }

    public function wanted(string $metric): ?Wanted
    {
        foreach ($this->wanted as $wanted) {
            if ($wanted->metric === $metric && $wanted->unit !== '') {
                return $wanted;
            }
        }

        return null;
    }

    /** @return 'better'|'worse'|'' */
    private static function judged(?Wanted $wanted, ?WithinVerdict $verdict): string
    {
        if ($wanted === null || !in_array($verdict, [WithinVerdict::Higher, WithinVerdict::Lower], true)) {
            return '';
        }

        return ($verdict === WithinVerdict::Higher) === ($wanted->rule->direction->sign() > 0) ? 'better' : 'worse';
    }

    /** @return list<string> metrics that were read, those that requirements speak of first, in their order */
    public function metrics(Seen $seen): array
    {
        $rank = array_flip(array_reverse(array_map(static fn (Wanted $w): string => $w->metric, $this->wanted), true));
        $metrics = $seen->metrics();
        usort(
            $metrics,
            fn (string $a, string $b): int => [
                $rank[$a] ?? \PHP_INT_MAX, $this->names[$a] ?? $a,
            ] <=> [$rank[$b] ?? \PHP_INT_MAX, $this->names[$b] ?? $b],
        );

        return $metrics;
    }
}
