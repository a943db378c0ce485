<?php

declare(strict_types=1);

namespace Lustrum\Core\Calc;

use Lustrum\Core\Alike\AlikeRuns;
use Lustrum\Core\Alike\CompareProportionsWithin;
use Lustrum\Core\Alike\CompareSides;
use Lustrum\Core\Alike\CompareWithin;
use Lustrum\Core\Alike\Scale;
use Lustrum\Core\InvalidInput;
use Lustrum\Core\Outcome\ResultKind;
use Lustrum\Core\Statistics\Censored;
use Lustrum\Core\Statistics\CompareSpread;
use Lustrum\Core\Statistics\UntilWidth;

/** Comparisons of runs that are alike. */
final class AlikeOperations implements OperationGroup
{
    public static function operations(): array
    {
        $runs = 'list of side (a or b), cell, block, article, value, kind (equal, atLeast, atMost)';

        return [
            new Operation('stats.compareWithin', 'Two sides against each other on the cells and blocks that both have.',
                [
                    'runs' => $runs, 'scale?' => 'add or ratio; where not given the values decide', 'confidence?' => '0.95',
                    'looks?' => 'how often it was looked at, 1', 'prior?' => PriorInput::SHAPE,
                    'resolution?' => 'coarsest step among the values',
                ],
                [
                    'difference' => 'estimate, low, high of b − a, in the unit',
                    'change' => 'percent, low, high, method (fieller, ratio, none)',
                    'scale' => 'on which the verdict is taken', 'per' => 'run, article, block: over what the interval goes', 'df' => '',
                    'p' => '', 'pairs' => 'strata used', 'n' => 'values used, a and b', 'cells' => 'cell, na, nb, a, b, difference',
                    'opposed' => 'cells whose difference has the other sign', 'onlyA' => 'strata without a counterpart', 'onlyB' => '',
                    'interaction' => 'f, df1, df2, p', 'verdict' => 'higher, lower, indistinct, single, byCell',
                    'known' => 'did the known spread go into it? only where one was given',
                    'wider' => 'was it left out because these runs spread farther?',
                ],
                static fn (Input $in): array => PriorInput::said(get_object_vars(CompareWithin::of(
                    array_map(self::run(...), $in->objects('runs')), $in->confidence(),
                    $in->has('scale') ? $in->one('scale', Scale::class) : null, $in->whole('looks', 1), PriorInput::read($in),
                )))),
            new Operation('stats.compareProportionsWithin', 'How often two sides hold, on the cells and blocks that both have.',
                ['runs' => 'list of side (a or b), cell, block, held (true or false)', 'confidence?' => '0.95'],
                [
                    'difference' => 'estimate, low, high of b − a', 'p' => 'exact conditional, two-sided',
                    'cells' => 'cell, heldA, triedA, heldB, triedB', 'onlyA' => 'strata without a counterpart', 'onlyB' => '',
                    'verdict' => 'higher, lower, indistinct',
                ],
                static fn (Input $in): array => get_object_vars(CompareProportionsWithin::of(
                    array_map(self::held(...), $in->objects('runs')), $in->confidence(),
                ))),
            new Operation('stats.compareSides', 'Several sides in one fit, with the groups that cannot be told apart.',
                ['runs' => 'list of side (any name), cell, block, value', 'confidence?' => '0.95'],
                [
                    'sides' => 'side, n, effect against the mean of those it is joined with',
                    'pairs' => 'a, b, difference b − a, p, adjusted, told',
                    'groups' => 'the largest sets without a told pair', 'apart' => 'sides that nothing joins; empty where all are joined',
                ],
                static fn (Input $in): array => get_object_vars(CompareSides::of(
                    array_map(self::ofAnySide(...), $in->objects('runs')), $in->confidence(),
                ))),
            new Operation('stats.compareSpread', 'How far two samples spread: the ratio of their standard deviations, by F.',
                ['a' => 'numbers', 'b' => 'numbers', 'confidence?' => '0.95', 'resolution?' => 'coarsest step among the values'],
                ['ratio' => 'estimate, low, high of b over a', 'p' => 'two-sided', 'verdict' => 'higher, lower, indistinct'],
                static function (Input $in): array {
                    $s = CompareSpread::of(
                        $in->numbers('a'), $in->numbers('b'), $in->confidence(), PriorInput::read($in)->resolution,
                    );

                    return [
                        'ratio' => ['estimate' => $s->estimate, 'low' => $s->low, 'high' => $s->high], 'p' => $s->p,
                        'verdict' => $s->verdict,
                    ];
                }),
            new Operation('stats.censored', 'The mean of values and bounds together (normal, maximum likelihood).',
                ['values' => 'list of value, kind (equal, atLeast, atMost)', 'confidence?' => '0.95'],
                [
                    'mean' => 'estimate, low, high', 'sd' => 'of maximum likelihood', 'n' => 'values that are no bounds',
                    'bounds' => 'how many',
                ],
                self::censored(...)),
            new Operation('stats.untilWidth', 'How many runs until the mean is known to ± halfWidth (Stein’s two stages).',
                ['values' => 'of the first stage, three at least', 'halfWidth' => 'wanted', 'confidence?' => '0.95'],
                ['total' => 'runs in all', 'further' => 'still to make', 'sd' => 'of the first stage', 'df' => 'its degrees'],
                static fn (Input $in): array => get_object_vars(
                    UntilWidth::of($in->numbers('values'), $in->number('halfWidth'), $in->confidence()),
                )),
        ];
    }

    /** @return array<string, mixed> */
    private static function censored(Input $in): array
    {
        $by = ['equal' => [], 'atLeast' => [], 'atMost' => []];
        foreach ($in->objects('values') as $one) {
            $one->only(['value', 'kind']);
            $by[self::kind($one)->value][] = $one->number('value');
        }
        $censored = Censored::of($by['equal'], $by['atLeast'], $by['atMost']);

        return [
            'mean' => $censored->interval($in->confidence()), 'sd' => $censored->sd(), 'n' => count($by['equal']),
            'bounds' => count($by['atLeast']) + count($by['atMost']),
        ];
    }

    private static function held(Input $in): AlikeRuns
    {
        $in->only(['side', 'cell', 'block', 'held']);
        $held = $in->has('held') ? $in->flag('held') : throw InvalidInput::because('true or false is wanted here.', $in->at('held'));

        return AlikeRuns::one(self::side($in), $in->text('cell'), $held ? 1.0 : 0.0, $in->textOrNull('block'));
    }

    private static function ofAnySide(Input $in): AlikeRuns
    {
        $in->only(['side', 'cell', 'block', 'value']);

        return AlikeRuns::one($in->text('side'), $in->text('cell'), $in->number('value'), $in->textOrNull('block'));
    }

    private static function side(Input $in): string
    {
        $side = $in->text('side');

        return $side === 'a' || $side === 'b' ? $side : throw InvalidInput::because('A side is a or b.', $in->at('side'));
    }

    private static function kind(Input $in): ResultKind
    {
        $kind = $in->one('kind', ResultKind::class, ResultKind::Equal);

        return $kind->hasValue() ? $kind : throw InvalidInput::because('A value or a bound is wanted here.', $in->at('kind'));
    }

    private static function run(Input $in): AlikeRuns
    {
        $in->only(['side', 'cell', 'block', 'article', 'value', 'kind']);

        return AlikeRuns::one(
            self::side($in), $in->text('cell'), $in->number('value'), $in->textOrNull('block'), $in->textOrNull('article'), self::kind($in),
        );
    }
}
