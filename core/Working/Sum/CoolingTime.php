<?php

declare(strict_types=1);

namespace Lustrum\Core\Working\Sum;

use Lustrum\Core\Working\About;
use Lustrum\Core\Working\Entered;
use Lustrum\Core\Working\Field;
use Lustrum\Core\Working\Given;
use Lustrum\Core\Working\Output;
use Lustrum\Core\Working\Working;

/** Cooling in other surroundings. */
final readonly class CoolingTime implements Working
{
    public function about(): About
    {
        return new About(
            'Cooling time', 'How long a cooling (or warming) takes in other surroundings than it was measured in.',
            ['how long until it is cold', 'coolant', 'cooling', 'warming up', 'ambient'],
            [
                Field::of('time', 'Time it took', 't', 'min'), Field::any('from', 'From', 'T₀', '°C'), Field::any('to', 'To', 'T₁', '°C'),
                Field::any('coolant', 'Surroundings then', 'Ta', '°C'), Field::any('otherCoolant', 'Surroundings now', 'Tb', '°C'),
            ],
            [
                Output::of('rate', 'Rate', 'k', '1/s', 'k = ln((T₀ − Ta)/(T₁ − Ta))/t')->shownIn('1/min'),
                Output::of('time', 'Time it takes now', 't′', 's', 't′ = ln((T₀ − Tb)/(T₁ − Tb))/k')->main()->shownIn('min'),
            ],
            'Newton’s law of cooling; Incropera and others, Fundamentals of Heat and Mass Transfer (7th edition, 2011), 5.1.',
            'Radiation, boiling, anything that melts; a rate that changes with the temperature or with the flow around it.',
            'Hot surfaces look like cold ones.',
        );
    }

    public function work(Given $in): array
    {
        [$from, $to] = [$in->the('from'), $in->the('to')];
        $reach = static function (float $around, string $path) use ($from, $to): float {
            $q = $to === $around ? 0.0 : ($from - $around) / ($to - $around);

            return $q > 1.0 ? log($q) : throw Entered::unreachable('It never gets there in these surroundings.', 'inputs/'.$path);
        };
        $rate = $reach($in->the('coolant'), 'coolant') / $in->the('time');

        return ['rate' => $rate, 'time' => $reach($in->the('otherCoolant'), 'otherCoolant') / $rate];
    }
}
