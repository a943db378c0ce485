<?php

declare(strict_types=1);

namespace Lustrum\Tests\Core;

use Lustrum\Core\Belief\Belief;
use Lustrum\Core\Belief\Weight;
use Lustrum\Core\Change\Expectation;
use Lustrum\Core\Change\ExpectedAs;
use Lustrum\Core\Evidence\Kind;
use Lustrum\Core\Evidence\State;
use Lustrum\Core\Judging\Cell;
use Lustrum\Core\Judging\Evidence;
use Lustrum\Core\Judging\Proposal;
use Lustrum\Core\Judging\StepTried;
use Lustrum\Core\Judging\UseFit;
use Lustrum\Core\Judging\UseVerdict;
use Lustrum\Core\Judging\Wanted;
use Lustrum\Core\Wording\BriefWords;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What stands in the brief around the requirements: uses, steps of use, beliefs. */
final class UsesTest extends TestCase
{
    private static function cell(string $name, State $state, bool $must = true): Cell
    {
        $rule = Judged::wanted(Kind::Check, 1.0, metric: $name);
        $wanted = new Wanted(
            $name, ucfirst($name), $name, '', 1.0, $rule->rule, [], $must,
        );
        $build = Judged::build('a');
        $cell = Evidence::cell($wanted, $build, Judged::line($build), static fn (): array => [
            $name => Evidence::judge($wanted, $build, [Evidence::gather($wanted, $build, [])], null),
        ]);

        return new Cell(
            $wanted, $build, $build, $cell->assessment, $state, $cell->texture, false, null, null, null, [], 3,
        );
    }

    /**
     * @param list<string>      $requirements
     * @param list<Expectation> $effects
     */
    private static function proposal(string $what, array $requirements, array $effects = []): Proposal
    {
        return new Proposal($what, '0', 0.0, $effects, $requirements);
    }

    public function testWhatIsExpectedToMoveTheMetricTheRightWayIsAnAnswer(): void
    {
        $wanted = Judged::wanted(Kind::Mean, 400.0);
        $more = static fn (ExpectedAs $mode, ?float $by): bool => self::proposal('x', [], [
            new Expectation('force', $mode, 'N', $by, $by, $by),
        ])->answers($wanted);
        self::assertTrue($more(ExpectedAs::Add, 30.0));
        self::assertTrue($more(ExpectedAs::Percent, 5.0));
        self::assertTrue($more(ExpectedAs::More, null));
        self::assertFalse($more(ExpectedAs::Add, -30.0));
        self::assertFalse($more(ExpectedAs::Add, 0.0));
        self::assertFalse($more(ExpectedAs::Less, null));
        self::assertFalse($more(ExpectedAs::Value, 500.0), 'Whether a value is more hangs on what it was.');
        self::assertFalse(self::proposal('x', [], [new Expectation('mass', ExpectedAs::More)])->answers($wanted));
    }

    /** @return iterable<string, array{list<Cell>, list<Proposal>, UseFit, string}> */
    public static function verdicts(): iterable
    {
        $shown = self::cell('light', State::Shown);
        $failed = self::cell('strong', State::Against);
        $other = self::cell('quiet', State::Against);
        yield 'all shown' => [[$shown], [], UseFit::Fits, 'F fits: its one must is shown.'];
        yield 'one failed, and nothing answers it' => [
            [$shown, $failed], [self::proposal('Thinner rim', ['light'])], UseFit::DoesNot,
            'F does not fit: “Strong” is not met, and nothing proposed answers it.',
        ];
        yield 'one failed, with an answer' => [
            [$shown, $failed], [self::proposal('Gusset', ['strong'])], UseFit::WithChanges,
            'F does not fit as it is: “Strong” is not met. Proposed against it, and tried by nobody: Gusset.',
        ];
        yield 'one answered, one not' => [
            [$failed, $other], [self::proposal('Gusset', ['strong'])], UseFit::DoesNot,
            'F does not fit: “Quiet” is not met, and nothing proposed answers it.',
        ];
        yield 'only leaning' => [
            [$shown, self::cell('cool', State::Leaning)], [], UseFit::NotKnown, 'F cannot be told yet: 1 of 2 musts shown, none failed.',
        ];
        yield 'doubtful is no verdict' => [
            [self::cell('cool', State::Doubtful)], [], UseFit::NotKnown, 'F cannot be told yet: 0 of 1 must shown, none failed.',
        ];
        yield 'a should that failed' => [
            [$shown, self::cell('pretty', State::Against, false)], [], UseFit::Fits, 'F fits: its one must is shown.',
        ];
        yield 'no must' => [
            [self::cell('pretty', State::Shown, false)], [], UseFit::NotKnown,
            'No must is asked for this use, so nothing can be said of it.',
        ];
    }

    /**
     * @param list<Cell>     $cells
     * @param list<Proposal> $proposed
     */
    #[DataProvider('verdicts')]
    public function testAUseIsJudgedByItsMusts(array $cells, array $proposed, UseFit $fit, string $sentence): void
    {
        $verdict = UseVerdict::of($cells, $proposed);
        self::assertSame($fit, $verdict->fit);
        self::assertSame($sentence, BriefWords::use($verdict, 'F'));
    }

    public function testBeforeAnythingWasTriedNothingIsSaidOfABuild(): void
    {
        self::assertSame(
            'Nothing was tried yet: 1 must to show.', BriefWords::use(UseVerdict::of([self::cell('light', State::None)], []), ''),
        );
    }

    public function testAStepIsTriedHereElsewhereOrNever(): void
    {
        [$a, $b, $c, $side] = [Judged::build('a'), Judged::build('b', 'a'), Judged::build('c', 'b'), Judged::build('d', 'a')];
        $steps = StepTried::on($c, Judged::line($a, $b, $c, $side), ['fill' => 'Fill', 'sow' => 'Sow', 'lift' => 'Lift', 'store' => 'Store'], [
            'fill' => ['c', 'd', 'a'], 'sow' => ['a', 'b', 'd'], 'lift' => ['d'],
        ]);
        self::assertSame(['C', 'B', 'D', null], array_column($steps, 'letter'), 'Here, the nearest before it, another branch, never.');
        self::assertSame([true, false, false, false], array_column($steps, 'here'));
        self::assertSame(
            ['tried on C', 'not on this build; last on B', 'not on this build; last on D', 'never tried'],
            array_map(BriefWords::step(...), $steps),
        );
        self::assertSame('One step of use was never tried: Store; 1 of 4 on C.', BriefWords::steps($steps, 'C'));
        self::assertSame('Every step of use was gone through by a run; none on C.', BriefWords::steps([$steps[1]], 'C'));
        self::assertSame('', BriefWords::steps([], 'C'));
        self::assertSame('One step of use was never tried: Store.', BriefWords::steps([$steps[3]], ''));
    }

    public function testManyStepsAreCounted(): void
    {
        $a = Judged::build('a');
        $names = ['Fill', 'Sow', 'Turn', 'Clean', 'Lift'];
        self::assertSame(
            '5 of 5 steps of use were never tried: Fill, Sow, Turn and 2 more; none on A.',
            BriefWords::steps(StepTried::on($a, Judged::line($a), array_combine($names, $names), []), 'A'),
        );
    }

    /** @return iterable<string, array{list<Weight>, Belief}> */
    public static function beliefs(): iterable
    {
        yield 'nobody looked' => [[], Belief::Believed];
        yield 'looked at, nothing follows' => [[Weight::Unclear], Belief::Checked];
        yield 'one for it' => [[Weight::Unclear, Weight::For], Belief::Upheld];
        yield 'one against it' => [[Weight::Against], Belief::Overturned];
        yield 'for and against' => [[Weight::For, Weight::Against, Weight::For], Belief::Overturned];
    }

    /** @param list<Weight> $findings */
    #[DataProvider('beliefs')]
    public function testFindingsDecideWhereAnAssumptionStands(array $findings, Belief $standing): void
    {
        self::assertSame($standing, Belief::of($findings));
        self::assertSame(in_array($standing, [Belief::Upheld, Belief::Overturned], true), $standing->isSettled());
    }

    public function testWhatADecisionRestsOnIsNamed(): void
    {
        self::assertSame('', BriefWords::resting([]));
        self::assertSame('One thing is only believed: It floats.', BriefWords::resting(['It floats']));
    }
}
