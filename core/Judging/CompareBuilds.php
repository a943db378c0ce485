<?php

declare(strict_types=1);

namespace Lustrum\Core\Judging;

use Lustrum\Core\Evidence\Kind;
use Lustrum\Core\Footing\Context;
use Lustrum\Core\Footing\FootingCheck;
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
     * @return list<MetricComparison> one for each metric measured on this build; those of both builds first
     */
    public function all(Build $build, Seen $here, Build $against, Seen $other): array
    {
        $out = array_map(
            fn (string $metric): MetricComparison => $this->metric($metric, $build, $here, $against, $other), $this->metrics($here),
        );
        usort($out, static fn (MetricComparison $a, MetricComparison $b): int => ($a->other === null) <=> ($b->other === null));

        return $out;
    }

    public function metric(string $metric, Build $build, Seen $here, Build $against, Seen $other): MetricComparison
    {
        $wanted = $this->wanted($metric);
        [$ofHere, $ofOther] = self::sameMethod($here->read($metric), $other->read($metric));
        $mine = Measured::of($ofHere, $wanted->unit ?? '');
        $theirs = Measured::of($ofOther, $mine->unit);
        $decimals = max($mine->decimals, $theirs->values === [] ? 0 : $theirs->decimals);
        $both = $mine->values !== [] && $theirs->values !== [];
        $comparison = $both ? Compare::independent($theirs->values, $mine->values, $this->confidence) : null;
        $change = $comparison?->change;
        [$lives, $logRank] = CompareLives::look($build->letter, $mine, $against->letter, $theirs, $this->confidence);

        return new MetricComparison(
            $metric, Side::of($build, $mine, $this->confidence, $decimals),
            $theirs->values === [] ? null : Side::of($against, $theirs, $this->confidence, $decimals),
            $ofHere === [] ? '' : $ofHere[0]->method,
            $comparison === null ? null : Figure::of($comparison->difference, $mine->unit, $decimals),
            $change === null ? null : Figure::of($change, '%', abs($change->estimate) >= self::WHOLE_PERCENT ? 0 : 1),
            $comparison?->verdict, self::judged($wanted, $comparison?->verdict), $comparison?->p, $comparison?->note,
            $both ? FootingCheck::between(
                $this->context($metric, $wanted, $other, $theirs), $this->context($metric, $wanted, $here, $mine),
            ) : null,
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

    private function context(string $metric, ?Wanted $wanted, Seen $seen, Measured $m): Context
    {
        return $m->bunches === [] ? throw new \LogicException('A side without runs has no footing.') : Contexts::of(
            $seen, $m->bunches, $this->names[$metric] ?? '', $wanted->dependsOn ?? [],
        );
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
     * @param list<Bunch> $here
     * @param list<Bunch> $other of the same metric
     *
     * @return array{list<Bunch>, list<Bunch>}
     */
    public static function sameMethod(array $here, array $other): array
    {
        [$mine, $theirs] = [self::byMethod($here), self::byMethod($other)];
        $pairs = [];
        foreach ($mine as $method => $n) {
            $pairs[$method] = $n * ($theirs[$method] ?? 0);
        }
        arsort($pairs);
        $method = (string) array_key_first($pairs);
        if ($pairs === [] || $pairs[$method] === 0) {
            return [$here, $other];
        }
        $of = static fn (array $bunches): array => array_values(
            array_filter($bunches, static fn (Bunch $b): bool => $b->method === $method),
        );

        return [$of($here), $of($other)];
    }

    /**
     * @param list<Bunch> $bunches
     *
     * @return array<array-key, int> runs that read it, by method
     */
    private static function byMethod(array $bunches): array
    {
        $out = [];
        foreach ($bunches as $bunch) {
            $out[$bunch->method] = ($out[$bunch->method] ?? 0) + $bunch->read;
        }

        return $out;
    }

    /** @return list<string> metrics that were read, those that requirements speak of first, in their order */
    private function metrics(Seen $seen): array
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
