<?php

declare(strict_types=1);

namespace Lustrum\Tests\Core;

use Lustrum\Core\Run\Configuration;
use Lustrum\Core\Run\Parameter;
use Lustrum\Core\Run\RunFact;
use Lustrum\Core\Run\RunOutcome;
use Lustrum\Core\Wording\Noticing;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** After a failure everything is named that differs from the last run that held; nothing only where nothing does. */
final class NoticingTest extends TestCase
{
    /** @return iterable<string, array{array<string, mixed>, string}> of what the failed one was made with, and what is said */
    public static function differences(): iterable
    {
        yield 'nothing' => [[], 'nothing recorded differs'];
        yield 'the article' => [['serial' => 'U-4'], 'the article (U-3, then U-4)'];
        $filed = ['kind' => 'workmanship', 'name' => 'rim filed round', 'value' => ''];
        yield 'what was changed on it' => [['deviants' => [$filed]], 'U-3 with rim filed round'];
        yield 'the variant' => [['arm' => 'wave'], 'the variant (–, then wave)'];
        yield 'the build' => [['letter' => 'B', 'revision' => 'b'], 'the build (A, then B)'];
        yield 'a parameter' => [['parameters' => [['name' => 'gap', 'value' => 2, 'unit' => 'mm', 'si' => 0.002]]], 'gap (1.5 mm, now 2'];
        yield 'a part' => [['parts' => [['name' => 'Hopper', 'material' => 'tin', 'quantity' => 1]]], 'Hopper (1, new since)'];
        yield 'a lot' => [['lots' => ['wax' => 'W-2']], 'W-2'];
        yield 'the firmware' => [['firmware' => '1.4'], '1.4'];
    }

    /** @param array<string, mixed> $otherwise */
    #[DataProvider('differences')]
    public function testEverythingThatDiffersIsNamed(array $otherwise, string $said): void
    {
        self::assertStringContainsString($said, self::said(self::one([]), self::one($otherwise, RunOutcome::Failed)));
    }

    /** @param array<string, mixed> $otherwise */
    #[DataProvider('differences')]
    public function testTheFieldSaysTheSameBeforeARun(array $otherwise, string $said): void
    {
        $whys = Noticing::otherwise(self::one([])->configuration, self::one($otherwise)->configuration);
        self::assertStringContainsString($otherwise === [] ? '' : $said, implode('; ', $whys));
        self::assertSame($otherwise === [], $whys === []);
    }

    public function testAMockUpIsNotWhatHeld(): void
    {
        $of = static fn (string $state): Configuration => self::one(['articleState' => $state])->configuration;
        self::assertSame([], Noticing::otherwise($of('finished'), $of('finished')));
        self::assertSame(['tried in another state (finished, then mock-up)'], Noticing::otherwise($of('finished'), $of('mockup')));
    }

    public function testAllOfItIsNamedAtOnce(): void
    {
        $all = array_merge(...array_column(iterator_to_array(self::differences()), 0));
        $said = self::said(self::one([]), self::one($all, RunOutcome::Failed));
        foreach (['U-4 with rim filed round', 'wave', 'A, then B', 'gap', 'Hopper', 'W-2', '1.4'] as $part) {
            self::assertStringContainsString($part, $said);
        }
    }

    public function testARunThatLacksSomethingSaysSo(): void
    {
        $of = static fn (array $with, array $levels, ?RunOutcome $outcome): string => implode("\n", (new Noticing([]))->about(Judged::run(
            40.0, $outcome ?? RunOutcome::Void, levels: $levels,
            with: Configuration::fromRow($with + ['factors' => [['name' => 'height', 'unit' => 'cm']]] + Judged::configuration()->toRow()),
        ), [], null, []));
        $level = 'Without its height it is like no other run: it is compared with none until somebody says it.';
        $article = 'Nobody said which article it was: a finished one, a mock-up or a model?';
        self::assertStringContainsString($level."\n".$article, $of(['serial' => ''], [], RunOutcome::Held));
        self::assertStringNotContainsString($level, $of(['serial' => ''], ['height' => '60 cm'], RunOutcome::Held));
        self::assertStringNotContainsString($article, $of(['serial' => 'U-3'], [], RunOutcome::Held));
        self::assertStringNotContainsString($level, $of(['serial' => ''], [], null), 'One that is void lacks nothing.');
    }

    private static function said(RunFact $good, RunFact $run): string
    {
        return implode("\n", (new Noticing([]))->about($run, [], $good, []));
    }

    /** @param array<string, mixed> $otherwise */
    private static function one(array $otherwise, RunOutcome $outcome = RunOutcome::Held): RunFact
    {
        return Judged::run(40.0, $outcome, with: Configuration::fromRow($otherwise + ['lots' => ['wax' => 'W-1'], 'firmware' => '1.3'] + Judged::configuration(
            serial: 'U-3', parameters: [Parameter::typed('gap', '1.5 mm')],
        )->toRow()));
    }
}
