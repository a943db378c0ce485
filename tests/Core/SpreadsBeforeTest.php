<?php

declare(strict_types=1);

namespace Lustrum\Tests\Core;

use Lustrum\Core\Judging\MethodSpread;
use Lustrum\Core\Judging\Seen;
use Lustrum\Core\Judging\SpreadsBefore;
use PHPUnit\Framework\TestCase;

/** What is known of a method before a build is of the builds before it, and of those that are not compared. */
final class SpreadsBeforeTest extends TestCase
{
    private const OF = [
        'a' => [40.0, 41.0, 42.0, 43.0, 44.0], 'b' => [50.0, 51.0, 52.0, 53.0], 'c' => [60.0, 60.0, 63.0, 63.0, 60.0, 63.0], 'd' => [70.0],
    ];

    /**
     * @param array<string, list<float>> $of     values by build
     * @param list<MethodSpread>         $others
     */
    private static function before(array $of = self::OF, array $others = []): SpreadsBefore
    {
        $all = [];
        foreach ($of as $build => $values) {
            $all[$build] = MethodSpread::ofBuild(Seen::ofRuns(Judged::runs($values, build: $build)), strtoupper($build));
        }

        return new SpreadsBefore($all, static fn (string $how): array => $others);
    }

    public function testItIsOfAllBuildsBeforeTheNewestButThoseThatAreCompared(): void
    {
        $known = self::before();
        $said = static fn (?MethodSpread $s): array => $s === null ? [] : [$s->df, round($s->squares, 9), $s->runs, $s->letters];
        // 10 of five, 5 of four, 13.5 of six.
        self::assertSame([], $said($known->of('force', ['a'])));
        self::assertSame([4, 10.0, 5, ['A']], $said($known->of('force', ['b'])));
        self::assertSame([7, 15.0, 9, ['A', 'B']], $said($known->of('force', ['c'])));
        self::assertSame([12, 28.5, 15, ['A', 'B', 'C']], $said($known->of('force', ['d'])));
        self::assertSame([7, 15.0, 9, ['A', 'B']], $said($known->of('force', ['d', 'c'])));
        self::assertSame([9, 23.5, 11, ['A', 'C']], $said($known->of('force', ['b', 'd'])));
        self::assertSame([], $said($known->of('force', ['d', 'a', 'c'])), 'Three degrees are too few.');
        self::assertSame([], $said($known->of('torque', ['d'])));
    }

    public function testAnotherRunMovesWhatIsKeptOfLaterBuildsAndOfNoEarlierOne(): void
    {
        $was = self::before();
        $is = self::before(array_replace(self::OF, ['b' => [50.0, 51.0, 52.0, 53.5], 'd' => [71.0]]));
        self::assertSame('', $was->stamp(['a']));
        self::assertSame($was->stamp(['b']), $is->stamp(['b']), 'What stands on A alone stays.');
        self::assertNotSame($was->stamp(['c']), $is->stamp(['c']));
        self::assertNotSame($was->stamp(['d', 'c']), $is->stamp(['d', 'c']));
        self::assertSame($was->stamp(['d', 'b']), $is->stamp(['d', 'b']), 'What is compared is no part of it.');
    }

    public function testWhatWasMeasuredInSeveralWaysHasNoOneSpread(): void
    {
        $all = [
            'a' => MethodSpread::ofBuild(Seen::ofRuns(Judged::runs(self::OF['a'])), 'A'),
            'b' => MethodSpread::ofBuild(Seen::ofRuns([
                ...Judged::runs([1.0, 2.0], build: 'b'), ...Judged::runs([1.0, 2.0], build: 'b', method: 'push'),
            ]), 'B'),
        ];
        self::assertNull((new SpreadsBefore($all, static fn (string $how): array => []))->of('force', ['b']));
    }

    public function testWhatNobodyKnowsTheLevelOfRepeatsNothing(): void
    {
        $of = static fn (string $position): int => array_sum(array_map(
            static fn (MethodSpread $s): int => $s->df, MethodSpread::ofBuild(Seen::ofRuns([
                Judged::run(1.0, position: $position), Judged::run(2.0, position: $position), Judged::run(4.0, position: $position),
            ]), 'A')['force'],
        ));
        self::assertSame([2, 0], [$of('20 cm'), $of('unknown')]);
    }

    public function testOtherDevicesAreAskedWhereTheseTellTooLittle(): void
    {
        $other = MethodSpread::byHow(['x' => MethodSpread::ofBuild(Seen::ofRuns(Judged::runs(self::OF['a'])), 'X')])[0]->of('Dunlin');
        $known = self::before(self::OF, [$other]);
        self::assertSame(['Dunlin', ''], [$known->of('force', ['a'])?->device, $known->of('force', ['b'])?->device]);
    }
}
