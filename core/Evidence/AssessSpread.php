<?php

declare(strict_types=1);

namespace Lustrum\Core\Evidence;

use Lustrum\Core\Statistics\Distribution\ChiSquare;
use Lustrum\Core\Statistics\Repeats;
use Lustrum\Core\Statistics\Sample;

/** spread: the standard deviation of the values against its limit, by its one-sided χ² bound. */
final class AssessSpread
{
    public static function values(Requirement $r, Sorted $s, float $confidence, Repeats $repeats): Assessment
    {
        if ($s->values === []) {
            return new Assessment(State::None, null, null, null, null, 0, Basis::Spread);
        }
        $sample = Sample::of($s->values);
        if ($sample->sd === null) {
            return new Assessment(State::Thin, null, null, null, null, 1, Basis::Spread);
        }
        $sd = $repeats->floor($sample->sd);
        $atMost = $r->direction === Direction::AtMost;
        $bound = static fn (int $n, float $p): float => $sd * sqrt(($n - 1) / ChiSquare::quantile($p, $n - 1));
        [$p, $opposite] = $atMost ? [1 - $confidence, $confidence] : [$confidence, 1 - $confidence];
        $meets = static fn (float $value): bool => $r->direction->met($value, $r->limit);
        $state = match (true) {
            $sample->n < FurtherRuns::FEW => State::Thin,
            $meets($bound($sample->n, $p)) => State::Shown,
            $meets($sd) => State::Leaning,
            default => $meets($bound($sample->n, $opposite)) ? State::Doubtful : State::Against,
        };
        $needed = $meets($sd) && $sd !== $r->limit
            ? FurtherRuns::after($sample->n, static fn (int $n): bool => $meets($bound($n, $p))) : null;
        $reached = ($sample->n - 1) * ($sd / $r->limit) ** 2;
        $own = new Assessment(
            $state, $sd, $bound($sample->n, $p),
            $atMost ? ChiSquare::upper($reached, $sample->n - 1) : ChiSquare::cdf($reached, $sample->n - 1),
            $state === State::Shown ? 0 : $needed, $sample->n, Basis::Spread,
        );

        return $s->good === [] && $s->bad === [] ? $own : $own->unbounded();
    }
}
