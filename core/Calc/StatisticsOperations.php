<?php

declare(strict_types=1);

namespace Lustrum\Core\Calc;

use Lustrum\Core\InvalidInput;
use Lustrum\Core\Statistics\Compare;
use Lustrum\Core\Statistics\CompareProportions;
use Lustrum\Core\Statistics\Comparison;
use Lustrum\Core\Statistics\Proportion;
use Lustrum\Core\Statistics\Sample;
use Lustrum\Core\Statistics\Tolerance;

final class StatisticsOperations implements OperationGroup
{
    public static function operations(): array
    {
        return [
            new Operation('stats.describe', 'Mean, spread and t interval of the mean.',
                [
                    'values' => 'numbers', 'confidence?' => '0.95', 'prior?' => PriorInput::SHAPE,
                    'resolution?' => 'coarsest step among the values',
                ],
                [
                    'n' => 'count', 'mean' => '', 'sd' => 'null for one', 'se' => 'null for one', 'median' => '', 'min' => '', 'max' => '',
                    'low' => 'null for one', 'high' => 'null for one', 'known' => 'was what is known used? only with prior',
                ],
                static function (Input $in): array {
                    $s = Sample::of($in->numbers('values'));
                    $repeats = PriorInput::read($in);
                    $own = $repeats->on(false, false);
                    $spread = $s->spread($own);
                    $interval = $s->interval($in->confidence(), $own);

                    return PriorInput::said([
                        'n' => $s->n, 'mean' => $s->mean, 'sd' => $spread->sd, 'se' => $spread->se($s->n), 'median' => Sample::median($s->values),
                        'min' => min($s->values), 'max' => max($s->values), 'low' => $interval->low, 'high' => $interval->high,
                        'known' => $repeats->isGiven() ? $spread->isKnown : null,
                    ]);
                }),
            new Operation('stats.compare', 'Two samples: difference b − a (Welch, or paired) and percentage change (Fieller).',
                ['a' => 'numbers', 'b' => 'numbers', 'paired?' => 'true when the i-th of each belong together', 'confidence?' => '0.95'],
                [
                    'mean' => 'a, b', 'difference' => 'estimate, low, high', 'change' => 'percent, low, high, method, note', 't' => '',
                    'df' => '', 'p' => 'two-sided', 'verdict' => 'higher, lower, indistinct, single',
                ],
                static fn (Input $in): array => self::comparison($in->flag('paired')
                    ? Compare::paired($in->numbers('a'), $in->numbers('b'), $in->confidence())
                    : Compare::independent($in->numbers('a'), $in->numbers('b'), $in->confidence()))),
            new Operation('stats.proportion', 'Held n of m with exact bounds.',
                ['held' => 'count', 'tried' => 'count', 'confidence?' => '0.95'],
                ['estimate' => 'share', 'low' => 'two-sided', 'high' => 'two-sided', 'lower' => 'one-sided'],
                static function (Input $in): array {
                    $p = Proportion::of($in->whole('held'), $in->whole('tried'));
                    $interval = $p->interval($in->confidence());

                    return [
                        'estimate' => $interval->estimate, 'low' => $interval->low, 'high' => $interval->high,
                        'lower' => $p->lower($in->confidence()),
                    ];
                }),
            new Operation('stats.compareProportions', 'Two shares: Fisher’s exact test and Newcombe’s interval of the difference b − a.',
                ['a' => 'held, tried', 'b' => 'held, tried', 'confidence?' => '0.95'],
                ['p' => 'two-sided', 'difference' => 'estimate, low, high'],
                static function (Input $in): array {
                    $share = static function (Input $one): Proportion {
                        $one->only(['held', 'tried']);

                        return Proportion::of($one->whole('held'), $one->whole('tried'));
                    };
                    $c = CompareProportions::of($share($in->object('a')), $share($in->object('b')), $in->confidence());

                    return ['p' => $c->p, 'difference' => get_object_vars($c->difference)];
                }),
            new Operation('stats.tolerance', 'Factor and bound beyond which a share of all articles lies (normal).',
                [
                    'n?' => 'count', 'coverage' => 'share of articles', 'confidence?' => '0.95', 'values?' => 'numbers',
                    'side?' => 'lower or upper',
                ],
                ['k' => 'factor', 'bound' => 'null without values'],
                static function (Input $in): array {
                    $sample = $in->has('values') ? Sample::of($in->numbers('values')) : null;
                    $n = $in->has('n') ? $in->whole('n') : ($sample->n ?? throw InvalidInput::because('Give n or the values.', 'n'));
                    if ($sample !== null && $sample->n !== $n) {
                        throw InvalidInput::because(sprintf('n says %d, but there are %d values.', $n, $sample->n), 'n');
                    }
                    $side = $in->text('side', 'lower');
                    if (!in_array($side, ['lower', 'upper'], true)) {
                        throw InvalidInput::because('The side is lower or upper.', 'side');
                    }
                    $coverage = $in->number('coverage');
                    $k = Tolerance::factor($n, $coverage, $in->confidence());

                    return [
                        'k' => $k,
                        'bound' => $sample === null ? null : $sample->mean + ($side === 'lower' ? -1 : 1) * $k * (float) $sample->sd,
                    ];
                }),
        ];
    }

    /** @return array<string, mixed> */
    public static function comparison(Comparison $c): array
    {
        return [
            'mean' => ['a' => $c->meanA, 'b' => $c->meanB],
            'difference' => get_object_vars($c->difference),
            'change' => [
                'percent' => $c->change?->estimate, 'low' => $c->change?->low, 'high' => $c->change?->high, 'method' => $c->method,
                'note' => $c->note,
            ],
            't' => $c->t, 'df' => $c->df, 'p' => $c->p, 'verdict' => $c->verdict->value,
        ];
    }
}
