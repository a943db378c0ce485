<?php

declare(strict_types=1);

namespace Lustrum\Core\Working\Sum;

use Lustrum\Core\InvalidInput;
use Lustrum\Core\Working\About;
use Lustrum\Core\Working\Field;
use Lustrum\Core\Working\Given;
use Lustrum\Core\Working\Output;
use Lustrum\Core\Working\Working;

/** A coil in a field that comes and goes. */
final readonly class Coil implements Working
{
    public function about(): About
    {
        return new About(
            'Coil', 'What voltage a coil gives in a changing field, or how many turns give a voltage.',
            ['generator', 'dynamo', 'pickup', 'how many turns', 'induction', 'magnet'],
            [
                Field::of('turns', 'Turns', 'N', 'count')->orNot(), Field::of('voltage', 'Voltage (rms)', 'U', 'V')->orNot(),
                Field::of('frequency', 'Frequency', 'f', 'Hz'), Field::of('fluxDensity', 'Flux density, its peak', 'B', 'mT'),
                Field::of('area', 'Area of a turn', 'A', 'cm^2'),
            ],
            [
                Output::of('voltage', 'Voltage (rms)', 'U', 'V', 'U = √2·π·f·N·B·A'),
                Output::of('turns', 'Turns', 'N', 'count', 'N = U/(√2·π·f·B·A)'),
            ],
            'Faraday’s law for a sine; ISO/IEC 80000-6:2022, 6-22.1.',
            'Current in the coil and what it does to the field, stray field, a course that is no sine.',
        );
    }

    public function work(Given $in): array
    {
        [$n, $u] = [$in->maybe('turns'), $in->maybe('voltage')];
        if (($n === null) === ($u === null)) {
            throw InvalidInput::because('Give the turns or the voltage, one of them.', 'inputs/'.($n === null ? 'turns' : 'voltage'));
        }
        $each = M_SQRT2 * M_PI * $in->the('frequency') * $in->the('fluxDensity') * $in->the('area');

        return $n !== null ? ['voltage' => $each * $n, 'turns' => $n] : ['voltage' => $u, 'turns' => $u / $each];
    }
}
