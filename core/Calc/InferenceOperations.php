<?php

declare(strict_types=1);

namespace Lustrum\Core\Calc;

use Lustrum\Core\InvalidInput;
use Lustrum\Core\NotEstimable;
use Lustrum\Core\Statistics\Anova;
use Lustrum\Core\Statistics\Distribution\Binomial;
use Lustrum\Core\Statistics\Friedman;
use Lustrum\Core\Statistics\Holm;
use Lustrum\Core\Statistics\Interval;
use Lustrum\Core\Statistics\Planning;
use Lustrum\Core\Statistics\Proportion;
use Lustrum\Core\Statistics\RankTest;
use Lustrum\Core\Statistics\Regression;

/** Tests and models of the statistics. */
final class InferenceOperations implements OperationGroup
{
    public static function operations(): array
    {
        return [
            new Operation('stats.rank', 'Mann–Whitney: two samples by order alone, with the Hodges–Lehmann shift.',
                ['a' => 'numbers', 'b' => 'numbers'],
                [
                    'u' => 'pairs with a above b, ties half', 'p' => 'two-sided', 'shift' => 'median of b − a',
                    'method' => 'exact, or normal where there are more than 20,000 ways',
                ],
                static fn (Input $in): array => get_object_vars(RankTest::of($in->numbers('a'), $in->numbers('b')))),
            new Operation('stats.binomial', 'Chance of at least so many by luck alone.',
                ['held' => 'count', 'tried' => 'count', 'chance' => 'share by luck'],
                ['p' => 'P(X ≥ held)'],
                static function (Input $in): array {
                    $p = Proportion::of($in->whole('held'), $in->whole('tried'));
                    $chance = $in->number('chance');

                    return [
                        'p' => $chance >= 0 && $chance <= 1 ? Binomial::atLeast($p->held, $p->tried, $chance) : throw InvalidInput::because(
                            'A chance lies between 0 and 1.', 'chance',
                        ),
                    ];
                }),
            new Operation('stats.demonstration', 'The least number of trials that shows a reliability although so many fail.',
                ['reliability' => 'share', 'confidence?' => '0.95', 'failures?' => 'allowed, 0'],
                ['trials' => 'count'],
                static fn (Input $in): array => [
                    'trials' => Planning::demonstration($in->number('reliability'), $in->confidence(), $in->whole('failures', 0)),
                ]),
            new Operation('stats.sampleSize', 'Runs an arm for a difference, or the difference that a number of runs finds (two-sided t test).',
                [
                    'sd' => 'spread', 'difference?' => 'to be found', 'perArm?' => 'runs', 'power?' => '0.8', 'confidence?' => '0.95',
                    'paired?' => 'true: sd is that of the differences',
                ],
                ['perArm' => 'runs an arm', 'difference' => 'found with this power', 'power' => 'reached'],
                static function (Input $in): array {
                    $sd = $in->number('sd');
                    $power = $in->number('power', 0.8);
                    $paired = $in->flag('paired');
                    if ($in->has('difference') === $in->has('perArm')) {
                        throw InvalidInput::because('Give either the difference or the runs an arm.', 'difference');
                    }
                    $perArm = $in->has('perArm') ? $in->whole('perArm') : Planning::perArm(
                        $sd, $in->number('difference'), $power, $in->confidence(), $paired,
                    );
                    $difference = $in->has('difference') ? $in->number('difference') : Planning::difference(
                        $sd, $perArm, $power, $in->confidence(), $paired,
                    );

                    return [
                        'perArm' => $perArm, 'difference' => $difference,
                        'power' => Planning::power($sd, $difference, $perArm, $in->confidence(), $paired),
                    ];
                }),
            new Operation('stats.anova', 'Analysis of variance, type II, by least squares; empty cells allowed.',
                ['y' => 'numbers', 'factors' => 'name: level of each y', 'interactions?' => 'lists of names that act together'],
                ['terms' => 'name, df, ss, ms, f, p', 'residual' => 'df, ss, ms', 'effects' => 'adjusted means by factor'],
                static fn (Input $in): array => get_object_vars(
                    Anova::of($in->numbers('y'), $in->textLists('factors'), $in->lists('interactions')),
                )),
            new Operation('stats.friedman', 'Do raters order items alike? Ties corrected; Kendall’s W.',
                ['blocks' => 'a row of numbers for each rater'],
                ['chi2' => '', 'df' => '', 'p' => '', 'w' => 'agreement, 0 to 1'],
                static fn (Input $in): array => get_object_vars(Friedman::of($in->rows('blocks')))),
            new Operation('stats.regress', 'Least squares: a polynomial in one x, or a plane in several.',
                [
                    'x' => 'numbers, or rows of numbers', 'y' => 'numbers', 'degree?' => '1', 'at?' => 'where to predict',
                    'confidence?' => '0.95',
                ],
                [
                    'coefficients' => 'estimate and se, constant first', 'r2' => '', 'residualSd' => 'null where none can be told',
                    'df' => '', 'predictions' => 'estimate, low, high of a new observation',
                ],
                self::regress(...)),
            new Operation('stats.holm', 'Several p at once.', ['p' => 'numbers'], ['adjusted' => 'in the same order'],
                static fn (Input $in): array => ['adjusted' => Holm::adjust($in->numbers('p'))]),
        ];
    }

    /** @return array<string, mixed> */
    private static function regress(Input $in): array
    {
        $rows = $in->hasRows('x');
        if ($rows) {
            $x = $in->rows('x');
            $x !== [] || throw NotEstimable::because('values.empty', 'There are no values yet.', 'x');
            $fit = Regression::plane($x, $in->numbers('y'));
            $at = $in->has('at') ? $in->rows('at') : [];
            foreach ($at as $i => $row) {
                count($row) === count($x[0]) || throw InvalidInput::because('A place needs as many numbers as a row of x.', 'at/'.$i);
            }
        } else {
            $fit = Regression::polynomial($in->numbers('x'), $in->numbers('y'), $in->whole('degree', 1));
            $at = array_map(static fn (float $v): array => [$v], $in->has('at') ? $in->numbers('at') : []);
        }

        return [
            'coefficients' => $fit->coefficients, 'r2' => $fit->r2, 'residualSd' => $fit->residualSd, 'df' => $fit->df,
            'predictions' => array_map(
                static fn (array $terms): Interval => $terms === [] ? throw InvalidInput::because(
                    'A place needs its numbers.', 'at',
                ) : $fit->predict($terms, $in->confidence()),
                $at,
            ),
        ];
    }
}
