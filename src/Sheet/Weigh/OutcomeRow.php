<?php

declare(strict_types=1);

namespace Lustrum\Sheet\Weigh;

use Lustrum\Core\Judging\OutcomeComparison;
use Lustrum\Core\Judging\OutcomeSide;
use Lustrum\Core\Judging\Rung;
use Lustrum\Core\Wording\OutcomeWords;

/** A metric that is shown by whether runs hold: shares against each other, and the ladder of each build. */
final readonly class OutcomeRow
{
    private function __construct(
        public string $metric,
        public string $metricId,
        public OutcomeSide $here,
        public ?OutcomeSide $other,
        public ?string $difference,
        public ?float $p,
        /** @var list<RungRow> highest first */
        public array $rungs,
        public string $explain,
        public string $sentence,
    ) {
    }

    public static function of(OutcomeComparison $c, string $metric): self
    {
        $d = $c->difference;

        return new self(
            $metric, $c->metric, $c->here, $c->other,
            $d === null ? null : OutcomeWords::difference($d, $c->p ?? 1.0), $c->p, self::rungs($c),
            $c->here->rungs === [] ? 'stats.compareProportions' : 'threshold.ladder', OutcomeWords::sentence($c, $metric),
        );
    }

    /** @return list<RungRow> every rung that either build was tried on */
    private static function rungs(OutcomeComparison $c): array
    {
        $levels = [];
        foreach ([$c->here, $c->other] as $side) {
            foreach ($side->rungs ?? [] as $rung) {
                $levels[(string) $rung->level] = $rung->level;
            }
        }
        rsort($levels);
        $find = static function (?OutcomeSide $side, float $level): ?Rung {
            foreach ($side->rungs ?? [] as $rung) {
                if ($rung->level === $level) {
                    return $rung;
                }
            }

            return null;
        };

        return array_map(
            static fn (float $l): RungRow => RungRow::of($l, $c->here->unit, $find($c->other, $l), $find($c->here, $l)), $levels,
        );
    }
}
