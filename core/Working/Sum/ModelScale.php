<?php

declare(strict_types=1);

namespace Lustrum\Core\Working\Sum;

use Lustrum\Core\Working\About;
use Lustrum\Core\Working\Field;
use Lustrum\Core\Working\Given;
use Lustrum\Core\Working\Output;
use Lustrum\Core\Working\Working;

/** What a model shows, or needs, in the same fluid. */
final readonly class ModelScale implements Working
{
    public function about(): About
    {
        return new About(
            'Model scale', 'At what speed a smaller model behaves like the real thing, and what forces it then shows.',
            ['scale model', 'froude', 'reynolds', 'smaller version', 'tank test'],
            [
                Field::of('scale', 'Length of the model over that of the real thing', 's', '1'),
                Field::choice('keep', 'What is kept', ['froude', 'reynolds']),
                Field::of('speed', 'Speed of the real thing', 'v', 'm/s')->orNot(),
                Field::of('time', 'Time of the real thing', 't', 's')->orNot(),
                Field::of('force', 'Force on the real thing', 'F', 'N')->orNot(),
            ],
            [
                Output::of('speed', 'Speed of the model', 'v′', 'm/s', 'v′ = v·√s (Froude), v/s (Reynolds)'),
                Output::of('time', 'Time of the model', 't′', 's', 't′ = t·√s (Froude), t·s² (Reynolds)'),
                Output::of('force', 'Force on the model', 'F′', 'N', 'F′ = F·s³ (Froude), F (Reynolds)'),
            ],
            'Laws of similarity; ISO 80000-11:2019, 11-4.1 and 11-4.3.',
            'Both at once cannot be kept in one fluid; surface tension, stiffness, heat.',
        );
    }

    public function work(Given $in): array
    {
        $s = $in->the('scale');
        $by = $in->choice('keep') === 'froude' ? ['speed' => sqrt($s), 'time' => sqrt($s), 'force' => $s ** 3]
            : ['speed' => 1 / $s, 'time' => $s * $s, 'force' => 1.0];
        $out = [];
        foreach ($by as $name => $factor) {
            $value = $in->maybe($name);
            if ($value !== null) {
                $out[$name] = $value * $factor;
            }
        }

        return $out;
    }
}
