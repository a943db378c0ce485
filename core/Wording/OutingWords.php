<?php

declare(strict_types=1);

namespace Lustrum\Core\Wording;

use Lustrum\Core\Outing\DayOut;
use Lustrum\Core\Outing\Stop;

/** A day out, in words. */
final class OutingWords
{
    public static function sentence(DayOut $day, ?float $hours): string
    {
        return Messages::say('outing.sentence', [
            'stops' => count($day->stops), 'runs' => array_sum(array_map(static fn (Stop $s): int => $s->runs, $day->stops)),
            'time' => MethodSheetWords::time($day->minutes), 'out' => count($day->leftOut),
            'names' => Messages::list(array_map(static fn (Stop $s): string => $s->name, $day->leftOut)),
            'known' => $hours !== null, 'hours' => $hours === null ? '' : MethodSheetWords::time(60 * $hours),
        ]);
    }

    /** Why it stands where it does. */
    public static function why(Stop $stop): string
    {
        return Messages::say('outing.why', [
            'why' => match (true) {
                $stop->breaks => 'breaks', $stop->isAtRisk => 'risk', $stop->hazards > 0 => 'hazard', $stop->wears => 'wears',
                default => 'safe',
            },
            'must' => $stop->isMust,
        ]);
    }

    public static function articles(string $serials, Stop $stop): string
    {
        return Messages::say('outing.articles', [
            'serials' => $serials, 'any' => $serials !== '', 'name' => $stop->name, 'spares' => $stop->spares(),
            'breaks' => $stop->breaks,
        ]);
    }

    public static function instrument(string $name, string $power, string $leftIn): string
    {
        return Messages::say('outing.instrument', [
            'name' => $name, 'power' => $power === '' ? 'none' : 'said', 'needs' => $power, 'left' => $leftIn === '' ? 'none' : 'said',
            'unit' => $leftIn,
        ]);
    }

    public static function agree(string $trial, string $who): string
    {
        return Messages::say('outing.agree', ['trial' => $trial, 'named' => $who !== '', 'who' => $who]);
    }

    public static function missed(string $what, string $place): string
    {
        return Messages::say('outing.missed', ['what' => $what, 'place' => $place]);
    }
}
