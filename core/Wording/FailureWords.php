<?php

declare(strict_types=1);

namespace Lustrum\Core\Wording;

use Lustrum\Core\Failure\Closing;
use Lustrum\Core\Failure\FailureStatus;
use Lustrum\Core\Failure\Unrecorded;
use Lustrum\Core\Judging\Lineage;
use Lustrum\Core\Judging\Mode;
use Lustrum\Core\Judging\OutsideBound;
use Lustrum\Core\Quantity\Digits;
use Lustrum\Core\Run\Severity;

/** Sentences about failures: where one stands, and where a mode was last seen. */
final class FailureWords
{
    /** Runs that a sentence names; of more it says how many. */
    private const NAMED = 3;

    /** What became of a mode that was merged into another, or split. */
    public static function called(int $n, int $all, string $mode, string $to, bool $isTry): string
    {
        return Messages::say('failure.called', [
            'n' => $n, 'mode' => trim($mode), 'to' => trim($to), 'isTry' => $isTry, 'some' => $n < $all, 'left' => $all - $n,
        ]);
    }

    public static function standing(FailureStatus $status): string
    {
        $needs = array_values(array_filter($status->needs, static fn (string $t): bool => $t !== ''));

        return trim(Messages::say('failure.standing', [
            'standing' => $status->standing->value, 'letter' => $status->letter, 'fix' => Messages::quoted($status->fixes), 'held' => $status->held,
            'needed' => $status->needed, 'levelled' => $needs !== [], 'needs' => Messages::list($needs), 'milder' => $status->milder,
            'mildest' => $status->mildest, 'percent' => Numbers::percent($status->mayFail),
            'chance' => Digits::plain(100 * $status->chance, 2), 'sure' => Numbers::set(round(100 * $status->confidence, 1), ''), 'times' => $status->times, 'back' => $status->return,
            'at' => $status->at, 'placed' => $status->at !== '', 'who' => $status->byHand->by ?? '', 'why' => rtrim($status->byHand->why ?? '', '.'),
            'tried' => $status->needed > 0, 'spread' => count($status->on) > 1,
            'on' => Messages::list(array_map(
                static fn (string|int $letter, int $n): string => Messages::say('failure.on', ['n' => $n, 'letter' => (string) $letter]),
                array_keys($status->on), $status->on,
            )),
        ]).' '.($status->without === [] ? '' : Messages::say('failure.without', [
            'n' => count($status->without), 'letters' => Messages::list($status->without),
        ])));
    }

    /** What its articles came through outside trials without it. */
    public static function outside(OutsideBound $bound, float $confidence): string
    {
        $exposure = $bound->exposure;
        $open = $exposure?->leavesOpen($confidence) ?? 0.0;

        return Messages::say('failure.outside', [
            'letter' => $bound->letter, 'amount' => $exposure?->text() ?? $bound->amounts, 'levelled' => $bound->at !== '',
            'at' => $bound->at,
            'hardness' => $bound->hardness->value, 'kind' => $exposure === null ? 'unsaid' : ($exposure->isCount ? 'count' : 'amount'),
            'most' => Numbers::percent($open), 'between' => $exposure === null ? '' : Digits::plain($open, 2).' '.$exposure->unit,
            'confidence' => Numbers::set(round(100 * $confidence, 1), ''),
        ]);
    }

    public static function mode(Mode $mode, Lineage $lineage): string
    {
        [$last, $since, $newest] = $mode->last($lineage);

        return Messages::say($newest ? 'failure.stillThere' : 'failure.lastSeen', ['letter' => $last->letter, 'n' => $since]);
    }

    /**
     * @param list<Mode>                                $modes  of the device, most frequent first
     * @param array<string, int>                        $byMode failures of this build, by mode
     * @param array{mode: string, status: FailureStatus}|null $back one that came back
     * @param array{followed: int, aside: int, feared: int}   $others of this build, that are no first failures of its design
     * @param list<Unrecorded>                          $unrecorded
     */
    public static function sentence(
        string $letter, array $modes, Lineage $lineage, array $byMode, ?array $back, int $withoutCause, array $others, array $unrecorded,
    ): string {
        $n = array_sum($byMode);
        $beside = implode(' ', array_filter([self::others($letter, $others, $n === 0), self::open($unrecorded)]));
        if ($n === 0 && $beside !== '') {
            return $beside;
        }
        if ($n === 0) {
            return $modes === [] ? Messages::say('failure.none') : Messages::say('failure.noneHere', [
                'letter' => $letter, 'mode' => $modes[0]->mode, 'where' => self::mode($modes[0], $lineage),
            ]);
        }
        arsort($byMode);
        $counts = array_values($byMode);

        return trim(Messages::say('failure.sentence', [
            'letter' => $letter, 'n' => $n, 'modes' => count($byMode), 'most' => (string) array_key_first($byMode),
            // One that came no more often than the next is not the most frequent.
            'stands' => $counts[0] > ($counts[1] ?? 0),
            'back' => $back !== null, 'mode' => $back['mode'] ?? '',
            'standing' => $back === null ? '' : Messages::inside(self::standing($back['status'])), 'without' => $withoutCause,
        ]).' '.$beside);
    }

    /** @param array{followed: int, aside: int, feared: int} $others */
    private static function others(string $letter, array $others, bool $isAll): string
    {
        return array_sum($others) === 0 ? '' : Messages::say('failure.others', ['letter' => $letter, 'all' => $isAll] + $others);
    }

    /** @param list<Unrecorded> $unrecorded */
    private static function open(array $unrecorded): string
    {
        $runs = array_sum(array_map(static fn (Unrecorded $u): int => $u->in === 'run' ? count($u->runs) : 0, $unrecorded));
        $uses = count(array_filter($unrecorded, static fn (Unrecorded $u): bool => $u->in === 'use'));

        return $runs + $uses === 0 ? '' : Messages::say('failure.open', ['runs' => $runs, 'uses' => $uses]);
    }

    /** What failed, or held only just, and nobody wrote down how. */
    public static function unrecorded(Unrecorded $u): string
    {
        $runs = array_map(
            static fn (array $r): string => Messages::say('failure.run', ['number' => $r[1], 'trial' => $r[0]]),
            array_slice($u->runs, 0, self::NAMED),
        );

        return Messages::say('failure.unrecorded', [
            'in' => $u->in, 'said' => $u->text !== '', 'text' => rtrim($u->text, '.'), 'n' => count($u->runs),
            'runs' => Messages::list($runs),
            'more' => count($u->runs) - count($runs), 'serial' => $u->article, 'dated' => $u->day !== '', 'day' => $u->day,
        ]);
    }

    /** How far a failure is closed, in the numbers of its severity. */
    public static function closing(Closing $closing): string
    {
        return Messages::say('failure.closing', [
            'state' => $closing->state()->value, 'by' => $closing->by()->where ?? '', 'came' => $closing->by() !== null,
            'held' => $closing->holds(), 'needed' => $closing->holdsNeeded(),
            'needs' => Messages::list(array_map(static fn (Severity $s): string => $s->text(), $closing->needs())),
            'milder' => $closing->milder(), 'percent' => Digits::plain(100 * $closing->chanceIfNotFixed(), 2),
        ]);
    }

    /** A failure as it is picked from a list: 'tore, rim (E)'. */
    public static function choice(string $mode, string $place, string $letter): string
    {
        return Messages::say('failure.choice', ['mode' => $mode, 'placed' => $place !== '', 'place' => $place, 'letter' => $letter]);
    }
}
