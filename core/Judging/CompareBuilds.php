<?php

declare(strict_types=1);

namespace Lustrum\Core\Judging;

use Lustrum\Core\Evidence\Kind;
use Lustrum\Core\Footing\Context;
use Lustrum\Core\Footing\FootingCheck;
use Lustrum\Core\Run\RunFact;
use Lustrum\Core\Statistics\Compare;
use Lustrum\Core\Statistics\RankTest;
use Lustrum\Core\Statistics\Verdict;

/** Compares the metrics that two builds have in common. */
final readonly class CompareBuilds
{
    /** Per cents of this size and more are whole ones. */
    private const WHOLE_PERCENT = 10.0;

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
     * @param list<RunFact> $here
     * @param list<RunFact> $other
     *
     * @return list<MetricComparison> one for each metric measured on this build; those of both builds first
     */
    public function all(Build $build, array $here, Build $against, array $other): array
    {
        [$mine, $theirs] = [RunFact::byMetric($here), RunFact::byMetric($other)];
        $out = array_map(
            fn (string $metric): MetricComparison => $this->metric($metric, $build, $mine[$metric], $against, $theirs[$metric] ?? []),
            $this->metrics($here),
        );
        usort($out, static fn (MetricComparison $a, MetricComparison $b): int => ($a->other === null) <=> ($b->other === null));

        return $out;
    }

    /**
     * @param list<RunFact> $here
     * @param list<RunFact> $other
     */
    public function metric(string $metric, Build $build, array $here, Build $against, array $other): MetricComparison
    {
        $wanted = $this->wanted($metric);
        [$here, $other] = self::sameMethod($metric, $here, $other);
        $mine = Measured::of($metric, $here, $wanted->unit ?? '');
        $theirs = Measured::of($metric, $other, $mine->unit);
        $decimals = max($mine->decimals, $theirs->values === [] ? 0 : $theirs->decimals);
        $both = $mine->values !== [] && $theirs->values !== [];
        $comparison = $both ? Compare::independent($theirs->values, $mine->values, $this->confidence) : null;
        $change = $comparison?->change;
        [$lives, $logRank] = CompareLives::look($build->letter, $mine, $against->letter, $theirs, $this->confidence);

        return new MetricComparison(
            $metric, Side::of($build, $mine, $this->confidence, $decimals),
            $theirs->values === [] ? null : Side::of($against, $theirs, $this->confidence, $decimals),
            $here === [] ? '' : $here[0]->method,
            $comparison === null ? null : Figure::of($comparison->difference, $mine->unit, $decimals),
            $change === null ? null : Figure::of($change, '%', abs($change->estimate) >= self::WHOLE_PERCENT ? 0 : 1),
            $comparison?->verdict, self::judged($wanted, $comparison?->verdict), $comparison?->p, $comparison?->note,
            $both ? $this->footing($metric, $wanted, $theirs, $mine) : null,
            $both && $wanted?->kind() === Kind::Rating ? self::byOrder($mine, $theirs) : null, $lives, $logRank,
        );
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

    private function footing(string $metric, ?Wanted $wanted, Measured $theirs, Measured $mine): FootingCheck
    {
        $context = fn (Measured $m): Context => Contexts::of(
            [$m->runs[0], ...array_slice($m->runs, 1), ...$m->bounds], $metric, $this->names[$metric] ?? '', $wanted->dependsOn ?? [],
        );

        return FootingCheck::between($context($theirs), $context($mine));
    }

    private static function byOrder(Measured $mine, Measured $theirs): ByOrder
    {
        $test = RankTest::of($theirs->values, $mine->values);

        return new ByOrder($test->shift, $test->p);
    }

    /** @return 'better'|'worse'|'' */
    private static function judged(?Wanted $wanted, ?Verdict $verdict): string
    {
        if ($wanted === null || !in_array($verdict, [Verdict::Higher, Verdict::Lower], true)) {
            return '';
        }

        return ($verdict === Verdict::Higher) === ($wanted->rule->direction->sign() > 0) ? 'better' : 'worse';
    }

    /**
     * Runs of the method that both sides share, where there is one; else all, and the footing says so.
     *
     * @param list<RunFact> $here
     * @param list<RunFact> $other
     *
     * @return array{list<RunFact>, list<RunFact>}
     */
    public static function sameMethod(string $metric, array $here, array $other): array
    {
        $with = static fn (array $runs): array => array_values(
            array_filter($runs, static fn (RunFact $r): bool => $r->reading($metric) !== null),
        );
        $here = $with($here);
        $other = $with($other);
        $count = static fn (array $runs): array => array_count_values(array_map(static fn (RunFact $r): string => $r->method, $runs));
        $mine = $count($here);
        $theirs = $count($other);
        $pairs = [];
        foreach ($mine as $method => $n) {
            $pairs[$method] = $n * ($theirs[$method] ?? 0);
        }
        arsort($pairs);
        $method = (string) array_key_first($pairs);
        if ($pairs === [] || $pairs[$method] === 0) {
            return [$here, $other];
        }
        $of = static fn (array $runs): array => array_values(array_filter($runs, static fn (RunFact $r): bool => $r->method === $method));

        return [$of($here), $of($other)];
    }

    /**
     * @param list<RunFact> $runs
     *
     * @return list<string> metrics that were read, those that requirements speak of first, in their order
     */
    private function metrics(array $runs): array
    {
        $found = [];
        foreach ($runs as $run) {
            foreach ($run->readings as $reading) {
                $found[$reading->metric] = true;
            }
        }
        $rank = array_flip(array_reverse(array_map(static fn (Wanted $w): string => $w->metric, $this->wanted), true));
        $metrics = array_map(strval(...), array_keys($found));
        usort(
            $metrics,
            fn (string $a, string $b): int => [
                $rank[$a] ?? \PHP_INT_MAX, $this->names[$a] ?? $a,
            ] <=> [$rank[$b] ?? \PHP_INT_MAX, $this->names[$b] ?? $b],
        );

        return $metrics;
    }
}
