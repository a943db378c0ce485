<?php

declare(strict_types=1);

namespace Lustrum\Tests\Core;

use Lustrum\Core\CoreException;
use Lustrum\Core\Quantity\Units;
use Lustrum\Core\Wording\WorkingWords;
use Lustrum\Core\Working\Entered;
use Lustrum\Core\Working\Entry;
use Lustrum\Core\Working\FieldKind;
use Lustrum\Core\Working\Forecast;
use Lustrum\Core\Working\Solve;
use Lustrum\Core\Working\Stock;
use Lustrum\Core\Working\TypedSum;
use Lustrum\Core\Working\Work;
use Lustrum\Core\Working\Workings;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;

/** Sums of the bench: against published examples, and none of them ever answers with what is no number. */
final class WorkingsTest extends TestCase
{
    /** @return iterable<string, array{string, array<string, Entry|list<Entry>|string>, array<string, array{float, string, float}>}> */
    public static function published(): iterable
    {
        // Shigley’s Mechanical Engineering Design (10th edition, 2015), example 8–1: without its collar 15.94 and −0.466 N·m.
        yield 'power screw' => ['leadScrew', [
            'force' => new Entry(6.4, 'kN'), 'diameter' => new Entry(30, 'mm'), 'lead' => new Entry(8, 'mm'), 'friction' => new Entry(0.08),
        ], ['torque' => [15.94, 'N·m', 0.005], 'lowerTorque' => [-0.466, 'N·m', 0.0005]]];
        // Norton, Machine Design (5th edition, 2014), example 12-1: 19 and 37 teeth of six to the inch.
        yield 'gear mesh' => ['gearMesh', [
            'module' => new Entry(25.4 / 6, 'mm'), 'driverTeeth' => new Entry(19), 'drivenTeeth' => new Entry(37),
        ], ['ratio' => [1.947, '1', 0.001], 'centreDistance' => [4.667, 'in', 0.0005], 'contactRatio' => [1.62, '1', 0.005]]];
        // Waters and others, Applications Manual for the Revised NIOSH Lifting Equation (1994), example 1: 16.3 lb, 2.7; its tables are rounded.
        yield 'punch press stock' => ['lift', [
            'mass' => new Entry(44, 'lb'), 'horizontal' => new Entry(23, 'in'), 'vertical' => new Entry(15, 'in'),
            'travel' => new Entry(48, 'in'), 'coupling' => 'fair',
        ], ['recommended' => [16.3, 'lb', 0.65], 'index' => [2.7, '1', 0.15]]];
        // Stewart, Calculus (8th edition, 2015), 3.8, example 3: a rate of 0.01663 a minute.
        yield 'soda that cools' => ['coolingTime', [
            'time' => new Entry(30, 'min'), 'from' => new Entry(72, '°F'), 'to' => new Entry(61, '°F'),
            'coolant' => new Entry(44, '°F'), 'otherCoolant' => new Entry(44, '°F'),
        ], ['rate' => [0.01663, '1/min', 0.000005], 'time' => [30.0, 'min', 1e-9]]];
        // The transformer equation as it is taught, U = 4.44·f·N·Φ.
        yield 'coil' => ['coil', [
            'turns' => new Entry(100, 'count'), 'frequency' => new Entry(50, 'Hz'), 'fluxDensity' => new Entry(1, 'T'),
            'area' => new Entry(1, 'cm^2'),
        ], ['voltage' => [2.22, 'V', 0.003]]];
        // Roark’s Formulas for Stress and Strain (8th edition, 2012), table A.1, case 2: a rectangle.
        yield 'strip' => ['beamSection', [
            'width' => new Entry(20, 'mm'), 'thickness' => new Entry(3, 'mm'), 'newThickness' => new Entry(4, 'mm'),
        ], ['secondMoment' => [45, 'mm^4', 1e-6], 'sectionModulus' => [30, 'mm^3', 1e-6], 'stiffnessRatio' => [64 / 27, '1', 1e-9]]];
        // A litre of water by 2 kW from 20 to 100 °C: m·c·ΔT/P with c of CRC Handbook of Chemistry and Physics (97th edition), 6-1.
        yield 'kettle' => ['warming', [
            'power' => new Entry(2, 'kW'), 'mass' => new Entry(1, 'kg'), 'specificHeat' => new Entry(4181, 'J/kg/K'),
            'from' => new Entry(20, '°C'), 'to' => new Entry(100, '°C'),
        ], ['time' => [167.24, 's', 0.01], 'energy' => [334.48, 'kJ', 0.01]]];
        // Without height the worst angle is 45° and the reach v²/g (Lichtenberg and Wills, American Journal of Physics 46 (1978) 546, equation 3).
        yield 'level throw' => ['reach', ['speed' => new Entry(20, 'm/s')], [
            'reach' => [40.789, 'm', 0.001], 'angle' => [45, 'deg', 1e-9],
        ]];
        // Steel pipe of 60.3 × 2.9 mm weighs 4.11 kg/m (EN 10220:2002, table 1).
        yield 'pipe' => ['simpleBody', [
            'shape' => 'tube', 'density' => new Entry(7850, 'kg/m^3'), 'diameter' => new Entry(60.3, 'mm'),
            'wall' => new Entry(2.9, 'mm'), 'length' => new Entry(1, 'm'),
        ], ['mass' => [4.11, 'kg', 0.005]]];
        // A right angle between base and arm: the lever is a·b/c.
        yield 'actuator' => ['linkage', [
            'base' => new Entry(400, 'mm'), 'attachment' => new Entry(300, 'mm'), 'shortest' => new Entry(400, 'mm'),
            'longest' => new Entry(500, 'mm'),
            'force' => new Entry(1000, 'N'), 'arm' => new Entry(600, 'mm'), 'speed' => new Entry(10, 'mm/s'),
        ], ['to' => [90, 'deg', 1e-9], 'leastForce' => [400, 'N', 1e-6], 'greatestSpeed' => [25, 'mm/s', 1e-6], 'weakestAt' => [90, 'deg', 1e-9]]];
    }

    /**
     * @param array<string, Entry|list<Entry>|string>       $entries
     * @param array<string, array{float, string, float}> $expected
     */
    #[DataProvider('published')]
    public function testItIsAsPublished(string $name, array $entries, array $expected): void
    {
        $work = Workings::named($name);
        $out = array_column(
            $work->out(Entered::read($work->about, $entries), array_map(static fn (array $e): string => $e[1], $expected)),
            'value', 'name',
        );
        foreach ($expected as $output => [$value, , $delta]) {
            self::assertIsFloat($out[$output] ?? null, $output);
            self::assertEqualsWithDelta($value, $out[$output], $delta, $output);
        }
    }

    /** @return iterable<string, array{Work}> */
    public static function all(): iterable
    {
        foreach (Workings::all() as $name => $work) {
            yield $name => [$work];
        }
    }

    #[DataProvider('all')]
    public function testItSaysWhatItTakesAndWhereItIsFrom(Work $work): void
    {
        $about = $work->about;
        foreach ([$about->title, $about->what, $about->source, $about->leavesOut] as $said) {
            self::assertNotSame('', $said);
        }
        self::assertStringEndsWith('.', $about->leavesOut);
        self::assertStringNotContainsStringIgnoringCase(
            'is safe', $about->what.$about->leavesOut.' '.str_replace('none that is safe', '', $about->caution),
        );
        self::assertGreaterThan(1, count($about->asked));
        self::assertSame(count($about->inputs), count(array_unique(array_column($about->inputs, 'name'))));
        self::assertSame(count($about->outputs), count(array_unique(array_column($about->outputs, 'name'))));
        foreach ([...$about->inputs, ...$about->outputs] as $one) {
            self::assertTrue($one->unit === '' || Units::knows($one->unit), $one->name.' in '.$one->unit);
        }
    }

    /** Whatever is entered, an answer is a number or a sentence, at a place that there is. */
    #[DataProvider('all')]
    public function testNothingIsAnsweredByWhatIsNoNumber(Work $work): void
    {
        $random = new Randomizer(new Xoshiro256StarStar(7));
        $values = [0.0, -1.0, 1.0, 1e-30, 1e30, 0.5, 3.0, 12.0, 90.0, 1e-3, 250.0, -273.15, 180.0];
        $names = array_column($work->about->inputs, 'name');
        for ($i = 0; $i < 300; ++$i) {
            $entries = [];
            foreach ($work->about->inputs as $field) {
                $pick = static fn (): Entry => new Entry(
                    $values[$random->getInt(0, count($values) - 1)], $field->unit, $random->getInt(0, 3) === 0 ? 0.1 : 0.0,
                );
                if (!$field->needed && $random->getInt(0, 2) === 0) {
                    continue;
                }
                $entries[$field->name] = match ($field->kind) {
                    FieldKind::One => $pick(),
                    FieldKind::Many => [$pick(), $pick(), $pick()],
                    FieldKind::Lines => $field->example,
                    FieldKind::Choice => $field->choices[$random->getInt(0, count($field->choices) - 1)],
                };
            }
            try {
                foreach ($work->named(array_filter($entries, is_string(...)))->out(Entered::read($work->about, $entries)) as $one) {
                    foreach ([...(is_array($one->value) ? $one->value : [$one->value ?? 0.0]), $one->u ?? 0.0] as $value) {
                        self::assertTrue(is_finite($value), $one->name);
                    }
                }
            } catch (CoreException $e) {
                self::assertContains($e->problem, ['input.invalid', 'value.undefined', 'target.unreachable']);
                $at = explode('/', $e->path);
                self::assertTrue(
                    $e->path === '' || ($at[0] === 'inputs' && in_array($at[1] ?? '', $names, true)) || $work->about->output($at[0]) !== null,
                    $e->path,
                );
            }
        }
    }

    public function testNoAngleGetsFurtherThanTheWorst(): void
    {
        [$v, $h, $g] = [10.0, 10.0, 9.80665];
        $work = Workings::named('reach');
        [$reach, $angle] = $work->out(Entered::read($work->about, ['speed' => new Entry($v, 'm/s'), 'height' => new Entry($h, 'm')]));
        $at = static fn (float $a): float => $v * cos($a) / $g * ($v * sin($a) + sqrt(($v * sin($a)) ** 2 + 2 * $g * $h));
        $all = array_map(static fn (int $i): float => $at(deg2rad($i / 10)), range(0, 900));
        self::assertEqualsWithDelta(max($all), $reach->value, 1e-4);
        self::assertEqualsWithDelta(array_search(max($all), $all, true) / 10, $angle->value, 0.06);
    }

    public function testWhatContributesMostStandsFirst(): void
    {
        $work = Workings::named('rotatingArm');
        [$tip, $acceleration] = $work->out(Entered::read($work->about, [
            'radius' => new Entry(780, 'mm', 2), 'rotation' => new Entry(438, 'rpm', 5), 'mass' => new Entry(120, 'g'),
        ]));
        self::assertSame(['rotation', 'radius'], array_keys($tip->parts));
        self::assertEqualsWithDelta(1.0, array_sum($acceleration->parts), 1e-9);
        self::assertEqualsWithDelta((5 / 438) ** 2 / ((5 / 438) ** 2 + (2 / 780) ** 2), $tip->parts['rotation'], 1e-6);
        $sure = $work->out(Entered::read($work->about, [
            'radius' => new Entry(1, 'm'), 'rotation' => new Entry(1, 'Hz'), 'mass' => new Entry(1, 'kg'),
        ]));
        self::assertSame([null, []], [$sure[0]->u, $sure[0]->parts]);
    }

    public function testAnInputIsFoundForAnAnswer(): void
    {
        $work = Workings::named('frictionJoint');
        $given = Entered::read($work->about, [
            'torque' => new Entry(5, 'N·m'), 'diameter' => new Entry(6, 'mm'), 'friction' => new Entry(0.15), 'bolts' => new Entry(2),
        ])->given;
        $torque = Solve::input($work, $given, 'holding', 2000.0, $work->about->field('torque') ?? self::fail());
        self::assertEqualsWithDelta(8.0, $torque, 1e-6);

        $beam = Workings::named('beamSection');
        $given = Entered::read($beam->about, ['width' => new Entry(40, 'mm'), 'thickness' => new Entry(5, 'mm'), 'newThickness' => new Entry(5, 'mm')])->given;
        $thick = Solve::input($beam, $given, 'stiffnessRatio', 2.0, $beam->about->field('newThickness') ?? self::fail());
        self::assertEqualsWithDelta(0.005 * 2 ** (1 / 3), $thick, 1e-9);
        self::assertSame(0.006, Stock::Sheet->nearest($thick), 'And the sheet that comes nearest.');
    }

    public function testWhereNothingGivesItThatIsSaid(): void
    {
        $work = Workings::named('runtime');
        $given = Entered::read($work->about, ['capacity' => new Entry(7, 'Ah'), 'activeCurrent' => new Entry(1, 'A'), 'duty' => new Entry(0.5)])->given;
        $duty = $work->about->field('duty') ?? self::fail();
        self::assertEqualsWithDelta(0.7, Solve::input($work, $given, 'runtime', 36000.0, $duty), 1e-9);
        $this->expectExceptionMessage('No value of this gives that.');
        Solve::input($work, $given, 'runtime', 3600.0, $duty);
    }

    /** Lifts a minute stand in a table: between two of its rows the answer jumps, and no value gives what lies between. */
    public function testAJumpOverAnAnswerIsNone(): void
    {
        $work = Workings::named('lift');
        $given = Entered::read($work->about, [
            'mass' => new Entry(10, 'kg'), 'horizontal' => new Entry(25, 'cm'), 'vertical' => new Entry(75, 'cm'),
            'travel' => new Entry(25, 'cm'),
        ])->given;
        $field = $work->about->field('frequency') ?? self::fail();
        self::assertSame(23.0 * 0.91, $work->si($given->with('frequency', 2.0))['recommended']);
        $this->expectExceptionMessage('No value of this gives that.');
        Solve::input($work, $given, 'recommended', 23.0 * 0.895, $field);
    }

    public function testAForecastIsInsideItsIntervalOrNot(): void
    {
        $said = static fn (?float $u, float $read): string => WorkingWords::scored(Forecast::of(40.0, $u, 'N', $read));
        self::assertSame([true, false, null], array_map(
            static fn (array $of): ?bool => Forecast::of(40.0, $of[0], 'N', $of[1])->isInside, [[1.0, 41.9], [1.0, 42.0], [null, 40.0]],
        ));
        self::assertStringEndsWith('Inside its interval [38.0, 42.0], 0.97 half-widths above the middle.', $said(1.0, 41.9));
        self::assertStringEndsWith('Outside its interval [38.0, 42.0]: 1.5 half-widths below the middle.', $said(1.0, 37.0));
        self::assertStringEndsWith('It is 2.5 N below that; no interval was given.', $said(null, 37.5));
    }

    /** @return iterable<string, array{string, array<string, Entry|list<Entry>|string>, string, string}> */
    public static function refused(): iterable
    {
        $drop = ['height' => new Entry(1, 'm'), 'mass' => new Entry(1, 'kg')];
        yield 'nought where it divides' => [
            'drop', ['stopDistance' => new Entry(0, 'm')] + $drop, 'inputs/stopDistance', 'More than 0 is wanted here.',
        ];
        yield 'no mass' => ['drop', ['height' => new Entry(1, 'm')], 'inputs/mass', 'Mass is needed.'];
        yield 'another dimension' => [
            'drop', ['height' => new Entry(1, 'N')] + $drop, 'inputs/height/unit',
            'N measures force, but length is wanted here (as in m).',
        ];
        yield 'a unit that is none' => ['drop', ['height' => new Entry(1, 'furl')] + $drop, 'inputs/height/unit', ''];
        yield 'more than all of the time' => [
            'runtime', ['capacity' => new Entry(1, 'Ah'), 'activeCurrent' => new Entry(1, 'A'), 'duty' => new Entry(2)],
            'inputs/duty', 'At most 1 is wanted here.',
        ];
        yield 'half a tooth' => [
            'gearMesh', ['module' => new Entry(1, 'mm'), 'driverTeeth' => new Entry(18.5), 'drivenTeeth' => new Entry(20)],
            'inputs/driverTeeth', 'A whole number is wanted here.',
        ];
        yield 'both of two' => ['canopy', ['mass' => new Entry(1, 'kg'), 'dragCoefficient' => new Entry(1), 'speed' => new Entry(5, 'm/s'), 'diameter' => new Entry(1, 'm')], 'inputs/diameter', 'Give the speed or the diameter, one of them.'];
        yield 'a heater too weak' => ['warming', ['power' => new Entry(5, 'W'), 'mass' => new Entry(1, 'kg'), 'specificHeat' => new Entry(4000, 'J/kg/K'), 'from' => new Entry(20, '°C'), 'to' => new Entry(80, '°C'), 'loss' => new Entry(1, 'W/K')], 'inputs/power', 'So much goes lost that this power never gets it there.'];
        yield 'a dead point' => ['linkage', ['base' => new Entry(4, 'cm'), 'attachment' => new Entry(3, 'cm'), 'shortest' => new Entry(2, 'cm'), 'longest' => new Entry(8, 'cm'), 'force' => new Entry(1, 'N'), 'arm' => new Entry(1, 'm')], 'inputs/longest', 'There the three joints lie in a line, or do not meet: a dead point.'];
        yield 'a position too few' => [
            'centreOfGravity', ['masses' => [new Entry(1, 'kg'), new Entry(2, 'kg')], 'positions' => [new Entry(1, 'm')]],
            'inputs/positions', 'As many positions as masses are wanted.',
        ];
        yield 'a word that is none of them' => [
            'modelScale', ['scale' => new Entry(0.5), 'keep' => 'mach'], 'inputs/keep',
            'One of these is wanted here: froude, reynolds.',
        ];
        yield 'a wall without a bore' => ['simpleBody', ['shape' => 'tube', 'density' => new Entry(1000, 'kg/m^3'), 'diameter' => new Entry(10, 'mm'), 'wall' => new Entry(5, 'mm'), 'length' => new Entry(1, 'm')], 'inputs/wall', 'So thick a wall leaves no bore.'];
    }

    /** @param array<string, Entry|list<Entry>|string> $entries */
    #[DataProvider('refused')]
    public function testWhatCannotBeIsSaidAtItsField(string $name, array $entries, string $path, string $sentence): void
    {
        $work = Workings::named($name);
        try {
            $work->out(Entered::read($work->about, $entries));
            self::fail('It was answered.');
        } catch (CoreException $e) {
            self::assertSame($path, $e->path);
            self::assertStringContainsString($sentence, $e->getMessage());
        }
    }

    public function testAnUncertaintyAtTheEdgeIsToldFromOneSide(): void
    {
        $work = Workings::named('dryYield');
        $out = array_column($work->out(Entered::read($work->about, [
            'input' => new Entry(10, 'kg'), 'inputMoisture' => new Entry(0), 'output' => new Entry(5, 'kg', 0.1),
        ])), null, 'name');
        self::assertEqualsWithDelta(0.01, $out['yield']->u ?? 0.0, 1e-9);
    }

    /** Figures of the case `resourceBudget`, as somebody types them. */
    public function testABudgetNamesWhatRunsOutFirst(): void
    {
        $sum = TypedSum::of(Workings::named('resourceBudget'), [
            'available' => "pins 20\nrail 5 V = 500 mA; memory 32768",
            'uses' => "2 × driver: pins 3; rail 5 V = 0,15 A\n\ngate: pins 1; rail 5 V = 20; memory 900",
        ]);
        self::assertSame([], $sum->problems);
        $out = $sum->work->out($sum->entered);
        self::assertSame(['rail 5 V', 'pins', 'memory'], array_column($out, 'name'));
        self::assertEqualsWithDelta([180.0, 13.0, 31868.0], array_column($out, 'value'), 1e-9);
        self::assertSame(['180 mA', '13', '31868'], array_map(WorkingWords::answer(...), $out), 'Nothing that was counted is rounded.');
        self::assertSame('rail 5 V: 320 mA of 500 mA taken; left', $sum->work->about->output('rail 5 V')?->words);
        self::assertSame('left = 500 mA − 2 × 0.15 A (driver) − 20 mA (gate)', $sum->work->about->output('rail 5 V')->formula);

        $over = TypedSum::of(Workings::named('resourceBudget'), [
            'available' => 'current 1 A; pins 4', 'uses' => "lamp x 3: current 400 mA\nmatrix 2: pins 1",
        ]);
        $left = $over->work->out($over->entered)[0];
        self::assertEqualsWithDelta(-0.2, $left->value, 1e-12);
        self::assertSame('current: more is taken than there is, 1.2 A of 1 A; left', $over->work->about->outputs[0]->words);
        self::assertSame('left = 4 − 1 (matrix 2)', $over->work->about->output('pins')?->formula);
    }

    /** @return iterable<string, array{string, string, string, non-empty-string}> */
    public static function unread(): iterable
    {
        $there = 'pins 20; current 500 mA';
        yield 'nobody has said how much there is' => [
            $there, 'lamp: heat 3 W', 'uses', 'lamp: Nothing is said of how much “heat” there is.',
        ];
        yield 'another dimension' => [
            $there, 'lamp: current 3 W', 'uses', 'lamp: W measures power, but current is wanted here (as in mA).',
        ];
        yield 'no colon' => [
            $there, 'lamp pins 3', 'uses',
            '“lamp pins 3”: a line says who, a colon, and what is taken, as in lamp: pins 1; current 20 mA.',
        ];
        yield 'nothing taken' => [$there, 'lamp:', 'uses', '“lamp:”: a line says who'];
        yield 'no amount' => ['pins', 'lamp: pins 3', 'available', '“pins”: a name and how much of it, as in current 500 mA.'];
        yield 'no unit that there is' => ['memory 32 kilobits', 'lamp: memory 1', 'available', 'memory: '];
        yield 'twice' => ['pins 3; pins 4', 'lamp: pins 3', 'available', '“pins” stands here twice.'];
        yield 'less than nothing' => [
            'pins -3', 'lamp: pins 3', 'available', 'pins: a plain amount is wanted here, from nought up and without ±.',
        ];
        yield 'unsure' => [$there, 'lamp: current 20 ± 1 mA', 'uses', 'current: a plain amount'];
        yield 'too many' => [$there, str_repeat("lamp: pins 1\n", 41), 'uses', 'At most 40 can be taken here.'];
        yield 'nobody' => [$there, '', 'uses', 'Nothing is said here yet.'];
    }

    /** @param non-empty-string $sentence */
    #[DataProvider('unread')]
    public function testALineOfABudgetThatCannotBeReadIsSaid(string $available, string $uses, string $field, string $sentence): void
    {
        $sum = TypedSum::of(Workings::named('resourceBudget'), array_filter(['available' => $available, 'uses' => $uses]));
        self::assertSame([$field], array_keys($sum->problems));
        self::assertStringStartsWith($sentence, $sum->problems[$field]->getMessage());
    }

    public function testWhatIsBoughtComesInSteps(): void
    {
        self::assertSame(4700.0, Stock::Resistor->nearest(4650.0));
        self::assertSame([0.0033, 0.0145, null], [
            Stock::Drill->nearest(0.00333), Stock::Drill->nearest(0.01433), Stock::Drill->nearest(0.05),
        ]);
        self::assertSame([0.002, 0.003, null], [Stock::Sheet->nearest(0.0021), Stock::Sheet->nearest(0.0034), Stock::Sheet->nearest(0.08)]);
    }
}
