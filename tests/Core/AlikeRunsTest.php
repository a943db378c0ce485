<?php

declare(strict_types=1);

namespace Lustrum\Tests\Core;

use Lustrum\Core\Evidence\Kind;
use Lustrum\Core\Judging\Answers;
use Lustrum\Core\Judging\CompareBuilds;
use Lustrum\Core\Judging\FailureFact;
use Lustrum\Core\Judging\Failures;
use Lustrum\Core\Judging\MetricComparison;
use Lustrum\Core\Judging\Seen;
use Lustrum\Core\Judging\SidesWithin;
use Lustrum\Core\Judging\Terms;
use Lustrum\Core\Run\Alikeness;
use Lustrum\Core\Run\Configuration;
use Lustrum\Core\Run\Factor;
use Lustrum\Core\Run\FactorKind;
use Lustrum\Core\Run\FactorRole;
use Lustrum\Core\Run\Harder;
use Lustrum\Core\Run\RunFact;
use Lustrum\Core\Run\RunOutcome;
use Lustrum\Core\Run\Severity;
use PHPUnit\Framework\TestCase;

/** Which runs may be opposed at all, and which say nothing of the design. */
final class AlikeRunsTest extends TestCase
{
    private const RATERS = ['Ada' => 20.0, 'Bo' => 84.0, 'Cy' => 47.0, 'Di' => 66.0, 'Eve' => 33.0];

    public function testRatersThatBothHavePairTheirRuns(): void
    {
        $rated = static function (string $build, float $more): array {
            $out = [];
            foreach (array_keys(self::RATERS) as $i => $rater) {
                $out[] = self::made(self::RATERS[$rater] + $more + 0.3 * ($i % 3) * $more, $build, ['rater' => $rater], [
                    new Factor('rater', FactorRole::Block),
                ]);
            }

            return $out;
        };
        $paired = self::compared($rated('a', 0.0), $rated('b', 4.0));
        self::assertNotNull($paired->p);
        self::assertLessThan(0.01, $paired->p, 'They differ by sixty among themselves, and all rate b higher.');
        $pooled = self::compared(self::pooled($rated('a', 0.0)), self::pooled($rated('b', 4.0)));
        self::assertGreaterThan(0.3, (float) $pooled->p, 'A mean of all would have told nothing.');
    }

    public function testALevelThatNobodyKnowsIsLikeNoOther(): void
    {
        $of = static fn (string $build, float $newton, string $height): array => array_map(
            static fn (int $i): RunFact => self::made($newton + $i, $build, ['height' => $height], [self::height()]), [0, 1, 2],
        );
        $unknown = self::compared($of('a', 40.0, ''), $of('b', 50.0, 'unknown'));
        self::assertNull($unknown->difference, 'Nobody knows whether these were the same height.');
        self::assertNotNull(self::compared($of('a', 40.0, '60 cm'), $of('b', 50.0, '0.6 m'))->difference);
    }

    public function testARunWithoutItsLevelIsNoSide(): void
    {
        $of = static fn (string $arm, string $height, float $newton): RunFact => self::made(
            $newton, 'a', ['height' => $height], [self::height()], $arm,
        );
        $runs = [
            $of('wide', '60 cm', 44.0), $of('wide', '60 cm', 45.0), $of('wide', '60 cm', 44.4), $of('slim', '60 cm', 40.0),
            $of('slim', '60 cm', 40.6), $of('slim', '60 cm', 41.0), $of('slim', '', 90.0), $of('wide', '', 10.0),
        ];
        $sides = SidesWithin::of(Seen::ofRuns($runs), 'force', 'N', new Terms(0.95))[0];
        self::assertSame([['wide', 3], ['slim', 3]], array_map(static fn ($s): array => [$s->side, $s->n], $sides->found->sides));
    }

    public function testWhatIsSetAsideAnswersNothing(): void
    {
        $answers = new Answers('strong');
        $held = Judged::run(null, outcomeMetric: 'strong');
        $failed = Judged::run(null, RunOutcome::Failed, outcomeMetric: 'strong');
        foreach ([$held, self::aside($failed, 'The clamp stood open')] as $run) {
            $answers->take($run, Alikeness::of($run), 'made');
        }
        self::assertSame([1, 1], [$answers->held, $answers->tried]);
        $answers->take($failed, Alikeness::of($failed), 'made');
        self::assertSame([1, 2], [$answers->held, $answers->tried], 'Taken back in, it counts.');
    }

    public function testWhatHappenedBeforeIsNoReturn(): void
    {
        $severity = Severity::typed('drop', 'Drop', [], [self::height()], ['height' => '60 cm'], 'finished');
        $of = static fn (string $id, string $build, string $order): FailureFact => new FailureFact(
            $id, $build, 'Arm bent', 'arm', $order, $severity, 'held',
        );
        [$first, $second, $third] = [$of('f1', 'a', '1'), $of('f2', 'b', '2'), $of('f3', 'c', '3')];
        $builds = [
            Judged::build('a'), Judged::build('b', 'a', [Judged::change('fix', against: 'f1')]),
            Judged::build('c', 'b', [Judged::change('second', against: 'f2')]),
        ];
        $all = new Failures(Judged::line(...$builds), [$first, $second, $third], [], [], 0.95);
        self::assertSame(2, $all->status($first)->times, 'On b and on c, which carry its fix.');
        self::assertSame(1, $all->status($second)->times, 'On c, which carries what b lacked.');
        self::assertSame(0, $all->status($third)->times, 'Nothing has happened since the last of them.');
    }

    public function testWhereItWasSeenAgainWithoutAFix(): void
    {
        $severity = Severity::typed('drop', 'Drop', [], [self::height()], ['height' => '60 cm'], 'finished');
        $of = static fn (string $id, string $build, string $order): FailureFact => new FailureFact(
            $id, $build, 'Arm bent', 'arm', $order, $severity, 'held',
        );
        $all = new Failures(Judged::line(Judged::build('a'), Judged::build('b', 'a'), Judged::build('d')), [
            $first = $of('f1', 'a', '1'), $of('f2', 'b', '2'), $of('f3', 'd', '3'),
        ], [], [], 0.95);
        self::assertSame([0, ['B']], [$all->status($first)->times, $all->status($first)->without], 'D does not come from A.');
    }

    private static function height(): Factor
    {
        return new Factor('height', kind: FactorKind::Number, unit: 'cm', harder: Harder::More);
    }

    /**
     * @param array<string, string> $levels
     * @param list<Factor>          $factors
     */
    private static function made(float $newton, string $build, array $levels, array $factors, string $arm = ''): RunFact
    {
        $with = Judged::configuration($build, factors: $factors);

        return Judged::run($newton, build: $build, levels: $levels, with: Configuration::fromRow(['arm' => $arm] + $with->toRow()));
    }

    /**
     * The same without saying who rated.
     *
     * @param list<RunFact> $runs
     *
     * @return list<RunFact>
     */
    private static function pooled(array $runs): array
    {
        return array_map(static fn (RunFact $r): RunFact => self::made($r->readings[0]->si, $r->revision, [], []), $runs);
    }

    private static function aside(RunFact $r, string $why): RunFact
    {
        return new RunFact(
            $r->id, $r->trial, $r->trialName, $r->method, $r->revision, $r->number, $r->outcome, '', $r->startedAt, $r->operator,
            $r->levels,
            $r->conditions, $r->settings, $r->configuration, 0, 0, $r->readings, false, aside: $why,
        );
    }

    /**
     * @param list<RunFact> $before
     * @param list<RunFact> $after
     */
    private static function compared(array $before, array $after): MetricComparison
    {
        return (new CompareBuilds([Judged::wanted(Kind::Mean, 40.0)], ['force' => 'Force'], 0.95))->metric(
            'force', Judged::build('b', 'a'), Seen::ofRuns($after), Judged::build('a'), Seen::ofRuns($before),
        );
    }
}
