<?php

declare(strict_types=1);

namespace Lustrum\Core\Judging;

use Lustrum\Core\Alike\AlikeRuns;
use Lustrum\Core\Alike\Matched;
use Lustrum\Core\Alike\Stratum;
use Lustrum\Core\Alike\WithinVerdict;
use Lustrum\Core\CoreException;
use Lustrum\Core\Outcome\ResultKind;
use Lustrum\Core\Statistics\RankSums;
use Lustrum\Core\Statistics\RankTest;
use Lustrum\Core\Statistics\StratifiedRanks;

/** Ratings compared by order alone: from 60 to 70 need not be as far as from 70 to 80, so that only their order is sure. */
final readonly class ByOrder
{
    /**
     * @param float $shift Hodges and Lehmann's, in the unit of the rating; over several strata the mean of theirs
     * @param float $above how far the pairs in which this side lies above the other outweigh the others, from −1 to 1
     * @param int   $n     values used of this side
     * @param int   $nOther of the other
     */
    private function __construct(
        public float $shift,
        public float $p,
        public float $above,
        public int $n,
        public int $nOther,
    ) {
    }

    /**
     * @param list<float> $mine
     * @param list<float> $theirs
     */
    public static function of(array $mine, array $theirs): self
    {
        $test = RankTest::of($theirs, $mine);
        $pairs = count($mine) * count($theirs);

        return new self($test->shift, $test->p, 1 - 2 * $test->u / $pairs, count($mine), count($theirs));
    }

    /**
     * By strata that both sides have, each by its own ranks. Null where they have none, or a run ended before its value came.
     *
     * @param list<AlikeRuns> $runs whose sides are a and b; b is this side
     */
    public static function within(array $runs): ?self
    {
        try {
            $strata = Matched::of($runs)->strata();
        } catch (CoreException) {
            return null;
        }
        $isBounded = array_filter($runs, static fn (AlikeRuns $r): bool => $r->kind !== ResultKind::Equal) !== [];
        if ($isBounded || $strata === []) {
            return null;
        }
        if (count($strata) === 1) {
            return self::of($strata[0]->b, $strata[0]->a);
        }
        $shift = $above = $pairs = 0.0;
        $n = $nOther = 0;
        foreach ($strata as $s) {
            $one = self::of($s->b, $s->a);
            $product = $one->n * $one->nOther;
            [$shift, $above, $pairs] = [$shift + $one->shift / count($strata), $above + $one->above * $product, $pairs + $product];
            [$n, $nOther] = [$n + $one->n, $nOther + $one->nOther];
        }

        return new self(
            $shift, StratifiedRanks::p(array_map(static fn (Stratum $s): RankSums => RankSums::of($s->a, $s->b), $strata)),
            $above / $pairs, $n, $nOther,
        );
    }

    /**
     * What each side came to where both have runs alike.
     *
     * @param list<AlikeRuns>       $runs  whose sides are a and b
     * @param array<string, string> $texts cells as they are said
     * @param list<string>          $words of the scale
     *
     * @return array<string, array{here: Worded, other: Worded}> by cell, as it is said
     */
    public static function cells(array $runs, array $texts, array $words): array
    {
        $values = [];
        foreach ($runs as $run) {
            $known = $values[$texts[$run->cell] ?? ''][$run->side] ?? [];
            $values[$texts[$run->cell] ?? ''][$run->side] = [...$known, ...$run->values];
        }
        $out = [];
        foreach ($values as $cell => $of) {
            [$here, $other] = [Worded::of($words, $of['b'] ?? []), Worded::of($words, $of['a'] ?? [])];
            if ($here !== null && $other !== null) {
                $out[$cell] = ['here' => $here, 'other' => $other];
            }
        }

        return $out;
    }

    public function verdict(Terms $terms): WithinVerdict
    {
        return match (true) {
            $this->n + $this->nOther === 2 => WithinVerdict::Single,
            !$terms->tells() || $this->p >= 1 - $terms->confidence() || $this->above === 0.0 => WithinVerdict::Indistinct,
            default => $this->above > 0 ? WithinVerdict::Higher : WithinVerdict::Lower,
        };
    }
}
