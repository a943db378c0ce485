<?php

declare(strict_types=1);

namespace Lustrum\Tests\Core;

use Lustrum\Core\Evidence\Direction;
use Lustrum\Core\Evidence\Kind;
use Lustrum\Core\Evidence\Requirement;
use Lustrum\Core\Failure\Standing;
use Lustrum\Core\Footing\Context;
use Lustrum\Core\Footing\FootingCheck;
use Lustrum\Core\Judging\ChangesSeen;
use Lustrum\Core\Judging\CompareBuilds;
use Lustrum\Core\Judging\CompareOutcomes;
use Lustrum\Core\Judging\Consequences;
use Lustrum\Core\Judging\Contexts;
use Lustrum\Core\Judging\Device;
use Lustrum\Core\Judging\Evidence;
use Lustrum\Core\Judging\FailureFact;
use Lustrum\Core\Judging\Failures;
use Lustrum\Core\Judging\Rung;
use Lustrum\Core\Judging\Seen;
use Lustrum\Core\Judging\Wanted;
use Lustrum\Core\Run\Condition;
use Lustrum\Core\Run\Configuration;
use Lustrum\Core\Run\Parameter;
use Lustrum\Core\Run\RunFact;
use Lustrum\Core\Run\RunOutcome;
use Lustrum\Core\Run\Severity;
use Lustrum\Core\Wording\ChangeWords;
use Lustrum\Core\Wording\DecisionWords;
use Lustrum\Core\Wording\EvidenceWords;
use Lustrum\Core\Wording\FailureWords;
use Lustrum\Core\Wording\FootingWords;
use Lustrum\Core\Wording\Noticing;
use PHPUnit\Framework\TestCase;

/** What was recorded is said as it was recorded, and every difference that bears on an answer stands beside it. */
final class RecordedTest extends TestCase
{
    public function testAFootingNeverNamesAValueThatNoRunHad(): void
    {
        $said = self::footing(['6 mm', '7 mm'], ['8 mm', '8 mm']);
        self::assertStringContainsString('Gap was 6 to 7 mm, then 8 mm.', $said);
        self::assertStringNotContainsString('6.5', $said);
        self::assertStringContainsString('Gap was 6.5 mm, then 8 mm.', self::footing(['6.5 mm'], ['8 mm']), 'Nothing is rounded away.');
        self::assertStringContainsString('Gap was 6.25 mm, then 7.5 mm.', self::footing(['6.25 mm'], ['7.5 mm']));
    }

    public function testUnknownIsRecordedAndNothingIsNot(): void
    {
        $run = static fn (string $gap): RunFact => Judged::run(30.0, conditions: ['gap' => $gap], with: self::gapped());
        self::assertSame([], Noticing::unrecorded($run('unknown')));
        self::assertSame(['gap'], Noticing::unrecorded($run(' ')));
    }

    public function testAShareIsNeverSetBesideALimitOfAnotherKind(): void
    {
        $wanted = new Wanted(
            'w', 'Changed in two minutes', 'time', 'min', 2.0, Requirement::of(Kind::Mean, Direction::AtMost, 2.0, 0.95, 0.9), [], true,
        );
        $build = Judged::build('a');
        $own = static fn (): array => ['w' => Evidence::own($wanted, $build, Judged::tries(3, 0, 'a', 'time'))];
        $cell = Evidence::cell($wanted, $build, Judged::line($build), $own);
        self::assertNull($cell->estimate, 'Runs that were only asked have no minutes.');
        self::assertStringNotContainsString('100', EvidenceWords::cell($cell, 'time'));
    }

    public function testNobodyCanDecideWhereThereIsNothingToDecide(): void
    {
        $said = static fn (int $chosen): string => DecisionWords::sentence(
            'B', 2, 0, new Consequences($chosen, '0.00', 0.0, null, false, false, []), new Device('d', 'Wagtail', 0.95, 'EUR'), null,
        );
        self::assertStringNotContainsString('you can decide', $said(0));
        self::assertStringContainsString('there is no next build to decide on', $said(0));
        self::assertStringContainsString('you can decide', $said(1));
    }

    public function testALadderInMixedUnitsIsOneLadder(): void
    {
        $run = static fn (string $height, RunOutcome $o): RunFact => Judged::run(null, $o, outcomeMetric: 'survives', position: $height);
        $side = CompareOutcomes::all(Judged::build('a'), Seen::ofRuns([
            $run('60 cm', RunOutcome::Held), $run('0.6 m', RunOutcome::Failed), $run('600 mm', RunOutcome::Held),
            $run('1 m', RunOutcome::Held),
        ]), null, null, 0.95)[0]->here;
        self::assertSame([[2, 3], [1, 1]], array_map(static fn (Rung $r): array => [$r->held, $r->tried], $side->rungs));
    }

    public function testAReturnInASiblingBranchThatSharesTheFixOpensTheFailure(): void
    {
        $fix = static fn (): array => [Judged::change('Thicker', against: 'f1', alters: ['parameter:arm'])];
        $arm = static fn (float $mm): array => [new Parameter('arm', $mm, 'mm', 1.0, $mm / 1000)];
        $builds = [
            Judged::build('a', parameters: $arm(3.0)), Judged::build('b', 'a', $fix(), $arm(4.0)),
            // Nobody wrote a change here, and the arm is as thick all the same.
            Judged::build('c', 'a', parameters: $arm(4.0)), Judged::build('d', 'a', parameters: $arm(3.0)),
        ];
        $hard = Severity::ofRun(Judged::run(null, RunOutcome::Failed));
        $on = static fn (string $id, string $build, string $at): FailureFact => new FailureFact($id, $build, 'Broke', '', $at, $hard);
        $of = static fn (FailureFact ...$more): Standing => (new Failures(
            Judged::line(...$builds), [$on('f1', 'a', '2026-03-01'), ...array_values($more)], [], [], 0.95,
        ))->status($on('f1', 'a', '2026-03-01'))->standing;
        self::assertSame(Standing::FixUntried, $of());
        self::assertSame(Standing::CameBack, $of($on('f2', 'c', '2026-03-09')), 'The same arm on a sibling broke again.');
        self::assertSame(Standing::FixUntried, $of($on('f2', 'd', '2026-03-09')), 'Without the fix it says nothing of it.');
        $status = (new Failures(Judged::line(...$builds), [$on('f1', 'a', '1'), $on('f2', 'c', '2')], [], [], 0.95))->status($on(
            'f1', 'a', '1',
        ));
        self::assertStringStartsWith('Came back on C', FailureWords::standing($status));
    }

    public function testADifferenceThatNobodyExplainedStandsBesideEveryVerdict(): void
    {
        $arm = static fn (float $mm): array => [new Parameter('arm', $mm, 'mm', 1.0, $mm / 1000)];
        $change = Judged::change('Rivets', metric: 'force', expected: 10.0);
        [$a, $b] = [Judged::build('a', parameters: $arm(3.0)), Judged::build('b', 'a', [$change], $arm(4.0))];
        $changes = new ChangesSeen(new CompareBuilds([Judged::wanted(Kind::Mean, 40.0)], ['force' => 'Force'], 0.95), 0.95);
        [$here, $there] = [Seen::ofRuns(Judged::runs([60.0, 61.0], build: 'b')), Seen::ofRuns(Judged::runs([50.0, 51.0]))];
        $seen = $changes->of($b, $here, $there, $a)[0];
        self::assertSame(['arm'], $seen->together);
        self::assertStringContainsString('arm', ChangeWords::sentence($seen, 'force', false));
        $explained = Judged::build('b', 'a', [$change, Judged::change('Thicker', alters: ['parameter:arm'])], $arm(4.0));
        self::assertSame([], $changes->of($explained, $here, $there, $a)[0]->together, 'A change that says what it bears on stands apart.');
    }

    public function testOtherArticlesThatTookPartBelongToTheFooting(): void
    {
        $context = static function (string $host): Context {
            $seen = Seen::ofRuns([Judged::run(30.0, others: ['host' => $host]), Judged::run(31.0, others: ['host' => $host])]);

            return Contexts::of($seen, $seen->read('force') ?: throw new \LogicException('Nothing was read.'), 'Force');
        };
        $check = FootingCheck::between($context('H-3'), $context('H-4'));
        self::assertSame(['Another host took part (H-3, then H-4).'], array_map(FootingWords::why(...), $check->differences));
        self::assertSame([], FootingCheck::between($context('H-3'), $context('H-3'))->differences);
    }

    public function testAGainThatRunsAlongWithPracticeIsNamed(): void
    {
        $context = static function (int ...$goes): Context {
            $seen = Seen::ofRuns(array_map(static fn (int $n): RunFact => Judged::run(30.0, goes: $n), array_values($goes)));

            return Contexts::of($seen, $seen->read('force') ?: throw new \LogicException('Nothing was read.'), 'Force');
        };
        $check = FootingCheck::between($context(0, 1, 2), $context(10, 12));
        self::assertSame(['Practice (goes before) was 0 to 2, then 10 to 12.'], array_map(FootingWords::why(...), $check->differences));
        self::assertSame([], FootingCheck::between($context(3, 3), $context(3, 3))->differences);
    }

    private static function gapped(): Configuration
    {
        return Configuration::fromRow(['conditions' => [(array) new Condition('gap', 'mm')]] + Judged::configuration()->toRow());
    }

    /**
     * @param list<string> $before
     * @param list<string> $now
     */
    private static function footing(array $before, array $now): string
    {
        /** @param list<string> $gaps */
        $context = static function (array $gaps): Context {
            $seen = Seen::ofRuns(array_map(
                static fn (string $gap): RunFact => Judged::run(30.0, conditions: ['gap' => $gap], with: self::gapped()),
                array_values($gaps),
            ));

            return Contexts::of($seen, $seen->read('force') ?: throw new \LogicException('Nothing was read.'), 'Force');
        };
        $check = FootingCheck::between($context($before), $context($now));

        return implode(' ', array_map(FootingWords::why(...), $check->differences));
    }
}
