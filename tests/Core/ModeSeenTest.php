<?php

declare(strict_types=1);

namespace Lustrum\Tests\Core;

use Lustrum\Core\Change\ChangeVerdict;
use Lustrum\Core\Judging\Look;
use Lustrum\Core\Judging\Mode;
use Lustrum\Core\Judging\ModeSeen;
use Lustrum\Core\Judging\Terms;
use Lustrum\Core\Wording\ChangeWords;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** A change that is meant to end a mode is judged by how often the mode shows. */
final class ModeSeenTest extends TestCase
{
    /** @return iterable<string, array{int, int, int, int, ChangeVerdict, non-empty-string}> failed, tried, before: failed, tried */
    public static function rates(): iterable
    {
        yield 'it is gone' => [0, 20, 14, 20, ChangeVerdict::Better, 'Showed in 0 of 20 runs that could have shown it, 14 of 20 before; '];
        yield 'too few runs to tell' => [0, 2, 1, 2, ChangeVerdict::CannotTell, 'Showed in 0 of 2 runs'];
        yield 'more often than before' => [16, 20, 1, 20, ChangeVerdict::Worse, 'Showed in 16 of 20 runs'];
        yield 'it never showed on either' => [0, 20, 0, 20, ChangeVerdict::CannotTell, 'Showed in 0 of 20 runs'];
        yield 'nobody tried this build' => [0, 0, 3, 5, ChangeVerdict::NobodyLooked, 'No run of this build could have shown it yet.'];
        yield 'nobody tried the parent' => [0, 5, 0, 0, ChangeVerdict::NobodyLooked, 'No run of the parent could have shown it.'];
        yield 'what an interval alone would call better, at p = 0.33' => [0, 3, 2, 3, ChangeVerdict::CannotTell, 'Showed in 0 of 3 runs'];
    }

    /** @param non-empty-string $said */
    #[DataProvider('rates')]
    public function testHowOftenItShows(int $failed, int $tried, int $failedBefore, int $before, ChangeVerdict $verdict, string $said): void
    {
        $seen = self::seen(['one' => [$failedBefore, $before]], ['one' => [$failed, $tried]]);
        self::assertSame($verdict, $seen->verdict);
        self::assertStringStartsWith($said, ChangeWords::ofMode($seen));
        self::assertSame('“Broke” no longer happens', ChangeWords::noLonger($seen));
    }

    public function testAFirstBuildHasNothingBeforeIt(): void
    {
        $mode = new Mode('Broke', '', ['a' => 1], 1, ['a' => ['one' => ['failed' => 1, 'tried' => 3]]]);
        self::assertSame(ChangeVerdict::NobodyLooked, ModeSeen::of($mode, Judged::build('a'), null, new Terms(0.95))->verdict);
    }

    /** Slow on one build and fast on the other say nothing of each other, however many runs there are. */
    public function testOnlyWhatWasTriedAlikeIsOpposed(): void
    {
        $apart = self::seen(['fast' => [14, 20]], ['slow' => [0, 20]]);
        self::assertSame([ChangeVerdict::CannotTell, true, null], [$apart->verdict, $apart->isApart, $apart->difference]);
        self::assertStringStartsWith('It was never tried as hard, or asked the same', ChangeWords::ofMode($apart));
        $part = self::seen(['fast' => [14, 20], 'slow' => [0, 40]], ['slow' => [0, 20]]);
        self::assertSame([ChangeVerdict::CannotTell, 20, 0, 40], [$part->verdict, $part->tried, $part->failedBefore, $part->triedBefore]);
    }

    public function testNothingIsToldBeforeWhatWasPlanned(): void
    {
        $early = self::seen(['one' => [14, 20]], ['one' => [0, 20]], new Terms(0.95, new Look(20, 30, 1, true)));
        self::assertSame(ChangeVerdict::CannotTell, $early->verdict);
    }

    /**
     * @param array<string, array{int, int}> $before failed and tried, by what was asked and how hard
     * @param array<string, array{int, int}> $after
     */
    private static function seen(array $before, array $after, Terms $terms = new Terms(0.95)): ModeSeen
    {
        $cells = static fn (array $of): array => array_map(static fn (array $c): array => ['failed' => $c[0], 'tried' => $c[1]], $of);
        $mode = new Mode('Broke', 'arm', [], 1, ['a' => $cells($before), 'b' => $cells($after)]);

        return ModeSeen::of($mode, Judged::build('b', 'a'), Judged::build('a'), $terms);
    }
}
