<?php

declare(strict_types=1);

namespace Lustrum\Tests\Core;

use Lustrum\Core\Curve\CourseText;
use Lustrum\Core\Curve\Exponential;
use Lustrum\Core\Curve\Mark;
use Lustrum\Core\Curve\MarkKind;
use Lustrum\Core\Curve\Samples;
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

        self::assertSame('Plate: from 80 °C to 30 °C in 20 min, 3 values.', str_replace(['80.0', '30.0'], ['80', '30'], CourseWords::sentence('plate', $samples, '°C')));
        self::assertSame('First at 60.0 °C: 343 s', CourseWords::mark($mark, $mark->of($samples), '°C'));
        self::assertSame('343 s', CourseWords::found($mark, $mark->of($samples), '°C'));
        self::assertSame('First at 60.0 °C: never in this course', CourseWords::mark($mark, null, '°C'));
        self::assertSame('Mean between 30.0 s and 10 min: 71.2 °C', CourseWords::mark(new Mark(MarkKind::Mean, null, 30.0, 600.0), 71.2, '°C'));
        $t = array_map(static fn (int $i): float => 60.0 * $i, range(0, 10));
        $fit = Exponential::fit(Samples::of($t, array_map(static fn (float $s): float => 20.0 + 60.0 * exp(-$s / 300.0), $t)));
        self::assertStringStartsWith('It goes towards 20.0 °C, two thirds of the way in 5 min;', CourseWords::fit($fit, '°C'));
    }
}
