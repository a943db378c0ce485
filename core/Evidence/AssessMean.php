<?php

declare(strict_types=1);

namespace Lustrum\Core\Evidence;

use Lustrum\Core\Outcome\Result;
use Lustrum\Core\Statistics\Censored;
use Lustrum\Core\Statistics\Distribution\StudentT;
use Lustrum\Core\Statistics\Repeats;
use Lustrum\Core\Statistics\Sample;

/**
 * mean, rating: a one-sided t bound, over articles where there are several; with bounds on the good side among the results the likelihood bound of values and
 * bounds together, which without bounds is the t bound. Beside a bound on the bad side there is none.
 */
final class AssessMean
{
    /** @param list<Result> $results that count */
    public static function of(Requirement $r, array $results, float $confidence, Measure $measure): Assessment
    {
        $s = Sorted::of($r->direction, $results);
        if ($r->kind !== Kind::Mean) {
            return self::values($r, $s, $confidence);
        }
        if ($measure->scale === ValueScale::Count) {
            return AssessCount::values($r, $s, $confidence)->speakingOf(SpeaksOf::of($results));
        }
        $valued = array_values(array_filter($results, static fn (Result $x): bool => $x->kind->hasValue()));
        $speaksOf = SpeaksOf::of($valued);
        if ($s->good !== [] || $s->bad !== []) {
            // A bound has no mean of its article: these stand each for itself.
            return self::values($r, $s, $confidence)->speakingOf($speaksOf === SpeaksOf::Articles ? SpeaksOf::Runs : $speaksOf);
        }
        $isOfArticles = $speaksOf === SpeaksOf::Articles;
        $values = !$isOfArticles ? $s->values : array_map(
            static fn (array $of): float => array_sum(Result::values($of)) / count($of), Result::byArticle($valued),
        );

        return self::plain($r, $values, $confidence, $measure->counted($isOfArticles)->repeats, $isOfArticles ? count($valued) : null)
            ->speakingOf($speaksOf);
    }

    private static function values(Requirement $r, Sorted $s, float $confidence): Assessment
    {
        return match (true) {
            $s->bad !== [] => self::plain($r, $s->values, $confidence, new Repeats())->unbounded(),
            $s->good === [] => self::plain($r, $s->values, $confidence, new Repeats()),
            $s->differ() => self::censored($r, $s, $confidence),
            default => self::unestimable($r, $s, Basis::Censored),
        };
    }

    /** With bounds and fewer than two different values no spread can be estimated: it leans where something reaches the limit. */
    public static function unestimable(Requirement $r, Sorted $s, Basis $basis): Assessment
    {
        $mean = $s->mean();
        $reaches = $s->reaches($r->limit);
        $state = match (true) {
            $mean === null && !$reaches => State::None,
            $s->count() < FurtherRuns::FEW => State::Thin,
            $reaches || ($mean !== null && $r->direction->met($mean, $r->limit)) => State::Leaning,
            default => State::Doubtful,
        };

        return new Assessment($state, $mean, null, null, null, count($s->values), $basis);
    }

    /**
     * @param list<float> $values
     * @param int|null    $runs   of which each article is the mean; null: each value is a run
     */
    private static function plain(Requirement $r, array $values, float $confidence, Repeats $repeats, ?int $runs = null): Assessment
    {
        if ($values === []) {
            return new Assessment(State::None, null, null, null, null, 0, Basis::TBound);
        }
        $s = Sample::of($values);
        $spread = $s->spread($repeats);
        [$sd, $se] = [$spread->sd, $spread->se($s->n)];
        if ($sd === null || $se === null) {
            return new Assessment(State::Thin, $s->mean, null, null, null, $s->n, Basis::TBound);
        }
        // So many more than there are values; of articles two are enough where they have three runs.
        $few = match (true) {
            $spread->isKnown => FurtherRuns::FEW_KNOWN,
            $runs === null => FurtherRuns::FEW,
            default => max(FurtherRuns::FEW_KNOWN, $s->n + FurtherRuns::FEW - $runs),
        };
        $sign = $r->direction->sign();
        $beside = $spread->df - $s->n;
        $t = static fn (int $n): float => StudentT::quantile($confidence, $n + $beside);
        $margin = $sign * ($s->mean - $r->limit);
        $bound = $s->mean - $sign * $t($s->n) * $se;
        $other = $s->mean + $sign * $t($s->n) * $se;
        $needed = $margin > 0
            ? FurtherRuns::after($s->n, static fn (int $n): bool => $margin >= $t($n) * $sd / sqrt($n), null, $few) : null;
        $state = match (true) {
            $s->n < $few => State::Thin,
            $r->direction->met($bound, $r->limit) => State::Shown,
            $r->direction->met($s->mean, $r->limit) => State::Leaning,
            default => $r->direction->met($other, $r->limit) ? State::Doubtful : State::Against,
        };

        return new Assessment(
            $state, $s->mean, $bound, $se > 0 ? StudentT::cdf($margin / $se, $spread->df) : null,
            $state === State::Shown ? 0 : $needed, $s->n, Basis::TBound, known: $spread->isKnown,
        );
    }

    private static function censored(Requirement $r, Sorted $s, float $confidence): Assessment
    {
        $atLeast = $r->direction === Direction::AtLeast;
        $fit = Censored::of($s->values, $atLeast ? $s->good : [], $atLeast ? [] : $s->good);
        [$n, $all, $sign] = [count($s->values), $fit->n(), $r->direction->sign()];
        $t = StudentT::quantile($confidence, $all - 1);
        [$bound, $other] = [$fit->end($t, -$sign), $fit->end($t, $sign)];
        $right = $r->direction->met($fit->mean(), $r->limit);
        $passes = $n >= FurtherRuns::FEW && $bound !== null && $r->direction->met($bound, $r->limit);
        $state = match (true) {
            $all < FurtherRuns::FEW => State::Thin,
            $passes => State::Shown,
            $right => State::Leaning,
            default => $other === null || $r->direction->met($other, $r->limit) ? State::Doubtful : State::Against,
        };
        $root = sqrt(($all - 1) * expm1(2 * $fit->below($r->limit) / $all));

        return new Assessment(
            $state, $fit->mean(), $bound, StudentT::cdf($right ? $root : -$root, $all - 1), $passes ? 0 : null, $n, Basis::Censored,
        );
    }
}
