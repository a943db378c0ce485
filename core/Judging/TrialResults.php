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
     * @param Seen                  $seen  what its runs say of every metric
     * @param array<string, string> $units of metrics, where a requirement says in which unit it thinks
     */
    public static function of(TrialPiece $runs, Seen $seen, array $units, float $confidence): self
    {
        $metrics = [];
        foreach ($runs->channels as $metric => $unit) {
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

        return new self($metrics, self::shares($runs, $confidence), $runs->aside, $runs->asideFor);
    }

    /**
     * @param list<RunFact>         $runs  finished ones, in the order in which they were made
     * @param array<string, string> $units of metrics, where a requirement says in which unit it thinks
     */
    public static function ofRuns(array $runs, array $units, float $confidence): self
    {
        return self::of(TrialPiece::of($runs), Seen::ofRuns($runs), $units, $confidence);
    }

    /** @return list<array{level: string, held: int, failed: int, mayFail: Interval}> */
    private static function shares(TrialPiece $runs, float $confidence): array
    {
        $failed = array_sum(array_column($runs->cells, 'failed'));

        return $failed === 0 && !$runs->answers ? [] : array_values(array_map(static fn (array $of): array => [
            'level' => $of['said'], 'held' => $of['held'], 'failed' => $of['failed'],
            'mayFail' => Proportion::of($of['failed'], $of['held'] + $of['failed'])->interval($confidence),
        ], $runs->cells));
    }

    /**
     * What each channel came to on runs like this one, where there are two values or more.
     *
     * @param list<Channel> $channels
     * @param Seen          $seen     what the runs of its trial say of every metric
     *
     * @return array<string, Figure> by metric
     */
    public static function soFar(array $channels, Seen $seen, RunFact $like, float $confidence): array
    {
        $out = [];
        $cell = Alikeness::of($like)->cell;
        foreach ($channels as $channel) {
            $alike = array_filter($seen->read($channel->metric), static fn (Bunch $b): bool => $b->alike->cell === $cell);
            $m = Measured::of(array_values($alike), $channel->unit);
            if (count($m->values) > 1) {
                $out[$channel->metric] = Figure::of(
                    Sample::of($m->values)->interval($confidence), $m->unit, $m->decimals, count($m->values),
                );
            }
        }

        return $out;
    }
}
