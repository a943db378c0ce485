<?php

declare(strict_types=1);

namespace Lustrum\Core\Judging;

use Lustrum\Core\CoreException;
use Lustrum\Core\Evidence\Assessment;
use Lustrum\Core\Evidence\Basis;
use Lustrum\Core\Evidence\Carry;
use Lustrum\Core\Evidence\Kind;
use Lustrum\Core\Evidence\State;
use Lustrum\Core\Evidence\Texture;
use Lustrum\Core\Outcome\Result;
use Lustrum\Core\Outcome\ResultKind;
use Lustrum\Core\Quantity\Quantity;
use Lustrum\Core\Quantity\Unit;
use Lustrum\Core\Quantity\Units;
use Lustrum\Core\Run\Alikeness;
use Lustrum\Core\Run\Design;
use Lustrum\Core\Run\Factor;
use Lustrum\Core\Run\ReadingFact;
use Lustrum\Core\Run\RunFact;

/**
 * How well each requirement is shown on a build.
 *
 * A run counts for the build that it was made on, as that build was then. Where the build was edited afterwards, its
 * older runs count only if nothing that the requirement depends on differs. Where a build has no runs of its own for
 * a requirement, the nearest ancestor's are carried over under the same rule.
 */
final class Evidence
{
    /**
     * What the runs of one build say of one requirement.
     *
     * @param list<RunFact> $runs finished ones of the build
     */
    public static function own(Wanted $wanted, Build $build, array $runs): Own
    {
        return self::judge($wanted, $build, [self::gather($wanted, $build, $runs)]);
    }

    /**
     * What some of the runs of a build say, to be judged together with that of the others.
     *
     * @param list<RunFact> $runs
     *
     * @return array{Gathered, Gathered} of runs made with the build as it is written down now, and before it was edited
     */
    public static function gather(Wanted $wanted, Build $build, array $runs): array
    {
        $present = new Gathered();
        $older = new Gathered();
        $known = [];
        $unrelated = $build->unrelated->to($wanted->metric, $wanted->dependsOn);
        $unit = $wanted->unit === '' ? null : Units::parse($wanted->unit);
        foreach ($runs as $run) {
            $reading = $run->reading($wanted->metric);
            $result = self::result($wanted, $unit, $run, $reading);
            if ($result === null) {
                $present->notes->pass($wanted, $run);
                continue;
            }
            $found = $known[spl_object_id($run->configuration)] ??= Differences::touching(
                $run->configuration, $build, $wanted->dependsOn, $wanted->metric,
            );
            $to = $found === [] ? $present : $older;
            $to->take(
                $result, Alikeness::of($run), self::rater($wanted, $run), $run->configuration->arm,
                $reading === null || $unit === null ? 0.0 : $reading->step / $unit->factor, $found, $run->order(),
                Design::of($run->configuration, $unrelated)->ownInShort(),
            );
            $to->notes->take($run, $wanted->metric);
        }

        return [$present, $older];
    }

    /** @param list<array{Gathered, Gathered}> $gathered as gather() gives them */
    public static function judge(Wanted $wanted, Build $build, array $gathered, ?Terms $terms = null): Own
    {
        $of = static fn (int $when): array => array_column($gathered, $when);
        if ($build->family && $build->arms !== [] && $wanted->members !== Members::Chosen) {
            return self::ofFamily($wanted, $build, $of(0), $terms);
        }
        [$arms, $chosen] = [self::arms($wanted, $of(0), $build, $terms), $build->chosenArm];
        [$by, $decimals, $runs] = self::assess($wanted, $of(0), $build->arms === [] ? null : $chosen, $terms);
        [$last, $differs] = Gathered::last($of(1));
        [$older, $olderDecimals, $olderRuns] = self::assess($wanted, $of(1), $build->arms === [] ? null : $chosen, $terms, $last);
        $notes = static fn (int $when): Notes => Notes::together(array_map(static fn (Gathered $g): Notes => $g->notes, $of($when)));
        $arm = $build->arms === [] ? null : $chosen;
        $left = array_sum(array_map(static fn (Gathered $g): int => $g->count($arm), [...$of(0), ...$of(1)])) - $runs;

        return new Own(
            $by, $decimals, $runs, $olderRuns === 0 ? null : $older, $olderDecimals, $olderRuns, array_values($differs), $arms, $terms,
            $notes(0)->besides($left), olderNotes: $notes(1),
        );
    }

    /**
     * A family that stays is as good as the member that it stands or falls by.
     *
     * @param list<Gathered> $gathered
     */
    private static function ofFamily(Wanted $wanted, Build $build, array $gathered, ?Terms $terms): Own
    {
        $members = [];
        foreach (array_keys($build->arms) as $arm) {
            $members[(string) $arm] = self::assess($wanted, $gathered, (string) $arm, $terms);
        }
        $states = array_map(static fn (array $m): State => $m[0]->state(), $members);
        $isSaid = $wanted->members === Members::Worst && isset($members[$build->worstArm]);
        $member = $isSaid ? $build->worstArm : self::worst($wanted, $members);
        [$by, $decimals, $runs] = $members[$member];

        return new Own(
            $by, $decimals, $runs, terms: $terms, notes: Notes::together(array_map(static fn (Gathered $g): Notes => $g->notes, $gathered)),
            members: $states, member: $member,
        );
    }

    /**
     * The member that stands worst: by its state, then by how near its estimate comes to the limit.
     *
     * @param array<string, array{ByCell, int, int}> $members
     */
    private static function worst(Wanted $wanted, array $members): string
    {
        $order = [State::Against, State::Doubtful, State::Thin, State::Leaning, State::Shown, State::None];
        $rank = static fn (ByCell $by): array => [
            array_search($by->state(), $order, true),
            ($by->worst->estimate ?? 0.0) * $wanted->rule->direction->sign(),
        ];
        uasort($members, static fn (array $a, array $b): int => $rank($a[0]) <=> $rank($b[0]));

        return (string) array_key_first($members);
    }

    /**
     * Each arm of a build for itself, while none of them is chosen.
     *
     * @param list<Gathered> $gathered
     *
     * @return array<string, State> by arm; none where the build has none, or one was chosen
     */
    private static function arms(Wanted $wanted, array $gathered, Build $build, ?Terms $terms): array
    {
        $out = [];
        foreach ($build->chosenArm === '' ? array_keys($build->arms) : [] as $arm) {
            $out[(string) $arm] = self::assess($wanted, $gathered, (string) $arm, $terms)[0]->state();
        }

        return $out;
    }

    /**
     * @param list<Gathered> $gathered
     * @param string|null    $arm      only runs of it; null: all
     * @param string|null    $made     only runs made with this otherwise than the build; null: all
     *
     * @return array{ByCell, int, int} with the decimals of its values, and how many runs it stands on
     */
    private static function assess(Wanted $wanted, array $gathered, ?string $arm, ?Terms $terms, ?string $made = null): array
    {
        // Of each article one state: what was changed on it between two runs begins another.
        $asBuilt = $made === null ? Gathered::asBuilt($gathered) : null;
        $results = array_merge(...array_map(static fn (Gathered $g): array => $g->results($arm, $made, $asBuilt), $gathered));
        $step = max([0.0, ...array_map(static fn (Gathered $g): float => $g->step, $gathered)]);
        $values = Result::values(array_column($results, 0));

        return [
            ByCell::assess($wanted->rule, $results, $terms, $terms?->measure($wanted->unit, $step)), Measured::decimals($step, $values, $wanted->unit),
            count($results),
        ];
    }

    /** Does this run belong to what own() counts for the requirement on its build as it is now, or as it was then? */
    public static function counts(Wanted $wanted, RunFact $run): bool
    {
        $unit = $wanted->unit === '' ? null : Units::parse($wanted->unit);

        return self::result($wanted, $unit, $run, $run->reading($wanted->metric)) !== null;
    }

    /**
     * @param callable(Build): array<string, Own> $own what is known of each build, by requirement
     */
    public static function cell(Wanted $wanted, Build $build, Lineage $lineage, callable $own): Cell
    {
        if ($wanted->source !== 'runs') {
            return self::drawn($wanted, $build);
        }
        $here = $own($build)[$wanted->id];
        if ($here->arms !== []) {
            return self::armByArm($wanted, $build, $here);
        }
        if ($here->by->state() !== State::None) {
            return self::describe($wanted, $build, $build, $here->by, $here->decimals, $here->runs, null, $here);
        }
        if ($here->older !== null && $here->older->state() !== State::None && $here->differs !== []) {
            return self::describe(
                $wanted, $build, $build, $here->older, $here->olderDecimals, $here->olderRuns, null, $here, $here->differs,
            );
        }
        foreach ($lineage->ancestors($build) as $ancestor) {
            $earlier = $own($ancestor)[$wanted->id];
            if ($earlier->by->state() !== State::None) {
                $carry = self::carry(
                    $wanted, $ancestor, $build, $lineage->changesSince($ancestor, $build),
                    $lineage->unrelatedSince($ancestor, $build, $wanted->metric),
                );

                return self::describe($wanted, $build, $ancestor, $earlier->by, $earlier->decimals, $earlier->runs, $carry, $earlier);
            }
        }

        return self::describe($wanted, $build, $build, $here->by, $here->decimals, $here->runs, null, $here);
    }

    /** By a module of which the build carries none: nothing is known. */
    public static function untold(Wanted $wanted, Build $build): Cell
    {
        $a = new Assessment(State::None, null, null, null, null, 0, Basis::TBound);

        return new Cell($wanted, $build, $build, $a, State::None, Texture::Outline, false, null, null, null, [], 0);
    }

    /** A requirement on a parameter, or on what the parts cost, is worked out from the build: by drawing. */
    private static function drawn(Wanted $wanted, Build $build): Cell
    {
        $value = match ($wanted->source) {
            'cost' => $build->cost,
            'mass' => self::mass($wanted, $build),
            default => self::parameter($wanted, $build),
        };
        $met = $value !== null && $wanted->rule->direction->met($value, $wanted->limit);
        $state = $value === null ? State::None : ($met ? State::Shown : State::Against);
        $a = new Assessment($state, $value, null, null, null, $value === null ? 0 : 1, Basis::Drawn);
        $decimals = $wanted->source === 'cost' ? 2 : Measured::decimals(0.0, $value === null ? [] : [$value]);

        return new Cell(
            $wanted, $build, $build, $a, $state, Texture::of($a), false,
            $value === null ? null : new Figure($value, null, null, $wanted->unit, $decimals, 0), null, null, [], 0,
        );
    }

    private static function mass(Wanted $wanted, Build $build): ?float
    {
        try {
            return $build->mass === null ? null : Quantity::of($build->mass, 'kg')->to($wanted->unit)->value;
        } catch (CoreException) {
            return null;
        }
    }

    private static function parameter(Wanted $wanted, Build $build): ?float
    {
        foreach ($build->as($build->chosenArm)->parameters as $parameter) {
            if (mb_strtolower($parameter->name) === mb_strtolower($wanted->metricName) && $parameter->words === '') {
                try {
                    return Quantity::of($parameter->value, $parameter->unit)->to($wanted->unit === '' ? '1' : $wanted->unit)->value;
                } catch (CoreException) {
                    return null;
                }
            }
        }

        return null;
    }

    /** Before an arm is chosen there is no number of the build: so many of its arms show it. */
    private static function armByArm(Wanted $wanted, Build $build, Own $here): Cell
    {
        $has = static fn (State ...$states): bool => array_filter(
            $here->arms, static fn (State $s): bool => in_array($s, $states, true),
        ) !== [];
        $state = match (true) {
            $has(State::Shown), $has(State::Leaning) => State::Leaning,
            $has(State::Thin) => State::Thin,
            $has(State::Doubtful) => State::Doubtful,
            $has(State::Against) => State::Against,
            default => State::None,
        };
        $a = new Assessment($state, null, null, null, null, 0, Basis::TBound);

        return new Cell(
            $wanted, $build, $build, $a, $state, Texture::of($a), false, null, null, null, [], $here->runs, '', [], $here->arms,
            $here->terms,
        );
    }

    /**
     * Change records explain differences, and never stand for them: what differs without one stands in the way as well.
     *
     * @param list<ChangeFact> $changes
     * @param list<string>     $unrelated
     */
    private static function carry(Wanted $wanted, Build $from, Build $to, array $changes, array $unrelated): Carry
    {
        $unexplained = Differences::that(
            Differences::unexplained(Differences::between($from, $to), $changes), $wanted->dependsOn, $unrelated,
        );

        return Carry::over($wanted->dependsOn, array_map(
            static fn (ChangeFact $c): array => ['what' => $c->what, 'class' => $c->class->value, 'on' => $c->alters], $changes,
        ))->and(array_map(static fn (Difference $d): string => $d->name, $unexplained));
    }

    /** @param list<Difference> $differs */
    private static function describe(
        Wanted $wanted,
        Build $build,
        Build $source,
        ByCell $by,
        int $decimals,
        int $runs,
        ?Carry $carry,
        Own $own,
        array $differs = [],
    ): Cell {
        $a = $by->worst;
        $isMissing = $wanted->members === Members::Each && in_array(State::None, $own->members, true);
        if ($isMissing && $a->state === State::Shown) {
            // What holds on each is not shown before each was tried.
            $a = $a->in(State::Leaning, null);
        }
        $stale = $differs !== [] || ($carry !== null && !$carry->carried);
        $share = in_array($wanted->kind(), [Kind::Rate, Kind::Check], true) || ($a->estimate !== null && $a->basis === Basis::ExactShare);
        $factor = $share ? 100.0 : 1.0;
        $unit = $share ? '%' : $wanted->unit;

        return new Cell(
            $wanted, $build, $source, $a,
            $stale ? State::None : $a->state, $stale ? Texture::Outline : Texture::of($a, $carry !== null), $share,
            $a->estimate === null ? null : new Figure($factor * $a->estimate, null, null, $unit, $share ? 0 : $decimals, $a->n),
            $a->bound === null ? null : $factor * $a->bound, $carry, $differs, $runs, $by->cell, $by->states, terms: $own->terms,
            notes: $own->by === $by ? $own->notes : $own->olderNotes, outside: $by->outside,
            reached: $by->reached, members: $own->members, member: $own->member,
        );
    }

    /**
     * @param Unit|null        $target  that the requirement is written in
     * @param ReadingFact|null $reading of its metric
     */
    private static function result(Wanted $wanted, ?Unit $target, RunFact $run, ?ReadingFact $reading): ?Result
    {
        if (!$wanted->admits($run->configuration->articleState, $run->configuration->methodName)) {
            return null;
        }
        $byAnswer = $run->answers($wanted->metric);
        if ($reading === null && !$byAnswer) {
            return null;
        }
        if ($run->lost()) {
            return Result::of(ResultKind::Lost);
        }
        if (!$run->says()) {
            return null;
        }
        if ($reading !== null && $target !== null) {
            $fits = $reading->unit === $wanted->unit || Units::parse($reading->unit)->dimension->equals($target->dimension);

            return $fits ? Result::of(
                $reading->kind, $target->fromSi($reading->si), self::conditions($run), $run->configuration->article ?? '',
            ) : null;
        }
        $held = $run->heldIn($wanted->metric);

        return $held === null ? null : Result::of(
            $held ? ResultKind::Held : ResultKind::Failed, null, self::conditions($run), $run->configuration->article ?? '',
        );
    }

    /** @return array<string, string> conditions and levels as recorded: a requirement may speak of either */
    private static function conditions(RunFact $run): array
    {
        return $run->levels === [] ? $run->conditions : $run->levels + $run->conditions;
    }

    /** Of a rating each rater counts once, with their mean. */
    private static function rater(Wanted $wanted, RunFact $run): string
    {
        if ($wanted->kind() !== Kind::Rating) {
            return '';
        }
        foreach (Alikeness::of($run)->blocks as $name => $rater) {
            if ($name !== Factor::ARTICLE && $name !== Factor::DAY) {
                return $rater;
            }
        }

        return '';
    }
}
