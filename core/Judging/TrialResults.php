<?php

declare(strict_types=1);

namespace Lustrum\Core\Judging;

use Lustrum\Core\Run\Alikeness;
use Lustrum\Core\Run\Channel;
use Lustrum\Core\Run\Design;
use Lustrum\Core\Run\RunFact;
use Lustrum\Core\Statistics\Interval;
use Lustrum\Core\Statistics\Proportion;

/** What the finished runs of one trial came to, in numbers. */
final readonly class TrialResults
{
    /** In so many states that each by itself would tell a reader nothing. */
    private const FOLDED = 4;

    /**
     * @param list<array{metric: string, level: string, figure: ?Figure, bounds: int, states: int}> $metrics in the order of the
     *     channels, one for each level and state that runs were made on; states: how many were folded into the last
     * @param list<array{metric: string, level: string, held: int, failed: int, mayFail: Interval, states: int, stood: int}> $shares the
     *     same, with the share of tries that may still fail; stood: of the folded states, those in which one held; none where no run
     *     answered
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
     * @param array<string, Terms>  $terms of metrics whose scale somebody described
     */
    public static function of(TrialPiece $runs, Seen $seen, array $units, float $confidence, array $terms = []): self
    {
        $metrics = [];
        foreach ($runs->channels as $metric => $unit) {
            $of = [];
            foreach ($seen->read((string) $metric) as $bunch) {
                if ($bunch->circumstances->runs > 0) {
                    $of[$bunch->alike->cell."\x1d".$bunch->design->key][] = $bunch;
                }
            }
            $states = States::of(array_map(static fn (array $bunches): array => [
                'said' => $bunches[0]->alike->said(), 'design' => $bunches[0]->design, 'of' => $bunches,
            ], array_values($of)), self::FOLDED);
            foreach ($states as ['said' => $said, 'last' => $bunches, 'all' => $all]) {
                $m = Measured::of($bunches, $units[$metric] ?? $unit);
                $n = count($m->values);
                if ($n + $m->bounds() > 0) {
                    $metrics[] = [
                        'metric' => (string) $metric, 'level' => $said, 'bounds' => $m->bounds(), 'states' => count($all),
                        'figure' => self::figure($m, $terms[$metric] ?? new Terms($confidence), $confidence),
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

    private static function figure(Measured $m, Terms $terms, float $confidence): ?Figure
    {
        $interval = $m->interval($terms, $confidence);

        return $interval === null ? null : Figure::of($interval, $m->unit, $m->decimals, count($m->values))->within(
            $terms->natural($m->unit),
        )->worded(Worded::of($terms->words, $m->values));
    }

    /** @return list<array{metric: string, level: string, held: int, failed: int, mayFail: Interval, states: int, stood: int}> */
    private static function shares(TrialPiece $runs, float $confidence): array
    {
        if (!$runs->answers && array_sum(array_column($runs->cells, 'failed')) === 0) {
            return [];
        }
        $out = $byMetric = [];
        foreach ($runs->cells as $cell) {
            $byMetric[$cell['metric']][] = ['said' => $cell['said'], 'design' => $cell['design'], 'of' => $cell];
        }
        foreach ($byMetric as $cells) {
            foreach (States::of($cells, self::FOLDED) as ['said' => $said, 'last' => $of, 'all' => $all]) {
                $out[] = [
                    'metric' => $of['metric'], 'level' => $said, 'held' => $of['held'], 'failed' => $of['failed'],
                    'mayFail' => Proportion::of($of['failed'], $of['held'] + $of['failed'])->interval($confidence),
                    'states' => count($all), 'stood' => count(array_filter($all, static fn (array $c): bool => $c['held'] > 0)),
                ];
            }
        }

        return $out;
    }

    /**
     * What each channel came to on runs like this one, where there are two values or more.
     *
     * @param list<Channel> $channels
     * @param Seen          $seen     what the runs of its trial say of every metric
     * @param array<string, Terms> $terms of metrics whose scale somebody described
     * @param array<string, list<string>> $unrelated what bears on nothing of a metric, by metric
     *
     * @return array<string, Figure> by metric
     */
    public static function soFar(
        array $channels, Seen $seen, RunFact $like, float $confidence, array $terms = [], array $unrelated = [],
    ): array {
        $out = [];
        $cell = Alikeness::of($like)->cell;
        foreach ($channels as $channel) {
            $design = Design::of($like->configuration, $unrelated[$channel->metric] ?? [])->key;
            $alike = array_filter(
                $seen->read($channel->metric), static fn (Bunch $b): bool => $b->alike->cell === $cell && $b->design->key === $design,
            );
            $m = Measured::of(array_values($alike), $channel->unit);
            $figure = count($m->values) < 2 ? null : self::figure($m, $terms[$channel->metric] ?? new Terms($confidence), $confidence);
            $out += $figure === null ? [] : [$channel->metric => $figure];
        }

        return $out;
    }
}
