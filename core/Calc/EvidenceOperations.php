<?php

declare(strict_types=1);

namespace Lustrum\Core\Calc;

use Lustrum\Core\Evidence\Assess;
use Lustrum\Core\Evidence\Carry;
use Lustrum\Core\Evidence\Direction;
use Lustrum\Core\Evidence\Kind;
use Lustrum\Core\Evidence\Measure;
use Lustrum\Core\Evidence\Requirement;
use Lustrum\Core\Evidence\ValueScale;
use Lustrum\Core\Failure\Closing;
use Lustrum\Core\Failure\ClosingEvent;
use Lustrum\Core\Failure\LaterOutcome;
use Lustrum\Core\InvalidInput;
use Lustrum\Core\Outcome\Merged;
use Lustrum\Core\Outcome\Result;
use Lustrum\Core\Outcome\ResultKind;
use Lustrum\Core\Quantity\Quantity;
use Lustrum\Core\Run\Severity;
use Lustrum\Core\Wording\EvidenceWords;
use Lustrum\Core\Wording\FailureWords;

final class EvidenceOperations implements OperationGroup
{
    public static function operations(): array
    {
        return [
            new Operation('evidence.assess', 'How far results show a requirement.',
                [
                    'requirement' => 'kind (mean, every, rate, rating, check, spread), direction (atLeast, atMost), limit (number, or value'
                        .' and unit), confidence, coverage, conditions, nonParametric',
                    'results' => 'list of kind (equal, atLeast, atMost, held, failed, lost), value (number, or value and unit),'
                        .' conditions, article',
                    'looks?' => 'how often it was looked at, 1', 'prior?' => PriorInput::SHAPE,
                    'resolution?' => 'coarsest step among the values', 'scale?' => 'add, ratio (every) or count (mean)',
                ],
                [
                    'state' => 'none, thin, leaning, shown, doubtful, against', 'estimate' => 'mean, share held, or spread',
                    'bound' => 'one-sided',
                    'probabilityMet' => 'null for a single run', 'runsNeeded' => 'more runs that would make the bound pass',
                    'missingConditions' => 'not covered yet', 'n' => 'results used', 'bounds' => 'results that are bounds',
                    'lost' => 'lost in handling', 'method' => 'words', 'speaksOf' => 'articles, article, runs; of a mean',
                    'known' => 'was what is known used? only with prior',
                ],
                self::assess(...)),
            new Operation('results.merge', 'What results come to when they are put together; a bound is never averaged.',
                ['results' => 'list of kind (equal, atLeast, atMost, held, failed, lost), value', 'direction?' => 'atLeast'],
                [
                    'made' => 'all of them', 'lost' => 'in handling', 'tried' => 'the rest', 'n' => 'values', 'bounds' => '', 'held' => '',
                    'failed' => '', 'share' => 'held of held and failed', 'best' => 'value, kind', 'bound' => 'the worst, which all reach',
                    'mean' => 'only without bounds', 'unit' => 'of the first value',
                ],
                self::merge(...)),
            new Operation('failure.status', 'How far a failure is closed by later runs that carry a fix.',
                [
                    'failure' => 'severity, failed (1), tried (1)',
                    'runs' => 'list of id, revision, carriesFix, severity, outcome, in order',
                    'confidence?' => '0.95',
                ],
                [
                    'state' => 'open, holding, closed, reopened', 'by' => 'run', 'needs' => 'severity', 'held' => 'there or harder',
                    'milder' => 'held below it', 'holdsNeeded' => 'to close it', 'chanceIfNotFixed' => 'of passing these all the same',
                    'sentence' => 'in words',
                ],
                self::closing(...)),
            new Operation('evidence.carry', 'Does earlier evidence still hold after these changes?',
                [
                    'dependsOn' => 'change classes, part:NAME, parameter:NAME that the requirement depends on; empty: all but cosmetic',
                    'changes' => 'list of what, class, on (part:NAME, parameter:NAME)',
                ],
                ['carried' => 'true or false', 'because' => 'changes in the way', 'sentence' => 'in words'],
                static function (Input $in): array {
                    $carry = Carry::over($in->texts('dependsOn'), array_map(static function (Input $c): array {
                        $c->only(['what', 'class', 'on']);

                        return ['what' => $c->text('what'), 'class' => $c->text('class'), 'on' => $c->has('on') ? $c->texts('on') : []];
                    }, $in->objects('changes')));

                    return ['carried' => $carry->carried, 'because' => $carry->because, 'sentence' => EvidenceWords::carry($carry)];
                }),
        ];
    }

    /** @return array<string, mixed> */
    private static function assess(Input $in): array
    {
        $r = $in->object('requirement');
        $r->only(['kind', 'direction', 'limit', 'confidence', 'coverage', 'conditions', 'nonParametric']);
        [$limit, $unit] = self::value($r, 'limit', null, 1.0);
        $requirement = Requirement::of(
            $r->one('kind', Kind::class), $r->one('direction', Direction::class, Direction::AtLeast), $limit, $r->confidence(),
            $r->number('coverage', 0.9), $r->texts('conditions'), $r->flag('nonParametric'),
        );
        $results = array_map(static function (Input $one) use ($unit): Result {
            $one->only(['kind', 'value', 'conditions', 'article']);
            $kind = $one->one('kind', ResultKind::class, ResultKind::Equal);
            $conditions = [];
            foreach ($one->has('conditions') ? $one->texts('conditions') : [] as $condition) {
                [$name, $state] = array_pad(explode('=', $condition, 2), 2, '');
                $conditions[$name] = $state;
            }
            $value = $one->has('value') ? self::value($one, 'value', $unit)[0] : null;

            return Result::of($kind, $value, $conditions, $one->textOrNull('article') ?? '');
        }, $in->objects('results'));
        $a = Assess::results($requirement, $results, $in->whole('looks', 1), new Measure(
            NaturalEnds::read($in), PriorInput::read($in), $in->one('scale', ValueScale::class, ValueScale::Add),
        ));

        return PriorInput::said(['state' => $a->state->value, 'method' => EvidenceWords::method($requirement, $a->basis)]
            + array_diff_key(get_object_vars($a), ['basis' => true]));
    }

    /** @return array<string, mixed> */
    private static function merge(Input $in): array
    {
        $unit = null;
        $results = [];
        foreach ($in->objects('results') as $one) {
            $one->only(['kind', 'value']);
            $value = null;
            if ($one->has('value')) {
                [$value, $unit] = self::value($one, 'value', $unit);
            }
            $results[] = Result::of($one->one('kind', ResultKind::class, ResultKind::Equal), $value);
        }
        $direction = $in->one('direction', Direction::class, Direction::AtLeast);
        $merged = Merged::of($results, $direction === Direction::AtLeast ? ResultKind::AtLeast : ResultKind::AtMost);
        $best = $merged->best;

        return ['best' => $best === null ? null : ['value' => $best->value, 'kind' => $best->kind]]
            + get_object_vars($merged) + ['unit' => $unit];
    }

    /** @return array<string, mixed> */
    private static function closing(Input $in): array
    {
        $failure = $in->object('failure');
        $failure->only(['severity', 'failed', 'tried']);
        $needs = $failure->number('severity');
        $closing = new Closing(Severity::number($needs), $failure->whole('failed', 1), $failure->whole('tried', 1), $in->confidence());
        foreach ($in->objects('runs') as $i => $run) {
            $run->only(['id', 'revision', 'carriesFix', 'severity', 'outcome']);
            $run->text('revision', '');
            [$id, $carriesFix, $severity] = [$run->text('id'), $run->flag('carriesFix'), $run->number('severity')];
            $outcome = $run->one('outcome', LaterOutcome::class);
            if (!$carriesFix || $outcome === LaterOutcome::Other) {
                continue;
            }
            $closing->take(new ClosingEvent((string) $i, $outcome === LaterOutcome::Held, Severity::number($severity), $id, []));
            // On one scale the hardest of them is all that is needed.
            $needs = $outcome === LaterOutcome::Recurred ? max($needs, $severity) : $needs;
        }

        return [
            'state' => $closing->state()->value, 'by' => $closing->by()?->where, 'needs' => $needs, 'held' => $closing->holds(),
            'milder' => $closing->milder(), 'holdsNeeded' => $closing->holdsNeeded(), 'chanceIfNotFixed' => $closing->chanceIfNotFixed(),
            'sentence' => FailureWords::closing($closing),
        ];
    }

    /** @return array{float, ?string} the number, in $unit where both name one */
    private static function value(Input $in, string $name, ?string $unit, ?float $default = null): array
    {
        try {
            return [$in->number($name, $default), $unit];
        } catch (InvalidInput) {
            $q = $in->object($name);
            $q->only(['value', 'unit']);
            $quantity = Quantity::of($q->number('value'), $q->text('unit'));

            return [$unit === null ? $quantity->value : $quantity->to($unit)->value, $unit ?? $quantity->unit->symbol];
        }
    }
}
