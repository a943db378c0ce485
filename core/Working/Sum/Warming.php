<?php

declare(strict_types=1);

namespace Lustrum\Core\Working\Sum;

use Lustrum\Core\Working\About;
use Lustrum\Core\Working\Entered;
use Lustrum\Core\Working\Field;
use Lustrum\Core\Working\Given;
use Lustrum\Core\Working\Output;
use Lustrum\Core\Working\Working;

/** How long it takes to warm something, and to melt some of it. */
final readonly class Warming implements Working
{
    public function about(): About
    {
        return new About(
            'Warming and melting',
            'How long a power takes to bring a mass to a temperature against its losses, and then to melt some of it.',
            ['how long to heat', 'warm up', 'melt', 'oven', 'heated bed', 'kettle', 'boil'],
            [
                Field::of('power', 'Power', 'P', 'W'), Field::of('mass', 'Mass', 'm', 'kg'),
                Field::of('specificHeat', 'Specific heat', 'c', 'J/kg/K'),
                Field::any('from', 'From', 'T₀', '°C'), Field::any('to', 'To', 'T₁', '°C'),
                Field::of('loss', 'Loss to the surroundings', 'k', 'W/K')->orNot(0.0)->from(0.0),
                Field::any('ambient', 'Surroundings (where it begins, unless it is said)', 'Ta', '°C')->orNot(),
                Field::of('meltMass', 'Mass that melts there', 'mm', 'kg')->orNot(),
                Field::of('latentHeat', 'Heat of melting', 'L', 'J/kg')->orNot(),
            ],
            [
                Output::of('time', 'Time to the temperature', 't', 's', 't = (m·c/k)·ln((P − k·(T₀ − Ta))/(P − k·(T₁ − Ta))), m·c·(T₁ − T₀)/P without loss')->shownIn('min'),
                Output::of('holdingPower', 'Power that only holds it there', 'Ph', 'W', 'Ph = k·(T₁ − Ta)'),
                Output::of('energy', 'Energy put in until then', 'E', 'J', 'E = P·t')->shownIn('kJ'),
                Output::of('meltingTime', 'Time to melt after that', 'tm', 's', 'tm = mm·L/(P − Ph)')->shownIn('min'),
                Output::of('endTemperature', 'Where it ends if nothing stops it', 'Te', '°C', 'Te = Ta + P/k'),
            ],
            'Lumped capacity; Incropera and others, Fundamentals of Heat and Mass Transfer (7th edition, 2011), 5.3.',
            'Differences inside the body, radiation, steam, a heater that switches. How long an overload may last is its maker’s curve to decide.',
            'Burns and fire: a cut-out that works by itself, nobody leaves it alone, and steam needs a way out.',
        );
    }

    public function work(Given $in): array
    {
        [$p, $k, $from, $to] = [$in->the('power'), $in->the('loss'), $in->the('from'), $in->the('to')];
        $around = $in->maybe('ambient') ?? $from;
        if ($to <= $from) {
            throw Entered::unreachable('It is warmed: where it goes lies above where it begins.', 'inputs/to');
        }
        $heat = $in->the('mass') * $in->the('specificHeat');
        $holding = $k * ($to - $around);
        if ($holding >= $p) {
            throw Entered::unreachable('So much goes lost that this power never gets it there.', 'inputs/power');
        }
        $time = $k > 0.0 ? $heat / $k * log(($p - $k * ($from - $around)) / ($p - $holding)) : $heat * ($to - $from) / $p;

        return ['time' => $time, 'holdingPower' => $holding, 'energy' => $p * $time]
            + ($in->has('meltMass', 'latentHeat') ? ['meltingTime' => $in->the('meltMass') * $in->the('latentHeat') / ($p - $holding)] : [])
            + ($k > 0.0 ? ['endTemperature' => $around + $p / $k] : []);
    }
}
