<?php

declare(strict_types=1);

namespace Lustrum\Core\Working\Sum;

use Lustrum\Core\Working\About;
use Lustrum\Core\Working\Field;
use Lustrum\Core\Working\Given;
use Lustrum\Core\Working\Output;
use Lustrum\Core\Working\Working;

/** How long a battery lasts. */
final readonly class Runtime implements Working
{
    public function about(): About
    {
        return new About(
            'Run time', 'How long a battery lasts on a duty that comes and goes.',
            ['how long does the battery last', 'battery', 'charge', 'capacity', 'standby'],
            [
                Field::of('capacity', 'Capacity', 'Q', 'Ah'), Field::of('activeCurrent', 'Current while it works', 'Ia', 'A'),
                Field::of('idleCurrent', 'Current while it waits', 'Ii', 'A')->orNot(0.0)->from(0.0),
                Field::of('duty', 'Share of the time that it works', 'd', '1')->orNot(1.0)->from(0.0)->to(1.0),
                Field::of('cutOff', 'Share that is left over when it stops', 'k', '1')->orNot(0.0)->from(0.0)->to(1.0, below: true),
            ],
            [
                Output::of('meanCurrent', 'Mean current', 'Im', 'A', 'Im = d·Ia + (1 − d)·Ii'),
                Output::of('runtime', 'Run time', 't', 'h', 't = Q·(1 − k)/Im')->main(),
            ],
            'Charge over current; ISO/IEC 80000-6:2022, 6-2.',
            'Cold, age, high currents, self-discharge: each takes something off. Capacity is taken as it is at this current.',
            'Batteries burn: cut off at their maker’s voltage, charge them watched.',
        );
    }

    public function work(Given $in): array
    {
        $d = $in->the('duty');
        $mean = $d * $in->the('activeCurrent') + (1 - $d) * $in->the('idleCurrent');

        return ['meanCurrent' => $mean, 'runtime' => $in->the('capacity') * (1 - $in->the('cutOff')) / $mean];
    }
}
