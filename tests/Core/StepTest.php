<?php

declare(strict_types=1);

namespace Lustrum\Tests\Core;

use Lustrum\Core\Run\Deviation;
use Lustrum\Core\Run\DeviationKind;
use Lustrum\Core\Run\Step;
use Lustrum\Core\Wording\BuildWords;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What was changed on an article, step by step. */
final class StepTest extends TestCase
{
    /** @return iterable<string, array{list<list<string>>, list<string>, list<array{string, list<int>}>}> of each run, now, steps */
    public static function changes(): iterable
    {
        yield 'nothing' => [[[], []], [], []];
        yield 'once' => [[[], ['gap 1'], ['gap 1']], ['gap 1'], [['Gap 1', [1, 2]]]];
        yield 'one after the other' => [[['gap 1'], ['gap 1', 'arm 2']], ['gap 1', 'arm 2'], [['Gap 1', [0]], ['Arm 2', [1]]]];
        yield 'the same again' => [[['gap 1'], ['gap 2'], ['gap 1']], ['gap 1'], [['Gap 1', [0, 2]], ['Gap 2', [1]]]];
        yield 'and back to what it was made as' => [[['gap 1'], [], ['gap 2']], ['gap 2'], [['Gap 1', [0]], ['Gap 2', [2]]]];
        yield 'not tried yet' => [[['gap 1']], ['gap 1', 'arm 2'], [['Gap 1', [0]], ['Arm 2', []]]];
        yield 'something taken back' => [[['gap 1', 'arm 2'], ['arm 2']], ['arm 2'], [['Gap 1 and arm 2', [0]], ['Arm 2', [1]]]];
    }

    /**
     * @param list<list<string>>               $made
     * @param list<string>                     $now
     * @param list<array{string, list<int>}>   $steps
     */
    #[DataProvider('changes')]
    public function testStepsComeInTheirOrder(array $made, array $now, array $steps): void
    {
        $of = static fn (array $some): array => array_values(array_map(
            static fn (string $text): Deviation => new Deviation(DeviationKind::Parameter, ...explode(' ', $text)), $some,
        ));
        self::assertSame($steps, array_map(
            static fn (Step $s): array => [BuildWords::step($s), $s->runs], Step::all(array_values(array_map($of, $made)), $of($now)),
        ));
    }

    /** A run without what was gathered is none of the build that has it. */
    public function testWhatWasTakenBackSinceIsNoLaterStep(): void
    {
        $of = static fn (string $name, string $value): Deviation => new Deviation(DeviationKind::Part, $name, $value);
        [$both, $back, $other] = Step::all([
            [$of('Grip', 'cork'), $of('Hopper', 'tin')], [$of('Hopper', 'tin')], [$of('Grip', 'leather'), $of('Hopper', 'tin')],
        ], [$of('Hopper', 'tin')]);
        self::assertSame([true, false, true], array_map(static fn (Step $s): bool => $s->has($both->all), [$both, $back, $other]));
    }
}
