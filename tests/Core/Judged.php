<?php

declare(strict_types=1);

namespace Lustrum\Tests\Core;

use Lustrum\Core\Change\ChangeClass;
use Lustrum\Core\Change\Expectation;
use Lustrum\Core\Evidence\Direction;
use Lustrum\Core\Evidence\Kind;
use Lustrum\Core\Evidence\Requirement;
use Lustrum\Core\Judging\Build;
use Lustrum\Core\Judging\ChangeFact;
use Lustrum\Core\Judging\Lineage;
use Lustrum\Core\Judging\Wanted;
use Lustrum\Core\Outcome\ResultKind;
use Lustrum\Core\Run\Channel;
use Lustrum\Core\Run\Configuration;
use Lustrum\Core\Run\Factor;
use Lustrum\Core\Run\FactorKind;
use Lustrum\Core\Run\Parameter;
use Lustrum\Core\Run\Question;
use Lustrum\Core\Run\ReadingFact;
use Lustrum\Core\Run\RunFact;
use Lustrum\Core\Run\RunOutcome;

/** Runs, builds and requirements in few words, for tables of judgement. */
final class Judged
{
    private static int $number = 0;

    /**
     * A run with at most one reading, of 'force' in newtons.
     *
     * @param array<string, string> $conditions
     * @param string                $position   level of the one factor 'height', in centimetres
     * @param array<string, string> $levels
     * @param array<string, string> $settings   as found
     * @param array<string, string> $others     articles that took part, by the part that they played
     */
    public static function run(
        ?float $newton,
        RunOutcome $outcome = RunOutcome::Held,
        ResultKind $kind = ResultKind::Equal,
        string $method = 'pull',
        string $build = 'a',
        string $outcomeMetric = '',
        array $conditions = [],
        string $position = '',
        array $levels = [],
        ?Configuration $with = null,
        string $unit = 'N',
        string $serial = '',
        string $aside = '',
        array $others = [],
        array $settings = [],
        ?int $goes = null,
    ): RunFact {
        $readings = $newton === null ? [] : [new ReadingFact('pull', 'force', $unit, $newton, 0.1, $kind, 'Cell')];
        $factors = $position === '' ? [] : [new Factor('height', kind: FactorKind::Number, unit: 'cm')];
        $configuration = $with ?? self::configuration($build, $method, $outcomeMetric, $serial, factors: $factors);

        return new RunFact(
            'run-'.++self::$number, 'trial', 'Pulling', $method, $build, self::$number, $outcome, '', sprintf(
                '2026-03-02T10:00:00.%06dZ', self::$number,
            ),
            'Ines', $position === '' ? $levels : ['height' => $position] + $levels, $conditions, $settings, $configuration, 0, 0,
            $readings, false, aside: $aside, others: $others, goes: $goes,
        );
    }

    /**
     * @param list<Parameter> $parameters
     * @param list<Factor>    $factors
     */
    public static function configuration(
        string $build = 'a', string $method = 'pull', string $outcomeMetric = '', string $serial = '', array $parameters = [],
        string $firmware = '', array $factors = [],
    ): Configuration {
        return new Configuration(
            $build, strtoupper($build), $firmware, $parameters, [], null, $serial, '', '', [], $method, ucfirst($method), 1, '',
            [new Channel('pull', 'force', 'N', 'Cell', 0.1)], [], [], factors: $factors,
            questions: $outcomeMetric === '' ? [] : [new Question('held', $outcomeMetric)],
        );
    }

    /**
     * @param list<float> $newtons
     *
     * @return list<RunFact>
     */
    public static function runs(array $newtons, RunOutcome $outcome = RunOutcome::Held, string $build = 'a', string $method = 'pull'): array
    {
        return array_map(static fn (float $n): RunFact => self::run($n, $outcome, build: $build, method: $method), $newtons);
    }

    /**
     * Runs that are asked only whether they held.
     *
     * @return list<RunFact>
     */
    public static function tries(int $held, int $failed, string $build = 'a', string $metric = 'strong'): array
    {
        $of = static fn (RunOutcome $o): RunFact => self::run(null, $o, build: $build, outcomeMetric: $metric);

        return [
            ...array_map(static fn (): RunFact => $of(RunOutcome::Held), $held === 0 ? [] : range(1, $held)),
            ...array_map(static fn (): RunFact => $of(RunOutcome::Failed), $failed === 0 ? [] : range(1, $failed)),
        ];
    }

    /** @param list<string> $dependsOn */
    public static function wanted(
        Kind $kind, float $limit, Direction $direction = Direction::AtLeast, float $confidence = 0.95, string $metric = 'force',
        array $dependsOn = [],
    ): Wanted {
        $unit = in_array($kind, [Kind::Rate, Kind::Check], true) ? '' : 'N';

        return new Wanted(
            'w-'.$metric, 'Wanted', $metric, $unit, $limit, Requirement::of($kind, $direction, $limit, $confidence, 0.9), $dependsOn, true,
        );
    }

    /**
     * @param list<ChangeFact> $changes
     * @param list<Parameter>  $parameters
     */
    public static function build(
        string $id, ?string $parent = null, array $changes = [], array $parameters = [], string $firmware = '',
    ): Build {
        return new Build(
            $id, strtoupper($id), $parent, '', $firmware, sprintf('2026-03-%02dT00:00:00Z', ord($id) - 96), $parameters, [], $changes,
        );
    }

    /** @param list<string> $alters */
    public static function change(
        string $id, ChangeClass $class = ChangeClass::Shape, string $metric = '', ?float $expected = null, ?string $against = null,
        array $alters = [],
    ): ChangeFact {
        $effects = $metric === '' ? [] : [Expectation::of($metric, $expected, $metric === 'force' ? 'N' : '')];

        return new ChangeFact($id, ucfirst($id), $class, $effects, $against === null ? [] : [$against], $alters);
    }

    public static function line(Build ...$builds): Lineage
    {
        return Lineage::of(array_values($builds));
    }
}
