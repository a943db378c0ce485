<?php

declare(strict_types=1);

namespace Lustrum\Core\Wording;

use Lustrum\Core\Quantity\Digits;
use Lustrum\Core\Run\Channel;
use Lustrum\Core\Run\Condition;
use Lustrum\Core\Run\Factor;
use Lustrum\Core\Run\FactorKind;
use Lustrum\Core\Run\SettingRule;

/** What a method asks for, in words. */
final class MethodWords
{
    public static function aside(string $rig, int $version, float $minutes, int $runs): string
    {
        return Messages::say(
            'method.aside',
            ['rigged' => $rig !== '', 'rig' => $rig, 'version' => $version, 'minutes' => Digits::short($minutes), 'runs' => $runs],
        );
    }

    public static function channel(
        string $metric, string $unit, string $formula, string $instrument, ?float $step, ?float $low, ?float $high,
    ): string {
        return Messages::say('method.channel', [
            'metric' => $metric, 'unit' => $unit, 'derived' => $formula !== '', 'formula' => $formula, 'named' => $instrument !== '',
            'instrument' => $instrument, 'stepped' => $step !== null, 'step' => Digits::short($step ?? 0.0),
            'limits' => $low !== null && $high !== null, 'low' => Digits::short($low ?? 0.0), 'high' => Digits::short($high ?? 0.0),
        ]);
    }

    /** What stands beside a method that does not say when to stop. */
    public static function cannotStart(): string
    {
        return Messages::say('method.cannotStart');
    }

    public static function tared(Channel $c): string
    {
        return $c->tared ? Messages::say('method.tared') : '';
    }

    /** A try that nobody gave a name. */
    public static function unnamed(): string
    {
        return Messages::say('method.unnamed');
    }

    /** When to stop what can hurt nobody. */
    public static function hurtsNobody(): string
    {
        return Messages::say('method.hurtsNobody');
    }

    /** A requirement that was made of a result. */
    public static function wanted(string $name, bool $atLeast, string $limit, string $unit): string
    {
        return Messages::begin(Messages::say('method.wanted', [
            'name' => $name, 'atLeast' => $atLeast, 'limit' => Numbers::withUnit($limit, $unit),
        ]));
    }

    public static function question(string $metric, string $text): string
    {
        return Messages::say('method.question', ['metric' => $metric, 'told' => $text !== '', 'text' => $text]);
    }

    public static function factor(Factor $f): string
    {
        return Messages::say('method.factor', [
            'name' => $f->name, 'role' => $f->role->value, 'inUnit' => $f->unit !== '', 'unit' => $f->unit, 'named' => $f->levels !== [],
            'levels' => implode($f->kind === FactorKind::Ordered ? ' < ' : ', ', $f->levels), 'harder' => $f->harder->value,
            'stepped' => $f->step !== null, 'step' => Numbers::set($f->step ?? 0.0, $f->unit),
        ]);
    }

    public static function condition(Condition $c): string
    {
        return Messages::say('method.condition', [
            'name' => $c->name, 'inUnit' => $c->unit !== '', 'unit' => $c->unit,
            'tolerated' => $c->tolerance !== null, 'tolerance' => Digits::short($c->tolerance ?? 0.0), 'aim' => $c->aim->value,
            'meant' => $c->intended !== '', 'intended' => Numbers::withUnit($c->intended, is_numeric($c->intended) ? $c->unit : ''),
        ]);
    }

    public static function setting(SettingRule $s): string
    {
        return Messages::say('method.setting', [
            'name' => $s->name, 'set' => $s->intended !== null, 'intended' => Numbers::set($s->intended ?? 0.0, $s->unit),
            'tolerated' => $s->tolerance !== null, 'tolerance' => Digits::short($s->tolerance ?? 0.0),
            'ranged' => $s->low !== null && $s->high !== null, 'low' => Digits::short($s->low ?? 0.0),
            'high' => Numbers::set($s->high ?? 0.0, $s->unit),
            'stepped' => $s->step !== null, 'step' => Digits::short($s->step ?? 0.0), 'locked' => $s->lock !== '', 'lock' => $s->lock,
            'told' => $s->more !== '', 'more' => $s->more, 'turned' => $s->way !== '', 'way' => $s->way, 'seen' => $s->readOff !== '',
            'readOff' => $s->readOff, 'tooled' => $s->tool !== '', 'tool' => $s->tool,
        ]);
    }

    /** What to know while a setting is adjusted; empty where the method says nothing of it. */
    public static function adjusting(SettingRule $s): string
    {
        return trim(Messages::say('method.adjusting', [
            'told' => $s->more !== '', 'more' => $s->more, 'turned' => $s->way !== '', 'way' => $s->way,
            'seen' => $s->readOff !== '', 'readOff' => $s->readOff,
            'tooled' => $s->tool !== '', 'tool' => $s->tool, 'locked' => $s->lock !== '', 'lock' => $s->lock,
        ]));
    }

    /**
     * @param list<string> $hazards
     * @param list<string> $cautions
     */
    public static function mind(array $hazards, array $cautions, string $abort, bool $needsSignOff): string
    {
        // The hazards are one sentence, and each caution another.
        $known = array_filter([implode(', ', $hazards), ...$cautions], static fn (string $t): bool => trim($t) !== '');
        $known = array_map(static fn (string $t): string => Messages::begin(rtrim($t, '. ')), $known);

        return Messages::say('method.mind', [
            'any' => $known !== [], 'known' => implode('. ', $known), 'stops' => trim($abort) !== '', 'abort' => $abort,
            'signed' => $needsSignOff,
        ]);
    }
}
