<?php

declare(strict_types=1);

namespace Lustrum\Core\Wording;

use Lustrum\Core\Cost\Sums;
use Lustrum\Core\Judging\Consequences;
use Lustrum\Core\Judging\Device;
use Lustrum\Core\Judging\Meets;
use Lustrum\Core\Judging\MetricForecast;
use Lustrum\Core\Quantity\Digits;

/** Sentences about candidates, their consequences, and decisions. */
final class DecisionWords
{
    /** Things that are odd and stand in the sentence. */
    private const NAMED = 3;

    /** @return list<string> the limits that are passed */
    public static function over(Consequences $c, Device $device): array
    {
        $out = [];
        if ($c->overCost !== null && $device->costLimit !== null) {
            $out[] = Messages::say('decision.overCost', [
                'cost' => $c->cost, 'currency' => $device->currency, 'by' => $c->overCost, 'limit' => Sums::of([$device->costLimit]),
            ]);
        }
        if ($c->overHours && $device->hoursLimit !== null) {
            $out[] = Messages::say('decision.overHours', [
                'hours' => self::hours($c->hours), 'by' => self::hours(
                    $c->hours - $device->hoursLimit,
                ), 'limit' => self::hours($device->hoursLimit),
            ]);
        }
        if ($c->overChanges && $device->changesLimit !== null) {
            $out[] = Messages::say('decision.overChanges', ['n' => $c->chosen, 'limit' => $device->changesLimit]);
        }

        return $out;
    }

    /** @param array<string, string> $names of metrics */
    public static function entangled(MetricForecast $f, array $names): string
    {
        return Messages::say('decision.entangled', [
            'metric' => Messages::begin($names[$f->metric] ?? ''),
            'candidates' => Messages::list(
                array_map(static fn (string $w): string => Messages::say('decision.quoted', ['what' => $w]), $f->candidates),
            ),
        ]);
    }

    /** @param array<string, string> $names of metrics */
    public static function forecast(MetricForecast $f, array $names): string
    {
        $metric = Messages::begin($names[$f->metric] ?? '');
        if ($f->now === null) {
            return Messages::say('decision.noBaseline', ['metric' => $metric]);
        }
        $at = static fn (float $add): string => Digits::decimals($f->now->mean + $add, $f->now->decimals);

        return Messages::say('decision.forecast', [
            'metric' => $metric, 'now' => Numbers::amount($f->now->mean, $f->now->decimals, $f->now->unit), 'n' => $f->now->n,
            'drawn' => $f->now->drawnFrom !== null, 'measured' => Digits::decimals($f->now->drawnFrom ?? 0.0, $f->now->decimals),
            'low' => $at(min($f->addLow, $f->addHigh)), 'high' => $at(max($f->addLow, $f->addHigh)),
            'meets' => $f->meets === Meets::Unknown ? 'unknown' : $f->meets->value,
            'limit' => $f->wanted === null ? '' : Numbers::set($f->wanted->limit, $f->wanted->unit),
        ]);
    }

    /**
     * What whoever decides on a build should know first.
     *
     * @param list<string> $dangers modes of open dangerous failures
     *
     * @return list<string>
     */
    public static function warnings(string $letter, bool $tried, array $dangers): array
    {
        return [
            ...($tried ? [] : [Messages::say('decision.untried', ['letter' => $letter])]),
            ...($dangers === [] ? [] : [Messages::say('decision.dangers', [
                'letter' => $letter, 'n' => count($dangers), 'modes' => Messages::list($dangers),
            ])]),
        ];
    }

    public static function hours(float $hours): string
    {
        return Digits::decimals($hours, 1);
    }

    /** What was decided, as the record of it begins. */
    public static function record(
        string $kind, string $by, string $next, string $letter, int $chosen, string $cost, string $currency, float $hours,
    ): string {
        return Messages::say('decision.record', [
            'kind' => $kind,
            'by' => $by, 'next' => $next, 'letter' => $letter, 'n' => $chosen, 'cost' => $cost, 'currency' => $currency,
            'hours' => self::hours($hours),
        ]);
    }

    /** @param string|null $decided letter of the build that the last decision on this one opened */
    public static function sentence(string $letter, int $open, int $undecided, Consequences $c, Device $device, ?string $decided): string
    {
        if ($open === 0) {
            return $decided === null ? Messages::say('decision.none') : Messages::say(
                'decision.decided', ['letter' => $letter, 'next' => $decided],
            );
        }
        $limited = $device->costLimit !== null || $device->hoursLimit !== null;

        return Messages::say('decision.sentence', [
            'n' => $open, 'chosen' => $c->chosen, 'cost' => $c->cost, 'currency' => $device->currency, 'hours' => self::hours($c->hours),
            'over' => $c->over(), 'within' => $c->over() === 0 && $c->chosen > 0 && $limited,
            'entangled' => count($c->entangled()), 'undecided' => $undecided, 'decidable' => $c->chosen > 0,
        ]);
    }

    /** @param list<array{metric: string, trial: string, number: int}> $readings whose unit nobody knows */
    public static function waiting(array $readings): string
    {
        $named = array_map(static fn (array $r): string => Messages::say('decision.waits', $r), array_slice($readings, 0, self::NAMED));

        return $readings === [] ? '' : Messages::say('decision.waiting', [
            'n' => count($readings), 'named' => implode(', ', $named), 'more' => count($readings) - count($named),
        ]);
    }

    /**
     * @param list<string> $candidates several that answer one mode of failure
     */
    public static function answering(array $candidates, string $mode): string
    {
        return Messages::say('decision.answering', [
            'candidates' => Messages::quoted($candidates),
            'mode' => trim($mode),
            'n' => count($candidates),
        ]);
    }

    /**
     * What was odd and is not explained: nobody should decide on it unawares.
     *
     * @param list<array{text: string, run: string, number: int, trial: string}> $odd
     */
    public static function odd(array $odd): string
    {
        $said = array_map(static fn (array $one): string => Messages::say('decision.oddOne', [
            'text' => rtrim($one['text'], '. '), 'on' => $one['number'] > 0, 'number' => $one['number'], 'trial' => $one['trial'],
        ]), array_slice($odd, 0, self::NAMED));

        return $odd === [] ? '' : Messages::say('decision.odd', ['said' => Messages::list($said), 'more' => count($odd) - count($said)]);
    }
}
