<?php

declare(strict_types=1);

namespace Lustrum\Core\Working\Sum;

use Lustrum\Core\InvalidInput;
use Lustrum\Core\Working\About;
use Lustrum\Core\Working\Field;
use Lustrum\Core\Working\Given;
use Lustrum\Core\Working\Output;
use Lustrum\Core\Working\Working;

/** Heaters on a supply. */
final readonly class Heater implements Working
{
    public function about(): About
    {
        return new About(
            'Heater on a supply',
            'What a heater draws and gives at a voltage, how hard that drives it, and whether the supply carries all of them.',
            ['heating element', 'hot wire', 'cartridge', 'power', 'current', 'supply', 'overload'],
            [
                Field::of('voltage', 'Voltage of the supply', 'U', 'V'),
                Field::of('resistance', 'Resistance', 'R', 'Ω')->orNot()->boughtAs(\Lustrum\Core\Working\Stock::Resistor),
                Field::of('ratedVoltage', 'Rated voltage', 'Un', 'V')->orNot(), Field::of('ratedPower', 'Rated power', 'Pn', 'W')->orNot(),
                Field::of('count', 'How many in parallel', 'N', '1')->orNot(1.0)->whole(),
                Field::of('supplyCurrent', 'What the supply can give', 'Is', 'A')->orNot(),
            ],
            [
                Output::of('current', 'Current of one', 'I', 'A', 'I = U/R, R = Un²/Pn where it is not known'),
                Output::of('power', 'Power of one', 'P', 'W', 'P = U²/R'),
                Output::of('totalCurrent', 'Current of all', 'It', 'A', 'It = N·I'),
                Output::of('totalPower', 'Power of all', 'Pt', 'W', 'Pt = N·P'),
                Output::of('share', 'Share of the rated power', 'p', '1', 'p = P/Pn')->shownIn('%'),
                Output::of('supplyShare', 'Share of what the supply can give', 's', '1', 's = It/Is')->shownIn('%'),
            ],
            'Ohm’s law; ISO/IEC 80000-6:2022, 6-46 and 6-45.',
            'Resistance that grows with heat, leads, the moment of switching on. How long an overload may last is its maker’s curve to decide.',
            'Burns and fire: a fuse for the wire, a cut-out for the heat, nobody leaves it alone. Work on the mains is for licensed hands.',
        );
    }

    public function work(Given $in): array
    {
        [$u, $r, $rated] = [$in->the('voltage'), $in->maybe('resistance'), $in->maybe('ratedPower')];
        if ($r === null) {
            [$un, $pn] = [$in->maybe('ratedVoltage'), $rated];
            if ($un === null || $pn === null) {
                throw InvalidInput::because('Give the resistance, or the rated voltage and power.', 'inputs/resistance');
            }
            $r = $un * $un / $pn;
        }
        [$i, $p, $n] = [$u / $r, $u * $u / $r, $in->the('count')];
        $supply = $in->maybe('supplyCurrent');

        return ['current' => $i, 'power' => $p, 'totalCurrent' => $n * $i, 'totalPower' => $n * $p]
            + ($rated === null ? [] : ['share' => $p / $rated]) + ($supply === null ? [] : ['supplyShare' => $n * $i / $supply]);
    }
}
