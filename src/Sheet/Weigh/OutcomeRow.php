<?php

declare(strict_types=1);

namespace Lustrum\Sheet\Weigh;

use Lustrum\Core\Judging\Build;
use Lustrum\Core\Judging\OutcomeComparison;
use Lustrum\Core\Judging\OutcomeSide;
use Lustrum\Core\Judging\Rung;
use Lustrum\Core\Wording\ComparisonWords;
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
        /** @var list<RungRow> highest first where they have an order */
        public array $rungs,
        public string $explain,
        public string $sentence,
        public ?FootingView $footing,
        public string $together,
        public BearingView $bearing,
    ) {
    }

    /**
     * @param list<string> $together changes that act on it and cannot be told apart
     * @param list<Build>  $builds   of it, the one that is looked at first
     */
    public static function of(OutcomeComparison $c, string $metric, array $together = [], array $builds = []): self
    {
        $d = $c->difference;

        return new self(
            $metric, $c->metric, $c->here, $c->other,
            $d === null ? null : OutcomeWords::difference($d, $c->p ?? 1.0), $c->p, self::rungs($c),
            self::severally($c->here) === [] ? 'stats.compareProportions' : 'threshold.ladder', OutcomeWords::sentence($c, $metric),
            $c->footing === null ? null : FootingView::of($c->footing), ComparisonWords::together($together),
            BearingView::of($c->bearing, $builds, $c->metric, $metric),
        );
    }

    /** @return list<Rung> none where all runs are alike: the sentence says it */
    private static function severally(?OutcomeSide $side): array
    {
        $rungs = $side->rungs ?? [];

        return count($rungs) === 1 && $rungs[0]->text === '' ? [] : $rungs;
    }

    /** @return list<RungRow> every level that either build was tried at */
    private static function rungs(OutcomeComparison $c): array
    {
        $rungs = [];
        $isOne = self::severally($c->here) === [] && self::severally($c->other) === [];
        foreach ([['other', $c->other], ['here', $c->here]] as [$side, $of]) {
            foreach ($isOne ? [] : $of->rungs ?? [] as $rung) {
                $rungs[$rung->text][$side] = $rung;
            }
        }
        $rows = array_map(static fn (string|int $text, array $of): array => [
            ($of['here'] ?? $of['other'] ?? null)?->size,
            RungRow::of($text === '' ? OutcomeWords::all() : (string) $text, $of['other'] ?? null, $of['here'] ?? null),
        ], array_keys($rungs), array_values($rungs));
        usort($rows, static fn (array $a, array $b): int => [$a[0] === null, $b[0]] <=> [$b[0] === null, $a[0]]);

        return array_column($rows, 1);
    }
}
