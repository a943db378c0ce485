<?php

declare(strict_types=1);

namespace Lustrum\Core\Evidence;

use Lustrum\Core\InvalidInput;
use Lustrum\Core\Outcome\Result;
use Lustrum\Core\Outcome\ResultKind;
use Lustrum\Core\Statistics\Distribution\NonCentralT;
use Lustrum\Core\Statistics\Distribution\Normal;
use Lustrum\Core\Statistics\Repeats;
use Lustrum\Core\Statistics\Sample;
use Lustrum\Core\Statistics\Spread;
use Lustrum\Core\Statistics\Tolerance;

/**
 * every: a one-sided normal tolerance bound over articles, each standing for its worst value. It leans when the value
 * that the wanted share is estimated to reach lies on the right side, which asks more than the mean does.
 */
final class AssessEvery
{
    /** A share above this rests on the far end of a normal shape, which takes as many articles as below to believe. */
    private const TAIL = 0.95;
    private const FOR_TAIL = 30;

    /**
     * @param list<Result> $results that count
     *
     * @throws InvalidInput
     */
    public static function articles(Requirement $r, array $results, float $confidence, Measure $measure): Assessment
    {
        $areNamed = array_filter($results, static fn (Result $x): bool => $x->article !== '') !== [];
        $speaksOf = $areNamed ? SpeaksOf::Articles : SpeaksOf::Runs;
        if ($measure->scale !== ValueScale::Ratio) {
            return self::byValue($r, $results, $confidence, $measure->repeats->on(false, $areNamed))->speakingOf($speaksOf);
        }
        $log = static fn (float $x): float => $x > 0 ? log($x) : throw InvalidInput::because(
            'Where effects multiply the limit and all values lie above nought.', 'scale',
        );

        return self::byValue($r->withLimit($log($r->limit)), array_map(static fn (Result $x): Result => $x->value === null ? $x : Result::of(
            $x->kind, $log($x->value), $x->conditions, $x->article,
        ), $results), $confidence, $measure->repeats->on(true, $areNamed))->mapped(exp(...))->speakingOf($speaksOf);
    }

    /** @param list<Result> $results */
    private static function byValue(Requirement $r, array $results, float $confidence, Repeats $repeats): Assessment
    {
        $all = Sorted::of($r->direction, $results);
        $s = Sorted::of($r->direction, array_map(
            static fn (array $of): Result => self::worst($r->direction, $of), Result::byArticle(array_values(array_filter(
                $results, static fn (Result $x): bool => $x->kind->hasValue(),
            ))),
        ));
        if ($all->bad !== []) {
            $own = self::plain($r, $s->values, $confidence, $repeats->unknown())->unbounded();

            // However far beyond the limit it went, one article that is sure to miss it is enough.
            return count($s->values) >= FurtherRuns::FEW && $all->passes($r->limit) ? $own->in(State::Against, null) : $own;
        }
        if ($s->good === []) {
            return self::plain($r, $s->values, $confidence, $repeats);
        }
        if (!$s->differ()) {
            return AssessMean::unestimable($r, $s, Basis::ToleranceBound);
        }
        $own = self::plain($r, $s->values, $confidence, $repeats->unknown());
        $state = match (true) {
            $s->count() < FurtherRuns::FEW => State::Thin,
            $own->state === State::Thin => self::side($r, Sample::of($s->values), $confidence, Sample::of($s->values)->spread($repeats->unknown())),
            default => $own->state,
        };

        return $own->in($state === State::Against && $s->reaches($r->limit) ? State::Doubtful : $state->atBestLeaning(), null);
    }

    /** @param list<float> $values */
    private static function plain(Requirement $r, array $values, float $confidence, Repeats $repeats): Assessment
    {
        if ($values === []) {
            return new Assessment(State::None, null, null, null, null, 0, Basis::ToleranceBound);
        }
        $s = Sample::of($values);
        $spread = $s->spread($repeats);
        $sd = $spread->sd;
        if ($sd === null) {
            return new Assessment(State::Thin, $s->mean, null, null, null, $s->n, Basis::ToleranceBound);
        }
        $sign = $r->direction->sign();
        $z = Normal::quantile($r->coverage);
        $margin = $sign * ($s->mean - $r->limit);
        $beside = $spread->df - $s->n;
        $factor = static fn (int $n): float => Tolerance::factor($n, $r->coverage, $confidence, $n + $beside);
        $few = $spread->isKnown ? FurtherRuns::FEW_KNOWN : FurtherRuns::FEW;
        // Searched with the rough factor, decided with the exact one.
        $passes = static fn (int $n): bool => $margin >= $factor($n) * $sd;
        $needed = $margin > $z * $sd ? FurtherRuns::after($s->n, $spread->isKnown ? $passes : static fn (int $n): bool => $margin
            >= Tolerance::roughFactor($n, $r->coverage, $confidence) * $sd, $passes, $few) : null;
        $believed = $r->coverage <= self::TAIL || $s->n >= self::FOR_TAIL;
        $state = $s->n < $few ? State::Thin : self::side($r, $s, $confidence, $spread);
        if (!$believed) {
            $state = $state->atBestLeaning();
            $needed = $needed === null ? null : max($needed, self::FOR_TAIL - $s->n);
        }

        return new Assessment(
            $state, $s->mean, $s->mean - $sign * $factor($s->n) * $sd,
            // The confidence at which the bound would touch the limit.
            $sd > 0 ? NonCentralT::cdf($margin / $sd * sqrt($s->n), $spread->df, $z * sqrt($s->n)) : null,
            $state === State::Shown ? 0 : $needed, $s->n, Basis::ToleranceBound, known: $spread->isKnown,
        );
    }

    /** On which side of the limit it stands, and how surely. */
    private static function side(Requirement $r, Sample $s, float $confidence, Spread $spread): State
    {
        $beyond = static fn (float $factor): bool => $r->direction->met(
            $s->mean - $r->direction->sign() * $factor * (float) $spread->sd, $r->limit,
        );

        return match (true) {
            $beyond(Tolerance::factor($s->n, $r->coverage, $confidence, $spread->df)) => State::Shown,
            $beyond(Normal::quantile($r->coverage)) => State::Leaning,
            // Shown not to meet: even the weaker bound, on the other side of that value, misses the limit.
            $beyond(Tolerance::factor($s->n, $r->coverage, 1 - $confidence, $spread->df)) => State::Doubtful,
            default => State::Against,
        };
    }

    /** @param non-empty-list<Result> $of one article's values and bounds */
    private static function worst(Direction $direction, array $of): Result
    {
        usort($of, static fn (Result $a, Result $b): int => [$direction->sign() * (float) $a->value, $a->kind !== ResultKind::Equal]
            <=> [$direction->sign() * (float) $b->value, $b->kind !== ResultKind::Equal]);

        return $of[0];
    }
}
