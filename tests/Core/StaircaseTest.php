<?php

declare(strict_types=1);

namespace Lustrum\Tests\Core;

use Lustrum\Core\InvalidInput;
use Lustrum\Core\Plan\Layout;
use Lustrum\Core\Plan\Made;
use Lustrum\Core\Plan\Progress;
use Lustrum\Core\Run\Factor;
use Lustrum\Core\Run\FactorKind;
use Lustrum\Core\Run\Harder;
use Lustrum\Core\Run\RunOutcome;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Up after a hold, down after a failure: each run says where the next one stands. */
final class StaircaseTest extends TestCase
{
    /** @return list<Factor> */
    private static function factors(Harder $harder = Harder::More): array
    {
        return [new Factor('height', kind: FactorKind::Number, unit: 'cm', harder: $harder)];
    }

    private static function layout(int $repeats = 6): Layout
    {
        return Layout::fromRow(['kind' => 'staircase', 'repeats' => $repeats, 'levels' => ['height' => [
            '60 cm', '20 cm', '40 cm', '80 cm', '100 cm',
        ]]]);
    }

    /** @param list<array{string, ?RunOutcome}> $runs level and outcome */
    private static function progress(array $runs, Harder $harder = Harder::More, int $repeats = 6): Progress
    {
        $made = [];
        foreach ($runs as $i => [$level, $outcome]) {
            $made[] = new Made('run-'.$i, $i + 1, ['height' => $level], '', $outcome);
        }

        return Progress::of(self::layout($repeats), self::factors($harder), $made);
    }

    /** @return iterable<string, array{list<array{string, ?RunOutcome}>, string}> */
    public static function steps(): iterable
    {
        [$held, $failed] = [RunOutcome::Held, RunOutcome::Failed];
        yield 'it begins in the middle' => [[], '60 cm'];
        yield 'up after a hold' => [[['60 cm', $held]], '80 cm'];
        yield 'down after a failure' => [[['60 cm', $failed]], '40 cm'];
        yield 'from where it was made, not from where it was planned' => [[['20 cm', $held]], '40 cm'];
        yield 'at the top it stays' => [[['100 cm', $held]], '100 cm'];
        yield 'at the bottom it stays' => [[['20 cm', $failed]], '20 cm'];
        yield 'stopped early tells neither' => [[['80 cm', RunOutcome::StoppedEarly]], '80 cm'];
        yield 'what was lost is tried again' => [[['60 cm', $held], ['80 cm', RunOutcome::Lost]], '80 cm'];
        yield 'a void run moves nothing' => [[['60 cm', $held], ['80 cm', RunOutcome::Void]], '80 cm'];
        yield 'a run beside the levels moves nothing' => [[['60 cm', $held], ['55 cm', $failed]], '80 cm'];
    }

    /** @param list<array{string, ?RunOutcome}> $runs */
    #[DataProvider('steps')]
    public function testTheNextFollowsFromTheLast(array $runs, string $expected): void
    {
        self::assertSame($expected, self::progress($runs)->next()?->text());
    }

    public function testWhereLessIsHarderItGoesTheOtherWay(): void
    {
        self::assertSame('40 cm', self::progress([['60 cm', RunOutcome::Held]], Harder::Less)->next()?->text());
    }

    public function testItEndsWithItsNumberAndCountsWhatWasLost(): void
    {
        $progress = self::progress([
            ['60 cm', RunOutcome::Held], ['80 cm', RunOutcome::Lost], ['80 cm', RunOutcome::Failed], ['60 cm', RunOutcome::Held],
        ], repeats: 3);

        self::assertNull($progress->next());
        self::assertSame([3, 1, 0], [$progress->tried(), $progress->lost(), count($progress->beside)]);
        self::assertSame(['60 cm', '80 cm', '60 cm'], array_map(static fn ($s): string => $s->slot->text(), $progress->slots));
        self::assertCount(1, self::progress([
            ['60 cm', RunOutcome::Held], ['80 cm', RunOutcome::Held], ['80 cm', RunOutcome::Held], ['80 cm', RunOutcome::Held],
        ], repeats: 3)->beside, 'One more than was planned.');
    }

    public function testOnlyTheNextLevelIsKnownBeforehand(): void
    {
        self::assertSame(['60 cm', '', ''], array_map(static fn ($s): string => $s->slot->text(), self::progress([], repeats: 3)->slots));
        $this->expectException(InvalidInput::class);
        Layout::fromRow(['kind' => 'staircase', 'repeats' => 6, 'levels' => ['height' => ['60 cm']]])->slots(self::factors());
    }
}
