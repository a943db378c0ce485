<?php

declare(strict_types=1);

namespace Lustrum\Core\Judging;

use Lustrum\Core\Change\ChangeVerdict;
use Lustrum\Core\Change\JudgeChange;
use Lustrum\Core\Run\RunFact;
use Lustrum\Core\Statistics\Compare;
use Lustrum\Core\Statistics\CompareProportions;
use Lustrum\Core\Statistics\Interval;
use Lustrum\Core\Statistics\Proportion;

/** Judges the changes of a build by its runs and its parent's. */
final readonly class ChangesSeen
{
    public function __construct(
        private CompareBuilds $comparisons,
        private float $confidence,
    ) {
    }

    /**
     * @param list<RunFact> $here
     * @param list<RunFact> $there of the parent
     *
     * @return list<ChangeSeen> one for each change of the build
     */
    public function of(Build $build, array $here, array $there): array
    {
        [$mine, $theirs] = [RunFact::byMetric($here), RunFact::byMetric($there)];

        return array_map(function (ChangeFact $change) use ($build, $mine, $theirs): ChangeSeen {
            $together = [];
            foreach ($build->changes as $other) {
                if ($other->id !== $change->id && $change->metric !== '' && $other->metric === $change->metric) {
                    $together[] = $other->what;
                }
            }

            return $this->one($change, $mine[$change->metric] ?? [], $theirs[$change->metric] ?? [], $together);
        }, $build->changes);
    }

    /**
     * @param list<RunFact> $here
     * @param list<RunFact> $there
     * @param list<string>  $together
     */
    private function one(ChangeFact $change, array $here, array $there, array $together): ChangeSeen
    {
        if ($change->metric === '') {
            return new ChangeSeen($change, ChangeVerdict::NobodyLooked, together: $together);
        }
        $shares = $this->shares($change, $here, $there, $together);
        if ($shares !== null) {
            return $shares;
        }
        $wanted = $this->comparisons->wanted($change->metric);
        $unit = $change->unit !== '' ? $change->unit : ($wanted->unit ?? '');
        $mine = Measured::of($change->metric, $here, $unit);
        $theirs = Measured::of($change->metric, $there, $unit);
        [$n, $before] = [count($mine->values), count($theirs->values)];
        if ($n === 0 || $before === 0) {
            return new ChangeSeen($change, ChangeVerdict::NobodyLooked, null, $n, $before, together: $together);
        }
        $comparison = Compare::independent($theirs->values, $mine->values, $this->confidence);
        // Where nothing was expected in numbers, the way that the requirement calls good is what was hoped for.
        $expected = $change->expected ?? (float) ($wanted?->rule->direction->sign() ?? 1);

        return new ChangeSeen(
            $change, JudgeChange::seen($expected, $comparison),
            Figure::of($comparison->difference, $mine->unit, max($mine->decimals, $theirs->decimals), $n), $n, $before, together: $together,
        );
    }

    /**
     * A metric that is shown by whether runs hold; null where it is no such metric, or one side was not tried.
     *
     * @param list<RunFact> $here
     * @param list<RunFact> $there
     * @param list<string>  $together
     */
    private function shares(ChangeFact $change, array $here, array $there, array $together): ?ChangeSeen
    {
        $answered = static fn (array $runs): array => array_values(array_filter(
            $runs, static fn (RunFact $r): bool => $r->answers($change->metric) && ($r->held() || $r->failed()),
        ));
        $heldOf = static fn (array $runs): int => count(array_filter($runs, static fn (RunFact $r): bool => $r->held()));
        $mine = $answered($here);
        $theirs = $answered($there);
        if ($mine === [] || $theirs === []) {
            return null;
        }
        [$held, $before] = [$heldOf($mine), $heldOf($theirs)];
        $allHeld = $held === count($mine) && $before === count($theirs);
        $c = CompareProportions::of(
            Proportion::of($before, count($theirs)), Proportion::of($held, count($mine)), $this->confidence,
        )->difference;
        $verdict = match (true) {
            $allHeld => ChangeVerdict::NobodyLooked,
            $c->low > 0 => ChangeVerdict::Fixed,
            $c->high < 0 => ChangeVerdict::Worse,
            default => ChangeVerdict::NoEffect,
        };
        $points = Figure::of(new Interval(100 * $c->estimate, 100 * (float) $c->low, 100 * (float) $c->high), '%', 0);

        return new ChangeSeen($change, $verdict, null, count($mine), count($theirs), $held, $before, $allHeld ? null : $points, $together);
    }
}
