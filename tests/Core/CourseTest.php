<?php

declare(strict_types=1);

namespace Lustrum\Tests\Core;

use Lustrum\Core\CoreException;
use Lustrum\Core\Curve\CourseText;
use Lustrum\Core\Curve\Exponential;
use Lustrum\Core\Curve\Mark;
use Lustrum\Core\Curve\MarkKind;
use Lustrum\Core\Curve\Samples;
use Lustrum\Core\Curve\Standard;
use Lustrum\Core\Curve\Tally;
use Lustrum\Core\Curve\Touch;
use Lustrum\Core\InvalidInput;
use Lustrum\Core\Wording\CourseWords;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Courses as people have them, and what is read off them. */
final class CourseTest extends TestCase
{
    /** @return iterable<string, array{string, string, list<float>, list<float>}> */
    public static function texts(): iterable
    {
        yield 'as they are typed' => ["0 20\n30 24.5", 's', [0.0, 30.0], [20.0, 24.5]];
        yield 'in minutes, with decimal commas' => ["0; 20,5\n1,5; 24,5", 'min', [0.0, 90.0], [20.5, 24.5]];
        yield 'out of a spreadsheet' => ["time\tvalue\n0\t20\n\n2\t−4\n", 'h', [0.0, 7200.0], [20.0, -4.0]];
        yield 'a small CSV' => ["t,y\n0,20\n10,30", 's', [0.0, 10.0], [20.0, 30.0]];
        yield 'by a clock' => ["0:30 1\n1:05 2\n1:00:05.5 3", 's', [30.0, 65.0, 3605.5], [1.0, 2.0, 3.0]];
        yield 'two at one moment' => ["0 1\n5 2\n5 3", 's', [0.0, 5.0, 5.0], [1.0, 2.0, 3.0]];
    }

    /**
     * @param list<float> $t
     * @param list<float> $y
     */
    #[DataProvider('texts')]
    public function testATimeAndAValueALine(string $text, string $unit, array $t, array $y): void
    {
        $samples = CourseText::read($text, $unit);

        self::assertSame([$t, $y], [$samples->t, $samples->y]);
    }

    /** @return iterable<string, array{string, string}> */
    public static function wrong(): iterable
    {
        yield 'no value' => ["0 20\n30", 'Line 2 is no time with a value: “30”.'];
        yield 'words' => ["0 20\n30 warm", 'Line 2 is no time with a value'];
        yield 'a clock that was set' => ["0 20\n60 30\n30 40", 'Line 3 goes back in time. A clock may have been set'];
        yield 'one value' => ['0 20', 'A course has two values at least'];
        yield 'nothing' => ["\n", 'A course has two values at least'];
        yield 'before it began' => ["-5 20\n0 21", 'Line 1 is no time'];
        yield 'no number' => ["0 1e999\n1 2", 'Line 1 is no time'];
        yield 'too many' => [implode("\n", array_map(static fn (int $i): string => $i.' 1', range(0, 2000))), 'At most 2000 values'];
    }

    #[DataProvider('wrong')]
    public function testWhatCannotBeReadNamesItsLine(string $text, string $sentence): void
    {
        try {
            CourseText::read($text, 's');
            self::fail('It was read.');
        } catch (InvalidInput $e) {
            self::assertSame('text', $e->path);
            self::assertStringContainsString($sentence, $e->getMessage());
        }
    }

    /** @return iterable<string, array{Mark, ?float}> */
    public static function marks(): iterable
    {
        // Up to 40 at 20 s, back to 20 at 40 s, up to 30 at 50 s.
        yield 'first crossing, between two values' => [new Mark(MarkKind::First, 30.0), 10.0];
        yield 'last crossing' => [new Mark(MarkKind::Last, 25.0), 45.0];
        yield 'last at the very end' => [new Mark(MarkKind::Last, 30.0), 50.0];
        yield 'never' => [new Mark(MarkKind::First, 41.0), null];
        yield 'no value to cross' => [new Mark(MarkKind::First), null];
        yield 'peak' => [new Mark(MarkKind::Peak), 40.0];
        yield 'lowest' => [new Mark(MarkKind::Lowest), 20.0];
        // Trapezoids: 20·30 + 20·30 + 10·25 = 1450 over 50 s.
        yield 'mean over all' => [new Mark(MarkKind::Mean), 29.0];
        yield 'mean between markers within lines' => [new Mark(MarkKind::Mean, null, 10.0, 30.0), 35.0];
        yield 'beyond the course' => [new Mark(MarkKind::Mean, null, 10.0, 60.0), null];
        yield 'backwards' => [new Mark(MarkKind::Mean, null, 30.0, 10.0), null];
    }

    #[DataProvider('marks')]
    public function testWhatIsReadOffIt(Mark $mark, ?float $expected): void
    {
        $found = $mark->of(Samples::of([0.0, 20.0, 40.0, 50.0], [20.0, 40.0, 20.0, 30.0]));

        $expected === null ? self::assertNull($found) : self::assertEqualsWithDelta($expected, $found, 1e-9);
    }

    public function testItIsSaidWithItsUnit(): void
    {
        $samples = Samples::of([0.0, 600.0, 1200.0], [80.0, 45.0, 30.0]);
        $mark = new Mark(MarkKind::First, 60.0);

        self::assertSame('Plate: from 80 °C to 30 °C in 20 min, 3 values.', str_replace(
            ['80.0', '30.0'], ['80', '30'], CourseWords::sentence('plate', $samples, '°C'),
        ));
        self::assertSame('First at 60.0 °C: 343 s', CourseWords::mark($mark, $mark->of($samples), '°C'));
        self::assertSame('343 s', CourseWords::found($mark, $mark->of($samples), '°C'));
        self::assertSame('First at 60.0 °C: never in this course', CourseWords::mark($mark, null, '°C'));
        self::assertSame(
            'Mean between 30.0 s and 10 min: 71.2 °C', CourseWords::mark(new Mark(MarkKind::Mean, null, 30.0, 600.0), 71.2, '°C'),
        );
        $t = array_map(static fn (int $i): float => 60.0 * $i, range(0, 10));
        $fit = Exponential::fit(Samples::of($t, array_map(static fn (float $s): float => 20.0 + 60.0 * exp(-$s / 300.0), $t)));
        self::assertStringStartsWith('It goes towards 20.0 °C, two thirds of the way in 5 min;', CourseWords::fit($fit, '°C'));
    }

    /** Newton's law of cooling with k = 0.002 a second, in surroundings of 20. */
    private static function cooling(float $off = 0.0): Samples
    {
        $t = range(0.0, 1800.0, 120.0);

        return Samples::of($t, array_map(
            static fn (float $at): float => 20 + 60 * exp(-0.002 * $at) + $off * (fmod($at, 240.0) === 0.0 ? 1 : -1), $t,
        ));
    }

    public function testACommonStartAndOtherSurroundings(): void
    {
        $same = Standard::of(self::cooling(), new Mark(MarkKind::Standard, 30.0), 0.95);
        self::assertEqualsWithDelta(log(6) / 0.002, $same->time, 1e-3, 'As it was.');
        $warm = Standard::of(self::cooling(), new Mark(MarkKind::Standard, 30.0, start: 70.0, around: 25.0), 0.95);
        self::assertEqualsWithDelta(log(45 / 5) / 0.002, $warm->time, 1e-3);
    }

    public function testTheIntervalIsThatOfItsRate(): void
    {
        $samples = self::cooling(0.5);
        $fit = Exponential::fit($samples);
        $found = Standard::of($samples, new Mark(MarkKind::Standard, 30.0, start: 80.0, around: 20.0), 0.95);
        self::assertNotNull($found->low);
        self::assertNotNull($found->high);
        self::assertNotNull($fit->se);
        // t of 0.975 with 13 degrees of freedom: 2.1604 (any table of Student's t).
        self::assertEqualsWithDelta($found->time * $fit->k / ($fit->k + 2.1604 * $fit->se), $found->low, 1e-2);
        self::assertEqualsWithDelta($found->time * $fit->k / ($fit->k - 2.1604 * $fit->se), $found->high, 1e-2);
        $wide = Standard::of($samples, new Mark(MarkKind::Standard, 30.0, start: 80.0, around: 20.0), 0.99);
        self::assertLessThan($found->low, $wide->low);
    }

    public function testWhatIsNeverReachedSaysSo(): void
    {
        $this->expectException(CoreException::class);
        $this->expectExceptionMessage('From 80 it never reaches 30 in surroundings of 35.');
        Standard::of(self::cooling(), new Mark(MarkKind::Standard, 30.0, start: 80.0, around: 35.0), 0.95);
    }

    public function testItIsSaidWithItsInterval(): void
    {
        $found = Standard::of(self::cooling(0.5), new Mark(MarkKind::Standard, 30.0, start: 80.0, around: 20.0), 0.95);
        self::assertMatchesRegularExpression(
            '/^From 80\.0 °C to 30\.0 °C, going towards 20\.0 °C: 14\.9 min \[14\.2 min to 15\.6 min, 95 %\], by its own rate\.$/',
            CourseWords::standard($found, '°C', 0.95),
        );
        self::assertSame(
            'From the rate of the course of Plate, for a start at 80.0 °C, going towards 20.0 °C',
            CourseWords::standardOrigin($found, 'Plate', '°C'),
        );
    }

    public function testWhatIsMarkedAgainAndAgainIsCounted(): void
    {
        $tally = Tally::of([new Touch(30.0), new Touch(10.0), new Touch(90.0)], 120.0);
        self::assertSame([3, null, null, 40.0], [$tally->count, $tally->held, $tally->share, $tally->every]);
        // What overlaps lasted once.
        $held = Tally::of([new Touch(10.0, 20.0), new Touch(15.0, 30.0), new Touch(50.0, 55.0), new Touch(52.0)], 100.0);
        self::assertSame([4, 25.0, 0.25, 14.0], [$held->count, $held->held, $held->share, $held->every]);
        self::assertNull(Tally::of([new Touch(5.0, 9.0)], null)->share, 'While it goes on nobody knows of how much.');
        self::assertSame(1.0, Tally::of([new Touch(0.0, 9.0)], 8.0)->share, 'No more than all of it.');
        self::assertSame(
            'Slip: 4 times, 14.0 s apart on average; 25.0 s in all, 25.0 % of the run.', CourseWords::tally('slip', $held, false),
        );
        self::assertSame('Slip: 3 times, 40.0 s apart on average, so far.', CourseWords::tally('slip', $tally, true));
    }
}
