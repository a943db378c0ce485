<?php

declare(strict_types=1);

namespace Lustrum\Core\Judging;

use Lustrum\Core\Alike\WithinVerdict;
use Lustrum\Core\Change\ChangeVerdict;
use Lustrum\Core\Change\JudgeChange;
use Lustrum\Core\Statistics\Interval;

/** Judges the changes of a build by its runs and its parent's. */
final readonly class ChangesSeen
{
    public function __construct(
        private CompareBuilds $comparisons,
        private float $confidence,
    ) {
    }

    /**
     * @param Seen $there of the parent
     *
     * @return list<ChangeSeen> one for each change of the build
     */
    public function of(Build $build, Seen $here, Seen $there): array
    {
        return array_map(function (ChangeFact $change) use ($build, $here, $there): ChangeSeen {
            $together = [];
            foreach ($build->changes as $other) {
                if ($other->id !== $change->id && $change->metric !== '' && $other->metric === $change->metric) {
                    $together[] = $other->what;
                }
            }

            return $this->one($change, $here, $there, $together);
        }, $build->changes);
    }

    /** @param list<string> $together */
    private function one(ChangeFact $change, Seen $here, Seen $there, array $together): ChangeSeen
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
        $mine = Measured::of($here->read($change->metric), $unit);
        $theirs = Measured::of($there->read($change->metric), $unit);
        [$n, $before] = [count($mine->values), count($theirs->values)];
        if ($n === 0 || $before === 0) {
            return new ChangeSeen($change, ChangeVerdict::NobodyLooked, null, $n, $before, together: $together);
        }
        $within = Opposed::of($mine, $theirs, $this->confidence)->within;
        if ($within === null || $within->verdict === WithinVerdict::ByCell) {
            return new ChangeSeen(
                $change, ChangeVerdict::CannotTell, null, $n, $before, together: $together,
                why: $within === null ? 'unmatched' : 'byLevel',
            );
        }
        $difference = $within->difference;
        [$n, $before] = [$within->n['b'], $within->n['a']];

        return new ChangeSeen(
            $change, self::judge($change, $wanted, $difference), Figure::of(
                $difference, $mine->unit, max($mine->decimals, $theirs->decimals), $n,
            ), $n, $before, together: $together,
        );
    }

    /**
     * Where no size was expected, or that nothing changes, the way that the requirement calls good is what was hoped for; where
     * none says which way is good, nobody can call it better or worse.
     */
    private static function judge(ChangeFact $change, ?Wanted $wanted, Interval $difference): ChangeVerdict
    {
        $expected = $change->expected ?? 0.0;
        if ($expected !== 0.0) {
            return JudgeChange::seen($expected, $difference);
        }

        return $wanted === null ? ChangeVerdict::CannotTell : JudgeChange::towards($wanted->rule->direction->sign(), $difference);
    }

    /**
     * A metric that is shown by whether runs hold; null where it is no such metric, or one side was not tried.
     *
     * @param list<string> $together
     */
    private function shares(ChangeFact $change, Seen $here, Seen $there, array $together): ?ChangeSeen
    {
        [$mine, $theirs] = [$here->answered($change->metric), $there->answered($change->metric)];
        if ($mine === null || $theirs === null) {
            return null;
        }
        $c = CompareOutcomes::within($mine, $theirs, $this->confidence)?->difference;
        $allHeld = $mine->held === $mine->tried && $theirs->held === $theirs->tried;

        return new ChangeSeen(
            $change, match (true) {
                // All held before as well: so far this trial does not tell them apart.
                $c === null, $allHeld => ChangeVerdict::CannotTell,
                default => JudgeChange::towards(1, $c),
            },
            null, $mine->tried, $theirs->tried, $mine->held, $theirs->held, $c === null ? null : Figure::of(
                new Interval(100 * $c->estimate, 100 * (float) $c->low, 100 * (float) $c->high), '%', 0,
            ), $together, $c === null ? 'unmatched' : '',
        );
    }
}
