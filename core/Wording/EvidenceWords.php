<?php

declare(strict_types=1);

namespace Lustrum\Core\Wording;

use Lustrum\Core\Evidence\Assessment;
use Lustrum\Core\Evidence\Basis;
use Lustrum\Core\Evidence\Carry;
use Lustrum\Core\Evidence\Direction;
use Lustrum\Core\Evidence\Kind;
use Lustrum\Core\Evidence\Requirement;
use Lustrum\Core\Evidence\SpeaksOf;
use Lustrum\Core\Evidence\State;
use Lustrum\Core\Evidence\Texture;
use Lustrum\Core\Judging\Build;
use Lustrum\Core\Judging\Cell;
use Lustrum\Core\Judging\Difference;
use Lustrum\Core\Judging\Figure;
use Lustrum\Core\Judging\Notes;

/** Sentences about how far a requirement is shown. */
final class EvidenceWords
{
    /** Differences that a sentence names; of more it says how many. */
    private const NAMED = 4;

    /** Above this a probability is over 99 %, whatever its decimals say. */
    private const SURE = 0.99;

    /** @param string $metric name of what the requirement speaks of */
    public static function cell(Cell $cell, string $metric): string
    {
        if ($cell->module !== '') {
            return Messages::say('evidence.module', ['module' => $cell->module, 'said' => self::own($cell, $metric)]);
        }

        return self::own($cell, $metric).($cell->members === [] ? '' : ' '.self::family($cell));
    }

    /** A family that stays: by which member it stands, and which nobody tried. */
    private static function family(Cell $cell): string
    {
        $missing = array_map(strval(...), array_keys(array_filter($cell->members, static fn (State $s): bool => $s === State::None)));

        return Messages::say('evidence.family', [
            'tried' => count($missing) < count($cell->members), 'member' => $cell->member, 'n' => count($cell->members),
            'missing' => count($missing),
            'names' => Messages::list(array_slice($missing, 0, self::NAMED)), 'more' => max(0, count($missing) - self::NAMED),
        ]);
    }

    private static function own(Cell $cell, string $metric): string
    {
        $a = $cell->assessment;
        if ($cell->module === '' && $cell->wanted->byModule !== '') {
            return Messages::say('evidence.noModule');
        }
        if ($cell->arms !== []) {
            return self::arms($cell);
        }
        if ($a->basis === Basis::Drawn) {
            return $cell->estimate === null ? Messages::say('evidence.notDrawn') : Messages::say('evidence.drawn', [
                'state' => Messages::say('evidence.state', ['state' => $a->state->value]), 'value' => Numbers::figure($cell->estimate),
            ]);
        }
        if ($cell->estimate === null) {
            return self::withoutEstimate($cell, $a);
        }
        $seen = self::seen($cell, $cell->estimate, $metric);
        if ($cell->differs !== []) {
            return Messages::say(
                'evidence.before', ['letter' => $cell->source->letter, 'seen' => $seen, 'why' => self::differs($cell->differs)],
            );
        }
        if ($cell->carry !== null && !$cell->carry->carried) {
            return Messages::say(
                'evidence.before', ['letter' => $cell->source->letter, 'seen' => $seen, 'why' => self::carry($cell->carry)],
            );
        }

        return implode(' ', [
            Messages::say($cell->carry === null ? 'evidence.cell' : 'evidence.cellCarried', [
                'state' => Messages::say('evidence.state', ['state' => $a->state->value]), 'letter' => $cell->source->letter,
                'seen' => $seen,
                'level' => $cell->level, 'levels' => count($cell->states),
            ]),
            ...self::remarks($cell, $a, $cell->estimate),
        ]);
    }

    /** In a word or two, where it was tried and yet says nothing: 'mock-up', 'to 35 N'. */
    public static function beside(Cell $cell): string
    {
        return $cell->estimate !== null || !$cell->isOtherwise() ? '' : Messages::say('evidence.beside', [
            'to' => $cell->reached !== null, 'value' => $cell->reached === null ? '' : Numbers::set($cell->reached, $cell->wanted->unit),
            'why' => array_key_first($cell->notes->otherwise) ?? 'conditions',
        ]);
    }

    private static function withoutEstimate(Cell $cell, Assessment $a): string
    {
        if ($cell->reached !== null && !$a->state->isWrong()) {
            $said = Messages::say('evidence.heldTo', [
                'value' => Numbers::set($cell->reached, $cell->wanted->unit), 'n' => $a->bounds,
                'least' => $cell->wanted->rule->direction === Direction::AtLeast,
            ]);
        } elseif ($a->bounds > 0) {
            $said = Messages::say('evidence.onlyBounds', ['state' => $a->state->value, 'n' => $a->bounds]);
        } else {
            $there = $a->missingConditions !== [] && $cell->runs > 0;
            $otherwise = self::otherwise($cell->notes);

            return $otherwise !== [] && !$there ? implode(' ', $otherwise) : implode(' ', [Messages::say('evidence.notTried', [
                'there' => $there, 'conditions' => self::conditions($a->missingConditions),
            ]), ...$otherwise]);
        }

        return implode(' ', [
            $said, ...LookWords::remarks($cell->terms),
            ...($a->missingConditions === [] ? [] : [
                Messages::say('evidence.missing', ['conditions' => self::conditions($a->missingConditions)]),
            ]),
            ...self::notes($cell),
        ]);
    }

    /** @return list<string> how some of its runs came about, and which could not be taken in */
    private static function notes(Cell $cell): array
    {
        $notes = $cell->notes;
        $said = array_filter(['onlyJust' => $notes->onlyJust, 'felt' => $notes->felt]);

        return [
            ...array_values(array_map(
                static fn (string $what, int $n): string => Messages::say('evidence.'.$what, ['n' => $n]), array_keys($said), $said,
            )),
            ...($notes->models > 0 ? [
                Messages::say('evidence.models', ['n' => $notes->models, 'all' => $notes->models === $cell->runs]),
            ] : []),
            ...self::otherwise($notes),
        ];
    }

    /** @return list<string> */
    private static function otherwise(Notes $notes): array
    {
        return array_values(array_map(static fn (string $why, int $n): string => Messages::say(
            'evidence.otherwise', ['why' => $why, 'n' => $n],
        ), array_keys($notes->otherwise), $notes->otherwise));
    }

    private static function arms(Cell $cell): string
    {
        $with = static fn (State $state): array => array_map(strval(...), array_keys(
            array_filter($cell->arms, static fn (State $s): bool => $s === $state),
        ));
        $tried = count(array_filter($cell->arms, static fn (State $s): bool => $s !== State::None));

        return Messages::say('evidence.arms', [
            'shown' => count($with(State::Shown)), 'n' => count($cell->arms), 'tried' => $tried,
            'out' => count($cell->build->out),
            'named' => $with(State::Shown) !== [], 'names' => Messages::list(array_slice($with(State::Shown), 0, self::NAMED)),
        ]);
    }

    /** @param list<string> $conditions as the requirement names them */
    private static function conditions(array $conditions): string
    {
        return implode(', ', array_map(self::condition(...), $conditions));
    }

    /** A condition of a requirement as it is read: 'soil moist', 'drop height from 0.75 m'. */
    public static function condition(string $condition): string
    {
        $ends = ['>=' => ' from ', '<=' => ' up to ', '≥' => ' from ', '≤' => ' up to ', '=' => ' '];

        return (string) preg_replace('/ {2,}/', ' ', strtr($condition, $ends));
    }

    private static function seen(Cell $cell, Figure $estimate, string $metric): string
    {
        $n = $cell->assessment->n;
        if (!$cell->share) {
            return Messages::say('evidence.over', ['estimate' => Numbers::figure($estimate), 'n' => $n] + self::speaksOf($cell));
        }
        $held = (int) round($estimate->value / 100 * $n);

        return $cell->wanted->kind() === Kind::Rate && $cell->wanted->unit === '%'
            ? Messages::say('evidence.shareOf', ['metric' => $metric, 'held' => $held, 'n' => $n])
            : Messages::say('evidence.held', ['held' => $held, 'n' => $n]);
    }

    /** @return array{of: string, named: bool, serial: string} of what the number speaks: the runs of one article tell nothing of the next */
    private static function speaksOf(Cell $cell): array
    {
        $serials = array_keys($cell->notes->serials);

        return [
            'of' => $cell->assessment->speaksOf->value ?? SpeaksOf::Runs->value,
            'named' => count($serials) === 1, 'serial' => count($serials) === 1 ? (string) $serials[0] : '',
        ];
    }

    /** @return list<string> */
    private static function remarks(Cell $cell, Assessment $a, Figure $estimate): array
    {
        $out = LookWords::remarks($cell->terms);
        if ($a->missingConditions !== []) {
            $out[] = Messages::say(
                'evidence.missing',
                ['conditions' => self::conditions($a->missingConditions)],
            );
        }
        if ($a->state->isWrong() && !$cell->share && $cell->wanted->kind() === Kind::Every) {
            $out[] = Messages::say('evidence.every');
        }
        if ($cell->bound !== null && !$cell->share) {
            $out[] = Messages::say('evidence.bound', ['bound' => Numbers::amount($cell->bound, $estimate->decimals, $cell->wanted->unit)]);
        } elseif ($cell->bound !== null && $a->n > 1 && $cell->wanted->kind() !== Kind::Check) {
            $out[] = Messages::say('evidence.boundOfShare', [
                'percent' => Numbers::amount($cell->bound, 0, ''), 'least' => $cell->wanted->rule->direction === Direction::AtLeast,
            ]);
        }
        if (in_array($a->state, [State::Leaning, State::Thin], true) && $a->runsNeeded !== null && $a->runsNeeded > 0) {
            $out[] = Messages::say($cell->share ? 'evidence.neededShare' : 'evidence.needed', ['n' => $a->runsNeeded]);
        }
        if ($a->bounds > 0) {
            $out[] = Messages::say('evidence.bounds', ['basis' => $a->basis->value, 'n' => $a->bounds]);
        }
        if ($a->lost > 0) {
            $out[] = Messages::say('evidence.lost', ['n' => $a->lost]);
        }

        return [...$out, ...self::notes($cell)];
    }

    /** Whether earlier evidence still holds, and if not, why. */
    public static function carry(Carry $carry): string
    {
        return $carry->carried ? Messages::say('evidence.carried') : Messages::say(
            'evidence.older', ['what' => implode(', ', $carry->because)],
        );
    }

    /** @param list<Difference> $differs */
    public static function differs(array $differs): string
    {
        $named = array_map(self::difference(...), array_slice($differs, 0, self::NAMED));
        $more = count($differs) - count($named);

        return Messages::say(
            'evidence.older', ['what' => implode(', ', $more > 0 ? [...$named, Messages::say('evidence.more', ['n' => $more])] : $named)],
        );
    }

    public static function difference(Difference $d): string
    {
        if ($d->kind === 'own') {
            return Messages::say('evidence.own', ['name' => $d->name, 'said' => $d->was !== '', 'was' => $d->was]);
        }
        $key = $d->was === '' ? 'evidence.added' : ($d->is === '' ? 'evidence.removed' : 'evidence.edited');

        return Messages::say($key, ['kind' => $d->kind, 'name' => $d->name, 'was' => $d->was, 'is' => $d->is]);
    }

    public static function confidence(float $confidence): string
    {
        return Messages::say('evidence.confidence', ['percent' => Numbers::set(round(100 * $confidence, 1), '')]);
    }

    /** How many requirements a build shows, for its tag. */
    public static function bar(int $shown, int $requirements): string
    {
        return $requirements === 0 ? Messages::say('evidence.barEmpty') : Messages::say(
            'evidence.bar', ['shown' => $shown, 'n' => $requirements],
        );
    }

    /**
     * @param list<Cell>   $cells   of one build
     * @param string       $further what stands behind it: the comparison that is told first
     * @param list<string> $metrics names, one for each cell
     */
    public static function table(string $letter, array $cells, string $further, array $metrics): string
    {
        if ($cells === []) {
            return Messages::say('evidence.noRequirements');
        }
        $known = self::best($cells, $metrics);
        if ($known !== []) {
            return trim(Messages::say('evidence.tableSentence', [
                'parts' => Messages::say('evidence.tableBest', ['letter' => $letter, 'known' => implode('; ', $known)]),
                'further' => $further,
            ]));
        }
        $count = static fn (callable $is): int => count(array_filter($cells, $is));
        $parts = [Messages::say('evidence.table', [
            'letter' => $letter, 'shown' => $count(static fn (Cell $c): bool => $c->texture === Texture::Solid), 'n' => count($cells),
        ])];
        foreach ([
            'tableCarried' => $count(static fn (Cell $c): bool => $c->texture === Texture::Dotted),
            'tableAgainst' => $count(static fn (Cell $c): bool => $c->state === State::Against),
            'tableDoubtful' => $count(static fn (Cell $c): bool => $c->state === State::Doubtful),
            'tableOlder' => $count(static fn (Cell $c): bool => $c->isOlder()),
            'tableOtherwise' => $count(static fn (Cell $c): bool => $c->isOtherwise()),
            'tableUntried' => $count(static fn (Cell $c): bool => $c->isUntried()),
        ] as $key => $n) {
            if ($n > 0) {
                $parts[] = Messages::say('evidence.'.$key, ['n' => $n]);
            }
        }

        return trim(Messages::say('evidence.tableSentence', ['parts' => implode(', ', $parts), 'further' => $further]));
    }

    /** A build by its letter, and by the arm that stands for it. */
    public static function standing(Build $build): string
    {
        return $build->chosenArm === '' ? $build->letter : Messages::say('evidence.asArm', [
            'letter' => $build->letter, 'arm' => $build->chosenArm,
        ]);
    }

    /** Where a build has arms and none is chosen; else empty. */
    public static function noArm(Build $build): string
    {
        return $build->arms === [] || $build->chosenArm !== '' ? '' : Messages::say('evidence.noArm', ['letter' => $build->letter]);
    }

    /**
     * Where a build has nothing but single runs: the best present answer, which 'shows 0 of 3' would hide.
     *
     * @param list<Cell>   $cells
     * @param list<string> $metrics
     *
     * @return list<string> none where anything was tried more often
     */
    private static function best(array $cells, array $metrics): array
    {
        $out = [];
        foreach ($cells as $i => $cell) {
            if ($cell->state === State::None) {
                continue;
            }
            if ($cell->state !== State::Thin || $cell->estimate === null || $cell->share || $cell->carry !== null) {
                return [];
            }
            $out[] = Messages::say('evidence.tableKnown', [
                'metric' => $metrics[$i] ?? '',
                'value' => Numbers::amount($cell->estimate->value, $cell->estimate->decimals, $cell->wanted->unit),
                // Not before it was tried under all that is asked, and not while anything of it lies beyond.
                'inside' => $cell->outside === 0 && $cell->wanted->rule->direction->met($cell->estimate->value, $cell->wanted->limit),
                'least' => $cell->wanted->rule->direction === Direction::AtLeast,
                'missing' => $cell->assessment->missingConditions !== [],
                'conditions' => self::conditions($cell->assessment->missingConditions),
                'limit' => self::amount($cell->wanted->limit, $cell->wanted->unit, $cell->wanted->words), 'n' => $cell->assessment->n,
                'articles' => $cell->assessment->speaksOf === SpeaksOf::Articles,
            ]);
        }

        return array_slice($out, 0, self::NAMED);
    }

    /** How a cell was worked out, for whoever opens it. */
    public static function how(Cell $cell): string
    {
        $p = $cell->assessment->probabilityMet;

        $how = Messages::say('evidence.how', [
            'method' => self::method($cell->wanted->rule, $cell->assessment->basis),
            'known' => $p !== null, 'p' => self::chance($p ?? 0.0), 'n' => $cell->runs,
        ]);
        $spread = $cell->terms?->spread;

        return $spread === null || $cell->assessment->known !== true || $cell->estimate === null ? $how : $how.' '.Messages::say(
            'evidence.repeats', SpreadWords::of($spread, $cell->wanted->unit, $cell->estimate->decimals),
        );
    }

    /** A probability in per cent: of what was seen nothing is certain. */
    private static function chance(float $p): string
    {
        return Messages::say('evidence.chance', [
            'end' => $p > self::SURE ? 'over' : ($p < 1 - self::SURE ? 'under' : ''), 'p' => Numbers::set(round(100 * $p, 1), ''),
        ]);
    }

    /** @param list<string> $words of its scale; none: it is a number */
    private static function amount(float $limit, string $unit, array $words): string
    {
        $word = $words[(int) round($limit) - 1] ?? null;

        return $word === null ? Numbers::set($limit, $unit) : Messages::quoted([$word]);
    }

    /**
     * The limit of a requirement in words.
     *
     * @param list<string> $words of the scale of its metric; none: it is a number
     */
    public static function limit(Kind $kind, Direction $direction, float $limit, string $unit, array $words = []): string
    {
        return Messages::say('evidence.limit', [
            'kind' => $kind->value, 'direction' => $direction->value,
            'limit' => self::amount($limit, $unit, in_array($kind, [Kind::Every, Kind::Mean, Kind::Rating], true) ? $words : []),
        ]);
    }

    /** By which method the bound was worked out. */
    public static function method(Requirement $rule, Basis $basis): string
    {
        $share = $rule->kind === Kind::Rate ? $rule->limit : $rule->coverage;

        return Messages::say('evidence.method', ['basis' => $basis->value, 'percent' => Numbers::set(round(100 * $share, 1), '')]);
    }
}
