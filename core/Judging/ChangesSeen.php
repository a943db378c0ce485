<?php

declare(strict_types=1);

namespace Lustrum\Core\Judging;

use Lustrum\Core\Alike\CompareWithin;
use Lustrum\Core\Alike\Per;
use Lustrum\Core\Alike\WithinVerdict;
use Lustrum\Core\Change\ChangeVerdict;
use Lustrum\Core\Change\Expectation;
use Lustrum\Core\Change\ExpectedAs;
use Lustrum\Core\Change\JudgeChange;
use Lustrum\Core\Statistics\Interval;

/** Judges the changes of a build by its runs and its parent's. */
final readonly class ChangesSeen
{
    /** @var \Closure(string): Terms by metric */
    private \Closure $terms;

    /** @param (callable(string): Terms)|null $terms by metric; null: the same plain ones for all */
    public function __construct(
        private CompareBuilds $comparisons,
        float $confidence,
        ?callable $terms = null,
    ) {
        $this->terms = $terms === null ? static fn (string $metric): Terms => new Terms($confidence) : $terms(...);
    }

    /**
     * @param Seen       $there  of the parent
     * @param Build|null $parent whose differences nobody explained bear on every metric; null: none is looked for
     * @param Seen|null  $all    of a parent whose arm was chosen, what its runs say of all arms
     *
     * @return list<ChangeSeen> one for each effect that is expected of a change of the build, and one for a change without any
     */
    public function of(Build $build, Seen $here, Seen $there, ?Build $parent = null, ?Seen $all = null): array
    {
        [$here, $there] = [$here->asBuilt(), $there->asBuilt()];
        $unexplained = $parent === null ? [] : Differences::unexplained(Differences::between($parent, $build), $build->changes);
        $out = [];
        foreach ($build->changes as $change) {
            if ($change->effects === []) {
                $out[] = new ChangeSeen($change, null, ChangeVerdict::NobodyLooked);
            }
            foreach ($change->effects as $effect) {
                $out[] = $this->one($change, $effect, $here, $there, [
                    ...self::together($build, $change, $effect), ...$this->bearing($unexplained, $effect, $build->unrelated),
                ], $parent === null || $all === null ? null : DrawnIn::runs($parent, $all->asBuilt(), $effect->metric));
            }
        }

        return $out;
    }

    /**
     * Changes that one comparison cannot tell apart: several that are expected to move its metric.
     *
     * @param list<ChangeFact> $changes between the two builds
     *
     * @return list<string> their names; none where there is one, or none
     */
    public static function acting(array $changes, string $metric): array
    {
        $acting = array_filter($changes, static fn (ChangeFact $c): bool => in_array(
            $metric, array_map(static fn (Expectation $e): string => $e->metric, $c->effects), true,
        ));

        return count($acting) < 2 ? [] : array_values(array_map(static fn (ChangeFact $c): string => $c->what, $acting));
    }

    /** @return list<string> other changes that are expected to move the same metric, or answer the same failure */
    private static function together(Build $build, ChangeFact $change, Expectation $effect): array
    {
        $out = [];
        foreach ($build->changes as $other) {
            $metrics = array_map(static fn (Expectation $e): string => $e->metric, $other->effects);
            $isOfSame = in_array($effect->metric, $metrics, true) || array_intersect($other->against, $change->against) !== [];
            if ($other->id !== $change->id && $isOfSame) {
                $out[] = $other->what;
            }
        }

        return $out;
    }

    /**
     * A difference that nobody wrote a change for bears on every metric that its class bears on, until somebody says otherwise.
     *
     * @param list<Difference> $unexplained
     *
     * @return list<string>
     */
    private function bearing(array $unexplained, Expectation $effect, Unrelated $unrelated): array
    {
        $bear = Differences::that($unexplained, $this->comparisons->dependsOn($effect->metric), $unrelated->to($effect->metric));

        return array_map(static fn (Difference $d): string => $d->name, $bear);
    }

    /**
     * @param list<string>     $together
     * @param list<Bunch>|null $drawn    runs of the parent, where they chose its arm
     */
    private function one(
        ChangeFact $change, Expectation $effect, Seen $here, Seen $there, array $together, ?array $drawn,
    ): ChangeSeen {
        $shares = $this->shares($change, $effect, $here, $there, $together);
        if ($shares !== null) {
            return $shares;
        }
        $wanted = $this->comparisons->wanted($effect->metric);
        $unit = $effect->unit !== '' && $effect->mode !== ExpectedAs::Percent ? $effect->unit : ($wanted->unit ?? '');
        $mine = Measured::of($here->read($effect->metric), $unit);
        $theirs = Measured::of($drawn ?? $there->read($effect->metric), $unit);
        [$n, $before] = [count($mine->values), count($theirs->values)];
        if ($n === 0 || $before === 0) {
            return new ChangeSeen($change, $effect, ChangeVerdict::NobodyLooked, null, $n, $before, together: $together);
        }
        $terms = ($this->terms)($effect->metric);
        $opposed = Opposed::of($mine, $theirs, $terms);
        if ($terms->words !== []) {
            return $this->words($change, $effect, $opposed, $mine, $theirs, $together, $terms);
        }
        $within = $opposed->within;
        if ($within === null || $within->verdict === WithinVerdict::ByCell) {
            return new ChangeSeen(
                $change, $effect, ChangeVerdict::CannotTell, null, $n, $before, together: $together,
                why: $within === null ? 'unmatched' : 'byLevel',
            );
        }
        $decimals = max($mine->decimals, $theirs->decimals);

        return new ChangeSeen(
            $change, $effect, $terms->tells() ? self::judge(
                $effect, $wanted, $within, $opposed->lying($terms) ?? $within, 10.0 ** -$decimals,
            ) : ChangeVerdict::CannotTell,
            Figure::of($within->difference, $mine->unit, $decimals, $within->n['b'])->within($terms->natural($mine->unit)->ofDifference()),
            $within->n['b'], $within->n['a'], together: $together, look: $terms->look, ofArticles: $within->per === Per::Article,
            drawnIn: $drawn !== null,
        );
    }

    /**
     * Words have an order, and no distances: no size that was expected of them can be told.
     *
     * @param list<string> $together
     */
    private function words(
        ChangeFact $change, Expectation $effect, Opposed $opposed, Measured $mine, Measured $theirs, array $together, Terms $terms,
    ): ChangeSeen {
        $order = ByOrder::within($opposed->pairing->runs);
        $way = match ($effect->mode) {
            ExpectedAs::More => 1,
            ExpectedAs::Less => -1,
            ExpectedAs::Unchanged => 0,
            default => (int) ($effect->likely() <=> 0.0) ?: ($this->comparisons->wanted($effect->metric)?->rule->direction->sign() ?? 0),
        };
        $moved = match ($order?->verdict($terms)) {
            WithinVerdict::Higher => 1,
            WithinVerdict::Lower => -1,
            default => 0,
        };

        $cells = array_values(ByOrder::cells($opposed->pairing->runs, $opposed->pairing->texts, $terms->words));
        $one = count($cells) === 1 ? $cells[0] : null;

        return new ChangeSeen($change, $effect, match (true) {
            $moved === 0 => ChangeVerdict::CannotTell,
            $moved === $way => ChangeVerdict::Better,
            default => $way === 0 && $effect->mode !== ExpectedAs::Unchanged ? ChangeVerdict::CannotTell : ChangeVerdict::Worse,
        }, null, $order->n ?? count($mine->values), $order->nOther ?? count($theirs->values), together: $together,
            why: $order === null ? 'unmatched' : '', look: $terms->look, order: $order, here: $one['here'] ?? null,
            before: $one['other'] ?? null);
    }

    /**
     * Where no size was expected, the way that the requirement calls good is what was hoped for; where none says which way is
     * good, nobody can call it better or worse.
     *
     * @param CompareWithin $lying the same at the confidence of a claim to lie within something
     * @param float         $step  of the last digit: what stays within it has not moved
     */
    private static function judge(Expectation $e, ?Wanted $wanted, CompareWithin $within, CompareWithin $lying, float $step): ChangeVerdict
    {
        $difference = $within->difference;
        $way = $wanted?->rule->direction->sign();
        if ($e->mode === ExpectedAs::Percent) {
            $per = self::percent($within);

            return $per === null ? ChangeVerdict::CannotTell : self::amount($e, $per, self::percent($lying), $way);
        }

        return match ($e->mode) {
            ExpectedAs::Value => self::amount($e->less(self::before($within)), $difference, $lying->difference, $way),
            ExpectedAs::Unchanged => JudgeChange::staying($e->margin ?? $step, $difference, $lying->difference),
            ExpectedAs::More, ExpectedAs::Less => self::towards(
                $e->mode === ExpectedAs::More ? 1 : -1, $difference, $lying->difference, $step,
            ),
            default => $e->likely() === 0.0 && $e->margin !== null
                ? JudgeChange::staying($e->margin, $difference, $lying->difference) : self::amount($e, $difference, $lying->difference, $way),
        };
    }

    private static function percent(CompareWithin $within): ?Interval
    {
        $change = $within->change;

        return $change->percent === null ? null : new Interval($change->percent, $change->low, $change->high);
    }

    /** @param int|null $way that is good; null: nobody said */
    private static function amount(Expectation $e, Interval $difference, ?Interval $lying, ?int $way): ChangeVerdict
    {
        [$least, $likely] = [$e->least() ?? 0.0, $e->likely() ?? 0.0];
        if ($likely !== 0.0) {
            return JudgeChange::range($least, $likely, $difference, $lying);
        }

        return $way === null ? ChangeVerdict::CannotTell : JudgeChange::towards($way, $difference);
    }

    private static function towards(int $sign, Interval $difference, Interval $lying, float $step): ChangeVerdict
    {
        $isStill = $lying->low !== null && $lying->high !== null && $lying->low > -$step && $lying->high < $step;

        return $isStill ? ChangeVerdict::NoEffect : JudgeChange::towards($sign, $difference);
    }

    /** The mean of the earlier side, each level weighed as in the difference. */
    private static function before(CompareWithin $within): float
    {
        $sum = $weights = 0.0;
        foreach ($within->cells as $cell) {
            $weight = $cell->na * $cell->nb / ($cell->na + $cell->nb);
            $sum += $weight * $cell->a;
            $weights += $weight;
        }

        return $weights > 0 ? $sum / $weights : 0.0;
    }

    /**
     * A metric that is shown by whether runs hold; null where it is no such metric, or one side was not tried.
     *
     * @param list<string> $together
     */
    private function shares(ChangeFact $change, Expectation $effect, Seen $here, Seen $there, array $together): ?ChangeSeen
    {
        [$mine, $theirs] = [$here->answered($effect->metric), $there->answered($effect->metric)];
        if ($mine === null || $theirs === null) {
            return null;
        }
        $terms = ($this->terms)($effect->metric);
        $within = CompareOutcomes::within($mine, $theirs, $terms->confidence());
        if ($within === null) {
            return new ChangeSeen(
                $change, $effect, ChangeVerdict::CannotTell, null, $mine->tried, $theirs->tried, together: $together, why: 'unmatched',
            );
        }
        $alike = AlikeShares::of($within);

        return new ChangeSeen(
            $change, $effect, match (true) {
                // All held before as well: so far this trial does not tell them apart.
                $alike->allHeld(), !$terms->tells() => ChangeVerdict::CannotTell,
                default => JudgeChange::towards($effect->mode === ExpectedAs::Less ? -1 : 1, $within->difference),
            },
            null, $alike->triedHere, $alike->triedThere, $alike->heldHere, $alike->heldThere, Figure::of(
                new Interval(
                    100 * $within->difference->estimate, 100 * (float) $within->difference->low, 100 * (float) $within->difference->high,
                ), '%', 0,
            ), $together, '', $terms->look,
        );
    }
}
