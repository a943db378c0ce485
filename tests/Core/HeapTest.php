<?php

declare(strict_types=1);

namespace Lustrum\Tests\Core;

use Lustrum\Core\CoreException;
use Lustrum\Core\Heap\Clock;
use Lustrum\Core\Heap\Laid;
use Lustrum\Core\Heap\Laying;
use Lustrum\Core\Heap\Lies;
use Lustrum\Core\Heap\Span;
use Lustrum\Core\Heap\Taken;
use Lustrum\Core\Wording\HeapWords;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What was filmed lies against runs by time alone. */
final class HeapTest extends TestCase
{
    /** Two runs with a minute between them, and one that began within the second on another article. */
    private static function laying(): Laying
    {
        return new Laying([new Span('third', 1000.0, 1900.0), new Span('first', 0.0, 600.0), new Span('second', 660.0, 1260.0)]);
    }

    /** @return iterable<string, array{float, float, Lies, ?string, float}> from, lasts, where it lies, beside which, seconds */
    public static function taken(): iterable
    {
        yield 'a picture within' => [120.0, 0.0, Lies::During, 'first', 120.0];
        yield 'a picture at the very end' => [600.0, 0.0, Lies::During, 'first', 600.0];
        yield 'a picture between two is of the one that ended' => [630.0, 0.0, Lies::After, 'first', 30.0];
        yield 'a picture within two is of the one that began last' => [1100.0, 0.0, Lies::During, 'third', 100.0];
        yield 'a clip shares more of its time with one' => [900.0, 300.0, Lies::During, 'second', 240.0];
        yield 'a clip that began before its run' => [-60.0, 120.0, Lies::During, 'first', -60.0];
        yield 'a clip over the gap goes where most of it lies' => [560.0, 300.0, Lies::During, 'second', -100.0];
        yield 'just before' => [-300.0, 60.0, Lies::Before, 'first', 240.0];
        yield 'ten minutes before' => [-600.0, 0.0, Lies::Before, 'first', 600.0];
        yield 'longer before' => [-601.0, 0.0, Lies::Nowhere, null, 0.0];
        yield 'half an hour after' => [3700.0, 0.0, Lies::After, 'third', 1800.0];
        yield 'longer after' => [3701.0, 0.0, Lies::Nowhere, null, 0.0];
    }

    #[DataProvider('taken')]
    public function testWhereItLies(float $from, float $lasts, Lies $lies, ?string $run, float $seconds): void
    {
        self::assertEquals(new Laid($lies, $run, $seconds), self::laying()->lay(new Taken('t', $from, $lasts)));
    }

    public function testWithoutRunsNothingIsNear(): void
    {
        self::assertSame(Lies::Nowhere, (new Laying([]))->lay(new Taken('t', 5.0))->lies);
    }

    public function testAClockIsSetByOneThingThatItTook(): void
    {
        $clock = Clock::set(5000.0, 1400.0);
        self::assertSame(3600.0, $clock->ahead);
        self::assertSame(6400.0, $clock->truly(10000.0));
        self::assertSame(10.0, Clock::ahead(0.0)->truly(10.0));
    }

    public function testNoClockIsThirtyYearsWrong(): void
    {
        $this->expectException(CoreException::class);
        $this->expectExceptionMessage('thirty years');
        Clock::set(2e9, 1e9);
    }

    public function testTheWordsCountWhatIsThere(): void
    {
        self::assertSame('Nothing waits to be gone through.', HeapWords::sentence(0, 0, 0, 0, 0, 0));
        self::assertSame('Nothing waits to be gone through. 3 kept with runs, 37 put aside.', HeapWords::sentence(0, 0, 0, 0, 3, 37));
        self::assertSame(
            '40 files are not gone through yet: 31 lie within runs, 4 right beside one, 3 near none; of 2 nothing says when they were taken.',
            HeapWords::sentence(40, 31, 4, 2, 0, 0),
        );
        self::assertSame('One file is not gone through yet: one lies within a run.', HeapWords::sentence(1, 1, 0, 0, 0, 0));
        self::assertSame('', HeapWords::waits(0));
        self::assertSame('One file in the heap is not gone through yet', HeapWords::waits(1));
    }

    public function testHowFarAsPeopleSayIt(): void
    {
        self::assertSame('12 s into it', HeapWords::laid(new Laid(Lies::During, 'r', 12.4)));
        self::assertSame('begins 1 min 5 s before it', HeapWords::laid(new Laid(Lies::During, 'r', -65.0)));
        self::assertSame('25 min after its end', HeapWords::laid(new Laid(Lies::After, 'r', 1510.0)));
        self::assertSame('2 min before it began', HeapWords::laid(new Laid(Lies::Before, 'r', 120.0)));
        self::assertSame('no run near', HeapWords::laid(new Laid(Lies::Nowhere)));
        self::assertSame('nothing says when it was taken', HeapWords::laid(new Laid(Lies::Untold)));
        self::assertSame(
            'It begins 12 s into Wren E, Drop, run 14.',
            HeapWords::one(new Laid(Lies::During, 'r', 12.4), 'Wren E, Drop, run 14'),
        );
        self::assertSame('No run is near it: say of which it is, or put it aside.', HeapWords::one(new Laid(Lies::Nowhere), ''));
        self::assertSame('One file; its clock is taken as right', HeapWords::clock(0.2, 1));
        self::assertSame('23 files; its clock is 1 h 2 min ahead, which is taken off', HeapWords::clock(3725.0, 23));
        self::assertSame('2 files; its clock is 2 days behind, which is added', HeapWords::clock(-172800.0, 2));
        self::assertSame('build E, Drop, run 14', HeapWords::here(true, false, 'E', 'Drop', 14));
        self::assertSame('build E', HeapWords::here(true, false, 'E', '', 0));
        self::assertSame('in the heap', HeapWords::here(false, false, '', '', 0));
        self::assertSame('put aside', HeapWords::here(false, true, '', '', 0));
    }
}
