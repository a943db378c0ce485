<?php

declare(strict_types=1);

namespace Lustrum\Tests\Core;

use Lustrum\Core\Evidence\Kind;
use Lustrum\Core\Judging\Chained;
use Lustrum\Core\Judging\CompareBuilds;
use Lustrum\Core\Judging\Confounded;
use Lustrum\Core\Judging\Look;
use Lustrum\Core\Judging\Measured;
use Lustrum\Core\Judging\Seen;
use Lustrum\Core\Judging\SidesWithin;
use Lustrum\Core\Judging\Terms;
use Lustrum\Core\Outcome\ResultKind;
use Lustrum\Core\Run\Configuration;
use Lustrum\Core\Run\RunFact;
use Lustrum\Core\Wording\ComparisonWords;
use Lustrum\Core\Wording\SidesWords;
use PHPUnit\Framework\TestCase;

/** Sides that never met are compared through a third, and what varies together is named. */
final class ChainTest extends TestCase
{
    public function testTwoBuildsThatNeverMetAreComparedThroughAThird(): void
    {
        // A was pulled at 40 cm, C at 60 cm, and B at both.
        $found = Chained::of(self::at('c', ['60' => [30.0, 30.4]]), self::at('a', ['40' => [10.0, 10.4]]), [
            ['B', self::at('b', ['40' => [15.0, 15.4], '60' => [25.0, 25.4]])],
        ], new Terms(0.95));
        self::assertNotNull($found);
        // C is 5 more than B at 60 cm, and B 5 more than A at 40 cm; a plain mean would have said 20.
        self::assertEqualsWithDelta(10.0, $found->difference->value, 1e-9);
        self::assertSame(['B', true], [$found->via, $found->told]);
        $direct = ($found->difference->high ?? 0.0) - ($found->difference->low ?? 0.0);
        self::assertGreaterThan(0.8, $direct, 'The interval is wider than either way.');
    }

    public function testAThirdIsOneOfTheLineFirstAndNeverOneOfTheTwo(): void
    {
        $builds = array_map(Judged::build(...), ['a', 'b', 'c', 'd', 'e'], [null, 'a', 'b', 'b', null]);
        $lineage = Judged::line(...$builds);
        $around = static fn (int $most): array => array_column($lineage->around($builds[2], $builds[3], $most), 'id');
        self::assertSame(['b', 'a', 'e'], $around(4), 'What both come from, then the newest.');
        self::assertSame(['b', 'a'], $around(2));
        self::assertSame(['a', 'e', 'd'], array_column($lineage->around($builds[2], $builds[1], 4), 'id'), 'Not the other itself.');
    }

    public function testNothingIsToldThroughWhatDoesNotJoinThem(): void
    {
        [$c, $a] = [self::at('c', ['60' => [30.0, 30.4]]), self::at('a', ['40' => [10.0, 10.4]])];
        self::assertNull(Chained::of($c, $a, [['B', self::at('b', ['40' => [15.0, 15.4]])]], new Terms(0.95)));
        self::assertNull(Chained::of($c, $a, [], new Terms(0.95)));
        $bound = Measured::of(
            Seen::ofRuns([Judged::run(15.0, kind: ResultKind::AtLeast, build: 'b', position: '40 cm')])->read('force'), 'N',
        );
        self::assertNull(Chained::of($c, $a, [['B', $bound]], new Terms(0.95)), 'Bounds join nothing.');
        $soFar = Chained::of(
            $c, $a, [['B', self::at('b', ['40' => [15.0, 15.4], '60' => [25.0, 25.4]])]],
            new Terms(0.95, new Look(2, 6, 1, true)),
        );
        self::assertFalse($soFar?->told);
    }

    public function testTheChainIsNamedAndElseTheRunThatWouldJoinThem(): void
    {
        [$c, $a] = [self::seen('c', ['60' => [30.0, 30.4]]), self::seen('a', ['40' => [10.0, 10.4]])];
        $apart = (new CompareBuilds([Judged::wanted(Kind::Mean, 40.0)], ['force' => 'Force'], 0.95))->metric(
            'force', Judged::build('c', 'b'), $c, Judged::build('a'), $a,
        );
        self::assertTrue($apart->neverMet());
        self::assertStringContainsString('one run of C at 40 cm would join them', ComparisonWords::sentence($apart, 'force', 'A'));
        $chain = Chained::of(
            self::measured($c), self::measured($a), [['B', self::at('b', ['40' => [15.0, 15.4], '60' => [25.0, 25.4]])]],
            new Terms(0.95),
        );
        self::assertInstanceOf(Chained::class, $chain);
        $said = ComparisonWords::sentence($apart->through($chain), 'force', 'A');
        self::assertStringStartsWith('Force on C: 10.0 N [', $said);
        self::assertStringEndsWith('more than A, through B: the two were never run alike, but each was like B.', $said);
    }

    public function testWhatVariesTogetherIsNamedWithTheRunsThatWouldTell(): void
    {
        $runs = [];
        foreach (['wax' => 'B-2', 'oil' => 'B-1'] as $arm => $lot) {
            foreach ([1.0, 1.2] as $more) {
                $runs[] = self::made(['arm' => $arm, 'lots' => ['board' => $lot]], 30.0 + $more);
            }
        }
        $arms = self::byArm($runs);
        self::assertSame(['lot of board'], array_map(static fn (Confounded $c): string => $c->what, $arms->confounded));
        self::assertStringContainsString(
            'Variant and lot of board cannot be told apart: each had its own. 1 more run would: wax with B-1.',
            SidesWords::sentence($arms, 'force', true),
        );
        $told = self::byArm([...$runs, self::made(['arm' => 'wax', 'lots' => ['board' => 'B-1']], 31.0)]);
        self::assertSame([], $told->confounded, 'One of both of them tells them apart.');
    }

    public function testSidesThatNeverMetAreSaidToBeComparedThroughAnother(): void
    {
        $runs = [];
        foreach (['wide' => ['40'], 'round' => ['40', '60'], 'slim' => ['60']] as $arm => $heights) {
            foreach ($heights as $height) {
                foreach ([0.0, 0.2] as $more) {
                    $runs[] = self::made(['arm' => $arm], 30.0 + $more, $height.' cm');
                }
            }
        }
        self::assertStringContainsString('wide never met: they are compared through round.', str_replace(
            'slim and wide', 'wide',
            str_replace('wide and slim never', 'wide never', SidesWords::sentence(self::byArm($runs), 'force', true)),
        ));
        $apart = array_values(array_filter($runs, static fn (RunFact $r): bool => $r->configuration->arm !== 'round'));
        self::assertSame([], self::sides($apart), 'Two that never met are no comparison.');
        $some = [...$apart, self::made(['arm' => 'long'], 29.0, '40 cm')];
        self::assertStringContainsString('Nothing joins all of them: one run of ', SidesWords::sentence(self::byArm($some), 'force', true));
    }

    public function testOnlyWhatEachSideHasOfItsOwnIsConfounded(): void
    {
        $of = static fn (array $beside): array => array_map(
            static fn (Confounded $c): array => [$c->what, $c->runs], Confounded::of(['bench' => $beside], ['a', 'b', 'c']),
        );
        self::assertSame([['bench', [['a', '2'], ['b', '3']]]], $of(['a' => ['1' => true], 'b' => ['2' => true], 'c' => ['3' => true]]));
        self::assertSame([], $of(['a' => ['1' => true], 'b' => ['1' => true], 'c' => ['3' => true]]), 'Two share one.');
        self::assertSame([], $of(['a' => ['1' => true, '2' => true], 'b' => ['2' => true], 'c' => ['3' => true]]), 'One had both.');
        self::assertSame([], $of(['a' => ['' => true], 'b' => ['2' => true], 'c' => ['3' => true]]), 'Of one nobody said.');
    }

    /** @param list<RunFact> $runs */
    private static function byArm(array $runs): SidesWithin
    {
        return self::sides($runs)[0] ?? self::fail('Nothing was compared.');
    }

    /**
     * @param list<RunFact> $runs
     *
     * @return list<SidesWithin>
     */
    private static function sides(array $runs): array
    {
        return SidesWithin::of(Seen::ofRuns($runs), 'force', 'N', new Terms(0.95));
    }

    /** @param array<string, mixed> $with */
    private static function made(array $with, float $newton, string $position = ''): RunFact
    {
        $run = Judged::run($newton, position: $position);

        return Judged::run($newton, position: $position, with: Configuration::fromRow($with + $run->configuration->toRow()));
    }

    /** @param array<array-key, list<float>> $at newtons by height */
    private static function seen(string $build, array $at): Seen
    {
        $runs = [];
        foreach ($at as $height => $newtons) {
            foreach ($newtons as $newton) {
                $runs[] = Judged::run($newton, build: $build, position: $height.' cm');
            }
        }

        return Seen::ofRuns($runs);
    }

    private static function measured(Seen $seen): Measured
    {
        return Measured::of($seen->read('force'), 'N');
    }

    /** @param array<array-key, list<float>> $at newtons by height */
    private static function at(string $build, array $at): Measured
    {
        return self::measured(self::seen($build, $at));
    }
}
