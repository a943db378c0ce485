<?php

declare(strict_types=1);

namespace Lustrum\Tests\Core;

use Lustrum\Core\Footing\Context;
use Lustrum\Core\Footing\Difference;
use Lustrum\Core\Footing\Footing;
use Lustrum\Core\Footing\FootingCheck;
use Lustrum\Core\Footing\Instrument;
use Lustrum\Core\Footing\Level;
use Lustrum\Core\Footing\Reason;
use Lustrum\Core\Footing\UnitPast;
use Lustrum\Core\Judging\Contexts;
use Lustrum\Core\Run\Condition;
use Lustrum\Core\Run\Configuration;
use Lustrum\Core\Run\RunFact;
use Lustrum\Core\Wording\FootingWords;
use PHPUnit\Framework\TestCase;

final class FootingTest extends TestCase
{
    /** @return list<string> what differs */
    private static function differences(Context $a, Context $b): array
    {
        return array_map(static fn (Difference $d): string => $d->what, FootingCheck::between($a, $b)->differences);
    }

    public function testEqualCircumstancesAreLevel(): void
    {
        $context = new Context(
            'Push', 1, 'Bed', operators: ['Yusuf'],
            conditions: ['soil' => new Level(words: ['dry']), 'moisture' => new Level([11, 12], tolerance: 4)], runs: 6,
        );
        $check = FootingCheck::between($context, $context);
        self::assertSame(Footing::Level, $check->footing);
        self::assertStringStartsWith('Same footing', FootingWords::sentence($check->footing, $check->differences));
    }

    public function testWhatAnArticleHasOtherwiseIsNamedUnlessAllHaveIt(): void
    {
        $of = static fn (string $serial, array $deviants): Context => new Context(
            'Push', runs: 5, units: [new UnitPast($serial, 0, 0)], deviants: $deviants,
        );
        $check = FootingCheck::between($of('U-1', []), $of('U-2', ['U-2' => ['crank old']]));
        self::assertSame([Footing::Tilted, 'U-2 is otherwise than the build: crank old.'], [$check->footing, FootingWords::why($check->differences[0])]);
        $both = FootingCheck::between($of('U-1', ['U-1' => ['crank old']]), $of('U-2', ['U-2' => ['crank old']]));
        self::assertSame(Footing::Level, $both->footing);
    }

    public function testAConditionOffItsMethodIsNamed(): void
    {
        $made = static fn (string $hopper): RunFact => Judged::run(40.0, conditions: ['hopper' => $hopper], with: Configuration::fromRow([
            'conditions' => [['name' => 'hopper', 'states' => ['full', 'not full'], 'intended' => 'full']],
        ] + Judged::configuration()->toRow()));
        $of = static fn (string $hopper): Context => Contexts::ofRun($made($hopper), 'force', 'Force');
        $check = FootingCheck::between($of('full'), $of('not full'));
        self::assertContains(
            'Hopper was “not full” where the method holds “full”, on 1 run of the later side.', array_map(FootingWords::why(...), $check->differences),
        );
        self::assertSame([], array_filter(
            FootingCheck::between($of('Full'), $of(' full '))->differences, static fn (Difference $d): bool => $d->reason === Reason::OffMethod,
        ));
        $moist = new Condition('moisture', '%', 2.0, intended: '20 %');
        self::assertFalse((new Condition('soil'))->isOff('dry'), 'Nobody holds it.');
        self::assertSame([false, false, true, false], array_map($moist->isOff(...), ['20 %', '21.9 %', '23 %', 'unknown']));
    }

    public function testWhatIsNoArticleIsOfItsStateAllTheSame(): void
    {
        $context = static fn (string $state, string $serial): Context => Contexts::ofRun(Judged::run(3.0, with: Configuration::fromRow(
            ['articleState' => $state, 'serial' => $serial] + Judged::configuration()->toRow(),
        )), 'force', 'force');
        foreach (['', 'U-4'] as $serial) {
            $check = FootingCheck::between($context('mockup', ''), $context('finished', $serial));
            self::assertContains('state', array_map(static fn (Difference $d): string => $d->what, $check->differences), $serial);
            self::assertSame(Footing::Broken, $check->footing, 'A mock-up is not the real thing.');
        }
        self::assertNotContains('state', self::differences($context('finished', ''), $context('finished', 'U-4')));
        self::assertNotContains('state', self::differences($context('', ''), $context('mockup', 'U-4')), 'Nobody said what it was.');
        $used = new Context('Pull', units: [new UnitPast('U-4', 3)], runs: 2);
        self::assertNotContains('units', self::differences($context('finished', ''), $used), 'Of a loose part nobody knows the past.');
    }

    public function testAnotherMethodOrScaleBreaksIt(): void
    {
        self::assertSame(Footing::Broken, FootingCheck::between(new Context('Push', runs: 5), new Context('Pull', runs: 5))->footing);
        $lbf = new Context('Push', instruments: [new Instrument('push force', 'Cell', 'lbf')], runs: 5);
        $newton = new Context('Push', instruments: [new Instrument('push force', 'Cell', 'N')], runs: 5);
        self::assertSame(Footing::Broken, FootingCheck::between($lbf, $newton)->footing);
    }

    public function testAChangeOutsideTheComparisonBreaksItWhenItBears(): void
    {
        $a = new Context('Push', runs: 5);
        $change = static fn (bool $bears): array => [['what' => 'New tyre', 'class' => 'shape', 'bears' => $bears]];
        self::assertSame(Footing::Broken, FootingCheck::between($a, new Context('Push', runs: 5, changes: $change(true)))->footing);
        self::assertSame(Footing::Level, FootingCheck::between($a, new Context('Push', runs: 5, changes: $change(false)))->footing);
        self::assertSame(
            Footing::Level, FootingCheck::between($a, new Context('Push', runs: 5, changes: $change(true), about: ['New tyre']))->footing,
        );
    }

    public function testConditionsTilt(): void
    {
        $at = static fn (?float $mean, int $unknown = 0): Context => new Context(
            'Push', conditions: ['humidity' => new Level($mean === null ? [] : [$mean], unknown: $unknown, tolerance: 8, unit: '%')],
            runs: 5,
        );
        self::assertSame(Footing::Level, FootingCheck::between($at(50), $at(57))->footing);
        $check = FootingCheck::between($at(50), $at(66));
        self::assertSame(Footing::Tilted, $check->footing);
        self::assertStringContainsString('50 %, then 66 %', FootingWords::sentence($check->footing, $check->differences));
        self::assertSame(['condition humidity'], self::differences($at(50), $at(null, 5)), 'Not recorded on one side.');
        self::assertSame(['condition humidity'], self::differences($at(50), $at(52, 2)), 'Not recorded on some runs.');
    }

    public function testUsedUnitsLotsSingleRunsAndTimeTilt(): void
    {
        $fresh = new Context(
            'Push', units: [new UnitPast('W-1')], lots: ['sheet' => ['P-31']], from: '2026-03-01 08:00', to: '2026-03-01 12:00', runs: 5,
        );
        $used = new Context(
            'Push', units: [new UnitPast('W-2', 12, 1)], lots: ['sheet' => ['P-33']], from: '2026-03-09 08:00', to: '2026-03-09 12:00',
            runs: 1, stoppedEarly: 1,
        );
        self::assertEqualsCanonicalizing(['lot of sheet', 'units', 'period', 'runs', 'stopped early'], self::differences($fresh, $used));
        self::assertStringContainsString(
            'W-2 had 12 runs behind it, with one failure',
            implode(
                ' ',
                array_map(static fn (Difference $d): string => FootingWords::why($d), FootingCheck::between($fresh, $used)->differences),
            ),
        );
    }

    public function testTenLotsAreCountedInASentence(): void
    {
        $lots = array_map(static fn (int $i): string => 'L-'.$i, range(1, 9));
        $difference = FootingCheck::between(
            new Context('Push', lots: ['sheet' => ['L-0']], runs: 5), new Context('Push', lots: ['sheet' => $lots], runs: 9),
        )->differences[0];
        self::assertSame('Another lot of sheet (L-0, then L-1, L-2 and 7 more).', FootingWords::why($difference));
        $three = FootingCheck::between(
            new Context('Push', lots: ['sheet' => ['L-0']], runs: 5), new Context('Push', lots: ['sheet' => ['a', 'b', 'c']], runs: 9),
        )->differences[0];
        self::assertSame('Another lot of sheet (L-0, then a and b and c).', FootingWords::why($three));
    }
}
