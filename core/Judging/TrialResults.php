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
     * @param Interval|null $mayFail share of tries that may still fail; null where no run answered
     */
    private function __construct(
        public array $metrics,
        public int $held,
        public int $failed,
        public ?Interval $mayFail,
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
        $held = count(array_filter($runs, static fn (RunFact $r): bool => $r->held()));
        $failed = count(array_filter($runs, static fn (RunFact $r): bool => $r->failed()));
        $told = $held + $failed > 0 && ($failed > 0 || $answers);

        return new self($metrics, $held, $failed, $told ? Proportion::of($failed, $held + $failed)->interval($confidence) : null);
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
