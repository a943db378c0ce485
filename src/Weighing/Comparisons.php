<?php

declare(strict_types=1);

namespace Lustrum\Weighing;

use Lustrum\Core\Evidence\Kind;
use Lustrum\Core\Footing\Footing;
use Lustrum\Core\Footing\FootingCheck;
use Lustrum\Core\Quantity\Digits;
use Lustrum\Core\Statistics\Compare;
use Lustrum\Core\Statistics\Comparison;
use Lustrum\Core\Statistics\RankTest;
use Lustrum\Core\Statistics\Sample;
use Lustrum\Core\Statistics\Verdict;
use Lustrum\Device\Requirement;
use Lustrum\Method\Method;

/** Compares the metrics that two builds have in common. */
final readonly class Comparisons
{
    /**
     * @param array<string, Method>    $methods      by identifier
     * @param list<Requirement>        $requirements
     */
    public function __construct(
        private array $methods,
        private array $requirements,
        private float $confidence,
    ) {
    }

    /**
     * @param list<RunFact> $here
     * @param list<RunFact> $other
     *
     * @return list<MetricComparison> one for each metric measured on this build; those of both builds first
     */
    public function all(string $hereLetter, array $here, string $otherLetter, array $other): array
    {
        $out = [];
        foreach ($this->metrics($here) as $metric) {
            $out[] = $this->metric($metric, $hereLetter, $here, $otherLetter, $other);
        }
        usort($out, static fn (MetricComparison $a, MetricComparison $b): int => ($a->other === null) <=> ($b->other === null));

        return $out;
    }

    /**
     * @param list<RunFact> $here
     * @param list<RunFact> $other
     */
    public function metric(string $metric, string $hereLetter, array $here, string $otherLetter, array $other): MetricComparison
    {
        $requirement = $this->requirement($metric);
        [$here, $other] = self::sameMethod($metric, $here, $other);
        $mine = Measured::of($metric, $here, $requirement?->unit() ?? '');
        $theirs = Measured::of($metric, $other, $mine->unit);
        $decimals = max($mine->decimals, $theirs->values === [] ? 0 : $theirs->decimals);
        $ids = static fn (Measured $m): array => array_map(static fn (RunFact $r): string => $r->id, [...$m->runs, ...$m->bounds]);
        $estimate = fn (Measured $m): ?Estimate => $m->values === [] ? null : Estimate::of(Sample::of($m->values)->interval($this->confidence), $m->unit, $decimals, count($m->values));
        $comparison = $mine->values === [] || $theirs->values === [] ? null : Compare::independent($theirs->values, $mine->values, $this->confidence);
        $footing = null;
        if ($comparison !== null && $theirs->runs !== [] && $mine->runs !== []) {
            $footing = FootingView::of(FootingCheck::between(
                Contexts::of([...$theirs->runs, ...$theirs->bounds], $metric, $this->methods[$theirs->runs[0]->method] ?? null, $requirement?->dependsOn() ?? []),
                Contexts::of([...$mine->runs, ...$mine->bounds], $metric, $this->methods[$mine->runs[0]->method] ?? null, $requirement?->dependsOn() ?? []),
            ));
        }
        $judged = $comparison === null || $requirement === null ? '' : match ($comparison->verdict) {
            Verdict::Higher => $requirement->view()->direction->sign() > 0 ? 'better' : 'worse',
            Verdict::Lower => $requirement->view()->direction->sign() < 0 ? 'better' : 'worse',
            default => '',
        };

        return new MetricComparison(
            $metric, $estimate($theirs), $estimate($mine),
            $comparison === null ? null : Estimate::of($comparison->difference, Estimate::differenceUnit($mine->unit), $decimals, 0),
            $comparison?->change === null ? null : Estimate::of($comparison->change, '%', self::percentDecimals($comparison->change->estimate), 0),
            $comparison?->verdict, $judged, $comparison?->p, $comparison?->note, $footing,
            self::sentence($metric, $hereLetter, $mine, $otherLetter, $theirs, $comparison, $footing, $decimals),
            $ids($mine), $ids($theirs), $mine->values, $theirs->values, count($mine->bounds), count($theirs->bounds),
            [...$this->byOrder($requirement, $hereLetter, $mine, $otherLetter, $theirs), ...Bounded::look($hereLetter, $mine, $otherLetter, $theirs, $this->confidence)],
        );
    }

    /**
     * Ratings are an ordinal scale: from 60 to 70 need not be as far as from 70 to 80, so that only their order is sure.
     *
     * @return list<Further>
     */
    private function byOrder(?Requirement $requirement, string $hereLetter, Measured $mine, string $otherLetter, Measured $theirs): array
    {
        if ($requirement?->kind() !== Kind::Rating || $mine->values === [] || $theirs->values === []) {
            return [];
        }
        $test = RankTest::of($theirs->values, $mine->values);
        $shift = Digits::decimals(abs($test->shift), $mine->decimals).' '.Estimate::differenceUnit($mine->unit);

        return [new Further(
            sprintf('By order alone %s is rated %s %s than %s, %s (p = %s).', $hereLetter, $shift, $test->shift < 0 ? 'lower' : 'higher', $otherLetter, $test->p < 1 - $this->confidence ? 'which is more than chance' : 'which may be chance', Digits::plain($test->p, 2)),
            'stats.rank', array_map(static fn (RunFact $r): string => $r->id, [...$theirs->runs, ...$mine->runs]),
        )];
    }

    private static function sentence(string $metric, string $hereLetter, Measured $mine, string $otherLetter, Measured $theirs, ?Comparison $c, ?FootingView $footing, int $decimals): string
    {
        if ($c === null) {
            return $mine->values === []
                ? sprintf('%s: on %s only bounds so far (%d ended before the event).', ucfirst($metric), $hereLetter, count($mine->bounds))
                : sprintf('%s: %s on %s; not measured on %s.', ucfirst($metric), Digits::decimals(Sample::of($mine->values)->mean, $decimals).' '.$mine->unit, $hereLetter, $otherLetter);
        }
        $mean = Sample::of($mine->values)->interval();
        $size = Estimate::of($mean, $mine->unit, $decimals, count($mine->values))->text;
        if ($c->change === null) {
            $change = sprintf('%s %s than %s', Digits::decimals(abs($c->difference->estimate), $decimals).' '.$mine->unit, $c->difference->estimate < 0 ? 'less' : 'more', $otherLetter);
        } else {
            $change = self::percent($c).' than '.$otherLetter;
        }
        $verdict = match ($c->verdict) {
            Verdict::Indistinct => sprintf(', which cannot be told from no change with %d and %d runs', count($theirs->values), count($mine->values)),
            Verdict::Single => ', from a single run, so without an interval',
            default => '',
        };
        $footingWords = $footing === null || $footing->footing === Footing::Level ? '' : '; '.lcfirst(rtrim($footing->differences[0]->why, '.'));

        return sprintf('%s on %s: %s, %s%s%s.', ucfirst($metric), $hereLetter, $size, $change, $verdict, $footingWords);
    }

    private static function percent(Comparison $c): string
    {
        $change = $c->change ?? throw new \LogicException('A comparison in per cent has a change.');
        $sign = $change->estimate < 0 ? -1 : 1;
        $decimals = self::percentDecimals($change->estimate);
        $text = Digits::decimals(abs($change->estimate), $decimals).' %';
        if ($change->has()) {
            $ends = [$sign * (float) $change->low, $sign * (float) $change->high];
            $text .= sprintf(' [%s, %s]', Digits::decimals(min($ends), $decimals), Digits::decimals(max($ends), $decimals));
        }

        return $text.($sign < 0 ? ' less' : ' more');
    }

    private static function percentDecimals(float $percent): int
    {
        return abs($percent) >= 10 ? 0 : 1;
    }

    /**
     * Runs of the method that both sides share, where there is one; else all, and the footing says so.
     *
     * @param list<RunFact> $here
     * @param list<RunFact> $other
     *
     * @return array{list<RunFact>, list<RunFact>}
     */
    private static function sameMethod(string $metric, array $here, array $other): array
    {
        $with = static fn (array $runs): array => array_values(array_filter($runs, static fn (RunFact $r): bool => $r->reading($metric) !== null));
        $here = $with($here);
        $other = $with($other);
        $count = [];
        foreach ($here as $run) {
            foreach ($other as $theirs) {
                if ($theirs->method === $run->method) {
                    $count[$run->method] = ($count[$run->method] ?? 0) + 1;
                }
            }
        }
        if ($count === []) {
            return [$here, $other];
        }
        arsort($count);
        $method = array_key_first($count);
        $of = static fn (array $runs): array => array_values(array_filter($runs, static fn (RunFact $r): bool => $r->method === $method));

        return [$of($here), $of($other)];
    }

    /**
     * @param list<RunFact> $runs
     *
     * @return list<string>
     */
    private function metrics(array $runs): array
    {
        $metrics = [];
        foreach ($runs as $run) {
            foreach ($run->readings as $reading) {
                $metrics[$reading->metric] = true;
            }
        }
        $wanted = array_map(static fn (Requirement $r): string => $r->metric(), $this->requirements);
        $names = array_map(strval(...), array_keys($metrics));
        $rank = static fn (string $name): int => ($at = array_search($name, $wanted, true)) === false ? count($wanted) : (int) $at;
        usort($names, static fn (string $a, string $b): int => ($rank($a) <=> $rank($b)) ?: strcmp($a, $b));

        return $names;
    }

    public function requirement(string $metric): ?Requirement
    {
        foreach ($this->requirements as $requirement) {
            if ($requirement->metric() === $metric && $requirement->unit() !== '') {
                return $requirement;
            }
        }

        return null;
    }
}
