<?php

declare(strict_types=1);

namespace Lustrum\Core\Evidence;

use Lustrum\Core\Alike\Looks;
use Lustrum\Core\InvalidInput;
use Lustrum\Core\Outcome\Result;
use Lustrum\Core\Outcome\ResultKind;
use Lustrum\Core\Statistics\Natural;

/**
 * Works out how far results show a requirement (`evidence.assess`).
 *
 * A run counts only if it was made under a condition that the requirement names, or did not record it; while one that is
 * named was not covered, the state is leaning at best. Natural limits cut the bound off after the state is known.
 */
final class Assess
{
    /**
     * @param list<Result> $results
     * @param int          $looks   how often the answer was opened with new runs (Looks)
     *
     * @throws InvalidInput
     */
    public static function results(Requirement $requirement, array $results, int $looks = 1, ?Measure $measure = null): Assessment
    {
        $measure ??= Measure::none();
        $conditions = Conditions::of($requirement->conditions);
        $admitted = $conditions->among($results, static fn (Result $r): Result => $r);
        $count = static fn (callable $is): int => count(array_filter($admitted, $is));
        $isOfValues = !in_array($requirement->kind, [Kind::Rate, Kind::Check, Kind::Spread], true);

        return self::kind($requirement, $admitted, Looks::confidence($requirement->confidence, $looks), $measure)->standing(
            $count(static fn (Result $r): bool => $r->kind->isBound()),
            count(array_filter($results, static fn (Result $r): bool => $r->kind === ResultKind::Lost)),
            $conditions->missing($admitted),
            $isOfValues && !$requirement->nonParametric ? $measure : new Measure(Natural::none(), $measure->repeats),
        );
    }

    /** @param list<Result> $results */
    private static function kind(Requirement $r, array $results, float $confidence, Measure $measure): Assessment
    {
        $hasValues = array_filter($results, static fn (Result $x): bool => $x->kind->hasValue()) !== [];

        return match (true) {
            $r->kind === Kind::Check => AssessShare::check($r, $results),
            $r->kind === Kind::Rate => AssessShare::rate($r, $results, $confidence),
            // Whether each article holds can be answered without a value: then the share of articles is all there is.
            $r->kind === Kind::Every && ($r->nonParametric || !$hasValues) => AssessShare::every($r, $results, $confidence),
            $r->kind === Kind::Every => AssessEvery::articles($r, $results, $confidence, $measure),
            $r->kind === Kind::Spread => AssessSpread::values($r, Sorted::of($r->direction, $results), $confidence, $measure->repeats),
            default => AssessMean::of($r, $results, $confidence, $measure),
        };
    }
}
