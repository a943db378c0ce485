<?php

declare(strict_types=1);

namespace Lustrum\Tests\Core;

use Lustrum\Core\Failure\Exposure;
use Lustrum\Core\Judging\FailureFact;
use Lustrum\Core\Judging\Failures;
use Lustrum\Core\Judging\Lineage;
use Lustrum\Core\Judging\OutsideBound;
use Lustrum\Core\Judging\OutsideUse;
use Lustrum\Core\Run\Factor;
use Lustrum\Core\Run\FactorKind;
use Lustrum\Core\Run\Harder;
use Lustrum\Core\Run\Hardness;
use Lustrum\Core\Run\Severity;
use Lustrum\Core\Wording\FailureWords;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Use outside trials bounds how often something can happen, at its own severity; it is no trial. */
final class OutsideTest extends TestCase
{
    private const CONFIDENCE = 0.95;

    /** @return iterable<string, array{string, ?string, ?float}> as written, as read, and what it leaves open at 95 % */
    public static function amounts(): iterable
    {
        // Success run: 1 − 0.05^(1/30); Poisson: T / −ln 0.05, the 3.0 of the rule of three (Hanley and Lippman-Hand 1983).
        yield 'a count of something' => ['30 beds', '30 beds', 0.0950339];
        yield 'times' => ['3 times', '3 times', 0.6315969];
        yield 'a bare number' => ['59', '59 times', 0.0495075];
        yield 'hours' => ['12 h', '12 h', 4.0057];
        yield 'a way' => ['6 km', '6 km', 2.00285];
        yield 'no number' => ['a season', null, null];
        yield 'nothing' => ['', null, null];
        yield 'none' => ['0 beds', null, null];
    }

    #[DataProvider('amounts')]
    public function testHowLongOrHowOften(string $written, ?string $read, ?float $open): void
    {
        $exposure = Exposure::read($written);
        self::assertSame($read, $exposure?->text());
        self::assertEqualsWithDelta($open, $exposure?->leavesOpen(self::CONFIDENCE), 1e-4);
    }

    public function testAmountsOfOneKindAddUp(): void
    {
        [$hours, $minutes, $beds] = array_map(Exposure::read(...), ['2 h', '30 min', '4 beds']);
        self::assertNotNull($hours);
        self::assertNotNull($minutes);
        self::assertSame(['2.5 h', true], [$hours->and($minutes)->text(), $hours->kind() === $minutes->kind()]);
        self::assertNotSame($hours->kind(), $beds?->kind());
        self::assertNotSame($beds?->kind(), Exposure::read('4 rows')?->kind());
    }

    public function testItCountsAtItsOwnSeverityAndOnTheBuildThatWasUsed(): void
    {
        $failure = new FailureFact('f', 'a', 'Frame bent', '', '2026-03-02', self::at('60 cm'));
        $use = static fn (string $build, ?string $level, string $amount, string $mode = 'frame bent'): OutsideUse => new OutsideUse(
            $build, $level === null ? null : self::at($level), $amount, [$mode],
        );
        $bounds = self::failures($failure, [
            $use('b', '60 cm', '10 beds'), $use('b', '60 cm', '20 beds'), $use('b', '10 cm', '2 h'), $use('b', null, 'a season'),
            $use('b', '60 cm', '99 beds', 'handle loose'), $use('other', '60 cm', '99 beds'), $use('a', '80 cm', '3 times'),
        ])->outside($failure);
        self::assertSame([
            ['B', Hardness::AtLeast, '60 cm', '30 beds'], ['B', Hardness::Milder, '10 cm', '2 h'], ['B', Hardness::Apart, '', null],
            ['A', Hardness::AtLeast, '80 cm', '3 times'],
        ], array_map(static fn (OutsideBound $b): array => [$b->letter, $b->hardness, $b->at, $b->exposure?->text()], $bounds));
        self::assertSame([
            'Outside trials: B came through 30 beds without it at 60 cm, so it shows in at most 10 % of them (95 %), as hard as where it'
            .' happened or harder. That is no trial, and closes nothing.',
            'Outside trials: B came through 2 h without it at 10 cm, so on average at most once in 0.67 h (95 %), but at something milder than'
            .' where it happened. That is no trial, and closes nothing.',
            'Outside trials: B came through a season without it; how long or how often is not said as a number, so it bounds nothing; whether'
            .' that was as hard as where it happened is not known. That is no trial, and closes nothing.',
        ], array_map(static fn (OutsideBound $b): string => FailureWords::outside($b, self::CONFIDENCE), array_slice($bounds, 0, 3)));
    }

    public function testItClosesNothing(): void
    {
        $failure = new FailureFact('f', 'a', 'Frame bent', '', '2026-03-02', self::at('60 cm'));
        $uses = [new OutsideUse('b', self::at('60 cm'), '1000 beds', ['frame bent'])];
        self::assertEquals(self::failures($failure, [])->status($failure), self::failures($failure, $uses)->status($failure));
    }

    /** @param list<OutsideUse> $uses */
    private static function failures(FailureFact $failure, array $uses): Failures
    {
        $lineage = Lineage::of([
            Judged::build('a'), Judged::build('b', 'a', [Judged::change('stiffer', against: 'f')]), Judged::build('other'),
        ]);

        return new Failures($lineage, [$failure], [], [], self::CONFIDENCE, $uses);
    }

    private static function at(string $height): Severity
    {
        $factor = new Factor('height', kind: FactorKind::Number, unit: 'cm', harder: Harder::More);

        return Severity::typed('drop', 'Drop', [], [$factor], ['height' => $height], 'finished');
    }
}
