<?php

declare(strict_types=1);

namespace Lustrum\Tests\Core;

use Lustrum\Core\Alike\CellDifference;
use Lustrum\Core\Footing\Difference;
use Lustrum\Core\Footing\Footing;
use Lustrum\Core\Judging\CompareBuilds;
use Lustrum\Core\Judging\CompareLives;
use Lustrum\Core\Judging\Measured;
use Lustrum\Core\Judging\MetricComparison;
use Lustrum\Core\Judging\ParameterChange;
use Lustrum\Core\Judging\Seen;
use Lustrum\Core\Judging\Terms;
use Lustrum\Core\Outcome\ResultKind;
use Lustrum\Core\Quantity\Quantity;
use Lustrum\Core\Run\RunFact;
use Lustrum\Core\Wording\FootingWords;
use PHPUnit\Framework\TestCase;

/** What of two sides was opposed to what, as it is said. */
final class MatchedSidesTest extends TestCase
{
    /**
     * @param list<RunFact> $here
     * @param list<RunFact> $there
     */
    private static function compare(array $here, array $there): MetricComparison
    {
        return (new CompareBuilds([], [], 0.95))->metric(
            'force', Judged::build('b', 'a'), Seen::ofRuns($here), Judged::build('a'), Seen::ofRuns($there),
        );
    }

    /** @return list<RunFact> a run on each of these articles */
    private static function on(string $build, string ...$serials): array
    {
        return array_map(
            static fn (string $serial): RunFact => Judged::run(50.0 + strlen($serial), build: $build, serial: $serial), array_values($serials),
        );
    }

    public function testOneArticleForEachSideOrForOne(): void
    {
        $said = static fn (MetricComparison $c): string => implode(' ', array_map(
            static fn (Difference $d): string => FootingWords::why($d), $c->footing->differences ?? [],
        ));
        self::assertStringContainsString(
            'One article stands for each side (A-1, then B-1)', $said(self::compare(self::on('b', 'B-1', 'B-1'), self::on('a', 'A-1', 'A-1'))),
        );
        self::assertStringContainsString(
            'One article stands for a side (A-1, then B-1 and B-2)',
            $said(self::compare(self::on('b', 'B-1', 'B-2'), self::on('a', 'A-1', 'A-1'))),
        );
    }

    public function testOneLevelIsSaidWhereThereIsOne(): void
    {
        $at = static fn (string $position): array => array_map(
            static fn (CellDifference $c): string => $c->cell, self::compare(
                [Judged::run(60.0, build: 'b', position: $position), Judged::run(61.0, build: 'b', position: $position)],
                [Judged::run(50.0, position: $position), Judged::run(51.0, position: $position)],
            )->matching->cells ?? [],
        );
        self::assertSame([[], ['20 cm']], [$at(''), $at('20 cm')]);
    }

    public function testAPercentageOfATemperatureHasNoMeaning(): void
    {
        $of = static fn (float $was, float $is, string $unit): ?float => ParameterChange::of(
            Quantity::of($was, $unit), Quantity::of($is, $unit),
        )?->percent;
        self::assertSame([25.0, null, null, -25.0], [$of(20.0, 25.0, 'mm'), $of(20.0, 25.0, '°C'), $of(0.0, 5.0, 'mm'), $of(20.0, 15.0, 'mm')]);
        self::assertNull(ParameterChange::of(Quantity::of(20.0, 'mm'), Quantity::of(2.0, 'cm')));
    }

    public function testWordsHaveAFootingToo(): void
    {
        $found = (new CompareBuilds([], [], 0.95))->metric(
            'force', Judged::build('b', 'a'), Seen::ofRuns(self::on('b', 'B-1', 'B-1')), Judged::build('a'),
            Seen::ofRuns(self::on('a', 'A-1', 'A-1')), new Terms(0.95, words: array_map(strval(...), range(1, 60))),
        );
        self::assertSame(Footing::Tilted, $found->footing?->footing);
    }

    public function testLivesAreLookedAtWhereARunWasStoppedOnEitherSide(): void
    {
        $of = static fn (ResultKind ...$kinds): Measured => Measured::of(Seen::ofRuns(array_map(
            static fn (ResultKind $kind, int $i): RunFact => Judged::run(40.0 + $i, kind: $kind), array_values($kinds), array_keys(array_values($kinds)),
        ))->read('force'));
        $plain = $of(ResultKind::Equal, ResultKind::Equal, ResultKind::Equal);
        $stopped = $of(ResultKind::Equal, ResultKind::AtLeast, ResultKind::Equal);
        $lives = static fn (Measured $here, Measured $there): int => count(CompareLives::look('B', $here, 'A', $there, 0.95)[0]);
        self::assertSame([0, 2, 2, 2], [
            $lives($plain, $plain), $lives($stopped, $plain), $lives($plain, $stopped), $lives($stopped, $stopped),
        ]);
    }
}
