<?php

declare(strict_types=1);

namespace Lustrum\Tests\Core;

use Lustrum\Core\Evidence\Kind;
use Lustrum\Core\Footing\Reason;
use Lustrum\Core\Judging\Bearing;
use Lustrum\Core\Judging\Build;
use Lustrum\Core\Judging\ChangesSeen;
use Lustrum\Core\Judging\CompareBuilds;
use Lustrum\Core\Judging\Evidence;
use Lustrum\Core\Judging\MetricComparison;
use Lustrum\Core\Judging\Seen;
use Lustrum\Core\Judging\Sightings;
use Lustrum\Core\Judging\Unrelated;
use Lustrum\Core\Run\Configuration;
use Lustrum\Core\Run\Design;
use Lustrum\Core\Run\Parameter;
use Lustrum\Core\Run\RunFact;
use Lustrum\Core\Wording\ChangeWords;
use PHPUnit\Framework\TestCase;

/** What a named person said bears on nothing of a metric no longer splits its runs, tilts its footing or holds back its evidence. */
final class UnrelatedTest extends TestCase
{
    public function testRunsThatItSplitArePutTogether(): void
    {
        self::assertSame([3, ['belt tight'], ['part:belt', 'lot:wax', 'firmware']], self::found(self::compared()));
        self::assertSame([6, [], ['lot:wax', 'firmware']], self::found(self::compared('part: Belt ')));
        self::assertSame([6, [], []], self::found(self::compared('part:belt', 'lot:wax', 'firmware')));
    }

    public function testItTiltsNoFooting(): void
    {
        $reasons = static fn (MetricComparison $c): array => array_map(static fn ($d): Reason => $d->reason, $c->footing->differences ?? []);
        self::assertContains(Reason::Lot, $reasons(self::compared()));
        self::assertContains(Reason::Firmware, $reasons(self::compared()));
        self::assertContains(Reason::Deviates, $reasons(self::compared('parameter:gap')));
        self::assertNotContains(Reason::Lot, $reasons(self::compared('lot:wax')));
        self::assertNotContains(Reason::Firmware, $reasons(self::compared('firmware')));
        self::assertNotContains(Reason::Deviates, $reasons(self::compared('part:belt', 'part:lid')));
    }

    /** A part that is otherwise than its build's makes runs those of an earlier state, until somebody says that it bears on nothing. */
    public function testItHoldsNoEvidenceBack(): void
    {
        $own = static fn (Unrelated $u): int => Evidence::own(
            Judged::wanted(Kind::Mean, 5.0), self::build('b', $u), [...self::runs([], 'B-1'), ...self::runs(['belt'], 'B-1')],
        )->runs;
        self::assertSame([3, 6, 3], [$own(new Unrelated()), $own(self::said('part:belt')), $own(self::said('part:belt', 'other'))]);
        $carried = static function (Unrelated $u): bool {
            $a = new Build('a', 'A', null, '', '', '2026-03-01T00:00:00Z', [Parameter::typed('gap', '1 mm')]);
            $b = new Build('b', 'B', 'a', '', '', '2026-03-02T00:00:00Z', [Parameter::typed('gap', '2 mm')], unrelated: $u);
            $wanted = Judged::wanted(Kind::Mean, 5.0);
            $runs = array_map(static fn (float $n): RunFact => Judged::run($n, with: Judged::configuration(
                parameters: [Parameter::typed('gap', '1 mm')],
            )), [9.0, 10.0, 11.0]);

            return Evidence::cell($wanted, $b, Judged::line($a, $b), static fn (Build $of): array => [
                $wanted->id => Evidence::own($wanted, $of, $of->id === 'a' ? $runs : []),
            ])->carry->carried ?? false;
        };
        self::assertSame([false, true], [$carried(new Unrelated()), $carried(self::said('parameter:gap'))]);
    }

    /** What nobody explained stands beside a verdict, until somebody says that it does not bear on it. */
    public function testItStandsBesideNoVerdict(): void
    {
        $together = static function (Unrelated $u): array {
            $a = new Build('a', 'A', null, '', '1.0', '2026-03-01T00:00:00Z', [Parameter::typed('gap', '1 mm')]);
            $b = new Build(
                'b', 'B', 'a', '', '1.0', '2026-03-02T00:00:00Z', [Parameter::typed('gap', '2 mm')], [],
                [Judged::change('belt', metric: 'force', expected: 3.0)], unrelated: $u,
            );
            $seen = Seen::ofRuns(Judged::runs([9.0, 10.0, 11.0]));
            $bear = Bearing::between([[$b, []], [$a, []]], 'force', [], null);

            return [
                (new ChangesSeen(new CompareBuilds([], [], 0.95), 0.95))->of($b, $seen, $seen, $a)[0]->together,
                array_map(static fn (Bearing $one): string => $one->what, $bear),
            ];
        };
        self::assertSame([['gap'], ['parameter:gap']], $together(new Unrelated()));
        self::assertSame([[], []], $together(self::said('parameter:gap')));
        self::assertSame([['gap'], ['parameter:gap']], $together(self::said('parameter:gap', 'mass')), 'Of another metric.');
    }

    /** Where a requirement does not hang on the firmware nothing of its metric does: said once, for evidence and comparison. */
    public function testAFirmwareThatNothingHangsOnBearsOnNothing(): void
    {
        $said = self::said('part: Belt');
        self::assertSame(['part:belt', 'firmware'], $said->to('force', ['shape']));
        self::assertSame(['part:belt'], $said->to('force', ['shape', 'firmware']));
        self::assertSame(['mass' => ['firmware'], 'force' => ['part:belt']], array_reverse($said->all(['mass' => ['shape'], 'time' => []])));
    }

    public function testItIsSaidByWhom(): void
    {
        self::assertSame('Lot of wax bears on nothing of force', ChangeWords::bearsNot('lot:wax', 'force'));
        self::assertSame('The firmware of B bears on nothing of force, says Ines.', ChangeWords::unrelated('firmware', 'Ines', 'force', 'B'));
        self::assertSame('Belt of B bears on nothing of force, says Ines.', ChangeWords::unrelated('part:Belt', 'Ines', 'force', 'B'));
    }

    public function testAStateIsReadWithoutIt(): void
    {
        $c = self::made(['belt'], 'B-1', '2.0', ['wax' => 'L2'], [Parameter::typed('gap', '2 mm')]);
        $keys = array_map(static fn (array $w): string => Design::of($c, $w)->key, [
            [], ['part:belt'], ['firmware'], ['parameter:gap'], ['part:lid'], ['lot:wax'],
        ]);
        self::assertCount(4, array_unique($keys), 'What is not there, and a lot, make no other state.');
    }

    private static function said(string $what, string $metric = 'force'): Unrelated
    {
        return new Unrelated([$metric => [['what' => $what, 'by' => 'Ines', 'id' => 'u']]]);
    }

    /** @return array{int, list<string>, list<string>} runs of B that count, those that do not, and what bears on it */
    private static function found(MetricComparison $c): array
    {
        return [$c->here->n, $c->changed['B']->what, array_map(static fn (Bearing $b): string => $b->what, $c->bearing)];
    }

    private static function build(string $id, Unrelated $unrelated): Build
    {
        return new Build($id, strtoupper($id), $id === 'b' ? 'a' : null, '', '', '2026-03-01T00:00:00Z', unrelated: $unrelated);
    }

    /** A on firmware 1.0 and one lot, B on 2.0, another lot, and with its belt changed after three runs. */
    private static function compared(string ...$unrelated): MetricComparison
    {
        $said = new Unrelated(['force' => array_map(
            static fn (string $what): array => ['what' => $what, 'by' => 'Ines', 'id' => $what], array_values($unrelated),
        )]);
        $seen = static function (array $runs) use ($said): Seen {
            $made = [];
            /** @var list<RunFact> $runs */
            $sightings = Sightings::gather($runs, static function (Configuration $c) use (&$made): string {
                $made[$c->hash()] = $c;

                return $c->hash();
            }, $said->all([]));

            return Seen::of([$sightings], $made);
        };

        return (new CompareBuilds([], ['force' => 'Force'], 0.95))->metric(
            'force', self::build('b', $said), $seen([...self::runs([], 'B-1', '2.0', 'L2'), ...self::runs(['belt'], 'B-1', '2.0', 'L2')]),
            self::build('a', new Unrelated()), $seen(self::runs(
                array_intersect(['parameter:gap'], $unrelated) === [] ? [] : ['lid'], 'A-1', '1.0', 'L1',
            )),
        );
    }

    /**
     * @param list<string> $own parts that are otherwise
     *
     * @return list<RunFact>
     */
    private static function runs(array $own, string $serial, string $firmware = '', string $lot = ''): array
    {
        return array_map(static fn (float $n): RunFact => Judged::run(
            $n, with: self::made($own, $serial, $firmware, $lot === '' ? [] : ['wax' => $lot], []),
        ), [9.0, 10.0, 11.0]);
    }

    /**
     * @param list<string>          $own
     * @param array<string, string> $lots
     * @param list<Parameter>       $parameters
     */
    private static function made(array $own, string $serial, string $firmware, array $lots, array $parameters): Configuration
    {
        return Configuration::fromRow([
            'lots' => $lots, 'deviants' => array_map(static fn (string $name): array => [
                'kind' => 'part', 'name' => $name, 'value' => 'tight',
            ], $own),
        ] + Judged::configuration(serial: $serial, parameters: $parameters, firmware: $firmware)->toRow());
    }
}
