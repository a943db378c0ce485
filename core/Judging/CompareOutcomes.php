<?php

declare(strict_types=1);

namespace Lustrum\Core\Judging;

use Lustrum\Core\Alike\CompareProportionsWithin;
use Lustrum\Core\CoreException;
use Lustrum\Core\NotEstimable;
use Lustrum\Core\Quantity\Quantity;
use Lustrum\Core\Statistics\Interval;
use Lustrum\Core\Statistics\Verdict;
use Lustrum\Core\Threshold\Ladder;

/** Compares two builds by how often they hold. */
final class CompareOutcomes
{
    /** Levels that are equal to so many digits are one rung. */
    private const RUNG_DIGITS = 9;

    /**
     * @return list<OutcomeComparison> one for each metric that runs of this build show by holding
     */
    public static function all(Build $build, Seen $here, ?Build $against, ?Seen $other, float $confidence): array
    {
        $out = [];
        foreach ($here->asked() as $metric) {
            $mine = $here->answered($metric);
            $theirs = $other?->answered($metric);
            if ($mine !== null) {
                $side = self::side($build, $mine, $confidence);
                $out[] = $against === null || $theirs === null
                    ? new OutcomeComparison($metric, $side, null, null, null, '')
                    : self::compare($metric, $side, $mine, self::side($against, $theirs, $confidence), $theirs, $confidence);
            }
        }

        return $out;
    }

    /** On the levels that both were tried at; what one of them alone was tried at says nothing of the other. */
    private static function compare(
        string $metric, OutcomeSide $here, Answers $mine, OutcomeSide $other, Answers $theirs, float $confidence,
    ): OutcomeComparison {
        try {
            $c = CompareProportionsWithin::of([...$theirs->runs('a'), ...$mine->runs('b')], $confidence);
        } catch (NotEstimable) {
            return new OutcomeComparison($metric, $here, $other, null, null, 'unmatched');
        }
        $points = new Interval(100 * $c->difference->estimate, 100 * (float) $c->difference->low, 100 * (float) $c->difference->high);
        $verdict = match (true) {
            $mine->held === $mine->tried && $theirs->held === $theirs->tried => 'bothPass',
            $c->verdict === Verdict::Higher => 'more',
            $c->verdict === Verdict::Lower => 'less',
            default => 'indistinct',
        };

        return new OutcomeComparison($metric, $here, $other, Figure::of($points, '%', 0), $c->p, $verdict);
    }

    private static function side(Build $build, Answers $answers, float $confidence): OutcomeSide
    {
        [$rungs, $unit] = self::rungs($answers);
        $ladder = $rungs === [] ? null : Ladder::of($rungs, $confidence);
        $views = array_map(
            static fn (array $r): Rung => new Rung(
                $r['level'], $r['held'], $r['tried'], (float) $r['share']->low, (float) $r['share']->high,
            ),
            $ladder->rungs ?? [],
        );

        return new OutcomeSide(
            $build->id, $build->letter, $answers->held, $answers->tried, $views, $unit,
            $ladder?->highestHeld, $ladder?->lowestFailed, $ladder !== null && $ladder->censored,
        );
    }

    /**
     * Runs by the rung that they name, in the unit of the first; nothing where one of them names none.
     *
     * @return array{list<array{level: float, held: int, tried: int}>, string}
     */
    private static function rungs(Answers $answers): array
    {
        $unit = null;
        $byLevel = [];
        foreach ($answers->rungs as $typed => $count) {
            try {
                $rung = Quantity::typed((string) $typed);
                $unit ??= $rung->unit->symbol;
                $level = $rung->to($unit)->value;
            } catch (CoreException) {
                return [[], ''];
            }
            $key = (string) round($level, self::RUNG_DIGITS);
            $byLevel[$key] ??= ['level' => $level, 'held' => 0, 'tried' => 0];
            $byLevel[$key]['held'] += $count['held'];
            $byLevel[$key]['tried'] += $count['tried'];
        }

        return [array_values($byLevel), (string) $unit];
    }
}
