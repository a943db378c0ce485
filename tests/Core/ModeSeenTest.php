<?php

declare(strict_types=1);

namespace Lustrum\Tests\Core;

use Lustrum\Core\Change\ChangeVerdict;
use Lustrum\Core\Judging\Mode;
use Lustrum\Core\Judging\ModeSeen;
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
        yield 'what happened outside a run counts against none' => [4, 3, 0, 9, ChangeVerdict::Worse, 'Showed in 3 of 3 runs'];
    }

    /** @param non-empty-string $said */
    #[DataProvider('rates')]
    public function testHowOftenItShows(int $failed, int $tried, int $failedBefore, int $before, ChangeVerdict $verdict, string $said): void
    {
        $mode = new Mode('Broke', 'arm', ['a' => $failedBefore, 'b' => $failed], ['a' => $before, 'b' => $tried], $failed + $failedBefore);
        $seen = ModeSeen::of($mode, Judged::build('b', 'a'), Judged::build('a'), 0.95);
        self::assertSame($verdict, $seen->verdict);
        self::assertStringStartsWith($said, ChangeWords::ofMode($seen));
        self::assertSame('“Broke” no longer happens', ChangeWords::noLonger($seen));
    }

    public function testAFirstBuildHasNothingBeforeIt(): void
    {
        $seen = ModeSeen::of(new Mode('Broke', '', ['a' => 1], ['a' => 3], 1), Judged::build('a'), null, 0.95);
        self::assertSame(ChangeVerdict::NobodyLooked, $seen->verdict);
    }
}
