<?php

declare(strict_types=1);

namespace Lustrum\Core\Judging;

use Lustrum\Core\Run\Alikeness;
use Lustrum\Core\Run\Channel;
use Lustrum\Core\Run\RunFact;
use Lustrum\Core\Statistics\Interval;
use Lustrum\Core\Statistics\Proportion;
use Lustrum\Core\Statistics\Sample;

/** What the finished runs of one trial came to, in numbers. */
final readonly class TrialResults
{
    /**
     * @param list<array{metric: string, level: string, figure: ?Figure, bounds: int}> $metrics in the order of the channels, level by
     *     level
     * @param list<array{level: string, held: int, failed: int, mayFail: Interval}> $shares level by level, with the share of tries
     *     that may still fail; none where no run answered
     * @param int    $aside    runs that are set aside from the evidence of the design
     * @param string $asideFor why, of the first of them
     */
    private function __construct(
        public array $metrics,
        public array $shares,
        public int $aside,
        public string $asideFor,
    ) {
    }

    /**
     * @param list<RunFact>           $runs
     * @param array<string, string>   $units   of metrics, where a requirement says in which unit it thinks
     */
    public static function of(array $runs, array $units, float $confidence): self
    {
        $channels = [];
        $answers = false;
        foreach ($runs as $run) {
            foreach ($run->configuration->channels as $channel) {
                $channels[$channel->metric] ??= $channel->unit;
            }
            $answers = $answers || $run->configuration->questions !== [];
        }
        $seen = Seen::ofRuns($runs);
        $metrics = [];
        foreach ($channels as $metric => $unit) {
            foreach (Measured::byCell($seen->read((string) $metric)) as $bunches) {
                $m = Measured::of($bunches, $units[$metric] ?? $unit);
                $n = count($m->values);
                if ($n + $m->bounds() > 0) {
                    $figure = $n === 0 ? null : Figure::of(Sample::of($m->values)->interval($confidence), $m->unit, $m->decimals, $n);
                    $metrics[] = [
                        'metric' => (string) $metric, 'level' => $bunches[0]->alike->said(), 'figure' => $figure, 'bounds' => $m->bounds(),
                    ];
                }
            }
        }
        $aside = array_values(array_filter($runs, static fn (RunFact $r): bool => $r->aside !== ''));

        return new self($metrics, self::shares($runs, $answers, $confidence), count($aside), $aside === [] ? '' : $aside[0]->aside);
    }

    /**
     * @param list<RunFact> $runs
     *
     * @return list<array{level: string, held: int, failed: int, mayFail: Interval}>
     */
    private static function shares(array $runs, bool $answers, float $confidence): array
    {
        $cells = [];
        $fails = false;
        foreach ($runs as $run) {
            if ($run->says() && ($run->held() || $run->failed())) {
                $cells[Alikeness::of($run)->cell][] = $run;
                $fails = $fails || $run->failed();
            }
        }

        return !$fails && !$answers ? [] : array_values(array_map(static function (array $of) use ($confidence): array {
            $failed = count(array_filter($of, static fn (RunFact $r): bool => $r->failed()));

            return [
                'level' => Alikeness::of($of[0])->said(), 'held' => count($of) - $failed, 'failed' => $failed,
                'mayFail' => Proportion::of($failed, count($of))->interval($confidence),
            ];
        }, $cells));
    }

    /**
     * What each channel came to on runs like this one, where there are two values or more.
     *
     * @param list<Channel> $channels
     * @param list<RunFact> $runs
     *
     * @return array<string, Figure> by metric
     */
    public static function soFar(array $channels, array $runs, RunFact $like, float $confidence): array
    {
        $out = [];
        $cell = Alikeness::of($like)->cell;
        $seen = Seen::ofRuns(array_values(array_filter($runs, static fn (RunFact $r): bool => Alikeness::of($r)->cell === $cell)));
        foreach ($channels as $channel) {
            $m = Measured::of($seen->read($channel->metric), $channel->unit);
            if (count($m->values) > 1) {
                $out[$channel->metric] = Figure::of(
                    Sample::of($m->values)->interval($confidence), $m->unit, $m->decimals, count($m->values),
                );
            }
        }

        return $out;
    }
}
