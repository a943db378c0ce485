<?php

declare(strict_types=1);

namespace Lustrum\Tests\Core;

use Lustrum\Core\Outing\DayOut;
use Lustrum\Core\Outing\Stop;
use Lustrum\Core\Wording\OutingWords;
use PHPUnit\Framework\TestCase;

/** A day out is ordered so that nothing is broken or dangerous before what is safe, and so that little is set up twice. */
final class DayOutTest extends TestCase
{
    private static function stop(
        string $name, string $rig = '', float $minutes = 30.0, bool $risk = false, int $hazards = 0, bool $breaks = false,
        bool $wears = false,
        bool $must = false, int $runs = 3, float $lost = 0.0,
    ): Stop {
        return new Stop($name, $name, $rig, $runs, 10.0, $minutes, $risk, $hazards, $breaks, $wears, $must, $lost);
    }

    /** @return list<string> */
    private static function names(DayOut $day): array
    {
        return array_map(static fn (Stop $s): string => $s->name, $day->stops);
    }

    public function testSafestFirstDestructiveLast(): void
    {
        $day = DayOut::of([
            self::stop('break it', breaks: true), self::stop('ride it', risk: true, hazards: 2), self::stop('look at it'),
            self::stop('push it', hazards: 1),
            self::stop('wear it', wears: true),
        ]);

        self::assertSame(['look at it', 'wear it', 'push it', 'ride it', 'break it'], self::names($day));
    }

    public function testWhatSharesARigIsSetUpOnce(): void
    {
        $day = DayOut::of([self::stop('a', 'bed'), self::stop('b', 'lane'), self::stop('c', 'bed')]);

        self::assertSame(['a', 'c', 'b'], self::names($day));
        self::assertSame(3 * 30.0 + 2 * 10.0, $day->minutes, 'Two rigs, not three.');
        self::assertSame(
            3 * 30.0 + 3 * 10.0, DayOut::of([self::stop('a'), self::stop('b'), self::stop('c')])->minutes,
            'No rig is not the same rig.',
        );
    }

    public function testWhatNoMustWaitsForIsLeftOutFirstAndTheLongestOfThat(): void
    {
        $stops = [self::stop('must', must: true, minutes: 60.0), self::stop('short', minutes: 10.0), self::stop('long', minutes: 50.0)];

        self::assertSame([], DayOut::of($stops, 150.0)->leftOut, '150 min are just enough.');
        $day = DayOut::of($stops, 149.0);
        self::assertSame(['long'], array_map(static fn (Stop $s): string => $s->name, $day->leftOut));
        self::assertSame(90.0, $day->minutes);
        self::assertSame(['must'], self::names(DayOut::of($stops, 20.0)), 'Something is done whatever time there is.');
        self::assertSame(
            'One trial, 3 runs, about 1 h 10 min of 20 min; time is short, so leave out long and short.',
            OutingWords::sentence(DayOut::of($stops, 20.0), 1 / 3),
        );
    }

    public function testWhatIsDoneIsNoStop(): void
    {
        self::assertSame([], DayOut::of([self::stop('done', runs: 0)])->stops);
        self::assertSame('Nothing to run is gathered yet.', OutingWords::sentence(DayOut::of([]), null));
    }

    public function testSparesAreForWhatBreaksAndForWhatIsLost(): void
    {
        self::assertSame(0, self::stop('a')->spares());
        self::assertSame(1, self::stop('a', runs: 6, lost: 1 / 8)->spares(), 'Three quarters of one.');
        self::assertSame(1, self::stop('a', runs: 8, lost: 1 / 8)->spares(), 'One is one.');
        self::assertSame(5, self::stop('a', runs: 6, breaks: true)->spares(), 'The first is the article itself.');
        self::assertSame(
            'W-1, W-2 for a, and 6 spares, since each run costs one',
            OutingWords::articles('W-1, W-2', self::stop('a', runs: 6, breaks: true, lost: 1 / 8)),
        );
        self::assertSame(
            'last: it costs an article a run; a must waits for it', OutingWords::why(self::stop('a', breaks: true, must: true)),
        );
        self::assertSame('Seed counter, with USB power; it was left in oz', OutingWords::instrument('Seed counter', 'USB power', 'oz'));
    }
}
