<?php

declare(strict_types=1);

namespace Lustrum\Tests\Core;

use Lustrum\Core\Judging\Seen;
use Lustrum\Core\Judging\SidesWithin;
use Lustrum\Core\Judging\Terms;
use Lustrum\Core\Run\AsSet;
use Lustrum\Core\Run\Configuration;
use Lustrum\Core\Run\RunFact;
use Lustrum\Core\Run\SettingRule;
use Lustrum\Core\Wording\SidesWords;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What runs were set to, told apart where it can be, and opposed to each other within a build. */
final class AsSetTest extends TestCase
{
    /** @return iterable<string, array{SettingRule, string, string}> rule, as found, as set */
    public static function found(): iterable
    {
        $gap = new SettingRule('gap', 'mm', 0.8, 0.1);
        yield 'as intended' => [$gap, '0.8 mm', '0.8 mm'];
        yield 'within its tolerance' => [$gap, '0.9 mm', '0.8 mm'];
        yield 'within its tolerance, in another unit' => [$gap, '0.07 cm', '0.8 mm'];
        yield 'a step away' => [$gap, '1.0 mm', '1 mm'];
        yield 'a bare number is in its unit' => [$gap, '1.21', '1.2 mm'];
        yield 'unknown' => [$gap, 'unknown', ''];
        yield 'nobody said' => [$gap, ' ', ''];
        yield 'no quantity' => [$gap, 'wide', ''];
        yield 'without a tolerance every value is its own' => [new SettingRule('gap', 'mm'), '0.85 mm', '0.85 mm'];
        yield 'in words' => [new SettingRule('brush'), ' Soft ', 'soft'];
    }

    #[DataProvider('found')]
    public function testWhatItWasSetTo(SettingRule $rule, string $text, string $set): void
    {
        $run = Judged::run(1.0, settings: [$rule->name => $text], with: self::with($rule));
        self::assertSame($set === '' ? [] : [$rule->name => $set], AsSet::of($run));
    }

    public function testSettingsOfABuildAreSidesOfIt(): void
    {
        $rule = new SettingRule('gap', 'mm', 0.8, 0.1);
        $of = static fn (string $gap, float $newton): RunFact => Judged::run($newton, settings: ['gap' => $gap], with: self::with($rule));
        $sides = SidesWithin::of(Seen::ofRuns([
            $of('0.8 mm', 10.0), $of('0.83 mm', 10.2), $of('0.78 mm', 10.1), $of('1.2 mm', 14.0), $of('1.21 mm', 14.2),
            $of('1.19 mm', 14.1),
        ]), 'force', 'N', new Terms(0.95));
        self::assertSame(['setting'], array_map(static fn (SidesWithin $s): string => $s->kind, $sides));
        self::assertSame(
            'Force by gap: 1.2 mm leads, and is told apart from all others; 1 of 1 pair told.',
            SidesWords::sentence($sides[0], 'force', true),
        );
    }

    public function testOneSettingIsNoSide(): void
    {
        $rule = new SettingRule('gap', 'mm', 0.8, 0.1);
        $runs = array_map(
            static fn (string $gap): RunFact => Judged::run(10.0, settings: ['gap' => $gap], with: self::with($rule)),
            ['0.8 mm', '0.85 mm', ''],
        );
        self::assertSame([], SidesWithin::of(Seen::ofRuns($runs), 'force', 'N', new Terms(0.95)));
    }

    private static function with(SettingRule $rule): Configuration
    {
        return Configuration::fromRow(['settings' => [(array) $rule]] + Judged::configuration()->toRow());
    }
}
