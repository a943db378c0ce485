<?php

declare(strict_types=1);

namespace Lustrum\Core\Judging;

use Lustrum\Core\CoreException;
use Lustrum\Core\Quantity\Quantity;
use Lustrum\Core\Run\RunFact;
use Lustrum\Core\Statistics\CompareProportions;
use Lustrum\Core\Statistics\Interval;
use Lustrum\Core\Statistics\Proportion;
use Lustrum\Core\Threshold\Ladder;

/** Compares two builds by how often they hold. */
final class CompareOutcomes
{
    /** Levels that are equal to so many digits are one rung. */
    private const RUNG_DIGITS = 9;

    /**
     * @param list<RunFact> $here
     * @param list<RunFact> $other
     *
     * @return list<OutcomeComparison> one for each metric that runs of this build show by holding
     */
    public static function all(Build $build, array $here, ?Build $against, array $other, float $confidence): array
    {
        $metrics = [];
        foreach ($here as $run) {
            $metrics[$run->configuration->outcomeMetric] = true;
        }
        unset($metrics['']);
        $out = [];
        foreach (array_map(strval(...), array_keys($metrics)) as $metric) {
            $mine = self::side($build, $metric, $here, $confidence);
            if ($mine !== null) {
                $out[] = self::compare(
                    $metric, $mine, $against === null ? null : self::side($against, $metric, $other, $confidence), $confidence,
                );
            }
        }

        return $out;
    }

    private static function compare(string $metric, OutcomeSide $mine, ?OutcomeSide $theirs, float $confidence): OutcomeComparison
    {
        if ($theirs === null) {
            return new OutcomeComparison($metric, $mine, null, null, null, '');
        }
        $c = CompareProportions::of(Proportion::of($theirs->held, $theirs->tried), Proportion::of($mine->held, $mine->tried), $confidence);
        $points = new Interval(100 * $c->difference->estimate, 100 * (float) $c->difference->low, 100 * (float) $c->difference->high);
        $verdict = match (true) {
            $mine->held === $mine->tried && $theirs->held === $theirs->tried => 'bothPass',
            $points->low > 0 => 'more',
            $points->high < 0 => 'less',
            default => 'indistinct',
        };

        return new OutcomeComparison($metric, $mine, $theirs, Figure::of($points, '%', 0), $c->p, $verdict);
    }

    /** @param list<RunFact> $runs */
    private static function side(Build $build, string $metric, array $runs, float $confidence): ?OutcomeSide
    {
        $counted = array_values(array_filter($runs, static fn (RunFact $r): bool => $r->answers($metric) && ($r->held() || $r->failed())));
        if ($counted === []) {
            return null;
        }
        $held = count(array_filter($counted, static fn (RunFact $r): bool => $r->held()));
        [$rungs, $unit] = self::rungs($counted);
        $ladder = $rungs === [] ? null : Ladder::of($rungs, $confidence);
        $views = array_map(
            static fn (array $r): Rung => new Rung(
                $r['level'], $r['held'], $r['tried'], (float) $r['share']->low, (float) $r['share']->high,
            ),
            $ladder->rungs ?? [],
        );

        return new OutcomeSide(
            $build->id, $build->letter, $held, count($counted), $views, $unit,
            $ladder?->highestHeld, $ladder?->lowestFailed, $ladder !== null && $ladder->censored,
        );
    }

    /**
     * Runs by the rung that they name, in the unit of the first; nothing where one of them names none.
     *
     * @param non-empty-list<RunFact> $runs
     *
     * @return array{list<array{level: float, held: int, tried: int}>, string}
     */
    private static function rungs(array $runs): array
    {
        $unit = null;
        $byLevel = $levels = [];
        foreach ($runs as $run) {
            try {
                $rung = $levels[$run->position] ??= Quantity::typed($run->position);
                $unit ??= $rung->unit->symbol;
                $level = $rung->to($unit)->value;
            } catch (CoreException) {
                return [[], ''];
            }
            $key = (string) round($level, self::RUNG_DIGITS);
            $byLevel[$key] ??= ['level' => $level, 'held' => 0, 'tried' => 0];
            $byLevel[$key]['held'] += $run->held() ? 1 : 0;
            ++$byLevel[$key]['tried'];
        }

        return [array_values($byLevel), (string) $unit];
    }
}
