<?php

declare(strict_types=1);

namespace Lustrum\Tests\Core;

use Lustrum\Core\Evidence\Direction;
use Lustrum\Core\Evidence\Kind;
use Lustrum\Core\Evidence\Requirement;
use Lustrum\Core\Evidence\State;
use Lustrum\Core\Judging\ByCell;
use Lustrum\Core\Outcome\Result;
use Lustrum\Core\Outcome\ResultKind;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** A requirement stands where its worst level does: the one farthest on the wrong side, however few its runs. */
final class WorstTest extends TestCase
{
    /**
     * At most 10, unless it is said otherwise.
     *
     * @return iterable<string, array{array<string, list<float|string>>, string, State, 2?: Direction}> values by level ('>40' is
     *     a bound), which is the worst, and where it stands
     */
    public static function levels(): iterable
    {
        $sure = [7.0, 7.1, 6.9, 7.0, 7.1, 6.9];
        yield 'a level that failed with one run is not hidden behind one that held' => [['bare' => [6.0], 'gloves' => [95.0]], 'gloves', State::Thin];
        yield 'whichever was tried first' => [['gloves' => [95.0], 'bare' => [6.0]], 'gloves', State::Thin];
        yield 'all of them shown: the one nearest to the limit' => [
            ['low' => $sure, 'high' => [8.0, 8.1, 7.9, 8.0, 8.1, 7.9]], 'high', State::Shown,
        ];
        yield 'beside one run nothing is shown' => [['high' => [8.0, 8.1, 7.9, 8.0, 8.1, 7.9], 'low' => [5.0]], 'high', State::Leaning];
        yield 'what is surely not met elsewhere stays said' => [
            ['low' => [12.0, 12.1, 11.9, 12.0], 'high' => [30.0]], 'high', State::Against,
        ];
        yield 'a bound that rules the limit out' => [['low' => $sure, 'high' => ['>40', '>40', '>40']], 'high', State::Doubtful];
        yield 'a bound that stops short of it says nothing yet' => [['low' => $sure, 'high' => ['>4', '>4', '>4']], 'low', State::Leaning];
        yield 'at least 80, and not broken at 35' => [['slow' => [90.0, 91.0, 89.0], 'fast' => ['>35', '>35']], 'slow', State::Leaning, Direction::AtLeast];
        yield 'at least 80, and not broken at 85: nearer than what broke at 90' => [
            ['slow' => [90.0, 91.0, 89.0], 'fast' => ['>85', '>85', '>85']], 'fast', State::Leaning, Direction::AtLeast,
        ];
    }

    /** @param array<string, list<float|string>> $levels */
    #[DataProvider('levels')]
    public function testTheWorstLevelIsTheFarthestOnTheWrongSide(
        array $levels, string $worst, State $state, Direction $direction = Direction::AtMost,
    ): void {
        $results = [];
        foreach ($levels as $level => $values) {
            foreach ($values as $value) {
                $bound = is_string($value);
                $result = Result::of($bound ? ResultKind::AtLeast : ResultKind::Equal, (float) ($bound ? substr($value, 1) : $value));
                $results[] = [$result, $level, $level, ''];
            }
        }
        $rule = Requirement::of(Kind::Mean, $direction, $direction === Direction::AtMost ? 10.0 : 80.0, 0.95);
        $found = ByCell::assess($rule, $results);
        self::assertSame([$worst, $state], [$found->cell, $found->state()]);
        $turned = ByCell::assess($rule, array_reverse($results));
        self::assertSame([$worst, $state], [$turned->cell, $turned->state()], 'Whichever was tried first.');
    }
}
