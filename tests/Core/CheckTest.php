<?php

declare(strict_types=1);

namespace Lustrum\Tests\Core;

use Lustrum\Core\Calc\Catalogue;
use Lustrum\Core\Check\Claim;
use Lustrum\Core\Check\Claims;
use Lustrum\Core\Check\InstrumentFit;
use Lustrum\Core\Check\Known;
use Lustrum\Core\Check\Rehearsal;
use Lustrum\Core\Check\Relations;
use Lustrum\Core\Check\RelationSeen;
use Lustrum\Core\Check\StandardPart;
use Lustrum\Core\InvalidInput;
use Lustrum\Core\Judging\Contradictions;
use Lustrum\Core\Judging\Figure;
use Lustrum\Core\Outcome\ResultKind;
use Lustrum\Core\Quantity\Quantity;
use Lustrum\Core\Run\Channel;
use Lustrum\Core\Run\Configuration;
use Lustrum\Core\Run\ReadingFact;
use Lustrum\Core\Run\RunFact;
use Lustrum\Core\Setting\NextReason;
use Lustrum\Core\Setting\NextSetting;
use Lustrum\Core\Setting\SettingResult;
use Lustrum\Core\Setting\SettingScale;
use Lustrum\Core\Wording\CheckWords;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Numbers that check each other, instruments against events, rehearsals against the use, and the next setting to try. */
final class CheckTest extends TestCase
{
    /** A rim at 300 rpm and 0.5 m runs at 15.71 m/s (2π · 5 s⁻¹ · 0.5 m), whichever unit says how fast it turns. */
    #[DataProvider('turning')]
    public function testARotationIsTurnsASecondInWhateverUnit(float $value, string $unit): void
    {
        $seen = self::only('rimSpeed', [
            Known::read('rotation', Quantity::of($value, $unit), 0.0), Known::read('radius', Quantity::of(500, 'mm'), 5.0),
            Known::read('rimSpeed', Quantity::of(15.707963267948966, 'm/s'), 0.0),
        ]);

        self::assertEqualsWithDelta(0.0, $seen->z, 1e-9);
        self::assertEqualsWithDelta($value, $seen->implied[1]->value, 1e-9 * $value);
        self::assertSame($unit, $seen->implied[1]->unit);
    }

    /** @return iterable<string, array{float, string}> */
    public static function turning(): iterable
    {
        yield 'rpm' => [300.0, 'rpm'];
        yield 'Hz' => [5.0, 'Hz'];
        yield 'rad/s' => [10 * M_PI, 'rad/s'];
    }

    /** A pull in kgf typed as N is no relation; a current read ten times too high is one that contradicts. */
    public function testWhatIsOffByTenContradictsAndSaysWhatEachPairImplies(): void
    {
        $readings = [
            Known::read('voltage', Quantity::of(12.0, 'V', 0.1)), Known::read('current', Quantity::of(4.0, 'A', 0.1)),
            Known::read('resistance', Quantity::of(30.0, 'Ω', 1.0)),
        ];
        $relations = Relations::of($readings);
        $seen = self::only('ohm', $readings);

        self::assertSame(['ohm'], $relations->contradictions());
        self::assertLessThan(-50.0, $seen->z);
        $words = CheckWords::contradiction($seen);
        self::assertStringContainsString('Voltage, current and resistance do not agree', $words);
        self::assertStringContainsString('voltage and resistance imply a current of 0.400 A', $words);
        self::assertStringContainsString('One of them is wrong, or was read at another moment.', $words);
    }

    /** Before it, runs read 12 V, 0.40 A and 30 Ω: the current alone is far from that. */
    public function testTheReadingThatAloneIsNotAsBeforeIsDoubted(): void
    {
        $before = ['m-u' => 12.0, 'm-i' => 0.4, 'm-r' => 30.0];
        $soFar = array_map(
            static fn (float $v, string $unit): Figure => new Figure($v, null, null, $unit, 2, 3), $before, ['V', 'A', 'Ω'],
        );
        $soFar = array_combine(array_keys($before), $soFar);
        $found = Contradictions::of(self::heated(12.1, 4.0, 30.0), $soFar);

        self::assertCount(1, $found);
        self::assertSame('current', $found[0]->doubted);
        self::assertStringEndsWith(
            'The current is doubted: runs before read 0.40 A, and the others are as they were.',
            CheckWords::contradiction($found[0]->relation, $found[0]->doubted, $found[0]->before),
        );
        self::assertSame(
            '', Contradictions::of(self::heated(12.1, 4.0, 30.0), array_slice($soFar, 0, 2))[0]->doubted,
            'Nobody read the third before.',
        );
        self::assertSame('', Contradictions::of(self::heated(30.0, 4.0, 30.0), $soFar)[0]->doubted, 'Two are not as before.');
        self::assertSame([], Contradictions::of(self::heated(12.1, 0.403, 30.0), $soFar));
        self::assertSame([], Contradictions::of(self::heated(12.1, 4.0, 30.0, ResultKind::AtLeast), $soFar), 'A bound says nothing of it.');
    }

    public function testAReadingBearsOnItsOwnMetricAndOnWhatIsWorkedOutFromIt(): void
    {
        $channels = [
            new Channel('pull', 'm-pull', 'N'), new Channel('arm', 'm-arm', 'm'), new Channel('trod', '', 'm'),
            new Channel('turn', 'm-turn', 'N*m', formula: 'pull * arm'), new Channel('wide', 'm-wide', 'm'),
        ];
        $made = new Configuration('r', 'A', '', [], [], null, '', '', '', [], 'm', 'Pull', 1, '', $channels, [], []);
        self::assertSame(['m-pull', 'm-turn'], $made->metricsFrom('pull'));
        self::assertSame(['m-wide'], $made->metricsFrom('wide'));
        self::assertSame([], $made->metricsFrom('trod'));
        self::assertSame(['m-pull', 'm-arm', 'm-turn', 'm-wide'], $made->metricsFrom('gone'), 'Of what is not known any may be.');
    }

    private static function heated(float $volts, float $amps, float $ohms, ResultKind $kind = ResultKind::Equal): RunFact
    {
        $channels = [
            new Channel('u', 'm-u', 'V', measures: 'voltage'), new Channel('i', 'm-i', 'A', measures: 'current'),
            new Channel('r', 'm-r', 'Ω', measures: 'resistance'),
        ];
        $configuration = new Configuration('r', 'A', '', [], [], null, '', '', '', [], 'm', 'Heat', 1, '', $channels, [], []);

        return new RunFact('run', 't', 'Heating', 'm', 'r', 3, null, '', '2026-03-02T10:00:00Z', '', [], [], [], $configuration, 0, 0, [
            new ReadingFact('u', 'm-u', 'V', $volts, 0.1, ResultKind::Equal, ''), new ReadingFact('i', 'm-i', 'A', $amps, 0.001, $kind, ''),
            new ReadingFact('r', 'm-r', 'Ω', $ohms, 0.1, ResultKind::Equal, ''),
        ], false);
    }

    /** What has no uncertainty contradicts nothing unless it is known to: it agrees, or nobody can say. */
    public function testWithoutAnUncertaintyNothingIsSaidToContradict(): void
    {
        $mass = static fn (float $before): array => [
            Known::read('massBefore', Quantity::of($before, 'g')), Known::read('massAfter', Quantity::of(0.0, 'g')),
            Known::read('massLost', Quantity::of(0.25, 'kg')),
        ];

        self::assertFalse(self::only('massBalance', $mass(250))->contradicts);
        self::assertNull(self::only('massBalance', $mass(251))->contradicts);
        self::assertNull(self::only('massBalance', $mass(251))->z);
    }

    public function testAQuantityIsReadOnceAndNoneBelowNought(): void
    {
        $volts = Known::read('voltage', Quantity::of(5, 'V'));
        self::assertSame('readings/1/what', self::refused(static fn () => Relations::of([$volts, $volts])));
        self::assertSame('value', self::refused(static fn () => Known::read('massLost', Quantity::of(-1, 'g'))));
        self::assertSame('u', self::refused(static fn () => Known::read('voltage', Quantity::of(5, 'V'), -0.1)));
        self::assertSame('resolution', self::refused(static fn () => Known::read('voltage', Quantity::of(5, 'V', -0.1))));
        self::assertSame('value', self::refused(static fn () => Known::read('rotation', Quantity::of(1e140, 'rpm'))));
        self::assertSame('value', self::refused(static fn () => Known::read('massLost', Quantity::of(1e-140, 'g'))));
        self::assertSame('what', self::refused(static fn () => Known::read('torsion', Quantity::of(5, 'V'))));
    }

    /** IEC 60063 E24: 3.4 kΩ lies nearer to 3.3 than to 3.6 by ratio; 9.6 nearer to 10 than to 9.1. */
    public function testTheNearestResistorIsOneOfItsSeries(): void
    {
        self::assertEqualsWithDelta(3.3, StandardPart::resistor(3.4, 'kΩ')->nearest, 1e-12);
        self::assertEqualsWithDelta(10.0, StandardPart::resistor(9.6, 'Ω')->nearest, 1e-12);
        self::assertEqualsWithDelta(0.91, StandardPart::resistor(0.95, 'Ω')->nearest, 1e-12);
        self::assertSame('kΩ', StandardPart::resistor(3.4, 'kΩ')->unit);
    }

    /** A thermometer of 4 s (1 − e^(−20/4) = 99.3 %), in whichever unit of temperature its step is given. */
    public function testAStepOfTemperatureIsADifference(): void
    {
        $fit = InstrumentFit::of(
            Quantity::of(4, 's'), Quantity::of(30, '1/min'), Quantity::of(0.18, '°F'), Quantity::of(20, 's'), Quantity::of(1.0, '°C'),
        );

        self::assertEqualsWithDelta(0.9932620530009145, $fit->checks[0]->value, 1e-12);
        self::assertEqualsWithDelta(10.0, $fit->checks[1]->value, 1e-9);
        self::assertEqualsWithDelta(10.0, $fit->checks[2]->value, 1e-9);
        self::assertTrue($fit->fit);
        self::assertSame(
            'It reaches 99 % of a step within the event; 95 % are needed.', CheckWords::fit($fit->checks[0]),
        );
    }

    public function testWhatDoesNotFitSaysWhy(): void
    {
        $fit = InstrumentFit::of(null, Quantity::of(1, 'Hz'), Quantity::of(1, 'N'), Quantity::of(3, 's'), Quantity::of(2, 'N'));

        self::assertFalse($fit->fit);
        self::assertNull($fit->checks[0]->fit);
        self::assertSame('Nobody said how slow it is, or how long the event lasts.', CheckWords::fit($fit->checks[0]));
        self::assertStringEndsWith('10 are needed: it may miss the peak.', CheckWords::fit($fit->checks[1]));
        self::assertSame(
            '2 of its steps within the difference looked for; 10 are needed: it is too coarse to tell.', CheckWords::fit($fit->checks[2]),
        );
    }

    public function testARehearsalSaysWhatItCarriesAndWhatNot(): void
    {
        $use = ['mass' => Quantity::of(20, 'kg'), 'speed' => Quantity::of(4, 'km/h'), 'payload' => Quantity::of(6, 'kg')];
        $tried = ['mass' => Quantity::of(20_000, 'g'), 'speed' => Quantity::of(0.5, 'm/s')];
        $rehearsal = Rehearsal::of($use, $tried);

        self::assertSame(['payload'], $rehearsal->missing);
        self::assertSame(['speed'], $rehearsal->short());
        self::assertSame('speed', $rehearsal->least()?->what);
        self::assertFalse($rehearsal->isFull());
        self::assertSame(
            'It carries 100 % of the mass and 45 % of the speed (2.20 km/h short), and nothing of the payload.',
            CheckWords::rehearsal($rehearsal),
        );
        self::assertTrue(Rehearsal::of(['mass' => $use['mass']], $tried)->isFull());
    }

    /** @param list<string> $words */
    #[DataProvider('claims')]
    public function testAClaimWithoutANumberIsFound(string $text, array $words): void
    {
        self::assertSame($words, array_map(static fn (Claim $c): string => $c->word, Claims::in($text)));
    }

    /** @return iterable<array{string, list<string>}> */
    public static function claims(): iterable
    {
        yield ['Lighter, STRONGER', ['lighter', 'stronger']];
        yield ['The 2.5 mm one is stiffer. The other is softer', ['softer']];
        yield ['A 3-fold gain; it is cheaper', ['cheaper']];
        yield ['Half as loud, 430N at the tip and longer', []];
        yield ['In 2026 it got faster', ['faster']];
        yield ['Größer und schwerer', []];
        yield ['the faster-acting one', ['faster']];
    }

    public function testWhereAClaimStandsIsCountedInCharacters(): void
    {
        self::assertSame(8, Claims::in('Größe → lighter')[0]->at);
    }

    /** Settings that there are: 0.2 and every 0.25 from there. */
    public function testTheMiddleIsTheNearestSettingThatThereIs(): void
    {
        $next = NextSetting::of([[0.2, SettingResult::Low], [1.2, SettingResult::High]], 0.2, 1.2, SettingScale::Linear, 0.25);
        self::assertEqualsWithDelta(0.7, (float) $next->value, 1e-12);
        $half = NextSetting::of([[0.2, SettingResult::Low], [0.95, SettingResult::High]], 0.2, 1.2, SettingScale::Linear, 0.25);
        self::assertEqualsWithDelta(0.7, (float) $half->value, 1e-12);
        $good = NextSetting::of([[0.45, SettingResult::Good], [0.95, SettingResult::Good]], 0.2, 1.2, SettingScale::Linear, 0.25);
        self::assertSame([0.7, NextReason::Good], [round((float) $good->value, 12), $good->reason]);
    }

    /** The only good one lies between two steps: it stays what it is. */
    public function testAGoodOneBetweenStepsIsKept(): void
    {
        $next = NextSetting::of([[0.55, SettingResult::Good]], 0.2, 1.2, SettingScale::Linear, 0.25);

        self::assertSame(0.55, $next->value);
    }

    public function testTheOtherEndIsTriedBeforeTheMiddleAndBeyondItThereIsNone(): void
    {
        $next = NextSetting::of([[40, SettingResult::High]], 10, 100);
        self::assertSame([10.0, NextReason::End], [$next->value, $next->reason]);
        $beyond = NextSetting::of([[100, SettingResult::Low]], 10, 100);
        self::assertSame([null, NextReason::Beyond], [$beyond->value, $beyond->reason]);
        self::assertSame('step', self::refused(static fn () => NextSetting::of([], 0, 1, SettingScale::Linear, 0.0)));
        self::assertSame('tried', self::refused(static fn () => NextSetting::of([[0, SettingResult::Low]], 1, 9, SettingScale::Log)));
    }

    public function testWhatIsWrongInAListIsNamedByItsPlace(): void
    {
        $answer = Catalogue::answer(['op' => 'check.relations', 'input' => ['readings' => [[
            'what' => 'voltage', 'value' => -5, 'unit' => 'V',
        ]]]]);
        self::assertSame('readings/0/value', $answer['error']['path'] ?? null);
        $twice = Catalogue::answer(['op' => 'check.rehearsal', 'input' => [
            'use' => [['what' => 'mass', 'value' => 1, 'unit' => 'kg'], ['what' => 'mass', 'value' => 2, 'unit' => 'kg']],
            'rehearsal' => [],
        ]]);
        self::assertSame('use/1/what', $twice['error']['path'] ?? null);
    }

    /** @return iterable<string, array{list<array<string, string>>, string}> */
    public static function rehearsals(): iterable
    {
        yield 'one that carries all of it' => [
            [['mass' => '20 kg', 'speed' => '5 km/h'], ['mass' => '1 kg']], 'A trial on C carries all of it.',
        ];
        yield 'all of it, but never at once' => [
            [['mass' => '20 kg'], ['speed' => '4 km/h']], 'Each part of it is carried by a trial on C, and none carries all of it at once.',
        ];
        yield 'the most of each' => [
            [['mass' => '5 kg', 'speed' => '2 km/h'], ['mass' => '12 kg', 'speed' => '1 km/h']],
            'Trials on C carry at most 60 % of the mass (8.00 kg short) and 50 % of the speed (2.00 km/h short).',
        ];
        yield 'nothing of one' => [
            [['mass' => '20 kg'], ['mass' => '8000 g']], 'Trials on C carry nothing of the speed.',
        ];
        yield 'a part of one and nothing of the other' => [
            [[], ['mass' => '8000 g']], 'Trials on C carry at most 40 % of the mass (12.0 kg short), and nothing of the speed.',
        ];
    }

    /** @param non-empty-list<array<string, string>> $carried */
    #[DataProvider('rehearsals')]
    public function testWhatSeveralRehearsalsCarryIsTheMostOfEach(array $carried, string $said): void
    {
        $amounts = static fn (array $of): array => array_map(Quantity::typed(...), $of);
        $use = $amounts(['mass' => '20 kg', 'speed' => '4 km/h']);
        $some = array_map(static fn (array $one): Rehearsal => Rehearsal::of($use, $amounts($one)), $carried);
        self::assertSame($said, CheckWords::atMost($some, 'C'));
        self::assertSame($said, CheckWords::atMost(array_reverse($some), 'C'), 'Whichever comes first.');
    }

    /** @param list<Known> $readings */
    private static function only(string $relation, array $readings): RelationSeen
    {
        foreach (Relations::of($readings)->relations as $seen) {
            if ($seen->relation === $relation) {
                return $seen;
            }
        }
        self::fail('No '.$relation);
    }

    private static function refused(callable $do): string
    {
        try {
            $do();
        } catch (InvalidInput $e) {
            return $e->path;
        }
        self::fail('Nothing was refused.');
    }
}
