<?php

declare(strict_types=1);

namespace Lustrum\Core\Calc;

use Lustrum\Core\InvalidInput;
use Lustrum\Core\Panel\PairedComparisons;
use Lustrum\Core\Panel\Ratings;
use Lustrum\Core\Panel\ServingOrders;
use Lustrum\Core\Plan\Minutes;
use Lustrum\Core\Plan\Order;
use Lustrum\Core\Plan\Plan;
use Lustrum\Core\Plan\Shuffle;

/** Plans and panels. */
final class PlanOperations implements OperationGroup
{
    private const TIMES = ['minutes?' => 'setUp, run, reset, change of level'];
    private const CHANCE = ['order?' => 'asGiven, random, blocks', 'seed?' => 'whole number, 1', 'sd?' => 'expected spread'];
    private const OUT = [
        'runs' => 'number, repeat, setting', 'minutes' => 'in all', 'smallestDifference' => 'found with 80 % power; null without sd',
        'generator' => 'of the chance',
    ];

    public static function operations(): array
    {
        return [
            new Operation('plan.ladder', 'Lowest rung first, each repeated before the next.',
                ['levels' => 'numbers', 'repeats?' => '1'] + self::TIMES, self::OUT,
                static fn (Input $in): array => self::answer(
                    Plan::ladder($in->numbers('levels'), $in->whole('repeats', 1), self::minutes($in)),
                )),
            new Operation('plan.sweep', 'One quantity over several levels.',
                ['levels' => 'numbers', 'repeats?' => '1'] + self::CHANCE + self::TIMES, self::OUT,
                static fn (Input $in): array => self::answer(
                    Plan::sweep(
                        $in->numbers('levels'), $in->whole('repeats', 1), self::order($in), $in->whole('seed', 1), self::minutes($in),
                        $in->numberOrNull('sd'),
                    ),
                )),
            new Operation('plan.matrix', 'All combinations of several factors.',
                ['factors' => 'name: levels', 'repeats?' => '1'] + self::CHANCE + self::TIMES, self::OUT,
                static fn (Input $in): array => self::answer(
                    Plan::matrix(
                        $in->textLists('factors'), $in->whole('repeats', 1), self::order($in), $in->whole('seed', 1), self::minutes($in),
                        $in->numberOrNull('sd'),
                    ),
                )),
            new Operation('plan.pairs', 'Two arms side by side in every pair.',
                ['arms' => 'two names', 'repeats?' => 'pairs, 1'] + self::CHANCE + self::TIMES, self::OUT,
                static function (Input $in): array {
                    $arms = $in->texts('arms');
                    if (count($arms) !== 2) {
                        throw InvalidInput::because('A pair has two arms.', 'arms');
                    }

                    return self::answer(
                        Plan::pairs(
                            [$arms[0], $arms[1]], $in->whole('repeats', 1), self::order($in), $in->whole('seed', 1), self::minutes($in),
                            $in->numberOrNull('sd'),
                        ),
                    );
                }),
            new Operation('plan.panel', 'Serving orders for a blind panel: Williams’ design.',
                ['items' => 'names', 'raters' => 'count', 'seed?' => 'whole number, 1'],
                [
                    'raters' => 'rater, order, codes', 'codes' => 'item: three digits', 'balance' => 'round, place, after, balanced',
                    'generator' => 'of the chance',
                ],
                static fn (Input $in): array => get_object_vars(
                    ServingOrders::of($in->texts('items'), $in->whole('raters'), $in->whole('seed', 1)),
                ) + ['generator' => Shuffle::GENERATOR]),
            new Operation('panel.analyse', 'What a panel says, within raters.',
                ['ratings' => 'list of rater, item, value', 'confidence?' => '0.95'],
                [
                    'items' => 'item, mean, n, low, high', 'differences' => 'a, b, n, estimate (b − a), low, high, p, adjusted (Holm)',
                    'friedman' => 'chi2, df, p; null', 'agreement' => 'Kendall’s W; null',
                ],
                static function (Input $in): array {
                    $panel = Ratings::of(array_map(static function (Input $r): array {
                        $r->only(['rater', 'item', 'value']);

                        return ['rater' => $r->text('rater'), 'item' => $r->text('item'), 'value' => $r->number('value')];
                    }, $in->objects('ratings')), $in->confidence());

                    return [
                        'items' => $panel->items, 'differences' => $panel->differences,
                        'friedman' => $panel->friedman === null ? null : [
                            'chi2' => $panel->friedman->chi2, 'df' => $panel->friedman->df, 'p' => $panel->friedman->p,
                        ],
                        'agreement' => $panel->friedman?->w,
                    ];
                }),
            new Operation('panel.rank', 'Which of two is preferred: Bradley–Terry strengths.',
                ['comparisons' => 'list of winner, loser'],
                ['strengths' => 'sum 1', 'se' => 'of their logarithms', 'preference' => 'chance that the first is preferred to the second'],
                static fn (Input $in): array => get_object_vars(PairedComparisons::of(array_map(static function (Input $c): array {
                    $c->only(['winner', 'loser']);
                    if ($c->text('winner') === $c->text('loser')) {
                        throw InvalidInput::because('Nothing is compared with itself.', $c->at('loser'));
                    }

                    return ['winner' => $c->text('winner'), 'loser' => $c->text('loser')];
                }, $in->objects('comparisons'))))),
        ];
    }

    /** @return array<string, mixed> */
    private static function answer(Plan $plan): array
    {
        return get_object_vars($plan) + ['generator' => Shuffle::GENERATOR];
    }

    private static function minutes(Input $in): Minutes
    {
        if (!$in->has('minutes')) {
            return new Minutes();
        }
        $m = $in->object('minutes');
        $m->only(['setUp', 'run', 'reset', 'change']);

        return new Minutes($m->number('setUp', 0), $m->number('run', 0), $m->number('reset', 0), $m->number('change', 0));
    }

    private static function order(Input $in): Order
    {
        return $in->one('order', Order::class, Order::AsGiven);
    }
}
