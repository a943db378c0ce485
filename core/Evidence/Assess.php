<?php

declare(strict_types=1);

namespace Lustrum\Core\Evidence;

use Lustrum\Core\Outcome\Result;
use Lustrum\Core\Outcome\ResultKind;
use Lustrum\Core\Statistics\Distribution\Beta;
use Lustrum\Core\Statistics\Distribution\NonCentralT;
use Lustrum\Core\Statistics\Distribution\Normal;
use Lustrum\Core\Statistics\Distribution\StudentT;
use Lustrum\Core\Statistics\Proportion;
use Lustrum\Core\Statistics\Sample;
use Lustrum\Core\Statistics\Tolerance;

/**
 * Works out how far results show a requirement (`evidence.assess`).
 *
 * mean, rating: one-sided t bound. every: one-sided normal tolerance bound, or the non-parametric one; it leans when
 * the value that the wanted share is estimated to reach lies on the right side, which asks more than the mean does.
 * rate, check: one-sided Clopper–Pearson bound. Under three runs the state is 'thin', whatever the numbers say.
 */
final class Assess
{
    private const FEW = 3;
    private const MOST_RUNS = 10_000;

    /** @param list<Result> $results */
    public static function results(Requirement $requirement, array $results): Assessment
    {
        $missing = self::missingConditions($requirement, $results);
        $lost = $bounds = 0;
        $values = Result::values($results);
        foreach ($results as $result) {
            $lost += $result->kind === ResultKind::Lost ? 1 : 0;
            $bounds += $result->kind->isBound() ? 1 : 0;
        }
        if (in_array($requirement->kind, [Kind::Mean, Kind::Every, Kind::Rating], true) && $values !== []) {
            return $requirement->kind === Kind::Every && !$requirement->nonParametric
                ? self::every($requirement, Sample::of($values), $missing, $bounds, $lost)
                : ($requirement->kind === Kind::Every
                    ? self::share($requirement, $results, $missing, $bounds, $lost)
                    : self::mean($requirement, Sample::of($values), $missing, $bounds, $lost));
        }

        return self::share($requirement, $results, $missing, $bounds, $lost);
    }

    /** @param list<string> $missing */
    private static function mean(Requirement $r, Sample $s, array $missing, int $bounds, int $lost): Assessment
    {
        $sign = $r->direction->sign();
        $se = $s->se();
        if ($se === null) {
            return self::of($r, $s->mean, null, null, null, $missing, $s->n, $bounds, $lost, null, Basis::TBound);
        }
        $t = static fn (int $n): float => StudentT::quantile($r->confidence, $n - 1);
        $margin = $sign * ($s->mean - $r->limit);
        $bound = $s->mean - $sign * $t($s->n) * $se;
        $probability = $se > 0 ? StudentT::cdf($margin / $se, $s->n - 1) : null;
        $needed = self::least($s->n, static fn (int $n): bool => $margin >= $t($n) * (float) $s->sd / sqrt($n), $margin > 0);

        return self::of(
            $r, $s->mean, $bound, $probability, $needed, $missing, $s->n, $bounds, $lost, $s->mean + $sign * $t($s->n) * $se, Basis::TBound,
        );
    }

    /** @param list<string> $missing */
    private static function every(Requirement $r, Sample $s, array $missing, int $bounds, int $lost): Assessment
    {
        if ($s->sd === null) {
            return self::of($r, $s->mean, null, null, null, $missing, $s->n, $bounds, $lost, null, Basis::ToleranceBound);
        }
        $sign = $r->direction->sign();
        $margin = $sign * ($s->mean - $r->limit);
        $bound = $s->mean - $sign * Tolerance::factor($s->n, $r->coverage, $r->confidence) * $s->sd;
        // The confidence at which the bound would touch the limit.
        $probability = $s->sd > 0
            ? NonCentralT::cdf($margin / $s->sd * sqrt($s->n), $s->n - 1, Normal::quantile($r->coverage) * sqrt($s->n)) : null;
        // Searched with the rough factor, decided with the exact one.
        $enough = static fn (int $n): bool => $margin >= Tolerance::factor($n, $r->coverage, $r->confidence) * $s->sd;
        $needed = self::least(
            $s->n, static fn (int $n): bool => $margin >= Tolerance::roughFactor($n, $r->coverage, $r->confidence) * $s->sd,
            $margin > Normal::quantile($r->coverage) * $s->sd,
        );
        while ($needed !== null && $needed < self::MOST_RUNS && !$enough($s->n + $needed)) {
            ++$needed;
        }
        while ($needed !== null && $needed > 1 && $enough($s->n + $needed - 1)) {
            --$needed;
        }

        // What counts is not the mean but the value that the wanted share of articles is estimated to reach.
        $reached = $s->mean - $sign * Normal::quantile($r->coverage) * $s->sd;
        // Shown not to meet: even the weaker bound, on the other side of that value, misses the limit.
        $best = $s->mean - $sign * Tolerance::factor($s->n, $r->coverage, 1 - $r->confidence) * $s->sd;

        return self::of(
            $r, $s->mean, $bound, $probability, $needed, $missing, $s->n, $bounds, $lost, $best, Basis::ToleranceBound, $reached,
        );
    }

    /**
     * Held and failed; a bound on the right side of the limit counts as held, one on the wrong side says nothing.
     *
     * @param list<Result> $results
     * @param list<string> $missing
     */
    private static function share(Requirement $r, array $results, array $missing, int $bounds, int $lost): Assessment
    {
        $verdicts = array_filter(
            array_map(static fn (Result $x): ?bool => self::holds($r, $x), $results), static fn (?bool $v): bool => $v !== null,
        );
        $tried = count($verdicts);
        $share = match ($r->kind) {
            Kind::Rate => $r->limit,
            Kind::Every => $r->coverage,
            default => $r->coverage,
        };
        if ($tried === 0) {
            return new Assessment(State::None, null, null, null, null, $missing, 0, $bounds, $lost, false, Basis::ExactShare);
        }
        $held = count(array_filter($verdicts));
        // A rate that must not be passed is the same as its complement that must be reached.
        $atMost = $r->kind === Kind::Rate && $r->direction === Direction::AtMost;
        $limit = $atMost ? 1 - $share : $share;
        $good = $atMost ? $tried - $held : $held;
        $estimate = $good / $tried;
        $lower = Proportion::of($good, $tried)->lower($r->confidence);
        $upper = 1 - Proportion::of($tried - $good, $tried)->lower($r->confidence);
        $probability = $tried < 2 ? null : Beta::upper($limit, $good + 0.5, $tried - $good + 0.5);
        $needed = self::least(
            $tried, static fn (int $n): bool => Proportion::of((int) floor($estimate * $n + 1e-9), $n)->lower($r->confidence) >= $limit,
            $estimate > $limit || $estimate === 1.0,
        );
        $state = match (true) {
            $r->kind === Kind::Check && $held === $tried => State::Shown,
            $r->kind === Kind::Check => State::Against,
            $tried < self::FEW => State::Thin,
            $lower >= $limit => State::Shown,
            $estimate >= $limit => State::Leaning,
            default => State::Against,
        };

        return new Assessment(
            $state, $held / $tried, $atMost ? 1 - $lower : $lower, $probability, $r->kind === Kind::Check ? null : $needed, $missing,
            $tried, $bounds, $lost, $r->kind === Kind::Check ? $held < $tried : $upper < $limit, Basis::ExactShare,
        );
    }

    /** @param list<string> $missing */
    private static function of(
        Requirement $r, float $estimate, ?float $bound, ?float $probability, ?int $needed, array $missing, int $n, int $bounds, int $lost,
        ?float $opposite, Basis $basis, ?float $reached = null,
    ): Assessment {
        $right = $r->direction->met($reached ?? $estimate, $r->limit);
        $state = match (true) {
            $n < self::FEW => State::Thin,
            $bound !== null && $r->direction->met($bound, $r->limit) => State::Shown,
            $right => State::Leaning,
            default => State::Against,
        };
        $confirmed = $n >= self::FEW && !$right && $opposite !== null && !$r->direction->met($opposite, $r->limit);

        return new Assessment(
            $state, $estimate, $bound, $probability, $state === State::Shown ? 0 : $needed, $missing, $n, $bounds, $lost, $confirmed,
            $basis,
        );
    }

    private static function holds(Requirement $r, Result $result): ?bool
    {
        $valued = $r->kind === Kind::Rate ? null : $r->limit;

        return match ($result->kind) {
            ResultKind::Held => true,
            ResultKind::Failed => false,
            ResultKind::Lost => null,
            ResultKind::Equal => $valued === null ? null : $r->direction->met((float) $result->value, $valued),
            ResultKind::AtLeast => $valued === null ? null : self::boundHolds($r, Direction::AtLeast, (float) $result->value, $valued),
            ResultKind::AtMost => $valued === null ? null : self::boundHolds($r, Direction::AtMost, (float) $result->value, $valued),
        };
    }

    private static function boundHolds(Requirement $r, Direction $kind, float $value, float $limit): ?bool
    {
        return match (true) {
            $kind === $r->direction && $r->direction->met($value, $limit) => true,
            $kind !== $r->direction && !$r->direction->met($value, $limit) => false,
            default => null,
        };
    }

    /**
     * The least number of further runs with which $passes; null where the estimate itself is on the wrong side.
     *
     * @param callable(int): bool $passes
     */
    private static function least(int $n, callable $passes, bool $possible): ?int
    {
        if (!$possible) {
            return null;
        }
        $n = max($n, 2);
        if ($n >= self::FEW && $passes($n)) {
            return 0;
        }
        for ($step = 1; $n + $step <= self::MOST_RUNS && !$passes($n + $step); $step *= 2) {
        }
        if ($n + $step > self::MOST_RUNS) {
            return null;
        }
        $low = $n + intdiv($step, 2);
        $high = $n + $step;
        while ($low + 1 < $high) {
            $mid = intdiv($low + $high, 2);
            $passes($mid) ? $high = $mid : $low = $mid;
        }

        return max($high, self::FEW) - $n;
    }

    /**
     * @param list<Result> $results
     *
     * @return list<string>
     */
    private static function missingConditions(Requirement $requirement, array $results): array
    {
        if ($requirement->conditions === []) {
            return [];
        }
        $seen = [];
        foreach ($results as $result) {
            foreach ($result->kind === ResultKind::Lost ? [] : $result->conditions as $name => $state) {
                $seen[$name][$state] = true;
            }
        }
        $tidy = static fn (int|string $text): string => mb_strtolower(trim((string) $text));

        return array_values(array_filter($requirement->conditions, static function (string $wanted) use ($seen, $tidy): bool {
            [$name, $state] = array_pad(explode('=', $wanted, 2), 2, '');

            return !in_array($tidy($state), array_map($tidy, array_keys($seen[trim($name)] ?? [])), true);
        }));
    }
}
