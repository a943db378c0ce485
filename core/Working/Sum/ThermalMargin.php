<?php

declare(strict_types=1);

namespace Lustrum\Core\Working\Sum;

use Lustrum\Core\InvalidInput;
use Lustrum\Core\Working\About;
use Lustrum\Core\Working\Field;
use Lustrum\Core\Working\Given;
use Lustrum\Core\Working\Output;
use Lustrum\Core\Working\Working;

/** How much heat a part can stand. */
final readonly class ThermalMargin implements Working
{
    public function about(): About
    {
        return new About(
            'Thermal margin', 'How warm a part gets at a power, and what it could stand.',
            ['heat sink', 'how hot does it get', 'driver', 'overheating', 'thermal resistance'],
            [
                Field::of('power', 'Power', 'P', 'W'), Field::of('thermalResistance', 'Thermal resistance', 'R', 'K/W')->orNot(),
                Field::any('measured', 'Temperature that was measured', 'Tm', '°C')->orNot(),
                Field::any('measuredAmbient', 'Surroundings then', 'Tn', '°C')->orNot(),
                Field::of('measuredPower', 'Power then', 'Pm', 'W')->orNot(),
                Field::any('ambient', 'Surroundings', 'Ta', '°C'), Field::any('limit', 'Limit', 'Tl', '°C'),
            ],
            [
                Output::of('thermalResistance', 'Thermal resistance', 'R', 'K/W', 'R = (Tm − Tn)/Pm where it is not known'),
                Output::of('temperature', 'Temperature', 'T', '°C', 'T = Ta + P·R')->main(),
                Output::of('margin', 'Margin', 'M', 'K', 'M = Tl − T'),
                Output::of('greatestPower', 'Greatest power', 'Pg', 'W', 'Pg = (Tl − Ta)/R'),
                Output::of('greatestAmbient', 'Warmest surroundings', 'Tg', '°C', 'Tg = Tl − P·R'),
            ],
            'Steady heat flow; Incropera and others, Fundamentals of Heat and Mass Transfer (7th edition, 2011), 3.1.',
            'Bursts and how long they last, sun, dust, a fan that stops, hot spots inside.',
            'Hot surfaces burn, and what is too hot may catch fire.',
        );
    }

    public function work(Given $in): array
    {
        [$p, $around, $limit, $r] = [$in->the('power'), $in->the('ambient'), $in->the('limit'), $in->maybe('thermalResistance')];
        if ($r === null) {
            if (!$in->has('measured', 'measuredAmbient', 'measuredPower')) {
                throw InvalidInput::because('Give the thermal resistance, or what was measured at a power.', 'inputs/thermalResistance');
            }
            $r = ($in->the('measured') - $in->the('measuredAmbient')) / $in->the('measuredPower');
            if ($r <= 0.0) {
                throw InvalidInput::because('What gives off heat is warmer than its surroundings.', 'inputs/measured');
            }
        }

        return [
            'thermalResistance' => $r, 'temperature' => $around + $p * $r, 'margin' => $limit - $around - $p * $r,
            'greatestPower' => ($limit - $around) / $r, 'greatestAmbient' => $limit - $p * $r,
        ];
    }
}
