<?php

declare(strict_types=1);

namespace Lustrum\Core\Working\Sum;

use Lustrum\Core\Working\About;
use Lustrum\Core\Working\Field;
use Lustrum\Core\Working\Given;
use Lustrum\Core\Working\Output;
use Lustrum\Core\Working\Working;

/** Forces of a flow, without their size. */
final readonly class ForceCoefficients implements Working
{
    public function about(): About
    {
        return new About(
            'Force coefficients', 'Lift and drag without the size and the speed they were measured at, and how like another flow is.',
            ['lift', 'drag', 'reynolds', 'wing', 'blade', 'towing tank', 'wind tunnel', 'glide ratio'],
            [
                Field::any('lift', 'Lift', 'L', 'N'), Field::of('drag', 'Drag', 'D', 'N'),
                Field::of('speed', 'Speed of the flow', 'v', 'm/s'),
                Field::of('area', 'Reference area', 'A', 'cm^2'), Field::of('length', 'Reference length', 'l', 'mm'),
                Field::of('airDensity', 'Density of the fluid', 'ρ', 'kg/m^3')->orNot(1.225),
                Field::of('viscosity', 'Viscosity', 'μ', 'Pa·s')->orNot(1.81e-5),
            ],
            [
                Output::of('dynamicPressure', 'Dynamic pressure', 'q', 'Pa', 'q = ½ρ·v²'),
                Output::of('liftCoefficient', 'Lift coefficient', 'CL', '1', 'CL = L/(q·A)')->main(),
                Output::of('dragCoefficient', 'Drag coefficient', 'CD', '1', 'CD = D/(q·A)'),
                Output::of('ratio', 'Lift over drag', 'ε', '1', 'ε = L/D'),
                Output::of('reynolds', 'Reynolds number', 'Re', '1', 'Re = ρ·v·l/μ'),
            ],
            'ISO 80000-11:2019, 11-4.1 (Reynolds number) and 11-4.21 (drag coefficient).',
            'Walls, a free surface, what holds the model, compressibility. Coefficients go for the Reynolds number they were found at.',
        );
    }

    public function work(Given $in): array
    {
        $v = $in->the('speed');
        $q = $in->the('airDensity') * $v * $v / 2;
        $force = $q * $in->the('area');

        return [
            'dynamicPressure' => $q, 'liftCoefficient' => $in->the('lift') / $force, 'dragCoefficient' => $in->the('drag') / $force,
            'ratio' => $in->the('lift') / $in->the('drag'),
            'reynolds' => $in->the('airDensity') * $v * $in->the('length') / $in->the('viscosity'),
        ];
    }
}
