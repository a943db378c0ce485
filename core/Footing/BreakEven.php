<?php

declare(strict_types=1);

namespace Lustrum\Core\Footing;

use Lustrum\Core\Curve\Exponential;
use Lustrum\Core\Curve\Samples;
use Lustrum\Core\InvalidInput;
use Lustrum\Core\NotEstimable;
use Lustrum\Core\Statistics\Compare;
use Lustrum\Core\Statistics\Distribution\Solve;
use Lustrum\Core\Statistics\NoValues;

/** At which value of a condition that nobody wrote down on one side the two sides would be equal (`compare.breakEven`). */
final class BreakEven
{
    /** Of the interval of the difference. */
    private const CONFIDENCE = 0.95;

    /** The surroundings are looked for so many powers of e nearer to and farther from the course than it is long. */
    private const REACH = 12.0;
    private const STEP = 0.5;

    /**
     * Where the condition acts in a straight line.
     *
     * @param list<float> $a
     * @param list<float> $b
     * @param float|null  $conditionA exactly one of the two is null
     * @param float       $slope      of the result with the condition
     *
     * @throws InvalidInput|NotEstimable|NoValues
     */
    public static function slope(array $a, ?float $conditionA, array $b, ?float $conditionB, float $slope): Turn
    {
        $side = self::unknown($conditionA, $conditionB);
        if ($slope === 0.0) {
            throw self::none();
        }
        $difference = Compare::independent($a, $b, self::CONFIDENCE)->difference;
        $sign = $side === 'a' ? -1 : 1;
        $at = static fn (float $d): float => (float) ($conditionA ?? $conditionB) + $sign * $d / $slope;
        $ends = $difference->low === null || $difference->high === null ? [null, null] : [$at($difference->low), $at($difference->high)];
        sort($ends);

        return Turn::at($side, $at($difference->estimate), $sign * $slope < 0, $ends[0], $ends[1]);
    }

    /**
     * Where results are courses that go towards the condition exponentially: compared is the rate.
     *
     * @throws InvalidInput|NotEstimable
     */
    public static function course(Samples $a, ?float $conditionA, Samples $b, ?float $conditionB): Turn
    {
        $side = self::unknown($conditionA, $conditionB);
        [$known, $other] = $side === 'a' ? [$b, $a] : [$a, $b];
        $rate = Exponential::fit($known, $conditionA ?? $conditionB)->k;
        [$least, $most] = $other->range();
        $falls = $other->y[count($other->y) - 1] < $other->y[0];
        // The surroundings lie beyond the last of the course: below what falls, above what rises.
        $beyond = static fn (float $u): float => $falls ? $least - exp($u) : $most + exp($u);
        $f = static fn (float $u): float => Exponential::fit($other, $beyond($u))->k - $rate;
        $u = self::root($f, log(max(1e-12, $most - $least)));

        // A rate is the greater, the nearer the surroundings are to the end of the course.
        return Turn::at($side, $beyond($u), $falls === ($side === 'b'));
    }

    /**
     * @param callable(float): float $f that cannot be told everywhere
     *
     * @throws NotEstimable
     */
    private static function root(callable $f, float $size): float
    {
        $before = null;
        for ($u = $size - self::REACH; $u <= $size + self::REACH; $u += self::STEP) {
            try {
                $value = $f($u);
            } catch (NotEstimable) {
                // Too near, and the course would be over at once; too far, and it would be a straight line.
                $before = null;
                continue;
            }
            if ($before !== null && ($before[1] > 0) !== ($value > 0)) {
                return Solve::root($f, $before[0], $u);
            }
            $before = [$u, $value];
        }
        throw self::none();
    }

    /**
     * @return 'a'|'b'
     *
     * @throws InvalidInput
     */
    private static function unknown(?float $conditionA, ?float $conditionB): string
    {
        if (($conditionA === null) === ($conditionB === null)) {
            throw InvalidInput::because('Exactly one side does not know its condition.', 'a/condition');
        }

        return $conditionA === null ? 'a' : 'b';
    }

    private static function none(): NotEstimable
    {
        return NotEstimable::because('turn.none', 'No value of this condition would make the two sides equal.', 'effect');
    }
}
