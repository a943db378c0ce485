<?php

declare(strict_types=1);

namespace Lustrum\Core\Calc;

use Lustrum\Core\Reliability\Growth;
use Lustrum\Core\Reliability\KaplanMeier;
use Lustrum\Core\Reliability\Lives;
use Lustrum\Core\Reliability\LogRank;
use Lustrum\Core\Reliability\Weibull;
use Lustrum\Core\Statistics\Interval;
use Lustrum\Core\Threshold\Ladder;
use Lustrum\Core\Threshold\Logit;
use Lustrum\Core\Threshold\Staircase;

/** Thresholds and lives. */
final class LifeOperations implements OperationGroup
{
    public static function operations(): array
    {
        return [
            new Operation('threshold.ladder', 'Rungs of rising level: how high it holds.',
                ['rungs' => 'list of level, held, tried', 'confidence?' => '0.95'],
                [
                    'highestHeld' => 'nothing failed at or below it; null', 'lowestFailed' => 'null',
                    'censored' => 'nothing failed: a lower bound', 'rungs' => 'level, held, tried, estimate, low, high',
                ],
                static function (Input $in): array {
                    $ladder = Ladder::of(array_map(static function (Input $rung): array {
                        $rung->only(['level', 'held', 'tried']);

                        return ['level' => $rung->number('level'), 'held' => $rung->whole('held'), 'tried' => $rung->whole('tried')];
                    }, $in->objects('rungs')), $in->confidence());

                    return ['highestHeld' => $ladder->highestHeld, 'lowestFailed' => $ladder->lowestFailed, 'censored' => $ladder->censored,
                        'rungs' => array_map(
                            static fn (array $r): array => [
                                'level' => $r['level'], 'held' => $r['held'], 'tried' => $r['tried'],
                            ] + get_object_vars($r['share']),
                            $ladder->rungs,
                        )];
                }),
            new Operation('threshold.staircase', 'Up after a hold, down after a failure (Dixon and Mood).',
                ['levels' => 'in order', 'held' => 'true or false', 'step' => 'between levels'],
                [
                    'mean' => 'half hold', 'sd' => '', 'se' => 'of the mean', 'reliable' => 'is the spread to be trusted',
                    'used' => 'outcomes used',
                ],
                static fn (Input $in): array => get_object_vars(
                    Staircase::of($in->numbers('levels'), $in->flags('held'), $in->number('step')),
                )),
            new Operation('threshold.logit', 'Share held against level, with Firth’s penalty.',
                ['levels' => 'numbers', 'held' => 'counts', 'tried' => 'counts', 'at?' => 'shares whose level is wanted'],
                ['level50' => 'half hold', 'se' => 'of it', 'slope' => 'per unit of level', 'at' => 'levels in the order of the shares'],
                static function (Input $in): array {
                    $fit = Logit::of($in->numbers('levels'), $in->wholes('held'), $in->wholes('tried'));

                    return get_object_vars($fit) + ['at' => array_map($fit->levelAt(...), $in->has('at') ? $in->numbers('at') : [])];
                }),
            new Operation('survival.kaplanMeier', 'Share that survives; what stopped without the event counts as far as it went.',
                ['times' => 'numbers', 'ended' => 'true: the event; false: stopped without it', 'confidence?' => '0.95'],
                ['steps' => 'time, surviving, atRisk, low, high', 'median' => 'null where not reached', 'low' => '', 'high' => ''],
                static fn (Input $in): array => get_object_vars(
                    KaplanMeier::of(Lives::of($in->numbers('times'), $in->flags('ended')), $in->confidence()),
                )),
            new Operation('survival.logRank', 'Do groups live equally long?',
                ['groups' => 'list of times, ended'],
                ['chi2' => '', 'df' => '', 'p' => ''],
                static fn (Input $in): array => get_object_vars(LogRank::of(array_map(static function (Input $group): Lives {
                    $group->only(['times', 'ended']);

                    return Lives::of($group->numbers('times'), $group->flags('ended'), $group->at(''));
                }, $in->objects('groups'))))),
            new Operation('survival.weibull', 'Weibull lives by maximum likelihood.',
                ['times' => 'numbers', 'ended' => 'true or false', 'b?' => 'per cent failed, 10', 'confidence?' => '0.95'],
                [
                    'shape' => 'under 1: early failures; over 1: wear', 'scale' => '63.2 % have failed', 'life' => 'b per cent have failed',
                    'logLikelihood' => '',
                ],
                static fn (Input $in): array => get_object_vars(
                    Weibull::of(Lives::of($in->numbers('times'), $in->flags('ended')), $in->number('b', 10), $in->confidence()),
                )),
            new Operation('reliability.growth', 'Does it fail less and less often? Crow’s power law.',
                ['failures' => 'cumulative times', 'until' => 'end of the time watched', 'confidence?' => '0.95'],
                [
                    'beta' => 'under 1: growing', 'lambda' => '', 'mtbfNow' => 'time between failures at the end',
                    'mtbfInterval' => 'low, high', 'growing' => 'the interval of beta lies below 1',
                ],
                static function (Input $in): array {
                    $g = Growth::of($in->numbers('failures'), $in->number('until'), $in->confidence());

                    return [
                        'beta' => self::plain($g->beta), 'lambda' => $g->lambda, 'mtbfNow' => $g->mtbfNow->estimate,
                        'mtbfInterval' => ['low' => $g->mtbfNow->low, 'high' => $g->mtbfNow->high], 'growing' => $g->growing,
                    ];
                }),
        ];
    }

    /** @return array<string, float|null> */
    private static function plain(Interval $interval): array
    {
        return ['estimate' => $interval->estimate, 'low' => $interval->low, 'high' => $interval->high];
    }
}
