<?php

declare(strict_types=1);

namespace Lustrum\Core\Evidence;

use Lustrum\Core\Outcome\Result;
use Lustrum\Core\Outcome\ResultKind;
use Lustrum\Core\Statistics\Distribution\Beta;
use Lustrum\Core\Statistics\Proportion;

/** rate, check, and 'every' without a distribution: one-sided Clopper–Pearson bound of the share that holds. */
final class AssessShare
{
    /** @param list<Result> $results */
    public static function rate(Requirement $r, array $results, float $confidence): Assessment
    {
        $verdicts = self::decided(array_map(self::said(...), $results));

        return self::share($verdicts, $r->limit, $r->direction === Direction::AtMost, $confidence);
    }

    /**
     * One look settles what is so or is not.
     *
     * @param list<Result> $results
     */
    public static function check(Requirement $r, array $results): Assessment
    {
        $verdicts = self::decided(array_map(static fn (Result $x): ?bool => self::holds($r, $x), $results));
        $n = count($verdicts);
        if ($n === 0) {
            return new Assessment(State::None, null, null, null, null, 0, Basis::ExactShare);
        }
        $held = count(array_filter($verdicts));

        return new Assessment($held === $n ? State::Shown : State::Against, $held / $n, null, null, null, $n, Basis::ExactShare);
    }

    /**
     * An article fails if one of its runs does; it counts neither way if one decides nothing and none fails.
     *
     * @param list<Result> $results
     */
    public static function every(Requirement $r, array $results, float $confidence): Assessment
    {
        $tried = array_values(array_filter($results, static fn (Result $x): bool => $x->kind !== ResultKind::Lost));
        $verdicts = array_map(static function (array $of) use ($r): ?bool {
            $each = array_map(static fn (Result $x): ?bool => self::holds($r, $x), $of);

            return in_array(false, $each, true) ? false : (in_array(null, $each, true) ? null : true);
        }, Result::byArticle($tried));

        return self::share(self::decided($verdicts), $r->coverage, false, $confidence);
    }

    /** @param list<bool> $verdicts of which true is what must not be passed where $atMost */
    private static function share(array $verdicts, float $limit, bool $atMost, float $confidence): Assessment
    {
        $n = count($verdicts);
        if ($n === 0) {
            return new Assessment(State::None, null, null, null, null, 0, Basis::ExactShare);
        }
        $held = count(array_filter($verdicts));
        // A rate that must not be passed is the same as its complement that must be reached.
        [$good, $wanted] = $atMost ? [$n - $held, 1 - $limit] : [$held, $limit];
        $lower = Proportion::of($good, $n)->lower($confidence);
        $upper = 1 - Proportion::of($n - $good, $n)->lower($confidence);
        $state = match (true) {
            $n < FurtherRuns::FEW => State::Thin,
            $lower >= $wanted => State::Shown,
            $good / $n >= $wanted => State::Leaning,
            default => $upper >= $wanted ? State::Doubtful : State::Against,
        };

        return new Assessment(
            $state, $held / $n, $atMost ? 1 - $lower : $lower, $n < 2 ? null : Beta::upper($wanted, $good + 0.5, $n - $good + 0.5),
            $state === State::Shown ? 0 : self::needed($good, $n, $wanted, $confidence), $n, Basis::ExactShare,
        );
    }

    /**
     * The share stays, what holds is rounded down: so one more run may make the bound fall. It passes with k of n where
     * I(limit; k, n − k + 1) ≤ 1 − confidence; never before the unrounded share does, so that is where the search begins.
     */
    private static function needed(int $good, int $n, float $wanted, float $confidence): ?int
    {
        if ($good / $n <= $wanted) {
            return null;
        }
        $passes = static fn (int $all, float $holding): bool => $holding > 0
            && Beta::cdf($wanted, $holding, $all - $holding + 1) <= 1 - $confidence;
        $first = FurtherRuns::after($n, static fn (int $all): bool => $passes($all, $good * $all / $n));
        for ($all = $n + ($first ?? FurtherRuns::MOST); $all <= FurtherRuns::MOST; ++$all) {
            if ($passes($all, floor($good * $all / $n + 1e-9))) {
                return $all - $n;
            }
        }

        return null;
    }

    /**
     * @param list<bool|null> $verdicts
     *
     * @return list<bool>
     */
    private static function decided(array $verdicts): array
    {
        return array_values(array_filter($verdicts, static fn (?bool $v): bool => $v !== null));
    }

    private static function said(Result $result): ?bool
    {
        return match ($result->kind) {
            ResultKind::Held => true,
            ResultKind::Failed => false,
            default => null,
        };
    }

    /** A bound on the right side of the limit holds; one on the wrong side says nothing. */
    private static function holds(Requirement $r, Result $result): ?bool
    {
        if ($result->value === null) {
            return self::said($result);
        }
        $met = $r->direction->met($result->value, $r->limit);
        $good = $r->direction === Direction::AtLeast ? ResultKind::AtLeast : ResultKind::AtMost;

        return match (true) {
            $result->kind === ResultKind::Equal => $met,
            $result->kind === $good => $met ? true : null,
            default => $met ? null : false,
        };
    }
}
