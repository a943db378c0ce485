<?php

declare(strict_types=1);

namespace Lustrum\Core\Judging;

use Lustrum\Core\Evidence\Assess;
use Lustrum\Core\Evidence\Assessment;
use Lustrum\Core\Evidence\Conditions;
use Lustrum\Core\Evidence\Kind;
use Lustrum\Core\Evidence\Requirement;
use Lustrum\Core\Evidence\State;
use Lustrum\Core\Outcome\Result;
use Lustrum\Core\Outcome\ResultKind;

/**
 * A requirement assessed cell by cell: unlike runs are never put together, and it stands where its worst cell does.
 *
 * Where something that it names was not tried, or a cell says nothing, it leans at best.
 */
final readonly class ByCell
{
    /** Worst first. A cell that says nothing is not the worst, but nothing is shown beside it. */
    private const ORDER = [State::Against, State::Doubtful, State::Thin, State::Leaning, State::Shown];

    /**
     * @param string               $cell   levels of the worst one, as they are said; empty where there is one without levels
     * @param array<string, State> $states of all cells, by how they are said
     */
    private function __construct(
        public Assessment $worst,
        public string $cell,
        public array $states,
    ) {
    }

    /** @param list<array{Result, string, string, string}> $results with the cell of each, how that is said, and who rated */
    public static function assess(Requirement $rule, array $results, ?Terms $terms = null, string $unit = ''): self
    {
        $conditions = Conditions::of($rule->conditions);
        $on = static fn (Requirement $r, Result ...$of): Assessment => Assess::results(
            $r, array_values($of), $terms->look->looks ?? 1, $terms?->natural($unit),
        );
        $admitted = $conditions->among($results, static fn (array $r): Result => $r[0]);
        $missing = $conditions->missing(array_column($admitted, 0));
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
        $worst = self::worst($found);
        $isWhole = $missing === [] && !in_array(State::None, $states, true);
        $a = $found[$worst];

        return self::told(new self(
            $a->among($isWhole ? $a->state : $a->state->atBestLeaning(), $lost, $missing), $texts[$worst], $states,
        ), $rule, $terms);
    }

    /** Before the planned number of runs, and of what was calculated, it leans at best; a look settles a check. */
    private static function told(self $found, Requirement $rule, ?Terms $terms): self
    {
        $a = $found->worst;

        return $terms === null || $terms->tells() || $rule->kind === Kind::Check ? $found : new self(
            $a->among($a->state->atBestLeaning(), $a->lost, $a->missingConditions), $found->cell,
            array_map(static fn (State $s): State => $s->atBestLeaning(), $found->states),
        );
    }

    public function state(): State
    {
        return $this->worst->state;
    }

    /** @param non-empty-array<string, Assessment> $found by cell */
    private static function worst(array $found): string
    {
        foreach (self::ORDER as $state) {
            $of = array_filter($found, static fn (Assessment $a): bool => $a->state === $state);
            if ($of !== []) {
                // Of those that stand alike, the one that is least sure of it.
                uasort($of, static fn (Assessment $a, Assessment $b): int => [$a->probabilityMet ?? 0.0, $a->n] <=> [
                    $b->probabilityMet ?? 0.0, $b->n,
                ]);

                return (string) array_key_first($of);
            }
        }

        return (string) array_key_first($found);
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
