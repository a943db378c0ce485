<?php

declare(strict_types=1);

namespace Lustrum\Core\Calc;

use Lustrum\Core\Curve\Decimate;
use Lustrum\Core\Curve\Exponential;
use Lustrum\Core\Curve\Milestones;
use Lustrum\Core\Curve\Optimum;
use Lustrum\Core\Curve\Returns;
use Lustrum\Core\Curve\Samples;
use Lustrum\Core\InvalidInput;

/** Curves. */
final class CurveOperations implements OperationGroup
{
    public static function operations(): array
    {
        return [
            new Operation('curve.milestones', 'When a curve first reaches given values.',
                ['t' => 'rising', 'y' => 'numbers', 'targets' => 'numbers'], ['times' => 'null where never reached'],
                static fn (Input $in): array => [
                    'times' => Milestones::of(Samples::of($in->numbers('t'), $in->numbers('y')), $in->numbers('targets')),
                ]),
            new Operation('curve.exponential', 'Warming or cooling: y = ambient + (start − ambient)·e^(−k·t).',
                ['t' => 'rising', 'y' => 'numbers', 'ambient?' => 'fitted where not given', 'confidence?' => '0.95'], [
                    'k' => 'rate', 'ambient' => '', 'start' => '', 'rmse' => '', 'se' => 'of k', 'low' => 'of k, null without degrees',
                    'high' => 'of k',
                ],
                static fn (Input $in): array => get_object_vars(
                    Exponential::fit(Samples::of($in->numbers('t'), $in->numbers('y')), $in->numberOrNull('ambient'), $in->confidence()),
                )),
            new Operation('curve.standardise', 'How long from one value to another at a known rate.',
                ['k' => 'rate', 'from' => '', 'to' => '', 'ambient' => ''], ['time' => ''],
                static fn (Input $in): array => [
                    'time' => Exponential::time($in->number('k'), $in->number('from'), $in->number('to'), $in->number('ambient')),
                ]),
            new Operation('curve.optimum', 'Where a quadratic through the points is best.',
                ['x' => 'numbers', 'y' => 'numbers', 'direction' => 'maximum or minimum', 'confidence?' => '0.95'],
                ['at' => '', 'low' => '', 'high' => '', 'value' => 'there', 'inside' => 'between the points'],
                static fn (Input $in): array => get_object_vars(Optimum::of($in->numbers('x'), $in->numbers('y'), match ($in->text('direction')) {
                    'maximum' => true,
                    'minimum' => false,
                    default => throw InvalidInput::because('The direction is maximum or minimum.', 'direction'),
                }, $in->confidence()))),
            new Operation('curve.returns', 'Does adding more of the same still pay?',
                [
                    'amount' => 'rising', 'result' => 'numbers', 'cost?' => 'of each amount',
                    'noise?' => 'least gain that can be told from chance',
                ],
                ['steps' => 'from, to, gain, perAmount, perCost', 'stops' => 'first step under the noise, or null'],
                static fn (Input $in): array => get_object_vars(
                    Returns::of(
                        $in->numbers('amount'), $in->numbers('result'), $in->has('cost') ? $in->numbers('cost') : null,
                        $in->numberOrNull('noise'),
                    ),
                )),
            new Operation('curve.decimate', 'Fewer points for a screen, with extremes and gaps kept.',
                ['t' => 'rising', 'y' => 'numbers, null for a gap', 'points' => 'about so many'], ['t' => '', 'y' => ''],
                static fn (Input $in): array => get_object_vars(
                    Decimate::of($in->numbers('t'), $in->numbersOrNulls('y'), $in->whole('points')),
                )),
        ];
    }
}
