<?php

declare(strict_types=1);

namespace Lustrum\Core\Wording;

use Lustrum\Core\Judging\Surprise;
use Lustrum\Core\Rig\HappeningKind;
use Lustrum\Core\Rig\RigCheck;
use Lustrum\Core\Rig\RigLine;
use Lustrum\Core\Rig\RigState;
use Lustrum\Core\Run\Channel;

/** The rig before a run, and what does not fit after a surprise, in words. */
final class RigWords
{
    /** What is to be done before the run: the sentence of a rig check. */
    public static function sentence(RigCheck $check): string
    {
        $asked = self::named($check->asked());
        $off = self::named($check->in(RigState::Off));
        $unknown = self::named($check->in(RigState::NotKnown));

        return match (true) {
            $check->lines === [] => Messages::say('rig.nothing'),
            $asked !== [] => Messages::say('rig.asked', ['names' => Messages::list($asked), 'stand' => count($check->standing())]),
            $off !== [] => Messages::begin(Messages::say('rig.isOff', ['names' => Messages::list($off), 'n' => count($off)])),
            $unknown !== [] => Messages::say('rig.cannotTell', ['names' => Messages::list($unknown), 'n' => count($unknown)]),
            default => Messages::say('rig.ready', ['n' => count($check->lines)]),
        };
    }

    /**
     * @param list<RigLine> $lines
     *
     * @return list<string>
     */
    private static function named(array $lines): array
    {
        return array_map(static fn (RigLine $l): string => mb_strtolower($l->rule->name), $lines);
    }

    public static function line(RigLine $line, string $serial): string
    {
        $rule = $line->rule;

        return Messages::say('rig.'.$line->state->value, [
            'name' => Messages::begin($rule->name), 'found' => $line->found, 'was' => $line->verified->text ?? '',
            'run' => $line->verified->run ?? 0,
            'meant' => $rule->intended !== null, 'intended' => $rule->intended === null ? '' : Numbers::set($rule->intended, $rule->unit),
            'serial' => $serial === '' ? Messages::say('rig.thisArticle') : $serial,
            'how' => $line->happening === null ? '' : self::kind($line->happening->kind),
            'said' => ($line->happening->note ?? '') !== '', 'note' => $line->happening->note ?? '',
        ]);
    }

    public static function kind(HappeningKind $kind): string
    {
        return Messages::say('rig.'.$kind->value);
    }

    /**
     * What has to be set to nought.
     *
     * @param list<Channel>         $channels
     * @param array<string, string> $names    of metrics
     */
    public static function tare(array $channels, array $names): string
    {
        $tared = array_filter($channels, static fn (Channel $c): bool => $c->tared);
        $said = array_map(static fn (Channel $c): string => mb_strtolower($names[$c->metric] ?? $c->key), array_values($tared));

        return $said === [] ? '' : Messages::say('rig.tare', ['names' => Messages::list(array_values(array_unique($said)))]);
    }

    /**
     * After a surprise: what it is, and what does not fit, before anything of the design.
     *
     * @param string $what which was read, by its name
     * @param string $read as it was read
     *
     * @return list<string>
     */
    public static function surprise(Surprise $surprise, string $what, string $read, RigCheck $check, string $serial): array
    {
        $mismatches = array_map(
            static fn (RigLine $l): string => Messages::say('rig.look', ['what' => self::line($l, $serial)]),
            $check->mismatches(),
        );

        return [
            $surprise->channel === ''
                ? Messages::say('rig.failedWhatHeld', ['n' => $surprise->held])
                : Messages::say('rig.outside', ['what' => mb_strtolower($what), 'read' => $read, 'forecast' => $surprise->forecast]),
            ...($mismatches === [] ? [Messages::say('rig.noMismatch')] : $mismatches),
        ];
    }
}
