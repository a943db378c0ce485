<?php

declare(strict_types=1);

namespace Lustrum\Core\Evidence;

use Lustrum\Core\InvalidInput;
use Lustrum\Core\Statistics\Distribution\ChiSquare;
use Lustrum\Core\Statistics\Distribution\StudentT;
use Lustrum\Core\Statistics\Sample;

/**
 * The mean of counts in runs of equal length: the exact bound of Garwood (1936, Biometrika 28, 437); where they spread
 * farther than counts do, the t bound where that lies farther out.
 */
final class AssessCount
{
    /** Who spreads farther than so surely by chance spreads farther than counts do. */
    private const SURE = 0.95;

    /** @throws InvalidInput */
    public static function values(Requirement $r, Sorted $s, float $confidence): Assessment
    {
        foreach ($s->values as $value) {
            if ($value < 0 || $value !== floor($value)) {
                throw InvalidInput::because('A count is a whole number, nought or more.', 'results');
            }
        }
        if ($s->values === []) {
            return new Assessment(State::None, null, null, null, null, 0, Basis::Count);
        }
        $own = self::plain($r, Sample::of($s->values), $confidence);

        return $s->good === [] && $s->bad === [] ? $own : $own->unbounded();
    }

    private static function plain(Requirement $r, Sample $s, float $confidence): Assessment
    {
        $total = (int) round($s->mean * $s->n);
        $sign = $r->direction->sign();
        $isWide = $total > 0 && $s->n > 1
            && $s->squares() / $s->mean > ChiSquare::quantile(self::SURE, $s->n - 1);
        $bound = static fn (int $all, int $n, int $side): float => self::farther(
            self::garwood($all, $n, $side, $confidence),
            $isWide ? $all / $n + $side * StudentT::quantile($confidence, $n - 1) * (float) $s->sd / sqrt($n) : null, $side,
        );
        $reached = $bound($total, $s->n, -$sign);
        $state = match (true) {
            $s->n < FurtherRuns::FEW => State::Thin,
            $r->direction->met($reached, $r->limit) => State::Shown,
            $r->direction->met($s->mean, $r->limit) => State::Leaning,
            default => $r->direction->met($bound($total, $s->n, $sign), $r->limit) ? State::Doubtful : State::Against,
        };
        // The mean stays; what it comes to in all is rounded to the worse side.
        $kept = static fn (int $n): int => (int) ($sign > 0 ? floor($s->mean * $n + 1e-9) : ceil($s->mean * $n - 1e-9));

        return new Assessment(
            $state, $s->mean, $reached, self::probability($r, $total, $s->n),
            $state === State::Shown ? 0 : self::needed($r, $s, static fn (int $n): float => $bound($kept($n), $n, -$sign)),
            $s->n, Basis::Count,
        );
    }

    /** @param callable(int): float $bound with so many runs */
    private static function needed(Requirement $r, Sample $s, callable $bound): ?int
    {
        if (!$r->direction->met($s->mean, $r->limit) || $s->mean === $r->limit) {
            return null;
        }
        // What is rounded makes the bound go up and down: so one is tried after the other.
        for ($n = max($s->n, FurtherRuns::FEW); $n <= FurtherRuns::MOST; ++$n) {
            if ($r->direction->met($bound($n), $r->limit)) {
                return $n - $s->n;
            }
        }

        return null;
    }

    /** @param int $side 1: the upper bound, −1: the lower */
    private static function garwood(int $total, int $n, int $side, float $confidence): float
    {
        return match (true) {
            $side > 0 => ChiSquare::quantile($confidence, 2 * $total + 2) / (2 * $n),
            $total === 0 => 0.0,
            default => ChiSquare::quantile(1 - $confidence, 2 * $total) / (2 * $n),
        };
    }

    private static function farther(float $exact, ?float $byT, int $side): float
    {
        return $byT === null ? $exact : ($side > 0 ? max($exact, $byT) : min($exact, $byT));
    }

    /** Gamma posterior with shape T + ½ (Jeffreys). */
    private static function probability(Requirement $r, int $total, int $n): float
    {
        if ($r->limit <= 0) {
            return $r->direction === Direction::AtLeast ? 1.0 : 0.0;
        }
        [$x, $df] = [2 * $n * $r->limit, 2 * $total + 1];

        return $r->direction === Direction::AtLeast ? ChiSquare::upper($x, $df) : ChiSquare::cdf($x, $df);
    }
}
