<?php

declare(strict_types=1);

namespace Lustrum\Core\Wording;

use Lustrum\Core\Check\FitCheck;
use Lustrum\Core\Check\InstrumentFit;
use Lustrum\Core\Plan\Minutes;
use Lustrum\Core\Quantity\Digits;
use Lustrum\Core\Run\Calibration;
use Lustrum\Core\Run\Constant;
use Lustrum\Core\Run\HeldBefore;
use Lustrum\Core\Run\LookOut;
use Lustrum\Core\Run\MethodChange;
use Lustrum\Core\Run\UsedUp;
use Lustrum\Core\Run\UsedUpKind;
use Lustrum\Core\Run\Wait;

/** How a method is gone about, read as an instruction. */
final class MethodSheetWords
{
    private const DIGITS = 4;
    private const DIGITS_OF_U = 2;

    /** Runs that a hint of the time is given for. */
    private const EXAMPLE = 3;

    /** Under both editions, on the same articles: fewer pairs give no interval that is worth anything. */
    public const TYING = 3;

    /**
     * The sheet in a sentence: what keeps it from being run, else what it rests on.
     *
     * @param list<string> $gaps what is missing, in words
     */
    public static function sentence(string $name, int $runs, int $edition, array $gaps, bool $isBlocked): string
    {
        return Messages::say('method.sheet', [
            'name' => $name, 'runs' => $runs, 'edition' => $edition, 'blocked' => $isBlocked, 'gaps' => $gaps !== [],
            'missing' => Messages::list($gaps),
        ]);
    }

    /** The library in a sentence. */
    public static function library(int $methods, int $unsafe, int $unfit, int $due): string
    {
        return Messages::say('method.library', ['n' => $methods, 'unsafe' => $unsafe, 'unfit' => $unfit, 'due' => $due]);
    }

    /** What a method does not say yet; each in a few words. */
    public static function gap(string $what): string
    {
        return Messages::say('method.gap', ['what' => $what]);
    }

    public static function constant(Constant $c): string
    {
        return Messages::say('method.constant', [
            'key' => $c->key, 'named' => $c->name !== '', 'name' => $c->name, 'value' => Numbers::set($c->value, $c->unit),
            'sure' => $c->u !== null, 'u' => Numbers::set($c->u ?? 0.0, $c->unit),
        ]);
    }

    public static function calibration(Calibration $line, int $points, string $unit): string
    {
        return Messages::say('method.calibration', [
            'slope' => Digits::plain($line->slope, self::DIGITS), 'nought' => $line->offset === 0.0, 'minus' => $line->offset < 0,
            'offset' => Numbers::withUnit(Digits::plain(abs($line->offset), self::DIGITS - 1), $unit), 'points' => $points,
            'scatters' => $line->sd !== null,
            'within' => Numbers::withUnit(Digits::plain($line->largestResidual(), self::DIGITS_OF_U), $unit),
            'sd' => Numbers::withUnit(Digits::plain($line->sd ?? 0.0, self::DIGITS_OF_U), $unit),
        ]);
    }

    /** What an instrument is not good enough in; empty where it is, or nobody can say. */
    public static function unfit(string $instrument, InstrumentFit $fit): string
    {
        $not = array_filter($fit->checks, static fn (FitCheck $c): bool => $c->fit === false);

        return $not === [] ? '' : Messages::say('method.unfit', [
            'instrument' => $instrument, 'why' => implode(' ', array_map(CheckWords::fit(...), $not)),
        ]);
    }

    /** It shows another kind of unit than the channel is read in. */
    public static function otherUnit(string $instrument, string $shows, string $wanted): string
    {
        return Messages::say('method.otherUnit', ['instrument' => $instrument, 'shows' => $shows, 'wanted' => $wanted]);
    }

    public static function before(HeldBefore $b): string
    {
        $levels = array_map(static fn (string $n, string $t): string => $n.' '.$t, array_keys($b->levels), $b->levels);

        return Messages::say('method.before', [
            'same' => $b->method === '', 'method' => $b->method, 'levelled' => $levels !== [], 'levels' => Messages::list($levels),
            'said' => $b->why !== '', 'why' => rtrim($b->why, '. '),
        ]);
    }

    /**
     * What has not held yet, before a run begins.
     *
     * @param list<HeldBefore> $missing
     */
    public static function first(array $missing): string
    {
        return Messages::say('method.first', [
            'asked' => implode(' ', array_map(static fn (HeldBefore $b): string => Messages::begin(self::before($b)), $missing)),
        ]);
    }

    /** Who began a run out of its turn, and why. */
    public static function ahead(string $by, string $reason): string
    {
        return Messages::say('method.ahead', ['by' => $by, 'why' => $reason === '' ? 'none' : 'said', 'reason' => rtrim($reason, '. ')]);
    }

    public static function climbs(string $factor): string
    {
        return Messages::say('method.climbs', ['factor' => $factor]);
    }

    public static function wait(Wait $w): string
    {
        return Messages::say('method.wait', [
            'what' => $w->what, 'timed' => $w->minutes !== null, 'time' => self::time($w->minutes ?? 0.0),
        ]);
    }

    public static function look(LookOut $l): string
    {
        $when = array_filter([
            $l->every === null ? '' : Messages::say('method.every', ['time' => self::time($l->every)]),
            $l->after === null ? '' : Messages::say('method.after', ['time' => self::time($l->after)]), $l->at,
        ]);

        return Messages::begin(Messages::say('method.look', [
            'what' => $l->what, 'timed' => $when !== [], 'when' => Messages::list(array_values($when)),
        ]));
    }

    public static function usedUp(UsedUp $u): string
    {
        return Messages::say('method.usedUp', [
            'amount' => Numbers::set($u->amount, $u->unit), 'what' => $u->what,
            'plain' => in_array($u->kind, [UsedUpKind::Material, UsedUpKind::Money], true),
        ]);
    }

    public static function takes(Minutes $minutes): string
    {
        return Messages::say('method.takes', [
            'run' => self::time($minutes->run), 'prepared' => $minutes->setUp > 0, 'setUp' => self::time($minutes->setUp),
            'cleared' => $minutes->reset > 0, 'reset' => self::time($minutes->reset), 'changed' => $minutes->change > 0,
            'change' => self::time($minutes->change), 'n' => self::EXAMPLE,
            'whole' => self::time($minutes->of(array_fill(0, self::EXAMPLE, ''))),
        ]);
    }

    /** What an edition changed; one sentence a thing. */
    public static function change(MethodChange $c): string
    {
        return Messages::begin(Messages::say('method.change', [
            'what' => $c->what, 'field' => $c->field, 'name' => $c->name, 'was' => $c->was === '' ? 'none' : 'said',
            'is' => $c->is === '' ? 'none' : 'said',
            'before' => $c->was, 'after' => $c->is,
        ]));
    }

    /** How many runs a side find a difference, four times out of five. */
    public static function takesToFind(int $runs, string $difference): string
    {
        return Messages::say('method.takesToFind', ['n' => $runs, 'difference' => $difference]);
    }

    /**
     * What an edition does to the results before it.
     *
     * @param string $shift that fewer would miss; empty: nobody said which difference is looked for
     */
    public static function tie(int $edition, int $before, int $now, int $least = self::TYING, string $shift = ''): string
    {
        return Messages::say('method.tie', [
            'edition' => $edition, 'earlier' => $edition - 1, 'before' => $before, 'now' => $now, 'least' => $least,
            'sought' => $shift !== '', 'shift' => $shift,
        ]);
    }

    /**
     * What a rig read by itself, or on its reference, first and last: what it drifted is no difference between builds.
     *
     * @param string     $serial of the reference; empty: the rig was empty
     * @param float|null $last   null: it was tried once
     * @param float      $step   of the display
     */
    public static function drift(string $serial, string $metric, float $first, ?float $last, string $unit, float $step): string
    {
        $said = static fn (float $v): string => Numbers::withUnit(Digits::typed($v, $step > 0.0 ? $step : null), $unit);

        return Messages::say('method.drift', [
            'what' => $serial === '' ? 'empty' : 'reference', 'serial' => $serial, 'metric' => $metric, 'first' => $said($first),
            'again' => $last !== null, 'last' => $said($last ?? $first), 'drift' => $said(abs(($last ?? $first) - $first)),
            'moved' => $last !== null && abs($last - $first) > 0.0,
        ]);
    }

    /** Minutes as people say them. */
    public static function time(float $minutes): string
    {
        $whole = (int) floor($minutes + 1e-9);

        return match (true) {
            $minutes < 1 => Messages::say('method.seconds', ['n' => Digits::short(round($minutes * 60, 0))]),
            $minutes < 60 => Messages::say('method.minutes', ['n' => Digits::short(round($minutes, 1))]),
            default => Messages::say('method.hours', ['h' => intdiv($whole, 60), 'min' => $whole % 60]),
        };
    }

    /** What an instrument is. */
    public static function instrument(string $unit, ?float $step, ?float $low, ?float $high, ?float $lag, ?float $rate): string
    {
        return Messages::say('method.instrument', [
            'unit' => $unit, 'stepped' => $step !== null, 'step' => Numbers::set($step ?? 0.0, $unit),
            'ranged' => $low !== null && $high !== null,
            'low' => Digits::short($low ?? 0.0), 'high' => Numbers::set($high ?? 0.0, $unit), 'slow' => $lag !== null,
            'lag' => Numbers::set($lag ?? 0.0, 's'), 'rated' => $rate !== null, 'rate' => Digits::short($rate ?? 0.0),
        ]);
    }

    /**
     * @param string      $on  day of its last check, as people say it; empty: it never was
     * @param string|null $due day when it is to be checked; null: nobody said how often; empty: now
     */
    public static function checked(string $on, ?string $due, bool $isLate): string
    {
        return Messages::say('method.checked', [
            'ever' => $on !== '', 'on' => $on, 'planned' => $due !== null, 'late' => $isLate, 'due' => (string) $due,
        ]);
    }
}
