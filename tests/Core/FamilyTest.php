<?php

declare(strict_types=1);

namespace Lustrum\Tests\Core;

use Lustrum\Core\Evidence\Direction;
use Lustrum\Core\Evidence\Kind;
use Lustrum\Core\Evidence\State;
use Lustrum\Core\Judging\Build;
use Lustrum\Core\Judging\Cell;
use Lustrum\Core\Judging\Evidence;
use Lustrum\Core\Judging\Members;
use Lustrum\Core\Judging\Wanted;
use Lustrum\Core\Run\Configuration;
use Lustrum\Core\Run\Parameter;
use Lustrum\Core\Run\RunFact;
use Lustrum\Core\Wording\EvidenceWords;
use PHPUnit\Framework\TestCase;

/** A family of variants that stays: sizes, sides, fittings. */
final class FamilyTest extends TestCase
{
    private static function build(string $worst = '', bool $family = true): Build
    {
        $size = static fn (string $mm): array => [Parameter::typed('size', $mm)];

        return new Build(
            'a', 'A', null, '', '', '2026-03-01T00:00:00Z', arms: ['S' => $size('10 mm'), 'M' => $size('20 mm'), 'L' => $size('30 mm')],
            family: $family, worstArm: $worst,
        );
    }

    private static function wanted(Members $members): Wanted
    {
        $rule = Judged::wanted(Kind::Mean, 400.0, Direction::AtLeast);

        return new Wanted(
            $rule->id, $rule->statement, $rule->metric, 'N', 400.0, $rule->rule, [], true, members: $members,
        );
    }

    /**
     * @param list<float> $values
     *
     * @return list<RunFact>
     */
    private static function runs(string $arm, array $values): array
    {
        $size = ['S' => '10 mm', 'M' => '20 mm', 'L' => '30 mm'][$arm];

        return array_map(static fn (float $v): RunFact => Judged::run(
            $v,
            with: Configuration::fromRow(
                ['arm' => $arm, 'parameters' => [(array) Parameter::typed('size', $size)]] + Judged::configuration()->toRow(),
            ),
        ), $values);
    }

    /** @param list<RunFact> $runs */
    private static function cell(Wanted $wanted, Build $build, array $runs): Cell
    {
        return Evidence::cell($wanted, $build, Judged::line($build), static fn (): array => [
            $wanted->id => Evidence::judge($wanted, $build, [Evidence::gather($wanted, $build, $runs)]),
        ]);
    }

    public function testItIsAsGoodAsItsWorstMember(): void
    {
        $cell = self::cell(self::wanted(Members::Each), self::build(), [
            ...self::runs('S', [450.0, 452.0, 449.0, 451.0]), ...self::runs('M', [430.0, 431.0, 429.0, 430.0]),
            ...self::runs('L', [350.0, 351.0, 349.0, 350.0]),
        ]);
        self::assertSame([State::Against, 'L', 350.0], [$cell->state, $cell->member, $cell->estimate?->value]);
        self::assertSame(['S' => State::Shown, 'M' => State::Shown, 'L' => State::Against], $cell->members);
        self::assertStringEndsWith('By L, the worst of 3 members.', EvidenceWords::cell($cell, 'force'));
    }

    public function testWhatNobodyTriedIsNotShown(): void
    {
        $cell = self::cell(self::wanted(Members::Each), self::build(), [
            ...self::runs('S', [450.0, 452.0, 449.0, 451.0]), ...self::runs('L', [430.0, 431.0, 429.0, 430.0]),
        ]);
        self::assertSame([State::Leaning, 'L'], [$cell->state, $cell->member]);
        self::assertStringEndsWith('By L, the worst of 3 members; not tried: M.', EvidenceWords::cell($cell, 'force'));
    }

    public function testOnTheWorstOneIsEnoughWhereARequirementSaysSo(): void
    {
        $runs = self::runs('L', [430.0, 431.0, 429.0, 430.0]);
        self::assertSame(State::Shown, self::cell(self::wanted(Members::Worst), self::build('L'), $runs)->state);
        self::assertSame(
            State::None, self::cell(self::wanted(Members::Worst), self::build('S'), $runs)->state,
            'Nobody tried the one that is said to be the worst.',
        );
    }

    public function testAmongMembersThatHoldTheNearestToTheLimitSpeaks(): void
    {
        $cell = self::cell(self::wanted(Members::Worst), self::build(), [
            ...self::runs('S', [450.0, 452.0, 449.0, 451.0]), ...self::runs('M', [420.0, 421.0, 419.0, 420.0]),
            ...self::runs('L', [470.0, 471.0, 469.0, 470.0]),
        ]);
        self::assertSame([State::Shown, 'M'], [$cell->state, $cell->member]);
    }

    public function testAChosenOneIsJudgedAsAnyArm(): void
    {
        $runs = self::runs('L', [430.0, 431.0, 429.0, 430.0]);
        $cell = self::cell(self::wanted(Members::Chosen), self::build(), $runs);
        self::assertSame(['S', 'M', 'L'], array_keys($cell->arms));
        self::assertSame([], $cell->members);
    }

    public function testAFamilyThatNobodyTriedSaysSo(): void
    {
        $cell = self::cell(self::wanted(Members::Each), self::build(), []);
        self::assertSame(State::None, $cell->state);
        self::assertStringEndsWith('None of 3 members was tried.', EvidenceWords::cell($cell, 'force'));
    }
}
