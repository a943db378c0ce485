<?php

declare(strict_types=1);

namespace Lustrum\Core\Judging;

use Lustrum\Core\Evidence\Assess;
use Lustrum\Core\Evidence\Assessment;
use Lustrum\Core\Evidence\Conditions;
use Lustrum\Core\Evidence\FurtherRuns;
use Lustrum\Core\Evidence\Kind;
use Lustrum\Core\Evidence\Measure;
use Lustrum\Core\Evidence\Requirement;
use Lustrum\Core\Evidence\State;
use Lustrum\Core\Outcome\Result;
use Lustrum\Core\Outcome\ResultKind;

/**
 * A requirement assessed cell by cell: unlike runs are never put together, and it stands where its worst cell does: the one
 * farthest on the wrong side of the limit, however few its runs.
 *
 * Where something that it names was not tried, or a cell says nothing, it leans at best. Where a cell is against it, it is.
 */
final readonly class ByCell
{
    /**
     * @param string               $cell   levels of the worst one, as they are said; empty where there is one without levels
     * @param array<string, State> $states of all cells, by how they are said
     * @param int                  $outside values beyond the limit, and bounds that rule it out
     * @param float|null           $reached with nothing but bounds that stop short of the limit: the farthest of them
     */
    private function __construct(
        public Assessment $worst,
        public string $cell,
        public array $states,
        public int $outside = 0,
        public ?float $reached = null,
    ) {
    }

    /**
     * @param list<array{Result, string, string, string}> $results with the cell of each, how that is said, and who rated
     * @param Measure|null                                $measure what is known of the metric before any of them
     */
    public static function assess(Requirement $rule, array $results, ?Terms $terms = null, ?Measure $measure = null): self
    {
        $conditions = Conditions::of($rule->conditions);
        $admitted = $conditions->among($results, static fn (array $r): Result => $r[0]);
        $of = array_column($admitted, 0);
        $found = self::cells($rule, $results, $admitted, $conditions->missing($of), $terms, $measure ?? Measure::none());

        return new self($found->worst, $found->cell, $found->states, self::outside($rule, $of), self::reached($rule, $of));
    }

    /**
     * @param list<array{Result, string, string, string}> $results
     * @param list<array{Result, string, string, string}> $admitted those of them made as the requirement asks
     * @param list<string>                                $missing  what it names and nobody tried
     */
    private static function cells(
        Requirement $rule, array $results, array $admitted, array $missing, ?Terms $terms, Measure $measure,
    ): self {
        $on = static fn (Requirement $r, Result ...$of): Assessment => self::ruledOut($r, array_values($of), Assess::results(
            $r, array_values($of), $terms->look->looks ?? 1, $measure,
        ));
        $cells = $texts = [];
        foreach ($admitted as [$result, $cell, $text, $rater]) {
            if ($result->kind !== ResultKind::Lost) {
                $cells[$cell][] = [$result, $rater];
                $texts[$cell] = $text;
            }
        }
        $lost = count(array_filter($results, static fn (array $r): bool => $r[0]->kind === ResultKind::Lost));
        if (count($cells) < 2) {
            $all = array_map(static fn (array $r): array => [$r[0], $r[3]], $results);

            return self::told(new self($on($rule, ...self::reduced($rule, $all)), array_values($texts)[0] ?? '', []), $rule, $terms);
        }
        $plain = $rule->without();
        $found = $states = [];
        foreach ($cells as $cell => $of) {
            $found[$cell] = $on($plain, ...self::reduced($rule, $of));
            $states[$texts[$cell]] = $found[$cell]->state;
        }
        $worst = self::worst($rule, $found, $cells);
        $a = $found[$worst];
        $areShown = $missing === [] && array_filter($states, static fn (State $s): bool => $s !== State::Shown) === [];
        $state = in_array(State::Against, $states, true) ? State::Against : ($areShown ? $a->state : $a->state->atBestLeaning());

        return self::told(new self($a->among($state, $lost, $missing), $texts[$worst], $states), $rule, $terms);
    }

    /** Before the planned number of runs, and of what was calculated, it leans at best. */
    private static function told(self $found, Requirement $rule, ?Terms $terms): self
    {
        $a = $found->worst;

        return $terms === null || $terms->tells() ? $found : new self(
            $a->among($a->state->atBestLeaning(), $a->lost, $a->missingConditions), $found->cell,
            array_map(static fn (State $s): State => $s->atBestLeaning(), $found->states),
        );
    }

    /** @param list<Result> $results */
    private static function outside(Requirement $rule, array $results): int
    {
        return count(array_filter($results, static fn (Result $r): bool => match (true) {
            $r->kind === ResultKind::Failed => true,
            $r->value === null => false,
            $r->kind === ResultKind::Equal => self::margin($rule, $r->value) < 0,
            default => (self::byBounds($rule, [$r]) ?? 0.0) < 0,
        }));
    }

    /** @param list<Result> $results */
    private static function reached(Requirement $rule, array $results): ?float
    {
        $farthest = null;
        foreach ($results as $r) {
            if ($r->kind === ResultKind::Lost) {
                continue;
            }
            if ($r->value === null || $r->kind !== ResultKind::AtLeast || self::byBounds($rule, [$r]) !== null) {
                return null;
            }
            $farthest = max($farthest ?? $r->value, $r->value);
        }

        return $farthest;
    }

    public function state(): State
    {
        return $this->worst->state;
    }

    /**
     * @param non-empty-array<string, Assessment>                 $found by cell
     * @param array<string, non-empty-list<array{Result, string}>> $cells
     */
    private static function worst(Requirement $rule, array $found, array $cells): string
    {
        $margins = [];
        foreach ($found as $cell => $a) {
            $margin = self::stands($rule, $a->estimate, array_column($cells[$cell], 0));
            if ($margin !== null) {
                $margins[$cell] = [$margin, $a->n];
            }
        }
        asort($margins);

        return (string) (array_key_first($margins) ?? array_key_first($found));
    }

    /**
     * Nothing but bounds, and they rule the limit out: it is on the wrong side, however far.
     *
     * @param list<Result> $results
     */
    private static function ruledOut(Requirement $rule, array $results, Assessment $a): Assessment
    {
        if ($a->estimate !== null || (self::byBounds($rule, $results) ?? 0.0) >= 0) {
            return $a;
        }

        return $a->among($a->bounds < FurtherRuns::FEW ? State::Thin : State::Doubtful, $a->lost, $a->missingConditions);
    }

    /**
     * How far on the right side a cell stands: by its estimate, and with nothing but bounds at its bound.
     *
     * @param list<Result> $results
     *
     * @return float|null below nought on the wrong side; null where it says nothing yet
     */
    public static function stands(Requirement $rule, ?float $estimate, array $results): ?float
    {
        return $estimate === null ? self::byBounds($rule, $results) : self::margin($rule, $estimate);
    }

    /** How far on the right side; on the wrong one below nought. */
    private static function margin(Requirement $rule, float $value): float
    {
        return ($value - $rule->limit) * $rule->direction->sign();
    }

    /**
     * With nothing but bounds a cell stands at its bound: on the wrong side only where that rules the limit out.
     *
     * @param list<Result> $results
     *
     * @return float|null null where each of them stops short of the limit: it says nothing yet
     */
    private static function byBounds(Requirement $rule, array $results): ?float
    {
        $holds = $rule->direction->sign() > 0 ? ResultKind::AtLeast : ResultKind::AtMost;
        $margins = [];
        foreach ($results as $result) {
            if ($result->value === null || !in_array($result->kind, [ResultKind::AtLeast, ResultKind::AtMost], true)) {
                continue;
            }
            $margin = self::margin($rule, $result->value);
            if ($result->kind === $holds ? $margin >= 0 : $margin < 0) {
                $margins[] = $margin;
            }
        }

        return $margins === [] ? null : min($margins);
    }

    /**
     * Of a rating each rater counts once, with their mean.
     *
     * @param list<array{Result, string}> $results with who rated
     *
     * @return list<Result>
     */
    private static function reduced(Requirement $rule, array $results): array
    {
        if ($rule->kind !== Kind::Rating) {
            return array_column($results, 0);
        }
        $out = $byRater = [];
        foreach ($results as [$result, $rater]) {
            if ($rater === '' || $result->kind !== ResultKind::Equal) {
                $out[] = $result;
            } else {
                $byRater[$rater][] = $result;
            }
        }
        foreach ($byRater as $of) {
            $values = Result::values($of);
            $out[] = Result::of(ResultKind::Equal, array_sum($values) / count($values), $of[0]->conditions);
        }

        return $out;
    }
}
