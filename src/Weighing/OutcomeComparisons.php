<?php

declare(strict_types=1);

namespace Lustrum\Weighing;

use Lustrum\Core\CoreException;
use Lustrum\Core\Quantity\Digits;
use Lustrum\Core\Quantity\Quantity;
use Lustrum\Core\Statistics\CompareProportions;
use Lustrum\Core\Statistics\Interval;
use Lustrum\Core\Statistics\Proportion;
use Lustrum\Core\Threshold\Ladder;
use Lustrum\Trial\RunOutcome;

/** Compares two builds by how often they hold. */
final class OutcomeComparisons
{
    /**
     * @param list<RunFact> $here
     * @param list<RunFact> $other
     *
     * @return list<OutcomeComparison> one for each metric that runs of this build show by holding
     */
    public static function all(string $hereLetter, array $here, string $otherLetter, array $other, float $confidence): array
    {
        $metrics = array_values(array_unique(array_filter(array_map(static fn (RunFact $r): string => $r->outcomeMetric, $here), static fn (string $m): bool => $m !== '')));
        $out = [];
        foreach ($metrics as $metric) {
            $mine = self::side($hereLetter, $metric, $here, $confidence);
            if ($mine !== null) {
                $out[] = self::compare($metric, $mine, self::side($otherLetter, $metric, $other, $confidence), $confidence);
            }
        }

        return $out;
    }

    private static function compare(string $metric, OutcomeSide $mine, ?OutcomeSide $theirs, float $confidence): OutcomeComparison
    {
        if ($theirs === null) {
            return new OutcomeComparison($metric, $mine, null, null, null, self::words($metric, $mine).'; the other build was not tried.');
        }
        $c = CompareProportions::of(Proportion::of($theirs->held, $theirs->tried), Proportion::of($mine->held, $mine->tried), $confidence);
        $points = new Interval(100 * $c->difference->estimate, 100 * (float) $c->difference->low, 100 * (float) $c->difference->high);
        $verdict = match (true) {
            $mine->held === $mine->tried && $theirs->held === $theirs->tried => 'both pass, so this trial no longer tells them apart',
            $points->low > 0 => 'more often than '.$theirs->letter,
            $points->high < 0 => 'less often than '.$theirs->letter,
            default => sprintf('which cannot be told from %d of %d on %s', $theirs->held, $theirs->tried, $theirs->letter),
        };

        return new OutcomeComparison($metric, $mine, $theirs, Estimate::of($points, 'points', 0, 0), $c->p, self::words($metric, $mine).'; '.$verdict.'.');
    }

    private static function words(string $metric, OutcomeSide $side): string
    {
        $height = match (true) {
            $side->rungs === [] => '',
            $side->censored => sprintf(', nothing failed up to %s %s, which is a lower bound', Digits::short($side->rungs[count($side->rungs) - 1]->level), $side->unit),
            $side->highestHeld !== null => sprintf(', up to %s %s nothing failed', Digits::short($side->highestHeld), $side->unit),
            default => sprintf(', and the lowest rung of %s %s already failed', Digits::short($side->rungs[0]->level), $side->unit),
        };

        return sprintf('%s on %s: held %d of %d%s', ucfirst($metric), $side->letter, $side->held, $side->tried, $height);
    }

    /** @param list<RunFact> $runs */
    private static function side(string $letter, string $metric, array $runs, float $confidence): ?OutcomeSide
    {
        $counted = array_values(array_filter($runs, static fn (RunFact $r): bool => $r->outcomeMetric === $metric && in_array($r->outcome, [RunOutcome::Held, RunOutcome::Failed], true)));
        if ($counted === []) {
            return null;
        }
        $held = count(array_filter($counted, static fn (RunFact $r): bool => $r->outcome === RunOutcome::Held));
        [$rungs, $unit] = self::rungs($counted);
        $ladder = $rungs === [] ? null : Ladder::of($rungs, $confidence);

        return new OutcomeSide(
            $letter, $held, count($counted),
            array_map(static fn (array $r): RungView => new RungView($r['level'], $r['held'], $r['tried'], (float) $r['share']->low, (float) $r['share']->high), $ladder->rungs ?? []),
            $unit, $ladder?->highestHeld, $ladder?->lowestFailed, $ladder !== null && $ladder->censored,
            array_map(static fn (RunFact $r): string => $r->id, $counted),
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
        $byLevel = [];
        foreach ($runs as $run) {
            try {
                $rung = Quantity::typed($run->position);
                $unit ??= $rung->unit->symbol;
                $level = $rung->to($unit)->value;
            } catch (CoreException) {
                return [[], ''];
            }
            $key = (string) round($level, 9);
            $byLevel[$key] ??= ['level' => $level, 'held' => 0, 'tried' => 0];
            $byLevel[$key]['held'] += $run->outcome === RunOutcome::Held ? 1 : 0;
            ++$byLevel[$key]['tried'];
        }

        return [array_values($byLevel), (string) $unit];
    }
}
